import * as z from 'zod/mini';
import { daysBetween, daysLater } from '../days';

const days = z.number().check(z.multipleOf(1), z.gte(1), z.lte(365));
const month = z.number().check(z.multipleOf(1), z.gte(1), z.lte(12));

/** How long a price may stand without an offer, in the months when bicycles sell and in the others; a season may run over the new year. */
export const stalePrice = z.strictObject({
  inSeasonDays: days,
  outOfSeasonDays: days,
  fromMonth: month,
  toMonth: month,
});
export type StalePrice = z.output<typeof stalePrice>;

/** Two weeks from March to August, four in the rest of the year. */
export const USUAL_STALE_PRICE: StalePrice = { inSeasonDays: 14, outOfSeasonDays: 28, fromMonth: 3, toMonth: 8 };

/** Whether bicycles sell on that day. Example: in May, with a season from March to August → true. */
export function isInSeason(day: string, { fromMonth, toMonth }: Pick<StalePrice, 'fromMonth' | 'toMonth'>): boolean {
  const at = Number(day.slice(5, 7));
  return fromMonth <= toMonth ? fromMonth <= at && at <= toMonth : at >= fromMonth || at <= toMonth;
}

/**
 * The day on which a price is stale that was named on another: every day uses up its share, one of so many as its season allows, so that a price that
 * was named before the season is not stale at a stroke on its first day.
 *
 * Units: days. Errors: none. Source: house rule. Example: named on 1 May, 14 days in season → 15 May.
 */
export function staleOn(from: string, rule: StalePrice): string {
  let used = 0;
  let day = from;
  // A share is a whole number of days under one: sums of them come a hair short of it.
  while (used < 1 - 1e-9) {
    used += 1 / (isInSeason(day, rule) ? rule.inSeasonDays : rule.outOfSeasonDays);
    day = daysLater(day, 1);
  }
  return day;
}

/** Days that a price stands already. */
export const daysAsked = (from: string, today: string): number => Math.max(0, daysBetween(from, today));
