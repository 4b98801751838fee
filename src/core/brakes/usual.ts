import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { SET_BRAKES } from '../setup/kinds';
import { usualBrakes } from './data/usual';

export interface UsualBrake {
  leverRatio: number;
  pullMm: number;
  bendsDeg: number;
  armRatio: number;
  padTravelMm: number;
}

/**
 * What such a brake and its lever usually are, for what nobody has measured; null for one that no cable works.
 *
 * Units: mm, degrees. Errors: an unknown brake. Source: the table of usual brakes, rules of thumb. Example: `{"brake":"direct-pull"}` → arms 7.5, a lever
 * that pulls 26 mm.
 */
export const brakesUsual = defineCalculator({
  id: 'brakes.usual',
  title: 'What such a brake usually is',
  example: { brake: 'direct-pull' },
  input: z.strictObject({ brake: z.enum(SET_BRAKES) }),
  run({ brake }): { usual: UsualBrake | null } {
    const row = usualBrakes.find((each) => each.brake === brake);
    if (!row) return { usual: null };
    const { leverRatio, pullMm, bendsDeg, armRatio, padTravelMm } = row;
    return { usual: { leverRatio, pullMm, bendsDeg, armRatio, padTravelMm } };
  },
});
