import type { WheelReading } from './part';

/** A spot that the eye placed: which way the rim goes there, and about how far. */
export interface Spot {
  spoke: number;
  way: 'left' | 'right' | 'true' | 'out' | 'in';
  mm: number;
}

const SIGN = { left: 1, right: -1, out: 1, in: -1, true: 0 } as const;

/**
 * Spots by eye as a reading: at each spoke what was said of it, else null. Where hops were named, a spot that was not said to hop does not.
 * Example: 1 mm left at the valve, true at 12 and 24 → three spokes are read, up and down none.
 */
export function eyeReading(spots: readonly Spot[], spokes: number): Pick<WheelReading, 'lateralMm' | 'radialMm'> {
  const isHop = ({ way }: Spot) => way === 'out' || way === 'in';
  const of = (own: readonly Spot[]) =>
    Array.from({ length: spokes }, (_, i) => {
      const spot = own.find(({ spoke }) => spoke === i);
      return spot ? SIGN[spot.way] * spot.mm : null;
    });
  const sideways = spots.filter((each) => !isHop(each));
  const hops = spots.filter(isHop);
  const still = sideways
    .filter(({ spoke }) => !hops.some((each) => each.spoke === spoke))
    .map(({ spoke }): Spot => ({ spoke, way: 'true', mm: 0 }));
  return { lateralMm: of(sideways), ...(hops.length > 0 && { radialMm: of([...hops, ...still]) }) };
}
