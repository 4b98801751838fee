import { normalCdf } from '../numbers';

/** What a shift feels like, from short of its cog to past it. */
export const FEELS = ['fails', 'slow', 'crisp', 'noisy', 'skips'] as const;
export type Feel = (typeof FEELS)[number];

/** How far from its cog a shift is crisp still, and from where on it fails or skips. */
export interface Bands {
  crispMm: number;
  slowMm: number;
}

/** Whether an arrival came from the smaller neighbour or from the larger one. */
export const WAYS = ['toLarger', 'toSmaller'] as const;
export type Way = (typeof WAYS)[number];

/** The gears that a way arrives at: nobody comes to the smallest cog from a smaller one. */
export const arrivesAt = (way: Way, cogs: number): { first: number; last: number } =>
  way === 'toLarger' ? { first: 2, last: cogs } : { first: 1, last: cogs - 1 };

/**
 * How far past its cog an arrival stands, along its own way: `baseMm` is where the derailleur stands without friction, towards the
 * larger cogs; friction always leaves it short. Example: base 0.2, friction 0.5: 0.3 short of a larger cog, 0.7 short of a smaller.
 */
export const pastMm = (way: Way, baseMm: number, frictionMm: number): number =>
  (way === 'toLarger' ? baseMm : -baseMm) - frictionMm;

/** The chances of each feel for an arrival so far past its cog, where that is known to `blurMm` and misread as a neighbour in `missShare`. */
export function feelChances(past: number, { crispMm, slowMm }: Bands, blurMm: number, missShare: number): number[] {
  const below = [-slowMm, -crispMm, crispMm, slowMm].map((edge) => normalCdf((edge - past) / blurMm));
  const felt = [...below, 1].map((upTo, i) => Math.max(0, upTo - (i === 0 ? 0 : below[i - 1]!)));
  return felt.map((_, read) => {
    const from = (neighbour: number) => {
      const share = felt[neighbour];
      if (share === undefined) return 0;
      return (share * missShare) / (neighbour === 0 || neighbour === FEELS.length - 1 ? 1 : 2);
    };
    return felt[read]! * (1 - missShare) + from(read - 1) + from(read + 1);
  });
}
