import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { atLeast, roundTo } from '../numbers';
import { row, type Judged } from '../verdict';
import { BRAKED_ON } from './brakedOn';
import { grips } from './data/usual';

const input = z.strictObject({
  handN: z.number().check(z.gt(0), z.lte(400), z.describe('60 is a firm squeeze with two fingers')),
  leverRatio: z.number().check(z.gte(1), z.lte(12), z.describe('cable force over hand force')),
  bendsDeg: z.number().check(z.gte(0), z.lte(1440), z.describe('all bends of the outer added up')),
  mu: z._default(z.number().check(z.gte(0), z.lte(0.6)), 0.1).check(z.describe('friction of the inner in its outer')),
  armRatio: z
    .number()
    .check(z.gt(0), z.lte(80), z.describe('force of both pads over that of the cable; twice a cantilever’s figure')),
  pullMm: z.number().check(z.gt(0), z.lte(60), z.describe('cable that the lever pulls before the bar')),
  padTravelMm: z.number().check(z.gt(0), z.lte(20), z.describe('of each pad, from rest to the rim')),
  on: z._default(z.enum(BRAKED_ON), 'aluminium').check(z.describe('what the pads work on')),
});
export type HandToPad = z.input<typeof input>;

export interface HandToPadForce extends Judged<'works' | 'to-the-bar' | 'weak'> {
  efficiency: number;
  padN: number;
  cableNeededMm: number;
  takesUp: boolean;
  /** What this brake alone slows a rider with a bicycle by, roughly: dry, and wet. */
  slowsMs2: { dry: number; wet: number };
}

/** What both pads press with at a firm squeeze, from where on a brake is called strong enough. */
const LEAST = { padN: 150, handN: 60 };
/** A rider with a bicycle. */
const MASS_KG = 90;
/** Beyond this a rider goes over the bars, or the rear wheel slides. */
const MOST_MS2 = 6;

/**
 * From hand to pad by cable: what the bends leave of the force, what lever and arms make of it, and whether the lever pulls
 * as much cable as the pads need.
 *
 * efficiency = e^(−µ·bends in radians), the capstan equation; pads = hand · lever · efficiency · arms; cable needed = pad
 * travel · arms. Under 150 N at a squeeze of 60 N, in proportion, it is weak. What it slows by = grip · pads · share of the
 * wheel's radius / 90 kg, 6 m/s² at most: rough, by what the pads work on.
 *
 * Units: N, mm, degrees. Errors: none beyond the bounds. Source: the capstan equation; rule of thumb for the least. Example: 450° at
 * µ 0.1 leave 0.456 of the force.
 */
function run({
  handN,
  leverRatio,
  bendsDeg,
  mu,
  armRatio,
  pullMm,
  padTravelMm,
  on,
}: z.output<typeof input>): HandToPadForce {
  const efficiency = Math.exp((-mu * bendsDeg * Math.PI) / 180);
  const padN = handN * leverRatio * efficiency * armRatio;
  const cableNeededMm = padTravelMm * armRatio;
  const takesUp = atLeast(pullMm, cableNeededMm);
  const strong = atLeast(padN, (LEAST.padN * handN) / LEAST.handN);
  const verdict = !takesUp ? 'to-the-bar' : strong ? 'works' : 'weak';
  const match = armRatio * padTravelMm > pullMm * 1.25;
  const grip = grips.get(on)!;
  const slows = (held: number) => Math.min(MOST_MS2, (held * padN * grip.radiusShare) / MASS_KG);
  const slowsMs2 = { dry: slows(grip.dry), wet: slows(grip.wet) };
  return {
    efficiency,
    padN,
    cableNeededMm,
    takesUp,
    slowsMs2,
    verdict,
    reasons: [
      {
        works: 'It takes up before the bar, and presses hard enough.',
        'to-the-bar': `The pads need ${roundTo(cableNeededMm, 1)} mm of cable, and the lever pulls ${roundTo(pullMm, 1)}: it comes to the bar.`,
        weak: 'It takes up, and presses weakly: fewer bends, a clean cable, or a lever that pulls less cable with more force.',
      }[verdict],
      ...(match ? ['Lever and brake do not match in pull: this brake wants a lever that pulls more cable.'] : []),
      ...(verdict === 'weak' && pullMm > 2 * cableNeededMm
        ? ['Lever and brake do not match in pull: this lever pulls far more than the brake needs.']
        : []),
    ],
    working: [
      row('e', `e^(−${mu}·${bendsDeg}°)`, roundTo(efficiency, 3)),
      row('F', 'hand · lever · e · arms', roundTo(padN, 0), 'N'),
      row('c', 'cable needed = travel · arms', roundTo(cableNeededMm, 1), 'mm'),
      row('p', 'cable that the lever pulls', pullMm, 'mm'),
      row(
        'a',
        `${roundTo(grip.dry * grip.radiusShare, 3)}·F/${MASS_KG} kg, dry, this brake alone`,
        roundTo(slowsMs2.dry, 1),
        'm/s²',
      ),
      row('w', `${roundTo(grip.wet * grip.radiusShare, 3)}·F/${MASS_KG} kg, wet`, roundTo(slowsMs2.wet, 1), 'm/s²'),
    ],
  };
}

export const brakesChain = defineCalculator({
  id: 'brakes.chain',
  title: 'From hand to pad by cable',
  example: { handN: 60, leverRatio: 4, bendsDeg: 200, armRatio: 2.2, pullMm: 14, padTravelMm: 3 },
  input,
  run,
});
