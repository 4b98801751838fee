import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { atLeast, moreThan, roundTo } from '../numbers';
import { row, type Judged } from '../verdict';

const bar = z.number().check(z.gt(0), z.lte(15));
const seat = z.number().check(z.gte(200), z.lte(700));
export const VALVES = ['narrow', 'wide'] as const;

const input = z.strictObject({
  rimSeatMm: z.optional(seat).check(z.describe('the bead seat of the rim')),
  tyreSeatMm: z.optional(seat).check(z.describe('the second figure of the tyre’s marking')),
  tyreMm: z.optional(z.number().check(z.gte(15), z.lte(130))),
  hooks: z.optional(z.enum(['hooked', 'hookless', 'straight-sided'])),
  isHooklessApproved: z.optional(z.boolean()).check(z.describe('the tyre is approved for rims without hooks')),
  isTubeless: z._default(z.boolean(), false),
  rimMostBar: z.optional(bar),
  tyreMostBar: z.optional(bar),
  hole: z.optional(z.enum(VALVES)).check(z.describe('the rim’s valve hole')),
  valve: z.optional(z.enum(VALVES)),
});

export interface Mounting extends Judged<'goes' | 'ask' | 'never'> {
  /** The most that may go in; null where neither rim nor tyre says. */
  mostBar: number | null;
  /** Sealant for a tyre of this width, ml; null with a tube. */
  sealantMl: { low: number; high: number } | null;
  /** Days until it is looked at again. */
  sealantDays: number;
}

/** Never more in a rim without hooks; a straight-sided one holds a tyre by its wire alone. */
const HOOKLESS_MOST_BAR = 5;
const STRAIGHT_MOST_BAR = 3.5;
/** Sealant by width: 30 ml in a narrow tyre, 120 in a wide one. */
const SEALANT = { narrowMm: 25, wideMm: 62, leastMl: 30, mostMl: 120 };
/** It dries within months. */
const SEALANT_DAYS = 120;
/** Seats that differ by less are the same, differently rounded. */
const SAME_SEAT_MM = 0.6;

/**
 * Whether a tyre may go on a rim at all and how hard it may be blown up: bead seats that are the same (the label’s inches are not), rims without hooks
 * only with tyres that are approved for them and never over 5 bar, old straight-sided rims gently, the lower of both limits; sealant by width.
 *
 * Units: mm, bar, ml, days. Errors: none. Source: ISO 5775; workshop consensus. Example: a tyre of 559 on a rim of 571 → never.
 */
export const tyresMount = defineCalculator({
  id: 'tyres.mount',
  title: 'Whether a tyre may go on, and how hard',
  example: { rimSeatMm: 622, tyreSeatMm: 622, hooks: 'hooked', tyreMm: 35, rimMostBar: 7, tyreMostBar: 6 },
  input,
  run(q): Mounting {
    const never: string[] = [];
    const ask: string[] = [];
    const says: string[] = [];
    if (q.rimSeatMm === undefined || q.tyreSeatMm === undefined)
      ask.push('The bead seat of rim and tyre: what fits is that figure, not the inches of the label.');
    else if (moreThan(Math.abs(q.rimSeatMm - q.tyreSeatMm), SAME_SEAT_MM))
      never.push(
        `The rim’s seat is ${roundTo(q.rimSeatMm, 0)}, the tyre’s ${roundTo(q.tyreSeatMm, 0)} mm: ${q.tyreSeatMm > q.rimSeatMm ? 'it comes off under way' : 'it never seats'}.`,
      );
    if (q.hooks === 'hookless') {
      if (q.isHooklessApproved === false) never.push('A rim without hooks takes only tyres that are approved for it.');
      else if (q.isHooklessApproved === undefined) ask.push('A rim without hooks: is the tyre approved for it?');
      if (q.rimMostBar === undefined || q.tyreMostBar === undefined)
        ask.push('A rim without hooks: the limit of both, rim and tyre.');
      says.push(`Without hooks the lower of both limits, and never over ${HOOKLESS_MOST_BAR} bar.`);
    }
    if (q.hooks === 'straight-sided') says.push('Old straight sides hold a tyre by its wire alone: low pressure.');
    if (q.hooks === 'straight-sided' && q.isTubeless) never.push('Straight sides hold no tyre without a tube.');
    if (q.hole === 'narrow' && q.valve === 'wide')
      never.push('The wide valve does not go through the narrow hole: another tube; drilling weakens the rim.');
    if (q.hole === 'wide' && q.valve === 'narrow')
      ask.push('A narrow valve in a wide hole: with a collar, or the tube tears there.');
    const limits = [
      q.rimMostBar,
      q.tyreMostBar,
      ...(q.hooks === 'hookless' ? [HOOKLESS_MOST_BAR] : []),
      ...(q.hooks === 'straight-sided' ? [STRAIGHT_MOST_BAR] : []),
    ].filter((each) => each !== undefined);
    const mostBar = limits.length === 0 ? null : Math.min(...limits);
    const { narrowMm, wideMm, leastMl, mostMl } = SEALANT;
    const share = q.tyreMm === undefined ? null : Math.min(1, Math.max(0, (q.tyreMm - narrowMm) / (wideMm - narrowMm)));
    const usual = share === null ? null : leastMl + share * (mostMl - leastMl);
    const verdict = never.length > 0 ? 'never' : ask.length > 0 ? 'ask' : 'goes';
    return {
      mostBar,
      sealantMl:
        !q.isTubeless || usual === null
          ? null
          : {
              low: Math.round((usual * 0.85) / 5) * 5,
              high: Math.round((atLeast(usual, mostMl) ? usual : usual * 1.15) / 5) * 5,
            },
      sealantDays: SEALANT_DAYS,
      verdict,
      reasons: [...never, ...ask, ...says, ...(verdict === 'goes' ? ['It belongs on this rim.'] : [])],
      working: [row('p', 'lower of the limits', mostBar === null ? '–' : roundTo(mostBar, 1), 'bar')],
    };
  },
});
