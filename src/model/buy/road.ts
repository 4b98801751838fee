import { roundHalfUp } from '@/core/numbers';
import type { Lead } from './part';

/** What the road to the seller and back costs, in minor units; nought where no distance is known. Example: 40 km at 25 → 2000. */
export function roadCost({ distanceKm, costPerKm }: Pick<Lead, 'distanceKm' | 'costPerKm'>): number {
  return distanceKm === null ? 0 : roundHalfUp(2 * distanceKm * costPerKm);
}
