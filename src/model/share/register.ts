import { same } from '../same';
import type { BatchName, Change, Replaced, Snapshot } from './change';
import type { Held } from './held';

export interface Head {
  stamp: string;
  value: unknown;
  from: BatchName;
}

const isThere = (value: unknown): boolean => value !== undefined && value !== null && value !== false;

/** A value is known by its stamp and the batch that it came in: two devices that were given one old file may stamp alike. */
const keyOf = ({ stamp, from }: Replaced): string => `${stamp}\n${from[0]} ${from[1]}`;

/** Of two that were entered without knowing of each other: what is entered before what is taken out, then the later. */
function before(a: Head, b: Head): number {
  if (isThere(a.value) !== isThere(b.value)) return isThere(a.value) ? -1 : 1;
  return a.stamp > b.stamp || (a.stamp === b.stamp && keyOf(a) > keyOf(b)) ? -1 : 1;
}

/**
 * One leaf as several hands left it: the values that no change heard of has replaced. It hangs neither on the order in which changes come nor on how often: what stands
 * is all that was entered less all that was replaced.
 */
export class Register {
  private readonly heads = new Map<string, Head>();
  /** Replaced before they were heard of. */
  private readonly covered = new Map<string, Replaced>();

  apply({ stamp, value, over }: Change, from: BatchName, held: Held): void {
    const head = { stamp, value, from };
    if (!this.covered.delete(keyOf(head))) this.heads.set(keyOf(head), head);
    for (const each of over) this.cover(each, held);
  }

  private cover(replaced: Replaced, held: Held): void {
    const key = keyOf(replaced);
    if (!this.heads.delete(key) && !held.has(replaced.from)) this.covered.set(key, replaced);
  }

  /** What another knew of this leaf, by what was held here and is held there. */
  join({ heads, covered }: Snapshot['leaves'][number], here: Held, there: Held): void {
    const theirs = new Set(heads.map(keyOf));
    // What they heard of and no longer have was replaced there.
    for (const [key, head] of this.heads) if (there.has(head.from) && !theirs.has(key)) this.heads.delete(key);
    // What was heard of here and is no longer here was replaced here.
    for (const head of heads)
      if (!here.has(head.from) && !this.covered.delete(keyOf(head))) this.heads.set(keyOf(head), { ...head });
    for (const each of covered) this.cover(each, here);
    // What was replaced before it was heard of, and is heard of by now.
    for (const [key, { from }] of this.covered) if (there.has(from)) this.covered.delete(key);
  }

  /** What a change that is made now replaces. */
  standing(): Replaced[] {
    return this.sorted().map(({ stamp, from }) => ({ stamp, from }));
  }

  /** What stands; null where it was taken away or never was. */
  value(): unknown {
    return this.sorted()[0]?.value ?? null;
  }

  /** What was entered without knowing of what stands, and says something else. */
  others(): Head[] {
    const [first, ...rest] = this.sorted();
    return rest.filter(({ value }) => isThere(value) && !same(value, first!.value));
  }

  sorted(): Head[] {
    return [...this.heads.values()].toSorted(before);
  }

  waiting(): Replaced[] {
    return [...this.covered.values()].toSorted((a, b) => (keyOf(a) < keyOf(b) ? -1 : 1));
  }
}
