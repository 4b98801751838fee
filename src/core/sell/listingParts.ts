/** The sentences of a listing, in their order. */
export const LISTING_PARTS = [
  'what',
  'fit',
  'age',
  'state',
  'done',
  'renewed',
  'measured',
  'flaws',
  'not-original',
  'for-whom',
  'options',
  'answers',
  'price',
] as const;
export type ListingPart = (typeof LISTING_PARTS)[number];
