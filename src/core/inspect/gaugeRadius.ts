import { kindAt, type BicycleKind } from '../bicycle';

/** How far from the hanger's axis its gauge is read: near the rim's edge, in millimetres. */
export function gaugeRadiusMm(kind: BicycleKind): number {
  return kindAt(kind, 'rim.rear').beadSeatMm / 2 - 10;
}
