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
const FIRST_AIMS = Array.from({ length: 25 }, (_, i) => (i + 0.5) / 25);
const LATER_AIMS = [0.12, 0.25, 0.37, 0.5, 0.63, 0.75, 0.88];
/** Turns that look best at first sight and are followed one trial further. */
const FOLLOWED = 4;
/** A feel so unlikely is not followed; it counts as a missed finish. */
const UNLIKELY = 2e-3;
const SMOOTH = FEELS.indexOf('smooth');

export interface Action {
  turnDeg: number;
  clamped: boolean;
}

interface Scored extends Action {
  trials: number;
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
 * The action expected to finish in the fewest trials. Every candidate turn, felt open or as ridden, is followed by each of
 * the four feels, and what is not finished then is valued by its best next chance to finish; the few that look best are
 * followed one trial further. `allowed` narrows the turns (the school's first one); `prefer` breaks ties within a
 * fiftieth of a trial.
 */
export function bestAction(
  planner: Planner,
  belief: Belief,
  allowed: (turnDeg: number) => boolean,
  prefer: (a: Action, b: Action) => number,
): Action {
  const { grid, model } = planner;
  const turns = turnsTowards(planner, belief, FIRST_AIMS);
  const allowedTurns = turns.filter(allowed);
  // Where a bench drags so much that no turn goes the school's way, the school gives way.
  const glanced: Scored[] = (allowedTurns.length > 0 ? allowedTurns : turns)
    .flatMap((turnDeg) => {
      const moved = afterTurn(grid, belief, turnDeg);
      return (model.allowanceDeg > 0 ? [true, false] : [false]).map((clamped) => ({
        turnDeg,
        clamped,
        trials: expectedTrials(planner, moved, clamped),
      }));
    })
    .sort((a, b) => a.trials - b.trials);
  const scored = glanced.slice(0, FOLLOWED).map(({ turnDeg, clamped }) => ({
    turnDeg,
    clamped,
    trials: followedTrials(planner, afterTurn(grid, belief, turnDeg), clamped),
  }));
  const least = Math.min(...scored.map((action) => action.trials));
  const best = scored
    .filter((action) => action.trials <= least + 0.02)
    .sort((a, b) => prefer(a, b) || a.trials - b.trials)[0]!;
  return { turnDeg: best.turnDeg, clamped: best.clamped };
}

/** Turns that would bring quantiles of the belief to the middle of smooth, and not turning at all. */
function turnsTowards({ grid, model }: Planner, belief: Belief, aims: number[]): number[] {
  const ideal = model.bands.smoothDeg / 2 - model.allowanceDeg - model.lockShift.meanDeg;
  const turns = aims.map((q) => Math.round((ideal - beliefQuantile(grid, belief, q)) / grid.stepDeg) * grid.stepDeg);
  return [...new Set([0, ...turns.map((turn) => turn + 0)])];
}

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
    if (asRidden && feel === SMOOTH && expectation(felt.belief, planner.right) >= SURE) continue;
    const next = turnsTowards(planner, felt.belief, LATER_AIMS).map((turnDeg) =>
      expectedTrials(planner, afterTurn(grid, felt.belief, turnDeg), model.allowanceDeg > 0),
    );
    trials += felt.chance * Math.min(...next);
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
    if (asRidden && feel === SMOOTH && isRight / chance >= SURE) continue;
    const finish = Math.max(stays, bestFinish(planner, first, last)) / chance;
    trials += chance * (1 + MISSED_FINISH_COST * (1 - finish));
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
