import { atLeast, roundTo } from '../numbers';

/** Pitch of every bicycle chain since the inch-pitch block chain, in millimetres. Source: ISO 9633. */
export const PITCH_MM = 12.7;

/** What is usually measured: twelve link pairs. */
export const USUAL_PITCHES = 24;

const LEAST_PERCENT = -0.5;
const MOST_PERCENT = 5;
/** Past it a slip in counting is likelier than the wear. */
export const RECOUNT_PERCENT = 2;

/** Wear of a chain, percent: (length/(12.7·pitches) − 1)·100. Example: `chainPercent(24, 306.9)` is 0.689. */
export function chainPercent(pitches: number, lengthMm: number): number {
  return (lengthMm / (PITCH_MM * pitches) - 1) * 100;
}

/**
 * What to do about a length that cannot be (outside −0.5…5 % of wear), or null when it can.
 * Example: `miscount(20, 304.8)` says to count the pitches again.
 */
export function miscount(pitches: number, lengthMm: number): string | null {
  const percent = chainPercent(pitches, lengthMm);
  if (!Number.isFinite(percent) || (atLeast(percent, LEAST_PERCENT) && atLeast(MOST_PERCENT, percent))) return null;
  const likely = Math.max(1, Math.round(lengthMm / PITCH_MM));
  const worn = `${roundTo(Math.abs(percent), 1)} % ${percent > 0 ? 'worn' : 'shorter than new'}`;
  return `count the pitches again: ${roundTo(lengthMm, 2)} mm over ${pitches} pitches would be ${worn}; it looks like ${likely}`;
}

/**
 * The count of pitches that would make a length over them plausible, where another one does: one that leaves the chain no
 * more worn than chains are when somebody thinks of measuring them; null where none does.
 * Example: 24 pitches that read 318 mm are 25.
 */
export function likelierCount(pitches: number, lengthMm: number): number | null {
  const nearest = Math.round(lengthMm / PITCH_MM);
  const worn = chainPercent(nearest, lengthMm);
  return nearest !== pitches && atLeast(worn, LEAST_PERCENT) && atLeast(RECOUNT_PERCENT, worn) ? nearest : null;
}

/**
 * Diameter of a bicycle chain's roller. A caliper over the outsides of two rollers reads that much more than from pin to pin.
 * Source: ISO 9633 (rollers of 7.75 mm for half-inch bicycle chain), workshop consensus.
 */
export const CHAIN_ROLLER_MM = 7.75;
