import type { Metadata } from 'next';
import { Gallery } from '@/features/gallery/Gallery';

export const metadata: Metadata = { title: 'Pieces' };

export default function Page() {
  return <Gallery />;
}
