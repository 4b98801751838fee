import type { Metadata } from 'next';
import NotFound from '../not-found';

export const metadata: Metadata = { title: 'No such page' };

/** What an unknown address shows without the network: kept like every page, since an error page cannot be. */
export default function Page() {
  return <NotFound />;
}
