import type { Bicycle } from '../record';

/** All minutes put down on a bicycle. */
export function workedMinutes(bicycle: Bicycle): number {
  return bicycle.minutes.reduce((sum, entry) => sum + entry.minutes, 0);
}
