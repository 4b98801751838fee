import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { lengthMm } from '../fields';
import { roundTo } from '../numbers';
import { row, type WorkingRow } from '../verdict';

const shape = z
  .strictObject({
    axle: z.strictObject({
      majorMm: lengthMm.check(z.lte(40), z.describe('outside of the thread')),
      pitchMm: z.number().check(z.gte(0.2), z.lte(3)),
      boreMm: z.number().check(z.gte(0), z.lte(39), z.describe('hole for the skewer; 0 for a solid axle')),
    }),
    coneSpanMm: lengthMm.check(z.lte(400), z.describe('from cone to cone')),
    clampForceN: z.number().check(z.gte(0), z.lte(20_000)),
    youngsModulusGPa: z._default(z.number().check(z.gte(1), z.lte(1000)), 205),
  })
  .check(z.describe("The bore must be smaller than the thread's root."));

const stressDiameter = (axle: { majorMm: number; pitchMm: number }) => axle.majorMm - 0.9382 * axle.pitchMm;

const input = rule(
  shape,
  ['axle', 'boreMm'],
  (v) => !Number.isFinite(stressDiameter(v.axle)) || v.axle.boreMm < stressDiameter(v.axle) - 0.1,
  (v) => `a bore of ${v.axle.boreMm} mm leaves no metal in an axle of ${v.axle.majorMm} mm: measure again`,
);

export type ClampAllowanceInput = z.input<typeof shape>;

export interface ClampAllowance {
  stressAreaMm2: number;
  compressionMm: number;
  coneTurnDeg: number;
  words: string;
  working: WorkingRow[];
}

/**
 * How much a quick release shortens its axle, and how much cone that takes up.
 *
 * A = π/4·((major − 0.9382·pitch)² − bore²); compression = F·L/(E·A); cone turn = 360·compression/pitch.
 *
 * Units: mm, N, GPa, degrees. Errors: a bore as wide as the thread. Source: elasticity, thread stress area ISO 898-1.
 * Example: 10 × 1 axle, 5.2 bore, 68 mm between cones, 4,200 N → 0.032 mm, nearly twelve degrees.
 */
function run({ axle, coneSpanMm, clampForceN, youngsModulusGPa }: z.output<typeof shape>): ClampAllowance {
  const stressAreaMm2 = (Math.PI / 4) * (stressDiameter(axle) ** 2 - axle.boreMm ** 2);
  const compressionMm = (clampForceN * coneSpanMm) / (youngsModulusGPa * 1000 * stressAreaMm2);
  const coneTurnDeg = (360 * compressionMm) / axle.pitchMm;
  return {
    stressAreaMm2,
    compressionMm,
    coneTurnDeg,
    words:
      clampForceN === 0
        ? 'Nothing squeezes this axle: set it without play as it stands.'
        : `Leave ${roundTo(compressionMm, 3)} mm of play off the bicycle, about ${roundTo(coneTurnDeg, 0)}° of cone: a faint tick open, none closed.`,
    working: [
      row('A', 'area = π/4·((major − 0.9382·pitch)² − bore²)', roundTo(stressAreaMm2, 2), 'mm²'),
      row('F', 'clamping force', clampForceN, 'N'),
      row('L', 'cone to cone', coneSpanMm, 'mm'),
      row('E', 'stiffness of the axle', youngsModulusGPa, 'GPa'),
      row('c', 'compression = F·L/(E·A)', roundTo(compressionMm, 4), 'mm'),
      row('θ', 'cone turn = 360·c/pitch', roundTo(coneTurnDeg, 2), '°'),
    ],
  };
}

export const bearingsClampAllowance = defineCalculator({
  id: 'bearings.clampAllowance',
  title: 'What the quick release squeezes',
  example: { axle: { majorMm: 10, pitchMm: 1, boreMm: 5.2 }, coneSpanMm: 68, clampForceN: 4200 },
  input,
  run,
});
