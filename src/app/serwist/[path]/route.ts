import { createSerwistRoute } from '@serwist/turbopack';
import { randomUUID } from 'node:crypto';

/** Pages are the same for everyone; a new build is a new revision of each. */
const revision = randomUUID();
const PAGES = ['/', '/bike', '/bench', '/records', '/practice', '/settings', '/stock', '/gallery', '/missing'];

export const { dynamic, dynamicParams, revalidate, generateStaticParams, GET } = createSerwistRoute({
  swSrc: 'src/app/sw.ts',
  additionalPrecacheEntries: [...PAGES, '/icon.svg', '/manifest.webmanifest'].map((url) => ({ url, revision })),
  globPatterns: ['.next/static/**/*.{js,css,svg,png,wasm,woff2}'],
  maximumFileSizeToCacheInBytes: 8_000_000,
  useNativeEsbuild: true,
});
