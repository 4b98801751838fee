import { isRimBraked, kindAt, SPEEDS_OF_CHAIN, type BicycleKind } from '../bicycle';
import type { Check } from './check';
import type { Evidence } from './evidence';
import { gaugeRadiusMm } from './gaugeRadius';

/**
 * How the rows of balls usually stand, by the assembly, and where a headset's rock is read. The same figures as in the table
 * of bearing benches, which no page may carry; a test holds them together.
 */
export const USUAL_ROWS = {
  'hub-front': { spanMm: 54, circleMm: 21 },
  'hub-rear-freehub': { spanMm: 64, circleMm: 25 },
  'hub-rear-gear': { spanMm: 60, circleMm: 37 },
  'hub-rear-coaster': { spanMm: 56, circleMm: 26 },
  'headset-threaded': { spanMm: 120, circleMm: 32 },
} as const;
const FRONT_AXLE_MM = 450;
const REAR = {
  derailleur: 'hub-rear-freehub',
  single: 'hub-rear-freehub',
  hub: 'hub-rear-gear',
  coaster: 'hub-rear-coaster',
} as const;

/** The question for `inspect.rimPlay`: where a rock is read, and how the rows of balls usually stand; null elsewhere. */
export function rimPlayQuestion(place: string, movementMm: number, kind: BicycleKind) {
  if (place === 'headset')
    return { where: 'headset' as const, movementMm, leverMm: FRONT_AXLE_MM, ...USUAL_ROWS['headset-threaded'] };
  if (!place.startsWith('hub')) return null;
  const assembly = place === 'hub.rear' ? REAR[kind.gears] : 'hub-front';
  return { where: 'hub' as const, movementMm, leverMm: kindAt(kind, place).beadSeatMm / 2, ...USUAL_ROWS[assembly] };
}

/** What runs out at a check: a rim is held closer where a brake works on it. */
export function runoutOf(check: Pick<Check, 'kind' | 'place'>, kind: Pick<BicycleKind, 'brakes'>) {
  if (check.kind === 'runout-disc') return 'disc';
  if (check.kind === 'runout-ring') return 'chainring';
  return isRimBraked(kind, check.place) ? 'rim-braked' : 'rim-free';
}

/** Squeezed in turn, pairs are of the left and the right side by turns. */
const BY_TURNS = ['left', 'right'] as const;

/** Whether one side of a wheel is softer than the other by right: cogs or a disc push its rim off the middle of the flanges. */
export function isDished(place: string, kind: BicycleKind): boolean {
  return kindAt(kind, place).brakes === 'disc' || (place.endsWith('.rear') && kind.gears === 'derailleur');
}

/** The question for `inspect.spokeMap`: a dished wheel is compared within its sides; null before four pairs were squeezed. */
export function spokeMapQuestion(place: string, kind: BicycleKind, seen: Pick<Evidence, 'pairs'>) {
  const pairs = seen.pairs ?? [];
  if (pairs.length < 4) return null;
  return { pairs, ...(isDished(place, kind) && { sides: pairs.map((_, i) => BY_TURNS[i % 2]!) }) };
}

/** The question for `inspect.hanger`, or null before three clock points are read. */
export function hangerQuestion(kind: BicycleKind, seen: Pick<Evidence, 'gaps' | 'bentBefore'>) {
  if ((seen.gaps?.length ?? 0) < 3) return null;
  return {
    readings: seen.gaps!,
    radiusMm: gaugeRadiusMm(kind),
    speeds: SPEEDS_OF_CHAIN[kind.chain],
    // Nothing is known here of how far titanium is bent back.
    material: kind.frameMaterial === 'titanium' ? ('unknown' as const) : kind.frameMaterial,
    bentBefore: seen.bentBefore ?? false,
  };
}
