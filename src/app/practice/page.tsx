import type { Metadata } from 'next';
import { PracticePage } from '@/features/practice/PracticePage';

export const metadata: Metadata = { title: 'Practice room' };

export default function Page() {
  return <PracticePage />;
}
