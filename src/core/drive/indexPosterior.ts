import { clamp } from '../numbers';
import { arrivesAt, FEELS, feelChances, pastMm, WAYS, type Bands, type Feel, type Way } from './shifts';

/** One round of shifts: how far the barrel was turned since the first round, and how each arrival felt. */
export interface Round {
  turnsSoFar: number;
  arrivals: { gear: number; way: Way; feel: Feel }[];
}
export interface IndexModel {
  cogs: number;
  moveMmPerTurn: number;
  bands: Bands;
  missShare: number;
}

/** Where a derailleur may stand: its offset at the first round, its drift at the outermost gear, its friction. */
const OFFSETS = Array.from({ length: 81 }, (_, i) => -4 + i * 0.1);
const DRIFTS = Array.from({ length: 41 }, (_, i) => -2 + i * 0.1);
const FRICTIONS = Array.from({ length: 17 }, (_, i) => i * 0.075);

const normal = (x: number, sd: number) => Math.exp((-x * x) / (2 * sd * sd));
/** Logarithms of a prior over a grid: mostly as it should be, and in so many of a hundred as it should not. */
function mostly(grid: readonly number[], usualSd: number, wrongSd: number, wrong: number): number[] {
  const [usual, other] = [usualSd, wrongSd].map((sd) => {
    const weights = grid.map((x) => normal(x, sd));
    const sum = weights.reduce((a, b) => a + b, 0);
    return weights.map((weight) => weight / sum);
  });
  return grid.map((_, i) => Math.log((1 - wrong) * usual![i]! + wrong * other![i]!));
}
/** Most are out by their tension alone; of the others some by a hanger or parts that do not match, some by friction. */
const driftPrior = mostly(DRIFTS, 0.08, 0.9, 0.25);
const frictionPrior = mostly(FRICTIONS, 0.1, 0.6, 0.25);
const offsetPrior = OFFSETS.map((x) => Math.log(normal(x, 1.4)));

/** A feel is told by a hand: bands are not edges. */
const BLUR_MM = 0.09;
/** Of each turn of the barrel, what its cable may make more or less of it. */
const BARREL_SHARE = 0.12;

const STEP_MM = 0.02;
/** No grid point lies on the edge of two bins, so that a mirrored derailleur is believed in mirrored. */
const REACH_MM = 6.003;
const BINS = Math.round((2 * REACH_MM) / STEP_MM) + 1;
const binOf = (past: number) => Math.round((clamp(past, -REACH_MM, REACH_MM) + REACH_MM) / STEP_MM);

/** Logarithms of the chance of each feel, by how far past its cog an arrival stands. */
function feelTable(model: IndexModel, blurMm: number): Float64Array[] {
  const table = FEELS.map(() => new Float64Array(BINS));
  for (let bin = 0; bin < BINS; bin++)
    feelChances(bin * STEP_MM - REACH_MM, model.bands, blurMm, model.missShare).forEach((chance, feel) => {
      table[feel]![bin] = Math.log(Math.max(1e-9, chance));
    });
  return table;
}

/** One cell of what is believed: where it stood at the first round, how it drifts and drags, and how likely that is. */
export interface Believed {
  offsetMm: number;
  /** At the outermost gear, over the middle. */
  driftMm: number;
  frictionMm: number;
  chance: number;
}

/** What is believed after some rounds, leaving out what is as good as impossible. Bayes' rule over a grid. */
export function believe(model: IndexModel, rounds: readonly Round[]): Believed[] {
  const half = (model.cogs - 1) / 2;
  const middle = (model.cogs + 1) / 2;
  const told = rounds.flatMap(({ turnsSoFar, arrivals }) => {
    const tables = feelTable(model, Math.hypot(BLUR_MM, BARREL_SHARE * model.moveMmPerTurn * turnsSoFar));
    return arrivals.map(({ gear, way, feel }) => ({
      way,
      turnedMm: model.moveMmPerTurn * turnsSoFar,
      lean: half === 0 ? 0 : (gear - middle) / half,
      table: tables[FEELS.indexOf(feel)]!,
    }));
  });
  const logs = new Float64Array(OFFSETS.length * DRIFTS.length * FRICTIONS.length);
  let at = 0;
  for (const [o, offsetMm] of OFFSETS.entries())
    for (const [d, driftMm] of DRIFTS.entries())
      for (const [f, frictionMm] of FRICTIONS.entries()) {
        let log = offsetPrior[o]! + driftPrior[d]! + frictionPrior[f]!;
        for (const { way, turnedMm, lean, table } of told)
          log += table[binOf(pastMm(way, offsetMm + turnedMm + driftMm * lean, frictionMm))]!;
        logs[at++] = log;
      }
  const top = logs.reduce((a, b) => Math.max(a, b), -Infinity);
  const kept: Believed[] = [];
  let sum = 0;
  for (let i = 0; i < logs.length; i++) {
    if (logs[i]! <= top - 14) continue;
    const chance = Math.exp(logs[i]! - top);
    sum += chance;
    const f = i % FRICTIONS.length;
    const d = Math.floor(i / FRICTIONS.length) % DRIFTS.length;
    const o = Math.floor(i / (FRICTIONS.length * DRIFTS.length));
    kept.push({ offsetMm: OFFSETS[o]!, driftMm: DRIFTS[d]!, frictionMm: FRICTIONS[f]!, chance });
  }
  return kept.map((cell) => ({ ...cell, chance: cell.chance / sum }));
}

/** The span of where all arrivals of a derailleur stand, over its offset; it is crisp throughout where both ends lie within the band. */
export function spanOf(
  { driftMm, frictionMm }: Pick<Believed, 'driftMm' | 'frictionMm'>,
  cogs: number,
): [number, number] {
  const half = (cogs - 1) / 2;
  const middle = (cogs + 1) / 2;
  const stands = WAYS.flatMap((way) => {
    const { first, last } = arrivesAt(way, cogs);
    return [first, last].map((gear) => {
      const base = half === 0 ? 0 : (driftMm * (gear - middle)) / half;
      return base + (way === 'toLarger' ? -frictionMm : frictionMm);
    });
  });
  return [Math.min(...stands), Math.max(...stands)];
}
