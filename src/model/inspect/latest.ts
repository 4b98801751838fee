import type { Bicycle } from '../record';
import type { Observation } from './part';

/** The last observation of each check that has not been withdrawn. */
export function latestObservations(bicycle: Bicycle): Map<string, Observation> {
  return new Map(bicycle.observations.filter((row) => !row.withdrawn).map((row) => [row.check, row]));
}
