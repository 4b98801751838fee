import { roundHalfUp } from '../numbers';

/**
 * The share of a pack that this bicycle carries: paid·used/pack, rounded half up, never over what was paid, so that
 * charged + left = paid to the unit. Example: 6 of a bag of 20 at 1000 → 300.
 */
export function chargedShare(line: { paid: number; packQty: number; usedQty: number }): number {
  return Math.min(line.paid, roundHalfUp((line.paid * line.usedQty) / line.packQty));
}
