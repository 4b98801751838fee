import type { LookOver } from '@/core/inspect/lookOver';
import type { Bicycle } from '../record';
import { newBearing } from './fresh';
import type { Bearing } from './part';

/** The bearing of a place, or one of which nothing is known and which is not stored until something is. */
export function bearingFor(bicycle: Pick<Bicycle, 'bearings'>, place: string): Bearing {
  return bicycle.bearings.find((bearing) => bearing.place === place) ?? newBearing(place);
}

/** How a bearing felt before it was opened, as far as another stage found it out; null where none did. */
export function feltElsewhere(lookOver: Pick<LookOver, 'findings'> | null, place: string): Bearing['before'] {
  const finding = lookOver?.findings.find((each) => each.place === place && each.check === place.replace('.', '-'));
  const { feel, play, spinS } = finding?.evidence ?? {};
  if (finding?.heard?.from === 'bearing' && finding.seenAs === 'serviced') return null;
  if (feel === undefined && play === undefined && spinS === undefined) return null;
  return { feel: feel ?? 'unknown', play: play ?? 'unknown', spinS: spinS ?? null };
}

/** The bearing of a place with all that any stage knows of it: what was felt at the door or the look-over is not felt for again. */
export function knownBearing(
  bicycle: Pick<Bicycle, 'bearings'>,
  place: string,
  lookOver: Pick<LookOver, 'findings'> | null,
): Bearing {
  const bearing = bearingFor(bicycle, place);
  return bearing.before ? bearing : { ...bearing, before: feltElsewhere(lookOver, place) };
}
