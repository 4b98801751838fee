import { readdirSync, existsSync } from 'node:fs';
import { KEPT_PAGES } from './pages';

test('every page is kept for use without the network, and none that is kept is gone', () => {
  const folders = readdirSync('src/app', { withFileTypes: true })
    .filter((entry) => entry.isDirectory() && existsSync(`src/app/${entry.name}/page.tsx`))
    .map((entry) => `/${entry.name}`);
  expect([...KEPT_PAGES].sort()).toEqual(['/', ...folders].sort());
  // Those of the first release: whoever kept one finds it again.
  expect(KEPT_PAGES).toEqual(
    expect.arrayContaining(['/', '/bike', '/bench', '/records', '/practice', '/settings', '/stock', '/gallery']),
  );
});
