import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { lengthMm } from '../fields';
import { IDENTIFIED, TOO_FAR_SIGMAS, normalised } from '../posterior';
import { atLeast, moreThan, roundTo } from '../numbers';
import { row, type WorkingRow } from '../verdict';
import { isSwapped, SWAPPED } from './cartridgeSize';
import { cartridges, type CartridgeRow } from './data/cartridges';

const input = rule(
  z.strictObject({
    boreMm: lengthMm,
    odMm: lengthMm,
    widthMm: lengthMm,
    sigmaMm: z
      ._default(z.number().check(z.gt(0), z.lte(5)), 0.05)
      .check(z.describe('standard error of the caliper, mm')),
  }),
  ['boreMm'],
  ({ boreMm, odMm }) => !isSwapped(boreMm, odMm),
  SWAPPED,
);
type Question = z.output<typeof input>;
export type IdentifyCartridgeInput = z.input<typeof input>;

export interface CartridgeMatch {
  candidates: {
    code: string;
    boreMm: number;
    odMm: number;
    widthMm: number;
    type: string;
    probability: number;
    usualPlaces: string | null;
    note: string | null;
  }[];
  verdict: 'identified' | 'ambiguous' | 'unknown';
  reasons: string[];
  working: WorkingRow[];
}

/** How far off each dimension is, in standard errors; an open one of the series may be narrower than a sealed one. */
function misses(question: Question, each: CartridgeRow): number[] {
  const width = Math.min(
    Math.abs(question.widthMm - each.widthMm),
    each.widthOpenMm === null ? Infinity : Math.abs(question.widthMm - each.widthOpenMm),
  );
  return [Math.abs(question.boreMm - each.boreMm), Math.abs(question.odMm - each.odMm), width].map(
    (off) => off / question.sigmaMm,
  );
}

/**
 * Which cartridge bearing has this bore, outside and width.
 *
 * Equal priors, independent Gaussian errors, in log space: log p = −½·Σ z²; ties by code. Identified from 0.95; unknown when
 * the best is over four sigma away in any dimension. Two that differ only in their angles stay ambiguous: read the print.
 * Units: millimetres. Errors: a dimension that is not over nought, a bore that is not under its outside. Source: ISO 15 boundary dimensions, headset tables.
 * Example: 15 × 28 × 7 → 6902.
 */
function run(question: Question): CartridgeMatch {
  const logs = cartridges.map((each) => -0.5 * misses(question, each).reduce((sum, z) => sum + z * z, 0));
  const probabilities = normalised(logs);
  const ranked = cartridges
    .map((each, i) => ({ each, probability: probabilities[i]! }))
    .sort((a, b) =>
      moreThan(Math.abs(a.probability - b.probability), 1e-12)
        ? b.probability - a.probability
        : a.each.code < b.each.code
          ? -1
          : 1,
    );
  const best = ranked[0]!;
  const off = misses(question, best.each);
  const far = off.some((z) => moreThan(z, TOO_FAR_SIGMAS));
  const verdict = far ? 'unknown' : atLeast(best.probability, IDENTIFIED) ? 'identified' : 'ambiguous';
  const level = ranked.filter(({ probability }) => probability > 0.05).map(({ each }) => each.code);
  const reasons = {
    identified: [`${best.each.code}: ${Math.round(best.probability * 1000) / 10} % by these readings.`],
    ambiguous: [
      `${level.join(' and ')} are level by these readings: ${
        level.some((code) => code.includes('36x45'))
          ? 'read the angles printed on it'
          : 'measure again, or read its print'
      }.`,
    ],
    unknown: ['No bearing of the table is within four standard errors: wipe it, measure again, or read its print.'],
  }[verdict];
  return {
    candidates: ranked.map(({ each, probability }) => ({
      code: each.code,
      boreMm: each.boreMm,
      odMm: each.odMm,
      widthMm: each.widthMm,
      type: each.type,
      probability,
      usualPlaces: each.usualPlaces,
      note: each.note,
    })),
    verdict,
    reasons,
    working: (['bore', 'outside', 'width'] as const).map((name, i) =>
      row(
        `z(${name})`,
        `${name} off ${best.each.code}, in standard errors of ${question.sigmaMm} mm`,
        roundTo(off[i]!, 3),
        'sigma',
      ),
    ),
  };
}

export const bearingsIdentifyCartridge = defineCalculator({
  id: 'bearings.identifyCartridge',
  title: 'Which cartridge bearing it is',
  example: { boreMm: 15, odMm: 28, widthMm: 7 },
  input,
  run,
});
