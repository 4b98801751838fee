import { withSerwist } from '@serwist/turbopack';
import type { NextConfig } from 'next';

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  // `npm test` checks the types in a step of its own.
  typescript: { ignoreBuildErrors: true },
  redirects: () =>
    Promise.resolve(
      // Browser storage belongs to an origin: one name only, or a person meets an empty workshop.
      [
        {
          source: '/:path*',
          has: [{ type: 'header' as const, key: 'host', value: 'localhost:4730' }],
          destination: 'http://127.0.0.1:4730/:path*',
          permanent: false,
        },
      ],
    ),
  headers: () =>
    Promise.resolve([
      {
        source: '/:path*',
        headers: [
          { key: 'X-Content-Type-Options', value: 'nosniff' },
          { key: 'Referrer-Policy', value: 'no-referrer' },
          { key: 'X-Frame-Options', value: 'DENY' },
        ],
      },
    ]),
};

export default withSerwist(config);
