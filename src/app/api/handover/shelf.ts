import { createShelf, type Shelf } from '@/core/exchange/shelf';

const held = globalThis as { ergastoShelf?: Shelf };

/** One shelf for as long as this Ergasto runs; both routes reach the same. */
export const shelf: Shelf = (held.ergastoShelf ??= createShelf({
  nowMs: () => Date.now(),
  randomBytes: (count) => crypto.getRandomValues(new Uint8Array(count)),
}));
