import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { atLeast, mean, roundTo } from '../numbers';
import { row, type Judged } from '../verdict';
import { wearLimits } from './data/wearLimits';

/** What can run out, and the row of the wear limits that it is held against. */
export const RUNOUT_ROWS = {
  'rim-braked': { part: 'wheel, rim brake', check: 'lateral run-out' },
  'rim-free': { part: 'wheel, disc or hub brake', check: 'lateral run-out' },
  hop: { part: 'wheel', check: 'radial run-out' },
  disc: { part: 'disc rotor', check: 'lateral run-out' },
  chainring: { part: 'chainring', check: 'lateral wobble at the teeth' },
} as const;

const input = z.strictObject({
  of: z.enum(['rim-braked', 'rim-free', 'hop', 'disc', 'chainring']),
  readingsMm: z
    .array(z.number().check(z.gte(-50), z.lte(50)))
    .check(
      z.minLength(2),
      z.maxLength(144),
      z.describe('evenly spaced round one turn, starting at the valve or the mark; outwards is positive'),
    ),
});

export interface Runout extends Judged<'true' | 'near' | 'true-it'> {
  peakToPeakMm: number;
  /** Where it stands out furthest, in degrees from the first reading. */
  highAtDeg: number;
  /** The share of the movement that is one lean a turn: a bent plane or a bad seat rather than single spokes. */
  leanShare: number;
  limitMm: number;
}

/**
 * Runout from a trace round one turn: peak to peak, where it is furthest out, and how much of it is one even lean
 * (first harmonic) instead of local bends. An even lean comes from how the thing sits; local bends come from itself.
 *
 * Units: mm, degrees. Errors: fewer than two readings. Source: the wear limit table.
 * Example: 0, 0.2, 0.9, 0.1 mm on a rim-braked wheel → 0.9 mm peak to peak, near.
 */
function run({ of, readingsMm }: z.output<typeof input>): Runout {
  const limits = wearLimits.find((line) => line.part === RUNOUT_ROWS[of].part && line.check === RUNOUT_ROWS[of].check)!;
  const high = Math.max(...readingsMm);
  const low = Math.min(...readingsMm);
  const peakToPeakMm = high - low;
  const n = readingsMm.length;
  const middle = mean(readingsMm);
  const harmonic = (trig: (x: number) => number) =>
    (2 / n) * readingsMm.reduce((sum, value, i) => sum + (value - middle) * trig((2 * Math.PI * i) / n), 0);
  const variance = readingsMm.reduce((sum, value) => sum + (value - middle) ** 2, 0) / n;
  const lean = n < 4 || variance === 0 ? 0 : (harmonic(Math.cos) ** 2 + harmonic(Math.sin) ** 2) / 2 / variance;
  const leanShare = Math.min(1, lean);
  const renew = limits.thresholdRenew!;
  const warn = limits.thresholdWarn!;
  const verdict = atLeast(peakToPeakMm, renew) ? 'true-it' : atLeast(peakToPeakMm, warn) ? 'near' : 'true';
  const shown = `${roundTo(peakToPeakMm, 2)} mm`;
  const reasons = {
    true: [`${shown} of runout is under ${warn} mm.`],
    near: [`${shown} of runout is near the limit of ${renew} mm.`],
    'true-it': [`${shown} of runout is at or over the limit of ${renew} mm.`],
  }[verdict];
  const highAtDeg = (360 * readingsMm.indexOf(high)) / n;
  if (verdict !== 'true') {
    if (leanShare > 0.7)
      reasons.push('Nearly all of it is one even lean a turn: look at how it sits before bending anything.');
    reasons.push(`It stands out furthest at ${roundTo(highAtDeg, 0)}° from where you began.`);
  }
  return {
    peakToPeakMm: roundTo(peakToPeakMm, 6),
    highAtDeg: roundTo(highAtDeg, 3),
    leanShare: roundTo(leanShare, 4),
    limitMm: renew,
    verdict,
    reasons,
    working: [
      row('n', 'readings round the turn', n),
      row('Δ', 'peak to peak', roundTo(peakToPeakMm, 3), 'mm'),
      row('λ', 'share that is one even lean', roundTo(leanShare * 100, 0), '%'),
      row('w', `watch from (${limits.source})`, warn, 'mm'),
      row('r', 'limit', renew, 'mm'),
    ],
  };
}

export const inspectRunout = defineCalculator({
  id: 'inspect.runout',
  title: 'Runout from a trace',
  example: { of: 'rim-braked', readingsMm: [0, 0.2, 0.9, 0.1] },
  input,
  run,
});
