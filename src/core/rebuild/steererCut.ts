import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { lengthMm } from '../fields';
import { atLeast, moreThan, roundTo } from '../numbers';
import { row, type Judged } from '../verdict';

const length = lengthMm.check(z.lte(600));
const stack = z.number().check(z.gte(0), z.lte(300));

const input = z.strictObject({
  headTubeMm: length,
  headsetStackMm: stack.check(z.describe('what the headset adds above and below the head tube')),
  spacersBelowMm: stack,
  stemClampMm: length.check(z.lte(120)),
  spacersAboveMm: z._default(stack, 0),
  gapMm: z._default(z.number().check(z.gte(0), z.lte(10), z.describe('from the steerer to the cap')), 3),
  steererMm: length,
  material: z.enum(['steel', 'aluminium', 'titanium', 'carbon']),
});
export type SteererCutInput = z.input<typeof input>;

export interface SteererCut extends Judged<'cut' | 'leave' | 'needs-fewer-spacers' | 'too-short'> {
  neededMm: number;
  /** What comes off; below zero what is wanting. */
  cutMm: number;
}

/** Nobody saws nearer, and nobody needs it. */
const WITHIN_MM = 1;
/** What fewer spacers still mend. */
const MENDED_BY_SPACERS_MM = 5;

const ALWAYS = [
  'Once cut it stays cut: the height of the bar is settled first, and it is measured with the fork in.',
  'Keep a spacer above the stem until the rider has ridden it.',
];
const CARBON = [
  'Carbon: through the whole clamp, with a spacer above it unless its paper says otherwise.',
  'Guide and fine blade, never a pipe cutter; the dust is not breathed; by a qualified hand.',
];

function verdictOf(cutMm: number): SteererCut['verdict'] {
  if (moreThan(cutMm, WITHIN_MM)) return 'cut';
  if (atLeast(cutMm, -WITHIN_MM)) return 'leave';
  return atLeast(cutMm, -MENDED_BY_SPACERS_MM) ? 'needs-fewer-spacers' : 'too-short';
}

function wordsOf(verdict: SteererCut['verdict'], cutMm: number): string {
  const mm = roundTo(Math.abs(cutMm), 1);
  switch (verdict) {
    case 'cut':
      return `${mm} mm come off.`;
    case 'leave':
      return 'It is right as it is, within a millimetre.';
    case 'needs-fewer-spacers':
      return `${mm} mm are wanting: that much less in spacers.`;
    case 'too-short':
      return `${mm} mm are wanting: the fork is too short for this stack.`;
  }
}

/**
 * How long a threadless steerer has to be, and what comes off.
 *
 * needed = head tube + headset stack + spacers below + clamp + spacers above − gap; cut = steerer − needed. Over 1 mm is cut,
 * ±1 mm left, 1 to 5 mm short mended by fewer spacers, more is too short.
 *
 * Units: mm. Errors: lengths below zero or past any bicycle. Source: geometry; workshop consensus. Example: 150 + 25 + 20 + 40
 * − 3 = 232 mm needed of 260: 28 mm come off.
 */
function run(stackOf: z.output<typeof input>): SteererCut {
  const { headTubeMm, headsetStackMm, spacersBelowMm, stemClampMm, spacersAboveMm, gapMm, steererMm } = stackOf;
  const neededMm = headTubeMm + headsetStackMm + spacersBelowMm + stemClampMm + spacersAboveMm - gapMm;
  const cutMm = steererMm - neededMm;
  const verdict = verdictOf(cutMm);
  return {
    neededMm,
    cutMm,
    verdict,
    reasons: [wordsOf(verdict, cutMm), ...ALWAYS, ...(stackOf.material === 'carbon' ? CARBON : [])],
    working: [
      row('h', 'head tube', headTubeMm, 'mm'),
      row('s', 'headset above and below it', headsetStackMm, 'mm'),
      row('b', 'spacers below the stem', spacersBelowMm, 'mm'),
      row('c', 'clamp of the stem', stemClampMm, 'mm'),
      row('a', 'spacers above it', spacersAboveMm, 'mm'),
      row('g', 'gap to the cap', gapMm, 'mm'),
      row('n', 'needed = h + s + b + c + a − g', roundTo(neededMm, 1), 'mm'),
      row('x', 'comes off = steerer − n', roundTo(cutMm, 1), 'mm'),
    ],
  };
}

export const rebuildSteererCut = defineCalculator({
  id: 'rebuild.steererCut',
  title: 'How long a steerer has to be, and what comes off',
  example: {
    headTubeMm: 150,
    headsetStackMm: 25,
    spacersBelowMm: 20,
    stemClampMm: 40,
    steererMm: 260,
    material: 'aluminium',
  },
  input,
  run,
});
