/** Pages that are kept for use without the network, by their address; each is static, and the same for everyone. */
export const KEPT_PAGES = [
  '/',
  '/bike',
  '/bench',
  '/records',
  '/practice',
  '/settings',
  '/stock',
  '/books',
  '/plan',
  '/gallery',
  '/missing',
] as const;
