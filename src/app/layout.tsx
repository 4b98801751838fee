import '@fontsource-variable/archivo/wdth.css';
import './print.css';
import InitColorSchemeScript from '@mui/material/InitColorSchemeScript';
import type { Metadata, Viewport } from 'next';
import type { ReactNode } from 'react';
import { Providers } from './providers';

export const metadata: Metadata = {
  title: { default: 'Ergasto', template: '%s · Ergasto' },
  description: 'For people who buy used bicycles, overhaul them and send them out again.',
};

export const viewport: Viewport = {
  width: 'device-width',
  initialScale: 1,
  themeColor: [{ media: '(prefers-color-scheme: dark)', color: '#12171c' }, { color: '#f1efe8' }],
};

export default function Layout({ children }: { children: ReactNode }) {
  return (
    <html lang="en-GB" suppressHydrationWarning>
      <body>
        <InitColorSchemeScript attribute="data" />
        <Providers>{children}</Providers>
      </body>
    </html>
  );
}
