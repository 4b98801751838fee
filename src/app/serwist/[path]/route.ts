import { createSerwistRoute } from '@serwist/turbopack';
import { randomUUID } from 'node:crypto';
import { KEPT_PAGES } from '../../pages';

/** Pages are the same for everyone; a new build is a new revision of each. */
const revision = randomUUID();

export const { dynamic, dynamicParams, revalidate, generateStaticParams, GET } = createSerwistRoute({
  swSrc: 'src/app/sw.ts',
  additionalPrecacheEntries: [...KEPT_PAGES, '/icon.svg', '/manifest.webmanifest'].map((url) => ({ url, revision })),
  globPatterns: ['.next/static/**/*.{js,css,svg,png,wasm,woff2}'],
  maximumFileSizeToCacheInBytes: 8_000_000,
  useNativeEsbuild: true,
});
