import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { mean, roundTo } from '../numbers';
import { row, type WorkingRow } from '../verdict';

const hertz = z.number().check(z.gt(20), z.lte(5000));
const input = z.strictObject({
  spokeDiameterMm: z.number().check(z.gte(1), z.lte(4)),
  freeLengthMm: z.number().check(z.gte(50), z.lte(400), z.describe('nipple to the last crossing')),
  hz: z.array(hertz).check(z.minLength(1), z.maxLength(48)),
  densityKgM3: z._default(z.number().check(z.gte(1000), z.lte(20_000)), 7900),
  calibrate: z
    .optional(z.strictObject({ hz: hertz, tensionN: z.number().check(z.gt(0), z.lte(5000)) }))
    .check(z.describe('the tone of one spoke that was metered')),
});

export interface Tone {
  tensionN: number[];
  meanN: number;
  /** How far the furthest lies from the mean. */
  spreadShare: number;
  /** Whether the figures are newtons that a limit may be held against, or tell evenness alone. */
  isCalibrated: boolean;
  working: WorkingRow[];
}

/**
 * What the tone of plucked spokes tells of their tension: T = ρ·(π/4)·d²·(2·L·f)², the string's equation; with one metered spoke
 * T·(f/f₀)². A short stiff spoke sounds higher than a string, by up to a third, so that without calibration tones tell evenness among like spokes
 * and nothing else.
 *
 * Units: mm, Hz, N. Errors: tones beyond 20…5000 Hz. Source: the equation of a string. Example: 2 mm, 180 mm free, 500 Hz → 804 N.
 */
export const wheelsTone = defineCalculator({
  id: 'wheels.tone',
  title: 'What the tones of spokes tell',
  example: { spokeDiameterMm: 2, freeLengthMm: 180, hz: [500, 520, 480] },
  input,
  run({ spokeDiameterMm, freeLengthMm, hz, densityKgM3, calibrate }): Tone {
    const kgPerM = densityKgM3 * (Math.PI / 4) * (spokeDiameterMm / 1000) ** 2;
    const tensionOf = (f: number) =>
      calibrate ? calibrate.tensionN * (f / calibrate.hz) ** 2 : kgPerM * ((2 * freeLengthMm * f) / 1000) ** 2;
    const tensionN = hz.map(tensionOf);
    const meanN = mean(tensionN);
    const spreadShare = Math.max(...tensionN.map((each) => Math.abs(each - meanN))) / meanN;
    return {
      tensionN,
      meanN,
      spreadShare,
      isCalibrated: calibrate !== undefined,
      working: [
        row('T', calibrate ? 'T₀·(f/f₀)²' : 'ρ·(π/4)·d²·(2Lf)²', roundTo(meanN, 0), 'N'),
        row('s', 'furthest from the mean', roundTo(100 * spreadShare, 1), '%'),
      ],
    };
  },
});
