import type { BicycleKind } from '../bicycle';

/** How far from the hanger's axis its gauge is read: near the rim's edge, in millimetres. */
export function gaugeRadiusMm(kind: Pick<BicycleKind, 'beadSeatMm'>): number {
  return kind.beadSeatMm / 2 - 10;
}
