import type { Bicycle } from '../record';
import { newBearing } from './fresh';
import type { Bearing } from './part';

/** The bearing of a place, or one of which nothing is known and which is not stored until something is. */
export function bearingFor(bicycle: Pick<Bicycle, 'bearings'>, place: string): Bearing {
  return bicycle.bearings.find((bearing) => bearing.place === place) ?? newBearing(place);
}
