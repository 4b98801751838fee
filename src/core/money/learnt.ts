import * as z from 'zod/mini';
import type { Range } from '../fields';
import { own } from '../own';
import { roundHalfUp, roundTo } from '../numbers';
import { countWords } from './countWords';
import { kindOfPlace, WORK_KINDS, type WorkKind } from './workKinds';

const factor = z.number().check(z.gt(0), z.lte(1000));
const cases = z.number().check(z.multipleOf(1), z.gte(0), z.lte(1_000_000));
const times = z.strictObject({ factor, p10: factor, p90: factor, cases });

/** What was learnt and is used, since somebody said yes to it: how many times as long, for how much, how often. */
export const learntInUse = z.strictObject({
  minutes: z._default(z.partialRecord(z.enum(WORK_KINDS), times), {}).check(z.describe('by kind of work')),
  resale: z._default(z.nullable(z.strictObject({ factor, cases })), null),
  chances: z
    ._default(
      z.record(
        z.string().check(z.maxLength(64)),
        z.strictObject({ chance: z.number().check(z.gte(0), z.lte(1)), cases, seen: cases }),
      ),
      {},
    )
    .check(z.describe('by line of the door check')),
});
export type LearntInUse = z.output<typeof learntInUse>;
type Times = z.output<typeof times>;

/** Longer no job is written down. */
const MOST_MINUTES = 100_000;

export const NOTHING_LEARNT: LearntInUse = { minutes: {}, resale: null, chances: {} };

/**
 * A range as what was learnt makes it: all of it moved by the factor, and never narrower than four in five of the next ones are expected.
 * Units: minutes. Example: 20, 40, 60 with a factor of 2, 1.2 to 3.4 → 40, 80, 136.
 */
export function learntRange({ low, likely, high }: Range, learnt: Pick<Times, 'factor' | 'p10' | 'p90'> | null): Range {
  if (learnt === null || likely <= 0) return { low, likely, high };
  const minutes = (value: number) => Math.min(MOST_MINUTES, roundTo(value, 1));
  const middle = minutes(likely * learnt.factor);
  return {
    low: Math.min(middle, minutes(Math.min(low * learnt.factor, likely * learnt.p10))),
    likely: middle,
    high: Math.max(middle, minutes(Math.max(high * learnt.factor, likely * learnt.p90))),
  };
}

/** What may be fetched, as what was learnt makes it, in whole minor units. Example: 300.00 with a factor of 0.9 → 270.00. */
export function learntResale({ low, likely, high }: Range, { resale }: Pick<LearntInUse, 'resale'>): Range {
  if (resale === null) return { low, likely, high };
  const whole = (value: number) => roundHalfUp(value * resale.factor);
  return { low: whole(low), likely: whole(likely), high: whole(high) };
}

/** What was learnt of a kind of work and is used; null where nothing is. */
export const timesOf = ({ minutes }: Pick<LearntInUse, 'minutes'>, kind: WorkKind): Times | null =>
  own(minutes, kind) ?? null;

/** Minutes of work at a place, as what was learnt of its kind makes them. Example: 35 likely at `rim.rear`, wheels 2 times → 70. */
export const learntMinutes = (range: Range, place: string, learnt: Pick<LearntInUse, 'minutes'>): Range =>
  learntRange(range, timesOf(learnt, kindOfPlace(place)));

/** Why minutes are others than were thought. Example: "wheels × 2.3, from five". */
export function minutesWhy(place: string, learnt: Pick<LearntInUse, 'minutes'>): string | null {
  const kind = kindOfPlace(place);
  const found = timesOf(learnt, kind);
  return found ? `${kind} × ${found.factor.toFixed(1)}, from ${countWords(found.cases)}` : null;
}

/** What is used of what was learnt, a line each. Example: "Wheels are reckoned at 2.3 times what was thought, from five." */
export function learntWords({
  minutes,
  resale,
}: Pick<LearntInUse, 'minutes' | 'resale'>): { key: string; words: string }[] {
  const kinds = WORK_KINDS.flatMap((kind) => {
    const found = timesOf({ minutes }, kind);
    return found
      ? [
          {
            key: `minutes:${kind}`,
            words: `${kind.charAt(0).toUpperCase()}${kind.slice(1)}: ${found.factor.toFixed(1)} times the estimate, from ${countWords(found.cases)}.`,
          },
        ]
      : [];
  });
  return resale
    ? [
        ...kinds,
        {
          key: 'resale',
          words: `Price: ${resale.factor.toFixed(2)} of the estimate, from ${countWords(resale.cases)}.`,
        },
      ]
    : kinds;
}
