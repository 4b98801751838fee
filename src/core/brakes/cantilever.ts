import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { atLeast, moreThan, roundTo } from '../numbers';
import { row, type Judged } from '../verdict';

const shape = z.strictObject({
  pivotHalfSpacingMm: z.number().check(z.gte(20), z.lte(70), z.describe('from the middle of the wheel to a pivot')),
  anchor: z
    .strictObject({ outMm: z.number().check(z.gte(-30), z.lte(90)), upMm: z.number().check(z.gte(0), z.lte(120)) })
    .check(z.describe('where the straddle wire is held, from its pivot, with the pad on the rim')),
  pad: z.strictObject({ inMm: z.number().check(z.gte(0), z.lte(60)), upMm: z.number().check(z.gte(8), z.lte(60)) }),
  yokeHeightMm: z.number().check(z.gte(20), z.lte(300), z.describe('the top of the wire, over the pivots')),
});
export type Cantilever = z.output<typeof shape>;

const input = rule(
  shape,
  ['yokeHeightMm'],
  ({ yokeHeightMm, anchor }) => yokeHeightMm > anchor.upMm,
  'the wire would run down to its yoke: the yoke stands above where the wire is held',
);

export interface CantileverForce extends Judged<'balanced' | 'soft' | 'hard'> {
  /** The force at each pad for one newton of cable. */
  padForcePerCableN: number;
  /** Cable that is pulled for each millimetre that each pad moves. */
  cableMmPerPadMm: number;
}

const SOFT_UNDER = 0.7;
const HARD_OVER = 1.3;

const WORDS: Record<CantileverForce['verdict'], string> = {
  balanced: 'Force and travel are in balance.',
  soft: 'Little force, and little cable is needed: lower the yoke for more force.',
  hard: 'Strong, and much cable is needed: the lever may reach the bar. Raise the yoke.',
};

/**
 * What a cantilever makes of its cable, seen from the front, for each side.
 *
 * force per newton of cable = (a + b·(P + a)/(H − b)) / (2·p): the wire pulls up with half the cable, and inwards by its
 * slope; the arm turns about its pivot and presses with what is left of it at the height of the pad. What it gains in force it
 * takes in travel: cable per millimetre of each pad is twice that figure.
 *
 * Units: mm, N. Errors: a yoke that is not above where the wire is held. Source: statics of a lever. Example: P 40, a 30,
 * b 20, p 25, H 80 → 1.07, 2.13 mm of cable for each.
 */
function run({ pivotHalfSpacingMm, anchor, pad, yokeHeightMm }: Cantilever): CantileverForce {
  const slope = (pivotHalfSpacingMm + anchor.outMm) / (yokeHeightMm - anchor.upMm);
  const force = (anchor.outMm + anchor.upMm * slope) / (2 * pad.upMm);
  const verdict = !atLeast(force, SOFT_UNDER) ? 'soft' : moreThan(force, HARD_OVER) ? 'hard' : 'balanced';
  return {
    padForcePerCableN: force,
    cableMmPerPadMm: 2 * force,
    verdict,
    reasons: [WORDS[verdict]],
    working: [
      row('s', 'slope of the wire (P + a)/(H − b)', roundTo(slope, 3)),
      row('f', '(a + b·s)/(2·p)', roundTo(force, 3)),
      row('c', 'cable for each mm of a pad, 2·f', roundTo(2 * force, 2), 'mm'),
    ],
  };
}

export const brakesCantilever = defineCalculator({
  id: 'brakes.cantilever',
  title: 'What a cantilever makes of its cable',
  example: {
    pivotHalfSpacingMm: 40,
    anchor: { outMm: 30, upMm: 20 },
    pad: { inMm: 10, upMm: 25 },
    yokeHeightMm: 80,
  },
  input,
  run,
});
