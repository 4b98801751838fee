import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { roundTo } from '../numbers';
import { row, type Judged } from '../verdict';
import { BROKE_AT } from './brokeAt';
import { spokeSteps } from './data/spokeSteps';
import { crossings, flanges, rimRadiusMm, spokeCount } from './laced';
import { flangeOf, lengthMm, sideOf } from './spokes';

const shape = z.strictObject({
  spokes: spokeCount,
  crossings,
  mirrored: z._default(z.boolean(), false),
  rimRadiusMm,
  flanges,
  flangeHoleMm: z._default(z.number().check(z.gt(0), z.lte(6)), 2.5),
  spoke: z.number().check(z.multipleOf(1), z.gte(0), z.lte(47), z.describe('from the valve hole, the first is 0')),
  broke: z._default(z.enum(BROKE_AT), 'unknown'),
  /** How many of this wheel have broken, this one with them. */
  broken: z._default(z.number().check(z.multipleOf(1), z.gte(1), z.lte(48)), 1),
  blocked: z
    ._default(z.enum(['left', 'right', 'both', 'neither']), 'neither')
    .check(z.describe('sides where cogs or a disc are in the way')),
});
const input = rule(
  shape,
  ['spoke'],
  ({ spoke, spokes }) => spoke < spokes,
  ({ spokes }) => `there are ${spokes} spokes, the first is 0`,
);

export interface BrokenSpokeTold extends Judged<'renew' | 'rebuild'> {
  steps: { id: string; label: string; how: string; stop: string | null }[];
  side: 'left' | 'right';
  /** As reckoned, and what is bought: to the nearest millimetre. */
  lengthMm: number;
  buyMm: number;
  words: string;
}

const THIRD = 3;
const WHY: Record<(typeof BROKE_AT)[number], string> = {
  elbow:
    'Broken at the elbow: tired by too little tension, or badly bedded. Its neighbours of the same age are as tired.',
  thread: 'Broken at the thread: bent where it leaves the nipple, or rusted there.',
  middle: 'Broken in the middle: struck, or a chain was in it. Look for a nick in the others.',
  unknown: 'Look where it broke: at the elbow it was tired, in the middle it was struck.',
};

/**
 * How one broken spoke is renewed: which side, how long (√(R² + r² + w² − 2Rr·cos(720°·crossings/spokes)) less half the flange’s hole), the steps in
 * order, with cogs or disc off where they are in the way. The third of a wheel says rebuild.
 *
 * Units: mm, spokes from the valve hole. Errors: a spoke that there is not. Source: geometry; workshop consensus. Example: the third → rebuild.
 */
export const wheelsBrokenSpoke = defineCalculator({
  id: 'wheels.brokenSpoke',
  title: 'One broken spoke',
  example: {
    spokes: 36,
    crossings: 3,
    rimRadiusMm: 301,
    flanges: { leftRadiusMm: 22.5, rightRadiusMm: 22.5, leftOffsetMm: 35, rightOffsetMm: 20 },
    spoke: 7,
    blocked: 'right',
  },
  input,
  run({ broke, broken, blocked, spoke, flangeHoleMm, ...wheel }): BrokenSpokeTold {
    const side = sideOf(wheel, spoke);
    const length = lengthMm(wheel, flangeOf(wheel, side)) - flangeHoleMm / 2;
    const isBlocked = blocked === 'both' || blocked === side;
    const verdict = broken >= THIRD ? 'rebuild' : 'renew';
    const words =
      verdict === 'rebuild'
        ? `${broken} have broken: the others are as old. Rebuild it with new spokes, or another wheel.`
        : WHY[broke];
    return {
      steps: spokeSteps
        .filter(({ needs }) => needs === null || isBlocked)
        .map(({ id, label, how, stop }) => ({ id, label, how, stop })),
      side,
      lengthMm: length,
      buyMm: Math.round(length),
      words,
      verdict,
      reasons: [words],
      working: [row('l', 'reckoned', roundTo(length, 1), 'mm'), row('b', 'to buy', Math.round(length), 'mm')],
    };
  },
});
