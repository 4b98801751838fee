import type { Metadata } from 'next';
import { Suspense } from 'react';
import { BenchPage } from '@/features/bench/BenchPage';

export const metadata: Metadata = { title: 'Bench' };

export default function Page() {
  return (
    <Suspense>
      <BenchPage />
    </Suspense>
  );
}
