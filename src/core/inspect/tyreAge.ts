import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { ruleWords } from '../houseRules';
import { daysBetween, mondayOf } from '../days';
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
  renewAtAge: z._default(z.boolean(), false).check(z.describe('the house rule: at its age a tyre is renewed')),
});

const DAYS_A_YEAR = 365.25;

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
  ({ code, today }) => mondayOf(Number(code.slice(0, 2)), yearOf(code, today)) <= today,
  'that week has not come yet: read the four figures again',
);

export interface TyreAge extends Judged<'sound' | 'near' | 'renew' | 'renew-for-age'> {
  years: number;
  madeOn: string;
}

/**
 * How old a tyre is from the four figures in its sidewall, week then year.
 *
 * Units: years. Errors: no such week, a week still to come. Source: the wear limit table (age since made).
 * Example: 2318 seen in November 2026 → 8.5 years, near.
 */
function run({ code, today, renewAtAge }: z.output<typeof shape>): TyreAge {
  const madeOn = mondayOf(Number(code.slice(0, 2)), yearOf(code, today));
  const years = daysBetween(madeOn, today) / DAYS_A_YEAR;
  const limits = wearLimits.find((line) => line.part === 'tyre' && line.check === 'age since made')!;
  const verdict = atLeast(years, limits.thresholdRenew!)
    ? renewAtAge
      ? 'renew-for-age'
      : 'renew'
    : atLeast(years, limits.thresholdWarn!)
      ? 'near'
      : 'sound';
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
            : verdict === 'renew'
              ? `from ${limits.thresholdRenew} it is looked at hard. Age alone condemns nothing: deep cracks, hard rubber, a bad bead or cord do.`
              : `from ${limits.thresholdRenew} it is renewed here, whatever it shows.`
      }`,
      ...(verdict === 'renew-for-age' ? [`House rule: ${ruleWords('tyreAge', 'age').toLowerCase()}.`] : []),
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
