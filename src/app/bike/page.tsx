import type { Metadata } from 'next';
import { Suspense } from 'react';
import { BikePage } from '@/features/bike/BikePage';

export const metadata: Metadata = { title: 'Bicycle' };

export default function Page() {
  return (
    <Suspense>
      <BikePage />
    </Suspense>
  );
}
