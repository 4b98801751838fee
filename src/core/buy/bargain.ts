import { clamp } from '../numbers';

export interface BargainFault {
  label: string;
  /** Parts of it, in minor units, low and high. */
  parts: { low: number; high: number };
}

export interface Bargain {
  /** What to offer, in minor units; null where there is nothing to offer or no reason to. */
  offer: number | null;
  sentence: string;
}

/** The offer keeps this far under the ceiling, so that the seller never hears it and there is room to meet. */
const UNDER_CEILING = 0.1;

/** An offer under this share of what is asked is not made. */
const LEAST_SHARE = 0.5;

function step(minor: number): number {
  return minor < 10_000 ? 500 : 1_000;
}

/** A round sum at or under an amount, as people say it. Example: `roundOffer(11_850)` is 11000. */
export function roundOffer(minor: number): number {
  return Math.floor(minor / step(minor)) * step(minor);
}

/**
 * A plain sentence to bargain with: the dearest found fault and what it may cost, and an offer that keeps a tenth under the
 * ceiling and under what is asked. It never holds the ceiling, since the seller hears it.
 *
 * Units: minor units. Example: asked 140, ceiling 135, a post that may cost 15 to 60 → "…: offer 120".
 */
export function bargain(
  asking: number,
  ceiling: number | null,
  faults: BargainFault[],
  say: (minor: number) => string,
): Bargain {
  const [dearest] = faults;
  const named = dearest
    ? dearest.parts.high > 0
      ? `${dearest.label}: that alone may cost ${dearest.parts.low > 0 ? `${say(dearest.parts.low)} to` : 'up to'} ${say(dearest.parts.high)}`
      : `${dearest.label}: that alone takes hours`
    : null;
  const others =
    faults.length > 1 ? `, and there ${faults.length === 2 ? 'is one more' : `are ${faults.length - 1} more`}` : '';
  if (ceiling === null || asking === 0)
    return { offer: null, sentence: named ? `${named}${others}.` : 'Nothing bad found yet.' };
  const most = clamp(ceiling * (1 - UNDER_CEILING), 0, asking);
  const offer = roundOffer(most);
  // Far under what is asked an offer only offends: say that it is too much work, and leave the next word to the seller.
  if (offer < asking * LEAST_SHARE)
    return {
      offer: null,
      sentence: `${named ? `${named}${others}. ` : ''}For ${say(asking)} it is too much work for me.`,
    };
  if (offer >= roundOffer(asking))
    return { offer: null, sentence: named ? `${named}${others}.` : 'Nothing bad found yet.' };
  return {
    offer,
    sentence: named ? `${named}${others}. I would give ${say(offer)}.` : `I would give ${say(offer)}.`,
  };
}
