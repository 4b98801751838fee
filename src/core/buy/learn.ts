import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { finished, moneyLearn, type Learnt, type LearntChance } from '../money/learn';
import { own } from '../own';
import { doorChecks } from './data/doorChecks';

const count = z.number().check(z.multipleOf(1), z.gte(0), z.lte(100_000));

const input = z.strictObject({
  ...finished,
  door: z
    ._default(z.record(z.string().check(z.maxLength(64)), z.strictObject({ looked: count, bad: count })), {})
    .check(z.describe('how often each line of the door check was looked at, and bad')),
});

export interface LearntAtDoor extends Omit<Learnt, 'chances'> {
  /** Chances by line of the door check: of those that were looked at, the furthest from the table first. */
  chances: (LearntChance & { line: string })[];
}

/**
 * What the workshop's own bicycles teach: `money.learn` over hours and prices, and over the chances of the door check's table.
 *
 * Units: minutes, minor units. Errors: those of `money.learn`. A line that the table does not have is left out. Source: `money.learn`; the table of door checks.
 * Example: cables bad on 9 of 11 → their chance, and that it is worth asking about.
 */
export const buyLearn = defineCalculator({
  id: 'buy.learn',
  title: 'What the workshop’s own bicycles teach',
  example: {
    jobs: [{ job: 'wheels', estimateMin: { low: 20, likely: 35, high: 60 }, actualMin: 90 }],
    sales: [{ predicted: { low: 26_000, likely: 30_000, high: 34_000 }, sold: 29_000 }],
    door: { chain: { looked: 9, bad: 8 } },
  },
  input,
  run({ jobs, sales, door }): LearntAtDoor {
    const rows = doorChecks.flatMap(({ id, fault, chance }) => {
      const told = own(door, id);
      return told && told.looked > 0
        ? [{ id, fault, chance, cases: told.looked, seen: Math.min(told.bad, told.looked) }]
        : [];
    });
    const learnt = moneyLearn.run({
      jobs,
      sales,
      faults: rows.map(({ fault, chance, cases, seen }) => ({ fault, chance, cases, seen })),
    });
    return {
      ...learnt,
      chances: learnt.chances
        .map((each, i) => ({ ...each, line: rows[i]!.id }))
        .toSorted((a, b) => Math.abs(b.chance - b.thought) - Math.abs(a.chance - a.thought)),
    };
  },
});
