import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { currencyCode, minorUnits, orderedRange, wholeNumber, workMinutes } from '../fields';
import { atLeast, floorForgiving, mean, moreThan, quantileSorted, roundHalfUp, roundTo } from '../numbers';
import { minorUnit, row, type WorkingRow } from '../verdict';
import { payableOf } from './ceiling';
import { pertMean, pertQuantile } from './pert';
import { quantileRaised, quantileSelected } from './select';
import { uniformStream } from './streams';

const BINS = 36;
const CURVE_CONFIDENCES = [0.5, 0.55, 0.6, 0.65, 0.7, 0.75, 0.8, 0.85, 0.9, 0.95];

const costLine = z.strictObject({
  id: z
    .optional(z.string().check(z.minLength(1), z.maxLength(80)))
    .check(z.describe('what its draws hang on: a change of words moves no ceiling; its label where it has none')),
  label: z.string().check(z.minLength(1), z.maxLength(120)),
  kind: z
    ._default(z.enum(['standing', 'fault']), 'fault')
    .check(z.describe('ordinary work that every bicycle takes, or a fault')),
  chance: z
    ._default(z.number().check(z.gte(0), z.lte(1)), 1)
    .check(z.describe('share of the cases in which it happens')),
  parts: orderedRange(minorUnits),
  minutes: orderedRange(workMinutes),
});

const shape = z
  .strictObject({
    currency: currencyCode,
    asking: minorUnits,
    resale: orderedRange(minorUnits),
    costs: z.array(costLine).check(z.maxLength(260)),
    otherCosts: z._default(minorUnits, 0),
    fee: z._default(
      z.strictObject({
        percent: z._default(z.number().check(z.gte(0), z.lte(100)), 0),
        fixed: z._default(minorUnits, 0),
      }),
      { percent: 0, fixed: 0 },
    ),
    labourPerHour: z._default(minorUnits, 0),
    target: z.strictObject({ kind: z.enum(['profit', 'hourly']), amount: minorUnits }),
    confidence: z._default(z.number().check(z.gte(0.5), z.lte(0.99)), 0.8),
    trials: z._default(z.number().check(z.multipleOf(1), z.gte(1000), z.lte(200_000)), 20_000),
    seed: z._default(wholeNumber, 1),
  })
  .check(
    z.describe(
      'Labels of costs are unique; every range has low ≤ likely ≤ high; lines times trials are at most 11 million.',
    ),
  );

/** Draws of one question: forty lines at the most trials, or the most lines at twice the usual trials. */
const MOST_DRAWS = 11_000_000;

const inTime = rule(
  shape,
  ['trials'],
  ({ costs, trials }) => costs.length * trials <= MOST_DRAWS,
  ({ costs, trials }) =>
    `${trials} trials of ${costs.length} lines take too long: ${Math.floor(MOST_DRAWS / costs.length)} are the most for so many lines`,
);

/** What the draws of a line hang on. */
export const streamOf = (line: { id?: string; label: string }) => `cost:${line.id ?? line.label}`;

const told = rule(
  inTime,
  ['costs'],
  ({ costs }) => {
    const labels = new Set(costs.map(({ label }) => label));
    // Two of one label are told as that.
    return labels.size < costs.length || new Set(costs.map(streamOf)).size === costs.length;
  },
  'two lines have one id, and would be drawn alike: give each an id of its own',
);

export const appraiseShape = rule(
  told,
  ['costs'],
  (value) => new Set(value.costs.map((line) => line.label)).size === value.costs.length,
  (value) => {
    const seen = new Set<string>();
    const twice = value.costs.find((line) => seen.size === seen.add(line.label).size);
    return `two lines are called "${twice?.label ?? ''}": give each a name of its own`;
  },
);

export type AppraiseInput = z.input<typeof appraiseShape>;
type Case = z.output<typeof appraiseShape>;
type CostLine = z.output<typeof costLine>;

export interface Percentiles {
  p10: number;
  p50: number;
  p90: number;
}

export interface Appraisal {
  ceiling: number;
  atAsking: {
    profit: Percentiles & { mean: number };
    hourly: Percentiles | null;
    lossChance: number;
    targetChance: number;
  };
  minutes: Percentiles;
  drivers: { label: string; kind: 'standing' | 'fault'; lift: number }[];
  resaleSpread: number;
  verdict: 'buy' | 'haggle' | 'walk-away';
  reasons: string[];
  working: WorkingRow[];
  /** Profit at the asking price in equal bins, for a drawing of the spread. */
  spread: { from: number; to: number; count: number }[];
  /** The most that may be paid at each confidence, for a curve of price against chance. */
  priceCurve: { confidence: number; price: number }[];
}

const drawn = new Map<string, Draws>();
const MOST_DRAWN = 160;
/** Longer runs are for a table, not for a tap: they are not kept, or they would fill the memory. */
const MOST_KEPT_TRIALS = 20_000;

interface Draws {
  parts: Float64Array;
  minutes: Float64Array;
}

/** The draws of a line, kept: they hang on the line, the seed and the trials alone, so that a tap draws one line anew. */
function drawsOf(line: CostLine, seed: number, trials: number): Draws {
  if (trials > MOST_KEPT_TRIALS) return drawLine(line, seed, trials);
  const { parts, minutes } = line;
  const key = [
    streamOf(line),
    line.chance,
    parts.low,
    parts.likely,
    parts.high,
    minutes.low,
    minutes.likely,
    minutes.high,
    seed,
    trials,
  ].join('|');
  const known = drawn.get(key);
  if (known) return known;
  const made = drawLine(line, seed, trials);
  drawn.set(key, made);
  if (drawn.size > MOST_DRAWN) drawn.delete(drawn.keys().next().value!);
  return made;
}

/** Draws of one line over all trials: what it costs in parts and how long it takes, both nought where it does not happen. */
function drawLine(line: CostLine, seed: number, trials: number): Draws {
  const next = uniformStream(seed, streamOf(line));
  const partsAt = pertQuantile(line.parts);
  const minutesAt = pertQuantile(line.minutes);
  const parts = new Float64Array(trials);
  const minutes = new Float64Array(trials);
  for (let i = 0; i < trials; i++) {
    const happens = next() < line.chance;
    const partsDraw = partsAt(next());
    const minutesDraw = minutesAt(next());
    if (happens) {
      parts[i] = partsDraw;
      minutes[i] = minutesDraw;
    }
  }
  return { parts, minutes };
}

interface Drawn {
  /** What is left of the resale after fees, other costs and parts, and the minutes of work, trial by trial. */
  net: Float64Array;
  minutes: Float64Array;
  resale: Float64Array;
  lines: Draws[];
  /** The share of the resale that the selling fee leaves. */
  keep: number;
}

/** Every trial of a problem, before any price or target. */
export function drawProblem(problem: Case): Drawn {
  const { trials, seed } = problem;
  const nextResale = uniformStream(seed, 'resale');
  const resaleAt = pertQuantile(problem.resale);
  const keep = 1 - problem.fee.percent / 100;
  const resale = Float64Array.from({ length: trials }, () => resaleAt(nextResale()));
  const net = resale.map((value) => value * keep - problem.fee.fixed - problem.otherCosts);
  const minutes = new Float64Array(trials);
  const lines = problem.costs.map((line) => drawsOf(line, seed, trials));
  lines.forEach((line, at) => {
    if (problem.costs[at]!.chance === 0) return;
    for (let i = 0; i < trials; i++) {
      net[i] = net[i]! - line.parts[i]!;
      minutes[i] = minutes[i]! + line.minutes[i]!;
    }
  });
  return { net, minutes, resale, lines, keep };
}

function percentiles(sorted: Float64Array, round: (v: number) => number): Percentiles {
  return {
    p10: round(quantileSorted(sorted, 0.1)),
    p50: round(quantileSorted(sorted, 0.5)),
    p90: round(quantileSorted(sorted, 0.9)),
  };
}

function shareWhere(values: Float64Array, holds: (value: number) => boolean): number {
  let count = 0;
  for (const value of values) if (holds(value)) count++;
  return count / values.length;
}

function histogram(sorted: Float64Array): Appraisal['spread'] {
  const from = quantileSorted(sorted, 0.002);
  const to = quantileSorted(sorted, 0.998);
  const width = (to - from) / BINS;
  if (!(width > 0)) return [{ from: roundHalfUp(from), to: roundHalfUp(from), count: sorted.length }];
  const counts = new Array<number>(BINS).fill(0);
  for (const value of sorted) {
    const bin = Math.floor((value - from) / width);
    counts[Math.min(BINS - 1, Math.max(0, bin))]!++;
  }
  return counts.map((count, i) => ({
    from: roundHalfUp(from + i * width),
    to: roundHalfUp(from + (i + 1) * width),
    count,
  }));
}

/**
 * What may be paid for a bicycle.
 *
 * Each trial draws the resale and every cost: net = resale·(1−percent/100) − fixed − otherCosts − Σ parts,
 * hours = Σ minutes/60, profit = net − price − labourPerHour·hours, hourly = (net − price)/hours.
 * The raw ceiling is the (1−confidence) quantile of net − labour − amount (profit) or net − amount·hours
 * (hourly). A driver's lift is how far the raw ceiling rises, on the same draws, when its line is left out.
 *
 * Units: money in minor units, time in minutes. Errors: ranges out of order, a label used twice.
 * Source: Monte Carlo over three-point (PERT) estimates.
 * Example: a bicycle that fetches exactly 300.00, with no costs and 50.00 of profit wanted, has a ceiling of 250.00.
 */
function run(problem: Case): Appraisal {
  const { trials } = problem;
  const { net, minutes, resale, lines, keep } = drawProblem(problem);

  const payable = payableOf({ net, minutes }, problem.target, problem.labourPerHour);
  const sortedPayable = Float64Array.from(payable).sort();
  const rawCeiling = quantileSorted(sortedPayable, 1 - problem.confidence);
  const evenCeiling = quantileSorted(sortedPayable, 0.5);
  const moved = new Float64Array(trials);
  const liftOf = (change: (i: number) => number) => {
    for (let i = 0; i < trials; i++) moved[i] = payable[i]! + change(i);
    return roundHalfUp(quantileSelected(moved, 1 - problem.confidence) - rawCeiling);
  };

  const perMinute = (problem.target.kind === 'profit' ? problem.labourPerHour : problem.target.amount) / 60;
  const drivers = problem.costs
    .map((line, at) => {
      const { parts, minutes: taken } = lines[at]!;
      if (line.chance === 0) return { label: line.label, kind: line.kind, lift: 0 };
      return {
        label: line.label,
        kind: line.kind,
        lift: roundHalfUp(
          quantileRaised(payable, parts, taken, perMinute, 1 - problem.confidence, rawCeiling) - rawCeiling,
        ),
      };
    })
    .sort((a, b) => b.lift - a.lift || (a.label < b.label ? -1 : 1));
  const resaleMean = pertMean(problem.resale);
  const resaleSpread = liftOf((i) => (resaleMean - resale[i]!) * keep);

  const labourPerMinute = problem.labourPerHour / 60;
  const profit = net.map((value, i) => value - problem.asking - labourPerMinute * minutes[i]!);
  const sortedProfit = Float64Array.from(profit).sort();
  const sortedMinutes = Float64Array.from(minutes).sort();
  const hourly =
    sortedMinutes[0]! > 0 ? net.map((value, i) => ((value - problem.asking) * 60) / minutes[i]!).sort() : null;

  const verdict = atLeast(rawCeiling, problem.asking)
    ? 'buy'
    : atLeast(evenCeiling, problem.asking)
      ? 'haggle'
      : 'walk-away';
  const ceiling = Math.max(0, floorForgiving(rawCeiling));
  const appraisal = {
    ceiling,
    atAsking: {
      profit: { ...percentiles(sortedProfit, roundHalfUp), mean: roundHalfUp(mean(profit)) },
      hourly: hourly ? percentiles(hourly, roundHalfUp) : null,
      lossChance: shareWhere(profit, (value) => moreThan(0, value)),
      targetChance: shareWhere(payable, (value) => atLeast(value, problem.asking)),
    },
    minutes: percentiles(sortedMinutes, (value) => roundTo(value, 3)),
    drivers,
    resaleSpread,
    verdict,
  } as const;
  return {
    ...appraisal,
    reasons: reasonsFor(problem, appraisal, rawCeiling, evenCeiling),
    working: [
      row('c', 'confidence', problem.confidence),
      row('n', 'trials on the same seed', trials),
      row(
        'a',
        problem.target.kind === 'profit' ? 'profit wanted' : 'wanted an hour',
        problem.target.amount,
        minorUnit(problem.currency),
      ),
      row(
        'Q',
        `payable at ${percent(problem.confidence)}: the (1−c) quantile of net − ${problem.target.kind === 'profit' ? 'labour − a' : 'a·hours'}`,
        roundTo(rawCeiling, 2),
        minorUnit(problem.currency),
      ),
      row('Q½', 'payable at even odds', roundTo(evenCeiling, 2), minorUnit(problem.currency)),
      row('h', 'hours of work, middle case', roundTo(appraisal.minutes.p50 / 60, 2), 'h'),
    ],
    spread: histogram(sortedProfit),
    priceCurve: CURVE_CONFIDENCES.map((confidence) => ({
      confidence,
      price: Math.max(0, floorForgiving(quantileSorted(sortedPayable, 1 - confidence))),
    })),
  };
}

function percent(value: number): string {
  return `${roundTo(value * 100, 1)} %`;
}

function money(value: number, currency: string): string {
  return `${currency} ${(value / 100).toFixed(2)}`;
}

function reasonsFor(
  problem: Case,
  found: Pick<Appraisal, 'verdict' | 'drivers' | 'resaleSpread' | 'atAsking' | 'ceiling'>,
  rawCeiling: number,
  evenCeiling: number,
): string[] {
  const wanted = problem.target.kind === 'profit' ? 'the profit wanted' : 'the wage wanted';
  const reasons: string[] = [];
  if (found.verdict === 'buy')
    reasons.push(
      `This price leaves ${wanted} in ${percent(found.atAsking.targetChance)} of the cases; ${percent(problem.confidence)} was asked for.`,
    );
  if (found.verdict === 'haggle')
    reasons.push(
      `At this price ${wanted} comes out in ${percent(found.atAsking.targetChance)} of the cases, not in ${percent(problem.confidence)}: ${money(found.ceiling, problem.currency)} or less would do.`,
    );
  if (found.verdict === 'walk-away')
    reasons.push(
      `Even at even odds it may cost no more than ${money(Math.max(0, floorForgiving(evenCeiling)), problem.currency)}.`,
    );
  if (rawCeiling < 0)
    reasons.push('As a gift it would still miss the target: the work and parts eat more than it fetches.');
  if (found.atAsking.lossChance > 0)
    reasons.push(`At this price it loses money in ${percent(found.atAsking.lossChance)} of the cases.`);
  const worst = found.drivers.filter((driver) => driver.kind === 'fault' && driver.lift > 0)[0];
  if (worst)
    reasons.push(
      `"${worst.label}" weighs most: without it your limit would be ${money(worst.lift, problem.currency)} higher.`,
    );
  if (worst && found.resaleSpread > worst.lift)
    reasons.push('What it fetches is less certain than any fault: look for sold prices before looking for faults.');
  return reasons;
}

export const moneyAppraise = defineCalculator({
  id: 'money.appraise',
  title: 'What may be paid',
  lane: 'long',
  example: {
    currency: 'EUR',
    asking: 14000,
    resale: { low: 26000, likely: 30000, high: 34000 },
    costs: [
      {
        label: 'Tyres',
        chance: 0.6,
        parts: { low: 2400, likely: 3600, high: 6000 },
        minutes: { low: 25, likely: 35, high: 60 },
      },
    ],
    target: { kind: 'profit', amount: 5000 },
    trials: 1000,
  },
  input: appraiseShape,
  run,
});
