import type { MetadataRoute } from 'next';

/** What a machine needs to install Ergasto as an application. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    id: '/',
    name: 'Ergasto',
    short_name: 'Ergasto',
    description: 'For people who buy used bicycles, overhaul them and send them out again.',
    start_url: '/',
    display: 'standalone',
    background_color: '#f1efe8',
    theme_color: '#f1efe8',
    icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
  };
}
