import { same } from '../same';
import type { BatchName, Change, Replaced, Snapshot } from './change';
import type { Held } from './held';

export interface Head {
  stamp: string;
  value: unknown;
  from: BatchName;
}

const isThere = (value: unknown): boolean => value !== undefined && value !== null && value !== false;

/** Of two that were entered without knowing of each other: what is entered before what is taken out, then the later. */
function before(a: Head, b: Head): number {
  if (isThere(a.value) !== isThere(b.value)) return isThere(a.value) ? -1 : 1;
  return a.stamp > b.stamp ? -1 : a.stamp < b.stamp ? 1 : 0;
}

/**
 * One leaf as several hands left it: the values that no change heard of has replaced. It hangs neither on the order in which changes come nor on how often: what stands
 * is all that was entered less all that was replaced.
 */
export class Register {
  private readonly heads = new Map<string, Head>();
  /** Replaced before they were heard of. */
  private readonly covered = new Map<string, BatchName>();

  apply({ stamp, value, over }: Change, from: BatchName, held: Held): void {
    if (!this.covered.delete(stamp)) this.heads.set(stamp, { stamp, value, from });
    for (const each of over) this.cover(each, held);
  }

  private cover({ stamp, from }: Replaced, held: Held): void {
    if (!this.heads.delete(stamp) && !held.has(from)) this.covered.set(stamp, from);
  }

  /** What another knew of this leaf, by what was held here and is held there. */
  join({ heads, covered }: Snapshot['leaves'][number], here: Held, there: Held): void {
    const theirs = new Set(heads.map(({ stamp }) => stamp));
    // What they heard of and no longer have was replaced there.
    for (const [stamp, head] of this.heads) if (there.has(head.from) && !theirs.has(stamp)) this.heads.delete(stamp);
    // What was heard of here and is no longer here was replaced here.
    for (const head of heads)
      if (!here.has(head.from) && !this.covered.delete(head.stamp)) this.heads.set(head.stamp, { ...head });
    for (const each of covered) this.cover(each, here);
    // What was replaced before it was heard of, and is heard of by now.
    for (const [stamp, from] of this.covered) if (there.has(from)) this.covered.delete(stamp);
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
    return [...this.covered].map(([stamp, from]) => ({ stamp, from })).toSorted((a, b) => (a.stamp < b.stamp ? -1 : 1));
  }
}
