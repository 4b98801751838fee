import { ballMassG } from '@/core/bearings/ballsByWeight';

/** A pocket scale, made up: it reads to a tenth of a gram. */
export const SCALE_STEP_G = 0.1;

/** What the scale shows with so many balls on it. Deterministic. Example: nine of 6.35 mm read 9.4. */
export function scaleReading(balls: number, diameterMm: number): number {
  return Math.round((balls * ballMassG(diameterMm)) / SCALE_STEP_G) / Math.round(1 / SCALE_STEP_G);
}
