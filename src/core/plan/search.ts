import { uniformStream } from '../money/streams';
import type { Problem } from './compile';
import { lowerBound } from './bound';
import { Placer } from './schedule';

export interface Found {
  order: number[];
  unready: number;
  unplanned: number;
  value: number;
  /** No plan is better: every order was looked at, or it meets the bound. */
  proven: boolean;
  by: 'every order' | 'the bound' | null;
}

/** So many tasks are gone through order by order. */
const EXACT_UP_TO = 8;
/** Placings that a search may take: bounded by these, not by a clock, so that the same question has the same answer. */
const EXACT_NODES = 200_000;
const PLACINGS = 1_200_000;
const FEWEST = 3000;
const MEMORY = 120;
const STARTS = 3;

type Measured = Pick<Found, 'unready' | 'unplanned' | 'value'>;

/** Whether one plan is better: fewer bicycles not out, fewer tasks unplanned, then sooner. */
export const isBetter = (a: Measured, b: Measured): boolean =>
  a.unready !== b.unready
    ? a.unready < b.unready
    : a.unplanned !== b.unplanned
      ? a.unplanned < b.unplanned
      : a.value < b.value - 1e-9;

/** Tasks in an order of their own liking that never puts one before what it comes after. */
export function inOrder(p: Problem, key: (i: number) => number, tasks: readonly number[]): number[] {
  const left = new Map(tasks.map((i) => [i, p.after[i]!.filter((before) => !p.hopeless.has(before)).length]));
  const free = tasks.filter((i) => left.get(i) === 0);
  const order: number[] = [];
  while (free.length > 0) {
    let best = 0;
    for (let k = 1; k < free.length; k++) if (key(free[k]!) < key(free[best]!)) best = k;
    const i = free.splice(best, 1)[0]!;
    order.push(i);
    for (const follower of p.next[i]!) {
      const open = left.get(follower);
      if (open === undefined) continue;
      left.set(follower, open - 1);
      if (open === 1) free.push(follower);
    }
  }
  return order;
}

/** How much work and waiting hangs on each task, itself included. */
function tails(p: Problem): Float64Array {
  const tail = new Float64Array(p.count).fill(-1);
  const of = (i: number): number => {
    if (tail[i]! >= 0) return tail[i]!;
    tail[i] = 0;
    const next = p.next[i]!.reduce((most, follower) => Math.max(most, p.hopeless.has(i) ? 0 : of(follower)), 0);
    return (tail[i] = p.minutes[i]! + p.wait[i]! + next);
  };
  for (let i = 0; i < p.count; i++) of(i);
  return tail;
}

/** Orders to begin with: bicycle by bicycle, the least work first; the longest chains first; what can begin soonest; and a mixture. */
function beginnings(p: Problem, tasks: readonly number[]): number[][] {
  const work = new Float64Array(p.bicycles.length);
  for (const i of tasks) work[p.bicycleOf[i]!]! += p.minutes[i]!;
  const tail = tails(p);
  const before = new Map(p.question.before.map(({ task, fromMin }) => [task, fromMin]));
  const was = (i: number) => before.get(p.question.tasks[i]!.id) ?? 1e9 + i;
  return [
    ...(before.size > 0 ? [inOrder(p, was, tasks)] : []),
    inOrder(p, (i) => work[p.bicycleOf[i]!]! * 1e6 - tail[i]!, tasks),
    inOrder(p, (i) => -tail[i]!, tasks),
    inOrder(p, (i) => (p.wait[i]! > 0 ? 0 : 1e9) + work[p.bicycleOf[i]!]! * 1e3 - tail[i]! / 1e3, tasks),
    inOrder(p, (i) => p.earliest[i]! * 1e3 + work[p.bicycleOf[i]!]!, tasks),
  ];
}

/** Every order that keeps to what comes after what, cut off where even the best ending is no better than what is known. */
function everyOrder(p: Problem, tasks: readonly number[], best: Found): { found: Found; isWhole: boolean } {
  const placer = new Placer(p);
  const ends = soonestBy(p, tasks);
  let found = best;
  let nodes = 0;
  const order: number[] = [];
  const placed = new Set<number>();
  // A task in pieces may fill gaps that a longer beginning leaves otherwise: only whole orders tell.
  const cuts = !p.splits.some(Boolean);
  const walk = (): boolean => {
    if (++nodes > EXACT_NODES) return false;
    if (order.length === tasks.length) {
      const measured = placer.measure(order);
      if (isBetter(measured, found)) found = { ...found, ...measured, order: [...order] };
      return true;
    }
    if (cuts && order.length > 1 && found.unready === 0) {
      const begun = placer.begin(order, order.length);
      if (leastOf(p, order, placed, begun, ends) >= found.value - 1e-9) return true;
    }
    for (const i of tasks) {
      if (placed.has(i) || p.after[i]!.some((before) => !p.hopeless.has(before) && !placed.has(before))) continue;
      order.push(i);
      placed.add(i);
      const whole = walk();
      order.pop();
      placed.delete(i);
      if (!whole) return false;
    }
    return true;
  };
  const isWhole = walk();
  return { found, isWhole };
}

/** For each bicycle how soon what is not placed yet could be out at best. */
function soonestBy(p: Problem, tasks: readonly number[]): Float64Array {
  const ends = new Float64Array(p.count);
  for (const i of tasks) ends[i] = p.minutes[i]! + p.wait[i]!;
  return ends;
}

/** What an order that begins so comes to at the least, where every bicycle is to be out. */
function leastOf(
  p: Problem,
  order: readonly number[],
  placed: ReadonlySet<number>,
  { end, hand }: { end: Float64Array; hand: Int32Array },
  rest: Float64Array,
): number {
  const ready = new Float64Array(p.bicycles.length);
  const freeBy = new Float64Array(p.hands.length);
  for (const i of order) {
    if (end[i]! < 0) return Infinity;
    ready[p.bicycleOf[i]!] = Math.max(ready[p.bicycleOf[i]!]!, end[i]! + p.wait[i]!);
    if (p.pin[i]! < 0) freeBy[hand[i]!] = Math.max(freeBy[hand[i]!]!, end[i]!);
  }
  const free = Math.min(...freeBy);
  for (let i = 0; i < p.count; i++)
    if (!placed.has(i) && p.pin[i]! < 0) ready[p.bicycleOf[i]!] = Math.max(ready[p.bicycleOf[i]!]!, free + rest[i]!);
  let sum = 0;
  let last = 0;
  for (const at of ready) {
    sum += at;
    last = Math.max(last, at);
  }
  return p.question.objective === 'all-done-soonest' ? last : sum / ready.length;
}

/** Whether no task stands before one that it comes after. */
function keepsOrder(p: Problem, order: readonly number[]): boolean {
  const seen = new Uint8Array(p.count);
  for (const i of order) {
    for (const before of p.after[i]!) if (!seen[before] && !p.hopeless.has(before)) return false;
    seen[i] = 1;
  }
  return true;
}

/** All tasks of one bicycle taken out and put in again together. */
function bicycleMoved(p: Problem, order: readonly number[], next: () => number): number[] | null {
  const bicycle = p.bicycleOf[order[Math.floor(next() * order.length)]!]!;
  const own = order.filter((i) => p.bicycleOf[i] === bicycle);
  const rest = order.filter((i) => p.bicycleOf[i] !== bicycle);
  const to = Math.floor(next() * (rest.length + 1));
  const copy = [...rest.slice(0, to), ...own, ...rest.slice(to)];
  return keepsOrder(p, copy) ? copy : null;
}

/** One task moved to another place among those that it may stand between. */
function taskMoved(p: Problem, order: readonly number[], next: () => number): number[] | null {
  const k = Math.floor(next() * order.length);
  const i = order[k]!;
  let low = k;
  let high = k;
  while (low > 0 && !p.after[i]!.includes(order[low - 1]!)) low -= 1;
  while (high < order.length - 1 && !p.next[i]!.includes(order[high + 1]!)) high += 1;
  if (high <= low) return null;
  // Mostly a few places, at times anywhere.
  const reach = next() < 0.5 ? 4 : order.length;
  const to = Math.max(low, Math.min(high, k + Math.round((next() - 0.5) * 2 * reach)));
  if (to === k) return null;
  const copy = order.slice();
  copy.splice(k, 1);
  copy.splice(to, 0, i);
  return copy;
}

const moved = (p: Problem, order: readonly number[], next: () => number): number[] | null =>
  next() < 0.12 ? bicycleMoved(p, order, next) : taskMoved(p, order, next);

const cost = ({ unready, unplanned, value }: Measured) => unready * 1e9 + unplanned * 1e7 + value;

/** Orders improved by moving one task at a time; a step may be as bad as what was so many steps ago (late acceptance). */
function improved(p: Problem, begin: Found, placings: number, seed: number, onBetter: (found: Found) => void): Found {
  const placer = new Placer(p);
  const next = uniformStream(seed, 'plan');
  let best = begin;
  let order = begin.order.slice();
  let now = cost(begin);
  const memory = new Float64Array(MEMORY).fill(now);
  for (let step = 0; step < placings; step++) {
    const tried = moved(p, order, next);
    if (!tried) continue;
    const measured = placer.measure(tried);
    const is = cost(measured);
    const at = step % MEMORY;
    if (is <= now || is <= memory[at]!) {
      order = tried;
      now = is;
      if (isBetter(measured, best)) {
        best = { ...best, ...measured, order: tried.slice() };
        onBetter(best);
      }
    }
    if (now < memory[at]!) memory[at] = now;
  }
  return best;
}

/** Whether the best of all orders is the best of all plans: not where it matters who does what, or where to begin later would help. */
const ordersTell = (p: Problem): boolean =>
  p.hands.length === 1 ||
  (p.alike && p.groups.length === 0 && p.maxWait.every((wait) => wait < 0) && p.pin.every((pin) => pin < 0));

/**
 * The best order that is found: every one of up to eight tasks, else the best of a few beginnings, improved by moving one task at a time.
 * `onBetter` hears each better one as it is found.
 */
export function searched(p: Problem, onBetter: (found: Found) => void = () => undefined): Found {
  const tasks = [...p.minutes.keys()].filter((i) => !p.hopeless.has(i));
  const placer = new Placer(p);
  const begun = beginnings(p, tasks).map((order): Found => ({
    order,
    ...placer.measure(order),
    proven: false,
    by: null,
  }));
  // Among equals the first: a plan of before, where there is one.
  let found = begun.reduce((best, each) => (isBetter(each, best) ? each : best));
  onBetter(found);
  const out = p.bicycles.map((_, b) => b);
  const bound = lowerBound(p, out);
  const meets = (each: Found) => each.unready === 0 && each.value <= bound.value + 1e-9;
  if (meets(found)) return { ...found, proven: true, by: 'the bound' };
  if (tasks.length <= EXACT_UP_TO) {
    const { found: exact, isWhole } = everyOrder(p, tasks, found);
    if (isWhole && ordersTell(p)) return { ...exact, proven: true, by: 'every order' };
    found = exact;
  }
  const placings = Math.max(FEWEST, Math.floor(PLACINGS / Math.max(8, tasks.length)));
  const starts = [found, ...begun.toSorted((a, b) => cost(a) - cost(b)).slice(1, STARTS)];
  starts.forEach((start, seed) => {
    const better = improved(p, start, Math.floor(placings / starts.length), seed, (each) => {
      if (isBetter(each, found)) onBetter(each);
    });
    if (isBetter(better, found)) found = better;
  });
  return meets(found) ? { ...found, proven: true, by: 'the bound' } : found;
}
