import type { Influence } from './ring';

/** What is wanted of a wheel, each reading against what it may be. Unread is null. */
export interface Wanted {
  /** Every reading filled in where it was not taken. */
  lateralMm: Float64Array;
  radialMm: Float64Array | null;
  tensionN: Float64Array | null;
  dishMm: number | null;
  /** Which spokes are of the left side. */
  isLeft: readonly boolean[];
  limits: { lateralMm: number; radialMm: number; tensionShare: number; dishMm: number; maxTensionN: number };
  /** What a spoke of either side usually has, where none was read. */
  usualN: { left: number; right: number };
  stuck: ReadonlySet<number>;
  stepTurns: number;
  maxTurns: number;
}

/** A wheel as it would stand after some turns. */
export interface State {
  lateral: Float64Array;
  radial: Float64Array;
  tension: Float64Array;
}

/** Readings are brought to this share of their limits, since a real rim is not the one of the book. */
const TARGET = 0.7;
/** Below this a spoke is slack. */
const SLACK_N = 60;
const MOST_MOVES = 120;
/** Pairs are many: so often are they gone through. */
const MOST_PAIRS = 8;
/** Tension that was not read is let stray so far, in shares of what is usual, before it counts. */
const STRAY_SHARE = 0.6;

export function stateAfter({ lateral, radial, tension, n }: Influence, wanted: Wanted, turns: Float64Array): State {
  const state: State = {
    lateral: Float64Array.from(wanted.lateralMm),
    radial: wanted.radialMm ? Float64Array.from(wanted.radialMm) : new Float64Array(n),
    tension: wanted.tensionN
      ? Float64Array.from(wanted.tensionN)
      : Float64Array.from(wanted.isLeft, (left) => (left ? wanted.usualN.left : wanted.usualN.right)),
  };
  for (let j = 0; j < n; j++) {
    const turned = turns[j]!;
    if (turned === 0) continue;
    for (let i = 0; i < n; i++) {
      state.lateral[i]! += turned * lateral[i * n + j]!;
      state.radial[i]! += turned * radial[i * n + j]!;
      state.tension[i]! += turned * tension[i * n + j]!;
    }
  }
  return state;
}

const middle = (values: Float64Array): number => (Math.max(...values) + Math.min(...values)) / 2;
export const spread = (values: ArrayLike<number>): number => {
  let [least, most] = [Infinity, -Infinity];
  for (let i = 0; i < values.length; i++) {
    least = Math.min(least, values[i]!);
    most = Math.max(most, values[i]!);
  }
  return most - least;
};

function meansOf(tension: Float64Array, isLeft: readonly boolean[]): { left: number; right: number } {
  const sums = { left: 0, right: 0 };
  for (let i = 0; i < tension.length; i++) sums[isLeft[i] ? 'left' : 'right'] += tension[i]!;
  const half = tension.length / 2;
  return { left: sums.left / half, right: sums.right / half };
}

const mean = (values: Float64Array) => values.reduce((a, b) => a + b, 0) / values.length;

/**
 * How far a state is from what is wanted: each reading against its own target, to the fourth power, so that the worst counts most and
 * nothing that is well inside is polished further. Tension that was not read is kept from straying, more gently.
 */
function faultOf(state: State, wanted: Wanted): number {
  const { limits, isLeft } = wanted;
  let fault = 0;
  const add = (share: number) => {
    const square = share * share;
    fault += square * square;
  };
  const n = state.lateral.length;
  const at = middle(state.lateral);
  for (let i = 0; i < n; i++) add((state.lateral[i]! - at) / ((limits.lateralMm / 2) * TARGET));
  if (wanted.radialMm) {
    const hub = middle(state.radial);
    for (let i = 0; i < n; i++) add((state.radial[i]! - hub) / ((limits.radialMm / 2) * TARGET));
  }
  const means = wanted.tensionN ? meansOf(state.tension, isLeft) : wanted.usualN;
  const share = wanted.tensionN ? limits.tensionShare * TARGET : STRAY_SHARE;
  for (let i = 0; i < n; i++) {
    const usual = isLeft[i] ? means.left : means.right;
    add((state.tension[i]! - usual) / (usual * share));
    if (!wanted.tensionN) continue;
    if (state.tension[i]! > limits.maxTensionN) add(4 * (state.tension[i]! / limits.maxTensionN - 1) * 10);
    if (state.tension[i]! < SLACK_N) add(2 + (SLACK_N - state.tension[i]!) / SLACK_N);
  }
  if (wanted.dishMm !== null) {
    const moved = mean(state.lateral) - mean(wanted.lateralMm);
    add(((wanted.dishMm + moved) / (limits.dishMm * TARGET)) * 1.5);
  }
  return fault;
}

/** Whether every reading that was taken lies within so much of its limit. */
export function isInside(state: State, wanted: Wanted, share: number): boolean {
  const { limits, isLeft } = wanted;
  if (spread(state.lateral) > limits.lateralMm * share + 1e-9) return false;
  if (wanted.radialMm && spread(state.radial) > limits.radialMm * share + 1e-9) return false;
  if (wanted.tensionN) {
    const means = meansOf(state.tension, isLeft);
    for (let i = 0; i < state.tension.length; i++) {
      const usual = isLeft[i] ? means.left : means.right;
      if (Math.abs(state.tension[i]! - usual) > usual * limits.tensionShare * share + 1e-9) return false;
    }
  }
  if (wanted.dishMm === null) return true;
  return Math.abs(wanted.dishMm + mean(state.lateral) - mean(wanted.lateralMm)) <= limits.dishMm * share + 1e-9;
}

function shift(state: State, { lateral, radial, tension, n }: Influence, nipple: number, turned: number): void {
  for (let i = 0; i < n; i++) {
    state.lateral[i]! += turned * lateral[i * n + nipple]!;
    state.radial[i]! += turned * radial[i * n + nipple]!;
    state.tension[i]! += turned * tension[i * n + nipple]!;
  }
}

/** A change of one nipple or of two at once. */
type Move = readonly { nipple: number; by: number }[];

/** Every change by a step: of each nipple, or of every two that are near enough to act together. */
function movesOf(n: number, step: number, stuck: ReadonlySet<number>, together: boolean): Move[] {
  const ways = [step, -step];
  const free = Array.from({ length: n }, (_, i) => i).filter((i) => !stuck.has(i));
  const ones = free.flatMap((nipple) => ways.map((by) => [{ nipple, by }]));
  if (!together) return ones;
  return ones.flatMap(([first]) =>
    ones.flatMap(([second]): Move[] => {
      const apart = (second!.nipple - first!.nipple + n) % n;
      return apart > 0 && apart <= n / 2 ? [[first!, second!]] : [];
    }),
  );
}

/**
 * Turns of whole sides that bring the rim back to its middle, the same on all of a side, so that its tension stays even: the other side tighter,
 * or, where that has enough already, this side looser; both where one alone does not reach. Nothing where the middle lies inside.
 */
export function middleRound(influence: Influence, wanted: Wanted, maxTurns: number): Float64Array {
  const { n } = influence;
  const none = new Float64Array(n);
  const { dishMm, limits, isLeft, stepTurns, stuck } = wanted;
  if (dishMm === null || Math.abs(dishMm) <= limits.dishMm + 1e-9) return none;
  const offLeft = dishMm > 0;
  const sides = (tighter: number, looser: number) =>
    Float64Array.from(isLeft, (left, i) => (stuck.has(i) ? 0 : left === offLeft ? -looser : tighter));
  const dishAfter = (turns: Float64Array) =>
    Math.abs(dishMm + mean(stateAfter(influence, wanted, turns).lateral) - mean(wanted.lateralMm));
  const isTooTight = (turns: Float64Array) =>
    stateAfter(influence, wanted, turns).tension.some((each, i) => turns[i]! > 0 && each > limits.maxTensionN);
  const steps = Array.from({ length: Math.floor(maxTurns / stepTurns + 1e-9) }, (_, i) => (i + 1) * stepTurns);
  const reaches = (turns: Float64Array) => dishAfter(turns) <= limits.dishMm * TARGET;
  const best = (list: Float64Array[]) =>
    list
      .filter((turns) => !isTooTight(turns))
      .reduce((least, turns) => (dishAfter(turns) < dishAfter(least) - 1e-9 ? turns : least), none);
  const [tighter, looser] = [best(steps.map((by) => sides(by, 0))), best(steps.map((by) => sides(0, by)))];
  if (reaches(tighter)) return tighter;
  if (reaches(looser)) return looser;
  return best([tighter, looser, ...steps.map((by) => sides(by, by))]);
}

/**
 * The round: step by step whichever nipple takes most of the fault away, two at once where one alone helps no more, until all lies
 * within its target; then whatever is not needed is taken out again. A nipple that is new to the round has to earn more than one
 * that is in it.
 */
export function planRound(influence: Influence, wanted: Wanted, maxTurns = wanted.maxTurns): Float64Array {
  const { n } = influence;
  const whole = middleRound(influence, wanted, maxTurns);
  const turns = Float64Array.from(whole);
  const state = stateAfter(influence, wanted, turns);
  const make = (move: Move, sign: 1 | -1) => {
    for (const { nipple, by } of move) shift(state, influence, nipple, sign * by);
  };
  // A spoke over its maximum may only fall.
  const isAllowed = ({ nipple, by }: Move[number]) =>
    Math.abs(turns[nipple]! + by) <= maxTurns + 1e-9 &&
    !(by > 0 && wanted.tensionN && state.tension[nipple]! > wanted.limits.maxTensionN);
  let fault = faultOf(state, wanted);
  const least = 1e-6 * fault;
  const [ones, twos] = [false, true].map((together) => movesOf(n, wanted.stepTurns, wanted.stuck, together));
  const bestOf = (moves: readonly Move[]): { move: Move; fault: number } | null => {
    let best: { move: Move; gain: number; fault: number } | null = null;
    for (const move of moves) {
      if (!move.every(isAllowed)) continue;
      make(move, 1);
      const then = faultOf(state, wanted);
      make(move, -1);
      const gain = (fault - then) * (move.some(({ nipple }) => turns[nipple] === 0) ? 0.8 : 1);
      if (gain > least && (best === null || gain > best.gain)) best = { move, gain, fault: then };
    }
    return best;
  };
  let pairs = 0;
  for (let count = 0; count < MOST_MOVES && !isInside(state, wanted, TARGET); count++) {
    const best = bestOf(ones!) ?? (pairs++ < MOST_PAIRS ? bestOf(twos!) : null);
    if (!best) break;
    for (const { nipple, by } of best.move) turns[nipple]! += by;
    make(best.move, 1);
    fault = best.fault;
  }
  prune(influence, wanted, turns, state, whole);
  return turns;
}

/** Takes out of a round what it does not need: a nipple whose turn may stay undone without anything leaving its target. */
function prune(influence: Influence, wanted: Wanted, turns: Float64Array, state: State, whole: Float64Array): void {
  if (!isInside(state, wanted, TARGET)) return;
  const used = [...turns.keys()]
    .filter((i) => turns[i] !== 0 && whole[i] === 0)
    .toSorted((a, b) => Math.abs(turns[a]!) - Math.abs(turns[b]!));
  for (const nipple of used) {
    const undone = -turns[nipple]!;
    shift(state, influence, nipple, undone);
    if (isInside(state, wanted, TARGET)) turns[nipple] = 0;
    else shift(state, influence, nipple, -undone);
  }
}
