import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { minorUnits, orderedRange, workMinutes } from '../fields';
import { pertMean } from '../money/pert';
import { roundHalfUp, roundTo } from '../numbers';
import { row, type WorkingRow } from '../verdict';

/** Where a part comes from moves its price and its wait: shares of the price when new, and usual days. */
export const SOURCES = {
  new: { share: 1, days: 5, label: 'new' },
  'second-hand': { share: 0.45, days: 7, label: 'second-hand' },
  donor: { share: 0.2, days: 0, label: 'from a donor' },
  drawer: { share: 0, days: 0, label: 'from the drawer' },
} as const;

const input = z.strictObject({
  options: z
    .array(
      z.strictObject({
        id: z.string().check(z.maxLength(80)),
        label: z.string().check(z.maxLength(160)),
        minutes: orderedRange(workMinutes),
        parts: orderedRange(minorUnits),
        source: z._default(z.enum(['new', 'second-hand', 'donor', 'drawer']), 'new'),
        /** What the one in the drawer cost: it is charged here as it is in the result. */
        drawerCost: z.optional(minorUnits),
        /** How often it comes out; where it does not, the dearest of the others has to be done after all. */
        works: z._default(z.number().check(z.gte(0.05), z.lte(1)), 1),
      }),
    )
    .check(z.minLength(1), z.maxLength(12)),
  ratePerHour: minorUnits,
  dayWorth: z._default(minorUnits, 0).check(z.describe('what a day of waiting costs')),
});

export interface Weighed {
  options: {
    id: string;
    cost: number;
    parts: number;
    labour: number;
    waitDays: number;
    verdict: 'cheapest' | 'dearer';
  }[];
  words: string;
  working: WorkingRow[];
}

/**
 * Alternatives of one job weighed: cost = parts·share of the source (from the drawer: what that one cost) + minutes·rate + days·worth of a day, and where an option
 * may not come out, (1 − works) times the cost of the dearest other, which has to be done after all.
 *
 * Units: minor units, minutes, days. Errors: no option. Source: expected cost.
 * Example: an overhaul of 70 min and 3.00 against a new hub of 45 min and 40.00, at 15.00 an hour → the overhaul, 20.50.
 */
function run({ options, ratePerHour, dayWorth }: z.output<typeof input>): Weighed {
  const plain = options.map((option) => {
    const { share, days } = SOURCES[option.source];
    const needsParts = option.parts.high > 0;
    const mine = option.source === 'drawer' ? option.drawerCost : undefined;
    const parts = needsParts && mine !== undefined ? mine : pertMean(option.parts) * share;
    const labour = (pertMean(option.minutes) * ratePerHour) / 60;
    const waitDays = needsParts ? days : 0;
    return { option, parts, labour, waitDays, cost: parts + labour + waitDays * dayWorth };
  });
  const costs = plain.map((each, i) => {
    const others = plain.filter((_, j) => j !== i).map((other) => other.cost);
    const fallback = others.length > 0 ? Math.max(...others) : 0;
    return each.cost + (1 - each.option.works) * fallback;
  });
  const least = Math.min(...costs);
  const at = costs.indexOf(least);
  const next = costs.length > 1 ? Math.min(...costs.filter((_, i) => i !== at)) : null;
  return {
    options: plain.map((each, i) => ({
      id: each.option.id,
      cost: roundHalfUp(costs[i]!),
      parts: roundHalfUp(each.parts),
      labour: roundHalfUp(each.labour),
      waitDays: each.waitDays,
      verdict: i === at ? ('cheapest' as const) : ('dearer' as const),
    })),
    words:
      next === null
        ? 'There is one way only.'
        : next - least < 0.15 * Math.max(next, 1)
          ? 'There is little between them: the brief and the wait may decide.'
          : `${options[at]!.label} is the cheaper way with the hours counted.`,
    working: plain.map((each, i) => row(String(i + 1), each.option.label, roundTo(costs[i]! / 100, 2))),
  };
}

export const decideWeigh = defineCalculator({
  id: 'decide.weigh',
  title: 'Alternatives of a job weighed',
  example: {
    options: [
      {
        id: 'overhaul',
        label: 'Overhaul',
        minutes: { low: 70, likely: 70, high: 70 },
        parts: { low: 300, likely: 300, high: 300 },
      },
      {
        id: 'hub',
        label: 'New hub',
        minutes: { low: 45, likely: 45, high: 45 },
        parts: { low: 4000, likely: 4000, high: 4000 },
      },
    ],
    ratePerHour: 1500,
  },
  input,
  run,
});
