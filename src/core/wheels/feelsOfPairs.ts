import type { SpokeFeel } from '../inspect/evidence';

/**
 * What squeezed pairs tell of each spoke: pairs go round from the valve by turns of one side and of the other, two of a side. Null where they
 * are not half as many as spokes. Example: of 32 spokes, the first pair slack → spokes 0 and 2 are.
 */
export function feelsOfPairs(pairs: readonly SpokeFeel[], spokes: number): (SpokeFeel | null)[] | null {
  if (spokes % 4 !== 0 || pairs.length * 2 !== spokes) return null;
  const feels: (SpokeFeel | null)[] = Array.from({ length: spokes }, () => null);
  for (const [i, feel] of pairs.entries()) {
    const first = 4 * Math.floor(i / 2) + (i % 2);
    feels[first] = feel;
    feels[first + 2] = feel;
  }
  return feels;
}
