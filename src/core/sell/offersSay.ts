import { daysBetween } from '../days';

export interface OfferMade {
  at: string;
  amount: number;
}

const DAY_MS = 86_400_000;
const QUIET_DAYS = 14;

/**
 * What the offers say of the price: two at the full price within a day → it was too low; none in two weeks → too high, or badly shown; else nothing. Units: minor
 * units. Errors: none. Source: workshop consensus. Example: two of 300 at 300 within an hour → too low.
 */
export function offersSay(
  offers: readonly OfferMade[],
  ask: number | null,
  askedOn: string | null,
  today: string,
): { verdict: 'too-low' | 'too-high' | 'open'; words: string } | null {
  if (ask === null || askedOn === null) return null;
  const full = offers
    .filter(({ amount, at }) => amount >= ask && at.slice(0, 10) >= askedOn)
    .map(({ at }) => Date.parse(at))
    .toSorted((a, b) => a - b);
  if (full.some((at, i) => i > 0 && at - full[i - 1]! <= DAY_MS))
    return { verdict: 'too-low', words: 'Two at the full price within a day: it was too low.' };
  const days = daysBetween(askedOn, today);
  if (offers.every(({ at }) => at.slice(0, 10) < askedOn) && days >= QUIET_DAYS)
    return { verdict: 'too-high', words: `No offer in ${days} days: too high, or badly shown.` };
  return {
    verdict: 'open',
    words: days <= 0 ? 'Asked since today.' : `Asked for ${days} ${days === 1 ? 'day' : 'days'}.`,
  };
}
