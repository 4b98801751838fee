import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { atLeast, roundTo } from '../numbers';
import { row, type Judged } from '../verdict';
import { wearLimits } from './data/wearLimits';

const shape = z.strictObject({
  code: z
    .string()
    .check(
      z.regex(/^(0[1-9]|[1-4]\d|5[0-3])\d{2}$/, { error: 'four figures, week then year: 2318 is week 23 of 2018' }),
    ),
  today: z.iso.date(),
});

const WEEK_MS = 7 * 86_400_000;

/** The Monday of an ISO week, at midnight UTC. */
function mondayOf(week: number, year: number): number {
  const fourth = Date.UTC(year, 0, 4);
  const weekday = (new Date(fourth).getUTCDay() + 6) % 7;
  return fourth - weekday * 86_400_000 + (week - 1) * WEEK_MS;
}

/** The year that two figures stand for: never in the future by more than a year. */
function yearOf(code: string, today: string): number {
  const short = Number(code.slice(2));
  const now = Number(today.slice(0, 4));
  const century = Math.floor(now / 100) * 100;
  return century + short > now + 1 ? century + short - 100 : century + short;
}

const input = rule(
  shape,
  ['code'],
  ({ code, today }) => mondayOf(Number(code.slice(0, 2)), yearOf(code, today)) <= Date.parse(today),
  'that week has not come yet: read the four figures again',
);

export interface TyreAge extends Judged<'sound' | 'near' | 'renew'> {
  years: number;
  madeOn: string;
}

/**
 * How old a tyre is from the four figures in its sidewall, week then year.
 *
 * Units: years. Errors: no such week, a week still to come. Source: the wear limit table (age since made).
 * Example: 2318 seen in November 2026 → 8.5 years, near.
 */
function run({ code, today }: z.output<typeof shape>): TyreAge {
  const made = mondayOf(Number(code.slice(0, 2)), yearOf(code, today));
  const years = (Date.parse(today) - made) / (365.25 * 86_400_000);
  const limits = wearLimits.find((line) => line.part === 'tyre' && line.check === 'age since made')!;
  const verdict = atLeast(years, limits.thresholdRenew!)
    ? 'renew'
    : atLeast(years, limits.thresholdWarn!)
      ? 'near'
      : 'sound';
  const madeOn = new Date(made).toISOString().slice(0, 10);
  return {
    years: roundTo(years, 2),
    madeOn,
    verdict,
    reasons: [
      `Made about ${madeOn.slice(0, 7)}, ${roundTo(years, 1)} years ago; ${
        verdict === 'sound'
          ? `under the ${limits.thresholdWarn} from which it is watched.`
          : verdict === 'near'
            ? `watched from ${limits.thresholdWarn}, renewed at ${limits.thresholdRenew}.`
            : `from ${limits.thresholdRenew} it is looked at hard. Age alone condemns nothing: deep cracks, hard rubber, a bad bead or cord do.`
      }`,
    ],
    working: [
      row('y', 'years since made', roundTo(years, 2), 'years'),
      row('w', 'watch from', limits.thresholdWarn!, 'years'),
      row('r', `renew from (${limits.source})`, limits.thresholdRenew!, 'years'),
    ],
  };
}

export const inspectTyreAge = defineCalculator({
  id: 'inspect.tyreAge',
  title: 'How old a tyre is',
  example: { code: '2318', today: '2026-11-27' },
  input,
  run,
});
