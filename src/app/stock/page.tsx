import type { Metadata } from 'next';
import { Suspense } from 'react';
import { StockPage } from '@/features/stock/StockPage';

export const metadata: Metadata = { title: 'The drawer' };

export default function Page() {
  return (
    <Suspense>
      <StockPage />
    </Suspense>
  );
}
