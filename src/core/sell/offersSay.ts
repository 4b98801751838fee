import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { minorUnits } from '../fields';
import { row, type WorkingRow } from '../verdict';
import { daysAsked, isInSeason, stalePrice, staleOn } from './staleRule';

const input = z.strictObject({
  today: z.iso.date(),
  ask: minorUnits,
  askedOn: z.iso.date(),
  offers: z._default(
    z.array(z.strictObject({ at: z.iso.datetime(), amount: minorUnits })).check(z.maxLength(1000)),
    [],
  ),
  stalePrice,
});

export interface OffersSay {
  verdict: 'too-low' | 'stale' | 'open';
  /** When it is stale, unless an offer comes first. */
  staleOn: string;
  reasons: string[];
  working: WorkingRow[];
}

const DAY_MS = 86_400_000;
const days = (count: number) => (count === 1 ? 'a day' : `${count} days`);

/**
 * What offers, and their absence, say of a price: two at the full price within a day → it was too low; none, and as long as the house lets a
 * price stand in that season → stale: too high, or badly shown; else it is open.
 *
 * Units: minor units, days. Errors: no day, no price. Source: workshop consensus; the house rule of the days. Example: two of 300.00 at 300.00 within an hour → too low.
 */
export const sellOffers = defineCalculator({
  id: 'sell.offers',
  title: 'What the offers say of the price',
  example: {
    today: '2026-05-20',
    ask: 30_000,
    askedOn: '2026-05-01',
    offers: [],
    stalePrice: { inSeasonDays: 14, outOfSeasonDays: 28, fromMonth: 3, toMonth: 8 },
  },
  input,
  run({ today, ask, askedOn, offers, stalePrice: rule }): OffersSay {
    const since = offers.filter(({ at }) => at.slice(0, 10) >= askedOn);
    const full = since
      .filter(({ amount }) => amount >= ask)
      .map(({ at }) => Date.parse(at))
      .toSorted((a, b) => a - b);
    const stale = staleOn(askedOn, rule);
    const stands = daysAsked(askedOn, today);
    const season = isInSeason(today, rule) ? 'in season' : 'out of season';
    const allowed = isInSeason(today, rule) ? rule.inSeasonDays : rule.outOfSeasonDays;
    const said: Pick<OffersSay, 'verdict' | 'reasons'> = full.some((at, i) => i > 0 && at - full[i - 1]! <= DAY_MS)
      ? { verdict: 'too-low', reasons: ['Two at the full price within a day: it was too low.'] }
      : since.length === 0 && today >= stale
        ? {
            verdict: 'stale',
            reasons: [`No offer in ${days(stands)}, ${season}: the price is stale. Too high, or badly shown.`],
          }
        : { verdict: 'open', reasons: [stands === 0 ? 'Asked since today.' : `Asked for ${days(stands)}.`] };
    return {
      ...said,
      staleOn: stale,
      working: [
        row('d', 'days at this price', stands, 'days'),
        row('s', `days until it is stale, ${season}`, allowed, 'days'),
        row('n', 'offers since', since.length),
      ],
    };
  },
});
