import { boundsOf } from './leaves';
import type { Bicycle } from './record';

export interface Overfull {
  list: string;
  count: number;
  most: number;
  /** What there is too much of and where it is taken out. */
  words: string;
}

/** Lists of a bicycle that hold more rows than can be worked with. Example: 230 cost lines → "230 cost lines, and 200 is the most: take some out on Buy". */
export function overfull(bicycle: Bicycle): Overfull[] {
  return boundsOf(bicycle).flatMap(({ list, count, most, words, where }) =>
    count > most
      ? [{ list, count, most, words: `${count} ${words}, and ${most} is the most: take some out on ${where}` }]
      : [],
  );
}

/**
 * Why a change is refused that adds to a list which is full already; null where it may be made. A record that holds more than
 * its bound, because two copies were merged, still opens; it is told, and takes no more rows of that kind.
 */
export function refusedByBound(before: Bicycle, after: Bicycle): string | null {
  const was = new Map(boundsOf(before).map(({ list, count }) => [list, count]));
  const full = boundsOf(after).find(({ list, count, most }) => count > most && count > (was.get(list) ?? 0));
  if (!full) return null;
  const { most, words, where } = full;
  return `That list is full: ${most} ${words} are the most. Take some out on ${where} first.`;
}
