import type { Metadata } from 'next';
import { Suspense } from 'react';
import { BooksPage } from '@/features/books/BooksPage';

export const metadata: Metadata = { title: 'Books' };

export default function Page() {
  return (
    <Suspense>
      <BooksPage />
    </Suspense>
  );
}
