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
}

/** The tables that planning and updating share, built once for a call. */
export function coneTables(grid: ConeGrid, model: ConeModel): Planner {
  const open = feelTable(grid, model, false);
  return {
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

/** Trials to come if the bearing, already moved, is felt now. */
function expectedTrials(planner: Planner, moved: Belief, clamped: boolean): number {
  const asRidden = clamped || planner.model.allowanceDeg === 0;
  let trials = clamped ? CLAMPED_COST : 1;
  FEELS.forEach((_, feel) => {
    const { belief, chance } = afterFeel(moved, clamped ? planner.closed : planner.open, feel);
    if (chance < 1e-4) return;
    if (asRidden && feel === SMOOTH && expectation(belief, planner.right) >= SURE) return;
    trials += chance * (1 + MISSED_FINISH_COST * (1 - bestFinish(planner, belief)));
  });
  return trials;
}

/** The best chance that one more turn, or none, is felt smooth as ridden. Locking blurs alike for every turn, so each turn is a shift. */
function bestFinish({ grid, closed }: Planner, belief: Belief): number {
  const stay = belief.reduce((sum, cells, h) => {
    const likelihood = closed[h]![SMOOTH]!;
    for (let i = 0; i < cells.length; i++) sum += cells[i]! * likelihood[i]!;
    return sum;
  }, 0);
  const blurred = afterTurn(grid, belief, Number.MIN_VALUE);
  const sums = blurred.map((cells) => {
    const cumulative = new Float64Array(cells.length + 1);
    for (let i = 0; i < cells.length; i++) cumulative[i + 1] = cumulative[i]! + cells[i]!;
    return cumulative;
  });
  const windows = grid.hypotheses.map(({ edges }) => Math.max(1, Math.round((edges[2] - edges[1]) / grid.stepDeg)));
  let best = stay;
  for (let start = 0; start < grid.x.length; start++) {
    let hit = 0;
    for (let h = 0; h < sums.length; h++) {
      // All hypotheses share the loose edge of the smooth band, so their windows start together.
      hit += sums[h]![Math.min(grid.x.length, start + windows[h]!)]! - sums[h]![start]!;
    }
    if (hit > best) best = hit;
  }
  return best;
}
