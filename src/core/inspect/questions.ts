import { SPEEDS_OF_CHAIN, type BicycleKind } from '../bicycle';
import type { Check } from './checks';
import type { Evidence } from './evidence';
import { gaugeRadiusMm } from './gaugeRadius';

/** The question for `inspect.rimPlay`: where a rock is read, and how far apart the rows of balls usually stand; null elsewhere. */
export function rimPlayQuestion(place: string, movementMm: number, kind: Pick<BicycleKind, 'beadSeatMm'>) {
  if (place === 'headset') return { where: 'headset' as const, movementMm, leverMm: 450, spanMm: 120 };
  if (place.startsWith('hub')) return { where: 'hub' as const, movementMm, leverMm: kind.beadSeatMm / 2, spanMm: 60 };
  return null;
}

/** What runs out at a check: a rim is held closer where a brake works on it. */
export function runoutOf(check: Pick<Check, 'kind'>, kind: Pick<BicycleKind, 'brakes'>) {
  if (check.kind === 'runout-disc') return 'disc';
  if (check.kind === 'runout-ring') return 'chainring';
  return kind.brakes === 'disc' || kind.brakes === 'drum' ? 'rim-free' : 'rim-braked';
}

/** The question for `inspect.hanger`, or null before three clock points are read. */
export function hangerQuestion(kind: BicycleKind, seen: Pick<Evidence, 'gaps' | 'bentBefore'>) {
  if ((seen.gaps?.length ?? 0) < 3) return null;
  return {
    readings: seen.gaps!,
    radiusMm: gaugeRadiusMm(kind),
    speeds: SPEEDS_OF_CHAIN[kind.chain],
    material: kind.frameMaterial,
    bentBefore: seen.bentBefore ?? false,
  };
}
