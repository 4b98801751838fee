import type { Metadata } from 'next';
import { Suspense } from 'react';
import { RecordsPage } from '@/features/records/RecordsPage';

export const metadata: Metadata = { title: 'Records' };

export default function Page() {
  return (
    <Suspense>
      <RecordsPage />
    </Suspense>
  );
}
