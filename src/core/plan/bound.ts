import type { HandTime, Problem } from './compile';

export interface Bound {
  value: number;
  words: string;
}

/** The first end of so many minutes of work in one piece, or in stretches, from a moment on; `Infinity` where no session holds it. */
function endsFrom({ from, to }: Pick<HandTime, 'from' | 'to'>, t: number, minutes: number, splits: boolean): number {
  let left = minutes;
  for (let k = 0; k < from.length; k++) {
    const at = Math.max(t, from[k]!);
    if (at > to[k]! || (at === to[k]! && left > 0)) continue;
    if (at + left <= to[k]!) return at + left;
    if (splits) left -= to[k]! - at;
  }
  return Infinity;
}

/** The same with whichever hands are done first. */
const endsWithAny = ({ hands }: Problem, t: number, minutes: number, splits: boolean): number =>
  hands.reduce((first, hand) => Math.min(first, endsFrom(hand, t, minutes, splits)), Infinity);

/** When so much work could be done by all hands together, in pieces. */
function endsWithAll({ hands }: Problem, minutes: number): number {
  if (hands.length === 1) return endsFrom(hands[0]!, 0, minutes, true);
  const steps = hands
    .flatMap(({ from, to }) =>
      [...from].flatMap((at, k) => [
        { at, more: 1 },
        { at: to[k]!, more: -1 },
      ]),
    )
    .toSorted((a, b) => a.at - b.at || b.more - a.more);
  let [left, there, was] = [minutes, 0, 0];
  for (const { at, more } of steps) {
    const done = there * (at - was);
    if (there > 0 && done >= left) return was + left / there;
    left -= done;
    there += more;
    was = at;
  }
  return left <= 0 ? was : Infinity;
}

/** When each task could end at the soonest if there were hands enough for all of them at once. */
export function soonestEnds(p: Problem): Float64Array {
  const ends = new Float64Array(p.count).fill(-1);
  const end = (i: number): number => {
    if (ends[i]! >= 0) return ends[i]!;
    if (p.hopeless.has(i)) return (ends[i] = Infinity);
    ends[i] = Infinity;
    const from = p.after[i]!.reduce((most, before) => Math.max(most, end(before) + p.wait[before]!), p.earliest[i]!);
    const at = p.pin[i]! >= 0 ? Math.max(from, p.pin[i]!) : from;
    return (ends[i] = endsWithAny(p, at, p.minutes[i]!, p.splits[i]!));
  };
  for (let i = 0; i < p.count; i++) end(i);
  return ends;
}

/**
 * What no plan of these bicycles can be under, from two relaxations: every chain of a bicycle with its waits and sessions as if there were hands for all at once;
 * and all hands without chains, the bicycles with the least work first, in pieces, each waiting out the shortest wait that may come last. Counted place by place:
 * the k-th bicycle to be out is out no sooner than either says.
 *
 * Units: minutes. Errors: none. Source: shortest processing time first, critical path. Example: two bicycles of 60 and 30 min in one session from 0 → mean of 60.
 */
export function lowerBound(p: Problem, out: readonly number[]): Bound {
  if (out.length === 0) return { value: 0, words: 'no bicycle is out' };
  const ends = soonestEnds(p);
  const chain = new Map<number, number>();
  const work = new Map<number, number>();
  const lastWait = new Map<number, number>();
  for (let i = 0; i < p.count; i++) {
    const bicycle = p.bicycleOf[i]!;
    chain.set(bicycle, Math.max(chain.get(bicycle) ?? 0, ends[i]! + p.wait[i]!));
    work.set(bicycle, (work.get(bicycle) ?? 0) + p.minutes[i]!);
    const isLast = !p.next[i]!.some((follower) => p.bicycleOf[follower] === bicycle);
    if (isLast) lastWait.set(bicycle, Math.min(lastWait.get(bicycle) ?? Infinity, p.wait[i]!));
  }
  const chains = out.map((bicycle) => chain.get(bicycle)!).toSorted((a, b) => a - b);
  const works = out.map((bicycle) => work.get(bicycle)!).toSorted((a, b) => a - b);
  let sum = 0;
  const hands = works.map((minutes) => endsWithAll(p, (sum += minutes)));
  const all = p.hands.length === 1 ? 'one pair of hands' : `${p.hands.length} pairs of hands`;
  const waits = out.reduce((all, bicycle) => all + (lastWait.get(bicycle) ?? 0), 0);
  if (p.question.objective === 'all-done-soonest') {
    const byChain = chains.at(-1)!;
    const byHands = hands.at(-1)! + Math.min(...out.map((bicycle) => lastWait.get(bicycle) ?? 0));
    return byChain >= byHands
      ? { value: byChain, words: 'the longest chain of one bicycle, with its waits' }
      : { value: byHands, words: `all the work with ${all}` };
  }
  const together = chains.reduce((all, each, k) => all + Math.max(each, hands[k]!), 0) / out.length;
  const waited = (hands.reduce((all, each) => all + each, 0) + waits) / out.length;
  return together >= waited
    ? { value: together, words: `the chain of each bicycle with its waits, and ${all}` }
    : { value: waited, words: `${all}, the least work first, and the last waits` };
}
