import { normalCdf } from '../numbers';

/**
 * What is believed of a cone's position: x = degrees tighter than where play ends, off the skewer.
 *
 * The belief is a grid over x for each of a few hypotheses about the bench itself (how much locking drags on the
 * whole, how wide the bands of feel are), because a bench whose locknut drags more than assumed, or a hand that
 * feels finer, must not lead the adviser astray. Each trial moves every grid by the turn and weighs it by the feel.
 */

export const FEELS = ['loose', 'tick', 'smooth', 'tight'] as const;
export type Feel = (typeof FEELS)[number];

export interface ConeModel {
  allowanceDeg: number;
  handSdDeg: number;
  lockShift: { meanDeg: number; sdDeg: number };
  bands: { tickDeg: number; smoothDeg: number };
  missShare: number;
}

interface Hypothesis {
  weight: number;
  /** Drag of locking under this hypothesis, degrees. */
  dragDeg: number;
  /** Edges between loose | tick | smooth | tight, degrees of standing. */
  edges: readonly [number, number, number];
}

export interface ConeGrid {
  stepDeg: number;
  /** Cell centres, degrees. */
  x: Float64Array;
  turnSdDeg: number;
  hypotheses: Hypothesis[];
  /** Smears of a turn by the part of a step that is left over, since planning makes the same few again and again. */
  smears: Map<number, Smear>;
}

/** How a turn spreads one cell: weights that sum to one, from an offset in cells. */
interface Smear {
  from: number;
  weights: Float64Array;
}

/** One array of cell probabilities for each hypothesis; all together sum to one. */
export type Belief = Float64Array[];

/** Nearly level out to here, with a tail beyond: nobody knows where a cone stands before it is first felt. */
const PRIOR_HALF_DEG = 65;
const PRIOR_TAIL_SD_DEG = 60;
const PRIOR_TAIL_SHARE = 0.1;
const SMALLEST_SD_DEG = 0.5;
const LEAST_MISS = 0.005;
const MOST_REACH_DEG = 1200;
/** Cells on either side of the middle, and steps in the spread of a turn. */
const MOST_HALF_CELLS = 600;
const STEPS_A_SPREAD = 8;
const DRAG_OFFSETS = [
  { sds: -1, weight: 0.1 },
  { sds: 0, weight: 0.75 },
  { sds: 1, weight: 0.15 },
];
const BAND_SCALES = [
  { scale: 2 / 3, weight: 0.06 },
  { scale: 1, weight: 0.88 },
  { scale: 4 / 3, weight: 0.06 },
];

/** The grid for a model: wide enough for the start and for all that has been turned. Drag that is given is not doubted. */
export function coneGrid(model: ConeModel, turnedDeg: number, drag: 'doubted' | 'given' = 'doubted'): ConeGrid {
  const narrowest = Math.min(model.bands.tickDeg, model.bands.smoothDeg);
  const reach = Math.min(MOST_REACH_DEG, 170 + model.allowanceDeg + turnedDeg);
  const turnSdDeg = Math.max(SMALLEST_SD_DEG, Math.hypot(model.handSdDeg, model.lockShift.sdDeg));
  // Whole degrees, since turns are advised in steps; no finer than a turn can tell apart, so that no question takes long.
  const stepDeg = Math.max(
    narrowest < 6 ? 1 : 2,
    Math.ceil(turnSdDeg / STEPS_A_SPREAD),
    Math.ceil(reach / MOST_HALF_CELLS),
  );
  const half = Math.ceil(reach / stepDeg);
  const drags = drag === 'doubted' && model.lockShift.sdDeg > 0 ? DRAG_OFFSETS : [{ sds: 0, weight: 1 }];
  return {
    stepDeg,
    x: Float64Array.from({ length: 2 * half + 1 }, (_, i) => (i - half) * stepDeg),
    smears: new Map(),
    turnSdDeg,
    hypotheses: drags.flatMap((drag) =>
      BAND_SCALES.map((band) => ({
        weight: drag.weight * band.weight,
        dragDeg: model.lockShift.meanDeg + drag.sds * model.lockShift.sdDeg,
        edges: [-model.bands.tickDeg * band.scale, 0, model.bands.smoothDeg * band.scale] as const,
      })),
    ),
  };
}

/** A broad start around `centreDeg`. */
export function startBelief(grid: ConeGrid, centreDeg: number): Belief {
  const shape = grid.x.map(
    (x) =>
      (1 - PRIOR_TAIL_SHARE) * Math.exp(-(((x - centreDeg) / PRIOR_HALF_DEG) ** 6)) +
      PRIOR_TAIL_SHARE * Math.exp(-0.5 * ((x - centreDeg) / PRIOR_TAIL_SD_DEG) ** 2),
  );
  const total = shape.reduce((sum, p) => sum + p, 0);
  return grid.hypotheses.map((hypothesis) => shape.map((p) => (p / total) * hypothesis.weight));
}

/** The belief after turning by `turnDeg` and locking; a turn of 0 changes nothing. Mass past an end stays at the end. */
export function afterTurn(grid: ConeGrid, belief: Belief, turnDeg: number): Belief {
  if (turnDeg === 0) return belief;
  return belief.map((cells, h) => moved(grid, cells, turnDeg + grid.hypotheses[h]!.dragDeg));
}

function smearFor(grid: ConeGrid, leftOverDeg: number): Smear {
  const { stepDeg, turnSdDeg, smears } = grid;
  const key = Math.round(leftOverDeg * 1e6);
  const known = smears.get(key);
  if (known) return known;
  const from = Math.floor((leftOverDeg - 4 * turnSdDeg) / stepDeg);
  const to = Math.ceil((leftOverDeg + 4 * turnSdDeg) / stepDeg);
  const weights = Float64Array.from({ length: to - from + 1 }, (_, i) => {
    const k = from + i;
    return Math.max(
      0,
      normalCdf(((k + 0.5) * stepDeg - leftOverDeg) / turnSdDeg) -
        normalCdf(((k - 0.5) * stepDeg - leftOverDeg) / turnSdDeg),
    );
  });
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const smear = { from, weights: weights.map((weight) => weight / total) };
  smears.set(key, smear);
  return smear;
}

function moved(grid: ConeGrid, cells: Float64Array, meanDeg: number): Float64Array {
  const whole = Math.floor(meanDeg / grid.stepDeg);
  const { from, weights } = smearFor(grid, meanDeg - whole * grid.stepDeg);
  const next = new Float64Array(cells.length);
  const last = cells.length - 1;
  for (let i = 0; i <= last; i++) {
    const mass = cells[i]!;
    if (mass < 1e-9) continue;
    for (let k = 0; k < weights.length; k++) {
      const at = i + whole + from + k;
      next[at < 0 ? 0 : at > last ? last : at]! += mass * weights[k]!;
    }
  }
  return next;
}

/** Share of a cell that lies between two standings, so that a band's edge may fall inside a cell. */
function overlap(centre: number, step: number, from: number, to: number): number {
  return Math.max(0, Math.min(centre + step / 2, to) - Math.max(centre - step / 2, from)) / step;
}

/** Chance of each feel in each cell, for one hypothesis, with the skewer open (shift 0) or closed (shift allowance). */
export type FeelTable = Float64Array[][];

export function feelTable(grid: ConeGrid, model: ConeModel, clamped: boolean): FeelTable {
  const shift = clamped ? model.allowanceDeg : 0;
  const miss = Math.max(LEAST_MISS, model.missShare);
  const cells = grid.x.length;
  const last = FEELS.length - 1;
  return grid.hypotheses.map(({ edges }) => {
    const bounds = [-Infinity, ...edges, Infinity];
    const table = FEELS.map(() => new Float64Array(cells));
    for (let band = 0; band <= last; band++) {
      const toNeighbour = band === 0 || band === last ? miss : miss / 2;
      for (let i = 0; i < cells; i++) {
        const share = overlap(grid.x[i]! + shift, grid.stepDeg, bounds[band]!, bounds[band + 1]!);
        if (share === 0) continue;
        table[band]![i]! += share * (1 - miss);
        if (band > 0) table[band - 1]![i]! += share * toNeighbour;
        if (band < last) table[band + 1]![i]! += share * toNeighbour;
      }
    }
    return table;
  });
}

/** Share of each cell in which the bearing stands right as ridden, for each hypothesis. */
export function rightTable(grid: ConeGrid, model: ConeModel): Float64Array[] {
  return grid.hypotheses.map(({ edges }) =>
    grid.x.map((x) => overlap(x + model.allowanceDeg, grid.stepDeg, edges[1], edges[2])),
  );
}

/** The belief weighed by a feel, and how likely that feel was. A feel that was all but impossible starts afresh. */
export function afterFeel(belief: Belief, table: FeelTable, feel: number): { belief: Belief; chance: number } {
  let chance = 0;
  const weighed = belief.map((cells, h) => {
    const likelihood = table[h]![feel]!;
    const next = new Float64Array(cells.length);
    for (let i = 0; i < cells.length; i++) {
      const p = cells[i]! * likelihood[i]!;
      next[i] = p;
      chance += p;
    }
    return next;
  });
  if (chance > 1e-300)
    for (const cells of weighed) for (let i = 0; i < cells.length; i++) cells[i] = cells[i]! / chance;
  return { belief: weighed, chance };
}

/** Sum over hypotheses and cells of belief times a table. */
export function expectation(belief: Belief, table: Float64Array[]): number {
  let sum = 0;
  belief.forEach((cells, h) => {
    const weights = table[h]!;
    for (let i = 0; i < cells.length; i++) sum += cells[i]! * weights[i]!;
  });
  return sum;
}

/** Mean and standard deviation of x, degrees. */
export function spreadOf(grid: ConeGrid, belief: Belief): { meanDeg: number; sdDeg: number } {
  let mean = 0;
  let square = 0;
  for (const cells of belief) {
    for (let i = 0; i < cells.length; i++) {
      mean += cells[i]! * grid.x[i]!;
      square += cells[i]! * grid.x[i]! ** 2;
    }
  }
  return { meanDeg: mean, sdDeg: Math.sqrt(Math.max(0, square - mean * mean)) };
}

/** Quantile of x over all hypotheses, degrees. */
export function beliefQuantile(grid: ConeGrid, belief: Belief, q: number): number {
  let sum = 0;
  for (let i = 0; i < grid.x.length; i++) {
    for (const cells of belief) sum += cells[i]!;
    if (sum >= q) return grid.x[i]!;
  }
  return grid.x[grid.x.length - 1]!;
}
