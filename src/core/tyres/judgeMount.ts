import * as z from 'zod/mini';
import { moreThan, roundTo } from '../numbers';

const bar = z.number().check(z.gt(0), z.lte(15));
const seat = z.number().check(z.gte(200), z.lte(700));
export const VALVES = ['narrow', 'wide'] as const;

/** A rim and the tyre that is to go on it, as far as they were read. */
export const mounting = z.strictObject({
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

type Mounted = z.output<typeof mounting>;

/** Seats that differ by less are the same, differently rounded. */
const SAME_SEAT_MM = 0.6;
/** Never more in a rim without hooks. */
export const HOOKLESS_MOST_BAR = 5;

/**
 * What of a tyre on a rim must never be, what has to be asked first, and what has to be known: bead seats that differ, rims without hooks, straight sides,
 * valves. Errors: none. Source: ISO 5775; workshop consensus. Example: 559 on 571 → never, since it never seats.
 */
export function judgeMount(q: Mounted): { never: string[]; ask: string[]; says: string[] } {
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
  return { never, ask, says };
}
