import { normalCdf } from '../numbers';
import {
  afterFeel,
  afterTurn,
  beliefQuantile,
  expectation,
  FEELS,
  feelTable,
  rightTable,
  type Belief,
  type ConeGrid,
  type ConeModel,
  type FeelTable,
} from './coneBelief';

/** Being sure enough to stop. */
export const SURE = 0.9;

/** Closing the skewer means putting the wheel into the fork: a trifle dearer than feeling it in the hand. */
const CLAMPED_COST = 1.02;
/** Trials that a missed finish is taken to cost on top, beyond those that are looked ahead. */
const MISSED_FINISH_COST = 3;
/** Shares of the belief below which, and above which, no turn is aimed; and those of the looks further ahead. */
const LADDER_ENDS = [0.02, 0.98];
const LATER_AIMS = [0.12, 0.25, 0.37, 0.5, 0.63, 0.75, 0.88];
const MOST_RUNGS = 30;
/** Turns that at first sight take so many trials more than the best are not followed further. */
const FOLLOWED_TO = 0.2;
/** What straying towards that end costs, so that nothing drops out at a blow. */
const STRAY_COST = 0.03;
/** Trials by which two turns, or two ways of feeling, differ and are still nearly as good as one another. */
const TURNS_ALIKE = 0.02;
const WAYS_ALIKE = 0.04;
/** What a degree the school's way is worth: enough to settle a tie. */
const LEANING = 0.0003;
/** How many trials a turn has to save over feeling it again, to be told at all and to be told whole. */
const TURN_FROM = -0.3;
const TURN_WHOLLY = 0.5;
/** The least turn that is told, and how small one may be beside not turning at all before it is none. */
const LEAST_TURN_DEG = 1;
const SNAP_DEG = 3;
/** Being sure enough to stop is planned for as a slope, or a hair's breadth in a figure would turn the whole plan. */
const SURE_SLOPE = 0.1;
/** A feel so unlikely is not followed; it counts as a missed finish. */
const UNLIKELY = 2e-3;
const SMOOTH = FEELS.indexOf('smooth');

export interface Action {
  turnDeg: number;
  clamped: boolean;
}

interface Followed extends Action {
  trials: number;
  /** How far it still belongs to those that are followed: 1 for the best at first sight, 0 at the end. */
  share: number;
}

export interface Planner {
  grid: ConeGrid;
  model: ConeModel;
  open: FeelTable;
  closed: FeelTable;
  right: Float64Array[];
  /** Steps from the aimed cell within which a landing in the smooth band is possible. */
  reach: number;
  landing: Float64Array[];
  /** Steps between aims that are tried: a third of the smooth band loses nothing that can be felt. */
  stride: number;
  /** Room for weighed beliefs, since planning makes many and keeps none. */
  scratch: Float64Array[];
}

/** The tables that planning and updating share, built once for a call. */
export function coneTables(grid: ConeGrid, model: ConeModel): Planner {
  const open = feelTable(grid, model, false);
  const reach = Math.ceil((model.bands.smoothDeg / 2 + 2.5 * grid.turnSdDeg) / grid.stepDeg);
  return {
    reach,
    landing: landingTable(grid, model, reach),
    stride: Math.max(1, Math.round(model.bands.smoothDeg / 3 / grid.stepDeg)),
    scratch: grid.hypotheses.map(() => new Float64Array(grid.x.length)),
    grid,
    model,
    open,
    closed: model.allowanceDeg > 0 ? feelTable(grid, model, true) : open,
    right: rightTable(grid, model),
  };
}

/**
 * The action expected to finish in the fewest trials. Turns on an even ladder, felt open or as ridden, are each followed by
 * the four feels, and what is not finished then is valued by its best next chance to finish; those that look best are
 * followed one trial further. What is told is the middle of the turns that are as good as the best, so that a figure that
 * moves by a trifle moves the advice by a trifle. `allowed` narrows the turns (the school's first one); `leaning` is the
 * school's: −1 opens, 1 closes where the one is as good as the other.
 */
export function bestAction(
  planner: Planner,
  belief: Belief,
  allowed: (turnDeg: number) => boolean,
  leaning: -1 | 1,
): Action {
  const { model, grid } = planner;
  const ladder = ladderOf(planner, belief);
  const turns = ladder.filter(allowed);
  // Where a bench drags so much that no turn goes the school's way, the school gives way.
  const glanced = (turns.length > 0 ? turns : ladder).flatMap((turnDeg) => {
    const moved = afterTurn(grid, belief, turnDeg);
    return (model.allowanceDeg > 0 ? [true, false] : [false]).map((clamped) => ({
      turnDeg,
      clamped,
      moved,
      trials: expectedTrials(planner, moved, clamped),
    }));
  });
  const least = Math.min(...glanced.map((each) => each.trials));
  const followed = glanced
    .filter((each) => each.turnDeg === 0 || each.trials < least + FOLLOWED_TO)
    .map(({ turnDeg, clamped, moved, trials }): Followed => {
      const far = (trials - least) / FOLLOWED_TO;
      return {
        turnDeg,
        clamped,
        trials: followedTrials(planner, moved, clamped) - leaning * LEANING * turnDeg,
        share: turnDeg === 0 ? 1 : (1 - far * far) ** 2,
      };
    });
  const ways = [true, false].flatMap((clamped) => {
    const told = middleOf(followed.filter((each) => each.clamped === clamped));
    return told === null ? [] : [{ ...told, clamped }];
  });
  const best = Math.min(...ways.map((way) => way.trials));
  const weight = (way: { trials: number }) => Math.exp((best - way.trials) / WAYS_ALIKE);
  const sum = ways.reduce((total, way) => total + weight(way), 0);
  const turnDeg = ways.reduce((total, way) => total + way.turnDeg * weight(way), 0) / sum;
  const { clamped } = ways.reduce((a, b) => (b.trials < a.trials ? b : a));
  return { turnDeg: Math.round(turnDeg) + 0, clamped };
}

/** Turns from the least to the most that the belief makes sense of, evenly spaced, and not turning at all. */
function ladderOf(planner: Planner, belief: Belief): number[] {
  const aims = aimedAt(planner, belief, LADDER_ENDS);
  const { stepDeg } = planner.grid;
  const [low, high] = [Math.min(...aims), Math.max(...aims)];
  const spacing = stepDeg * Math.max(1, Math.ceil((high - low) / stepDeg / MOST_RUNGS));
  const turns = [0];
  for (let rung = Math.ceil(low / spacing); rung * spacing <= high; rung++) if (rung !== 0) turns.push(rung * spacing);
  return turns;
}

/**
 * The middle of the turns that are as good as the best, and what the best of them takes. Not turning drags nothing and
 * lies apart from all turns: the better it is against them, the smaller the turn that is told.
 */
function middleOf(followed: Followed[]): { turnDeg: number; trials: number } | null {
  if (followed.length === 0) return null;
  // What is hardly followed any more is dear: nothing drops out at a blow.
  const cost = ({ trials, share }: Followed) => trials + STRAY_COST * (1 / Math.max(share, 1e-9) - 1);
  const turned = followed.filter((each) => each.turnDeg !== 0);
  const still = Math.min(Infinity, ...followed.filter((each) => each.turnDeg === 0).map(cost));
  if (turned.length === 0) return { turnDeg: 0, trials: still };
  const best = Math.min(...turned.map(cost));
  const weights = turned.map((each) => Math.exp((best - cost(each)) / TURNS_ALIKE));
  const sum = weights.reduce((total, weight) => total + weight, 0);
  const middle = turned.reduce((total, { turnDeg }, i) => total + turnDeg * weights[i]!, 0) / sum;
  // The least turn is still one: the locknut is opened for it, and drags when it is locked.
  const part = middle * eased((still - best - TURN_FROM) / (TURN_WHOLLY - TURN_FROM));
  const told =
    Math.abs(part) < Math.min(Math.abs(middle) / 2, SNAP_DEG)
      ? 0
      : Math.sign(middle) * Math.max(LEAST_TURN_DEG, Math.abs(part));
  return { turnDeg: told, trials: Math.min(still, best) };
}

/** From nought to one, level at both ends. */
const eased = (share: number) => {
  const t = Math.min(1, Math.max(0, share));
  return t * t * (3 - 2 * t);
};

/** Turns that would bring these quantiles of the belief to the middle of smooth. */
function aimedAt({ grid, model }: Planner, belief: Belief, quantiles: number[]): number[] {
  const ideal = model.bands.smoothDeg / 2 - model.allowanceDeg - model.lockShift.meanDeg;
  return quantiles.map((q) => Math.round((ideal - beliefQuantile(grid, belief, q)) / grid.stepDeg) * grid.stepDeg + 0);
}

/** The same, each once, and not turning at all. */
const turnsTowards = (planner: Planner, belief: Belief, quantiles: number[]): number[] => [
  ...new Set([0, ...aimedAt(planner, belief, quantiles)]),
];

/** How far a smooth feel is taken to end it. */
const stops = (rightChance: number) => eased((rightChance - SURE + SURE_SLOPE) / (2 * SURE_SLOPE));

/** Trials to come if the bearing, already moved, is felt now and the best of a few turns follows each feel. */
function followedTrials(planner: Planner, moved: Belief, clamped: boolean): number {
  const { grid, model } = planner;
  const asRidden = clamped || model.allowanceDeg === 0;
  const table = clamped ? planner.closed : planner.open;
  let trials = clamped ? CLAMPED_COST : 1;
  for (let feel = 0; feel < FEELS.length; feel++) {
    const felt = afterFeel(moved, table, feel);
    if (felt.chance < UNLIKELY) {
      trials += felt.chance * MISSED_FINISH_COST;
      continue;
    }
    const going = asRidden && feel === SMOOTH ? 1 - stops(expectation(felt.belief, planner.right)) : 1;
    if (going === 0) continue;
    const next = turnsTowards(planner, felt.belief, LATER_AIMS).map((turnDeg) =>
      expectedTrials(planner, afterTurn(grid, felt.belief, turnDeg), model.allowanceDeg > 0),
    );
    trials += going * felt.chance * Math.min(...next);
  }
  return trials;
}

/** Cells that carry all but a trifle of a belief, first and last. */
function activeCells(belief: Belief): [number, number] {
  const heavy = (i: number) => belief.some((cells) => cells[i]! > 1e-5);
  let first = 0;
  let last = belief[0]!.length - 1;
  while (first < last && !heavy(first)) first++;
  while (last > first && !heavy(last)) last--;
  return [first, last];
}

/** Trials to come if the bearing, already moved, is felt now. */
function expectedTrials(planner: Planner, moved: Belief, clamped: boolean): number {
  const { model, right, closed, scratch } = planner;
  const asRidden = clamped || model.allowanceDeg === 0;
  const table = clamped ? closed : planner.open;
  const [first, last] = activeCells(moved);
  let trials = clamped ? CLAMPED_COST : 1;
  for (let feel = 0; feel < FEELS.length; feel++) {
    let chance = 0;
    let isRight = 0;
    let stays = 0;
    for (let h = 0; h < moved.length; h++) {
      const cells = moved[h]!;
      const likelihood = table[h]![feel]!;
      const smooth = closed[h]![SMOOTH]!;
      const weighed = scratch[h]!;
      const good = right[h]!;
      for (let i = first; i <= last; i++) {
        const p = cells[i]! * likelihood[i]!;
        weighed[i] = p;
        chance += p;
        isRight += p * good[i]!;
        stays += p * smooth[i]!;
      }
    }
    if (chance < 1e-4) continue;
    const going = asRidden && feel === SMOOTH ? 1 - stops(isRight / chance) : 1;
    if (going === 0) continue;
    const finish = Math.max(stays, bestFinish(planner, first, last)) / chance;
    trials += going * chance * (1 + MISSED_FINISH_COST * (1 - finish));
  }
  return trials;
}

/**
 * The weight, of what lies in the planner's scratch, that one more turn can bring into the smooth band. Locking blurs every
 * turn alike, so the chance to land there depends only on how far a cell lies from the one that is aimed with.
 */
function bestFinish({ scratch, landing, reach, stride }: Planner, first: number, last: number): number {
  let best = 0;
  for (let aimed = first; aimed <= last; aimed += stride) {
    const from = Math.max(first, aimed - reach);
    const to = Math.min(last, aimed + reach);
    let hit = 0;
    for (let h = 0; h < scratch.length; h++) {
      const weighed = scratch[h]!;
      const lands = landing[h]!;
      for (let i = from; i <= to; i++) hit += weighed[i]! * lands[i - aimed + reach]!;
    }
    if (hit > best) best = hit;
  }
  return best;
}

/** Chance that a cell so many steps from the aimed one lands in the smooth band, for each hypothesis. */
function landingTable(grid: ConeGrid, model: ConeModel, reach: number): Float64Array[] {
  return grid.hypotheses.map(({ dragDeg, edges }) =>
    Float64Array.from({ length: 2 * reach + 1 }, (_, k) => {
      const lands = model.bands.smoothDeg / 2 + (k - reach) * grid.stepDeg + dragDeg - model.lockShift.meanDeg;
      return normalCdf((edges[2] - lands) / grid.turnSdDeg) - normalCdf((edges[1] - lands) / grid.turnSdDeg);
    }),
  );
}
