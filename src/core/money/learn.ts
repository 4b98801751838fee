import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { atLeast, roundTo } from '../numbers';
import { row, type WorkingRow } from '../verdict';
import { betaBelow } from './betaBelow';
import { countWords } from './countWords';

const name = z.string().check(z.minLength(1), z.maxLength(80));
const over = z.number().check(z.gt(0), z.lte(1_000_000_000));
const span = z.strictObject({ low: z.number().check(z.gte(0)), likely: over, high: over });
const isOrdered = ({ low, likely, high }: z.output<typeof span>) => low <= likely && likely <= high;
const ordered = rule(span, ['likely'], isOrdered, () => 'low, likely and high in their order');

/** Jobs and sales as they came out, beside what was thought. */
export const finished = {
  jobs: z._default(
    z.array(z.strictObject({ job: name, estimateMin: ordered, actualMin: over })).check(z.maxLength(20_000)),
    [],
  ),
  sales: z._default(z.array(z.strictObject({ predicted: ordered, sold: over })).check(z.maxLength(5000)), []),
};
const input = z.strictObject({
  ...finished,
  faults: z._default(
    z
      .array(
        rule(
          z.strictObject({
            fault: name,
            chance: z.number().check(z.gte(0), z.lte(1)),
            cases: z.number().check(z.multipleOf(1), z.gte(0), z.lte(100_000)),
            seen: z.number().check(z.multipleOf(1), z.gte(0), z.lte(100_000)),
          }),
          ['seen'],
          ({ cases, seen }) => seen <= cases,
          ({ cases }) => `seen in more than the ${cases} cases`,
        ),
      )
      .check(z.maxLength(2000)),
    [],
  ),
});

export interface LearntMinutes {
  job: string;
  cases: number;
  /** How many times as long as was thought. */
  factor: number;
  /** Of its logarithm. */
  sd: number;
  /** Four in five of the next ones lie between, as factors. */
  predict: { p10: number; p90: number };
  /** Enough cases, and their 80 % does not reach across as expected: worth asking about. */
  isTold: boolean;
  words: string;
}
export interface LearntChance {
  fault: string;
  chance: number;
  /** As it was thought, in how many cases, and how often it was seen. */
  thought: number;
  cases: number;
  seen: number;
  isTold: boolean;
  words: string;
}
export interface Learnt {
  overall: { factor: number; sd: number };
  minutes: LearntMinutes[];
  resale: { factor: number; sd: number; cases: number; isTold: boolean; words: string };
  chances: LearntChance[];
  calibration: { minutesWithin: number | null; salesWithin: number | null };
  reasons: string[];
  working: WorkingRow[];
}

/** Spreads of what is learnt: of the house, of a kind of job, of one job; of prices, and of one sale. */
const HOUSE_SD = 0.3;
const JOB_SD = 0.25;
const CASE_SD = 0.35;
const RESALE_SD = 0.15;
const SALE_SD = 0.2;
/** What is thought of a chance weighs as much as so many cases. */
const CHANCE_CASES = 8;
const Z80 = 1.2816;
/** Fewer cases are not asked about. */
export const LEAST_CASES = 5;

/** A factor in words. Example: 2.3 → "more than twice as long". */
export function factorWords(factor: number): string {
  if (atLeast(factor, 3)) return 'more than three times as long';
  if (atLeast(factor, 2)) return 'more than twice as long';
  if (atLeast(factor, 1.5)) return 'half as long again, or more';
  if (atLeast(factor, 1.1)) return 'somewhat longer';
  if (atLeast(factor, 0.9)) return 'as long as you think';
  if (atLeast(factor, 0.67)) return 'somewhat shorter';
  return 'much shorter';
}

/** Whether nine in ten of what is thought possible lies on one side of what was thought: its 80 % does not reach across. */
function isFromThought(thought: number, cases: number, seen: number): boolean {
  const below = betaBelow(thought, CHANCE_CASES * thought + seen, CHANCE_CASES * (1 - thought) + cases - seen);
  return below < 0.1 || below > 0.9;
}

function learntChance({ fault, chance, cases, seen }: z.output<typeof input>['faults'][number]): LearntChance {
  return {
    fault,
    chance: (CHANCE_CASES * chance + seen) / (CHANCE_CASES + cases),
    thought: chance,
    cases,
    seen,
    isTold: cases >= LEAST_CASES && isFromThought(chance, cases, seen),
    words: `${fault}: in ${countWords(seen)} of ${countWords(cases)}, where ${Math.round(100 * chance)} in a hundred were expected`,
  };
}

/** What was fetched against what was thought, in words. Example: 0.9 → "fetch 10 % less than you think". */
function resaleWords(factor: number, cases: number): string {
  const share = Math.round(100 * Math.abs(factor - 1));
  const than = share === 0 ? 'what you think' : `${share} % ${factor < 1 ? 'less' : 'more'} than you think`;
  return `your bicycles fetch ${than}, from ${countWords(cases)}`;
}

/**
 * What finished bicycles teach. ln(actual/likely) = μ + m of the job + ε, with μ ~ N(0, 0.3²), m ~ N(0, 0.25²), ε ~ N(0, 0.35²): the exact posterior, in closed
 * form, since all of it is normal. Resale: ln(sold/likely) ~ N(ρ, 0.2²), ρ ~ N(0, 0.15²). A chance: (8·chance + seen)/(8 + cases). The order of the cases does not
 * matter.
 *
 * Units: minutes, minor units. Errors: a range out of its order, nothing taken or fetched, more seen than cases. Source: conjugate normal model. Example: no cases → factors of one.
 */
export const moneyLearn = defineCalculator({
  id: 'money.learn',
  title: 'What finished bicycles teach',
  example: {
    jobs: [{ job: 'wheels', estimateMin: { low: 20, likely: 35, high: 60 }, actualMin: 90 }],
    sales: [{ predicted: { low: 26_000, likely: 30_000, high: 34_000 }, sold: 29_000 }],
    faults: [{ fault: 'post-stuck', chance: 0.1, cases: 12, seen: 3 }],
  },
  input,
  run({ jobs, sales, faults }): Learnt {
    const groups = new Map<string, number[]>();
    for (const { job, estimateMin, actualMin } of jobs)
      groups.set(job, [...(groups.get(job) ?? []), Math.log(actualMin / estimateMin.likely)]);
    // The order of the cases does not matter, to the last digit: each group is summed from its least on.
    const kinds = [...groups]
      .map(([job, list]) => ({
        job,
        cases: list.length,
        mean: list.toSorted((a, b) => a - b).reduce((sum, each) => sum + each, 0) / list.length,
      }))
      .toSorted((a, b) => (a.job < b.job ? -1 : 1));
    const varianceOf = (cases: number) => JOB_SD ** 2 + CASE_SD ** 2 / cases;
    const precision = kinds.reduce((sum, { cases }) => sum + 1 / varianceOf(cases), 1 / HOUSE_SD ** 2);
    const house = kinds.reduce((sum, { cases, mean }) => sum + mean / varianceOf(cases), 0) / precision;
    const houseVariance = 1 / precision;
    const minutes = kinds.map(({ job, cases, mean }): LearntMinutes => {
      const own = JOB_SD ** 2 / varianceOf(cases);
      const at = own * mean + (1 - own) * house;
      const sd = Math.sqrt((1 - own) ** 2 * houseVariance + JOB_SD ** 2 * (1 - own));
      const factor = Math.exp(at);
      const next = Z80 * Math.hypot(sd, CASE_SD);
      return {
        job,
        cases,
        factor,
        sd,
        predict: { p10: factor * Math.exp(-next), p90: factor * Math.exp(next) },
        isTold: cases >= LEAST_CASES && Math.abs(at) > Z80 * sd,
        words: `${job} ${job.endsWith('s') ? 'take' : 'takes'} you ${factorWords(factor)}, from ${countWords(cases)}`,
      };
    });
    const logs = sales.map(({ predicted, sold }) => Math.log(sold / predicted.likely)).toSorted((a, b) => a - b);
    const resalePrecision = 1 / RESALE_SD ** 2 + logs.length / SALE_SD ** 2;
    const resale = logs.reduce((sum, each) => sum + each, 0) / SALE_SD ** 2 / resalePrecision;
    const within = (list: readonly { low: number; high: number; was: number }[]) =>
      list.length === 0 ? null : list.filter(({ low, high, was }) => low <= was && was <= high).length / list.length;
    const told = minutes.filter(({ isTold }) => isTold);
    return {
      overall: { factor: Math.exp(house), sd: Math.sqrt(houseVariance) },
      minutes,
      resale: {
        factor: Math.exp(resale),
        sd: Math.sqrt(1 / resalePrecision),
        cases: logs.length,
        isTold: logs.length >= LEAST_CASES && Math.abs(resale) > Z80 * Math.sqrt(1 / resalePrecision),
        words: resaleWords(Math.exp(resale), logs.length),
      },
      chances: faults.map(learntChance),
      calibration: {
        minutesWithin: within(jobs.map(({ estimateMin, actualMin }) => ({ ...estimateMin, was: actualMin }))),
        salesWithin: within(sales.map(({ predicted, sold }) => ({ ...predicted, was: sold }))),
      },
      reasons:
        told.length > 0
          ? told.map(({ words }) => `${words.charAt(0).toUpperCase()}${words.slice(1)}.`)
          : [
              jobs.length === 0
                ? 'Nothing is finished yet: what is thought stands.'
                : 'Nothing stands out from five cases on: what is thought stands.',
            ],
      working: [
        row('μ', 'of the house, as a factor', roundTo(Math.exp(house), 3)),
        row('n', 'jobs finished', jobs.length),
        row('ρ', 'of what is fetched, as a factor', roundTo(Math.exp(resale), 3)),
      ],
    };
  },
});
