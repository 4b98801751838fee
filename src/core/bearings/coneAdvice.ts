import { normalCdf } from '../numbers';
import {
  afterTurn,
  beliefQuantile,
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

/** Closing the skewer means putting the wheel into the fork: a little dearer than feeling it in the hand. */
const CLAMPED_COST = 1.1;
/** Trials that a missed finish is taken to cost on top, beyond the two that are looked ahead. */
const MISSED_FINISH_COST = 2.2;
const QUANTILES = [0.03, 0.08, 0.15, 0.25, 0.35, 0.45, 0.5, 0.55, 0.65, 0.75, 0.85, 0.92, 0.97];
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
 * The action expected to finish in the fewest trials: every candidate turn, felt open or as ridden, is followed by
 * each of the four feels; what is not finished then is valued by its best next chance to finish. `allowed` narrows
 * the turns (the school's first one); `prefer` breaks ties within a fiftieth of a trial.
 */
export function bestAction(
  planner: Planner,
  belief: Belief,
  allowed: (turnDeg: number) => boolean,
  prefer: (a: Action, b: Action) => number,
): Action {
  const scored: Scored[] = [];
  for (const turnDeg of candidateTurns(planner, belief)) {
    if (!allowed(turnDeg)) continue;
    const moved = afterTurn(planner.grid, belief, turnDeg);
    for (const clamped of planner.model.allowanceDeg > 0 ? [true, false] : [false]) {
      scored.push({ turnDeg, clamped, trials: expectedTrials(planner, moved, clamped) });
    }
  }
  const least = Math.min(...scored.map((action) => action.trials));
  const best = scored
    .filter((action) => action.trials <= least + 0.02)
    .sort((a, b) => prefer(a, b) || a.trials - b.trials)[0]!;
  return { turnDeg: best.turnDeg, clamped: best.clamped };
}

function candidateTurns({ grid, model }: Planner, belief: Belief): number[] {
  const ideal = model.bands.smoothDeg / 2 - model.allowanceDeg - model.lockShift.meanDeg;
  const turns = QUANTILES.map(
    (q) => Math.round((ideal - beliefQuantile(grid, belief, q)) / grid.stepDeg) * grid.stepDeg,
  );
  return [...new Set([0, ...turns.map((turn) => turn + 0)])];
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
