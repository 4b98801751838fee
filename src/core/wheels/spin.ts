import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { mean, plainZero } from '../numbers';
import { readOff } from '../practice/wheel';
import { sufferingOf, WHEEL_FAULTS } from '../practice/wheelFaults';
import { remembered } from '../remembered';
import { crossings, flanges, rimRadiusMm, spokeCount } from './laced';
import { hiddenOf, withoutPushing } from './madeUp';
import { RIM_CLASSES, rimRow } from './wheelInfluence';

export const spinShape = z.strictObject({
  spokes: spokeCount,
  crossings,
  mirrored: z._default(z.boolean(), false),
  rimRadiusMm,
  flanges,
  rimClass: z
    .string()
    .check(z.refine((id) => RIM_CLASSES.includes(id), { error: `one of: ${RIM_CLASSES.join(', ')}` })),
  seed: z.number().check(z.multipleOf(1), z.gte(1), z.lte(2_147_483_647)),
  fault: z._default(z.enum(WHEEL_FAULTS), 'neglected'),
  made: z
    ._default(z.array(z.number().check(z.gte(-40), z.lte(40))).check(z.maxLength(48)), [])
    .check(z.describe('turns of each nipple since it came into the stand; none where it was not touched')),
  round: z._default(z.number().check(z.multipleOf(1), z.gte(0), z.lte(1000)), 0),
});
const input = rule(
  spinShape,
  ['made'],
  ({ made, spokes }) => made.length === 0 || made.length === spokes,
  ({ spokes }) => `one for each of the ${spokes} spokes, or none`,
);

export interface Spun {
  lateralMm: number[];
  radialMm: number[];
  tensionN: number[];
  /** The rim’s middle off the middle between the locknuts, + left. */
  dishMm: number;
  /** Nipples that do not turn, whatever is tried. */
  seized: number[];
}

/** A tenth of each turn is lost as the spoke winds up. */
const GETS = 0.9;
const LEAST_SHARE = 0.15;

const JOINT_MM = 0.8;
/** The joint of an old steel rim, opposite the valve: a lump that is narrower than any nipple makes one. */
function jointOf(spokes: number): { lateralMm: number[]; radialMm: number[] } {
  const at = spokes / 2;
  const lump = Array.from({ length: spokes }, (_, i) => JOINT_MM * Math.exp(-(((i - at) / 0.6) ** 2)));
  return { lateralMm: lump, radialMm: lump.map(() => 0) };
}

type Of = Omit<z.output<typeof spinShape>, 'made' | 'round'>;

/** A made-up wheel with its nipples as its fault has them; how stiff it really is hangs on its seed. */
const madeUp = remembered(({ seed, fault, ...of }: Of) => {
  const { turns, tightShare, bent, seized } = sufferingOf(fault, seed, of.spokes);
  const { wheel, usualN } = hiddenOf(of, 0.75 + ((seed * 7919) % 100) / 200, tightShare);
  const joint = rimRow(of.rimClass, of.rimRadiusMm).material === 'steel' ? jointOf(of.spokes) : null;
  const least = LEAST_SHARE * Math.min(usualN.left, usualN.right);
  return { wheel, turns: withoutPushing(wheel, turns, least), bent: bent ?? joint, seized };
}, 4);

/** The wheel that a question is of, before anything was made of it. */
export const spun = ({ made: _made, round: _round, ...of }: z.output<typeof spinShape>) => madeUp(of);

/**
 * A made-up wheel spun past a dial gauge and squeezed by a tension meter, with the turns that were made of it: the stand-in for a real
 * one. Deterministic in its seed and round. Its physics are not the adviser's.
 *
 * Units: mm, N, turns. Errors: a wheel that cannot be. Source: invented. Example: with nothing made it reads as it was neglected.
 */
export const wheelsSpin = defineCalculator({
  id: 'wheels.spin',
  title: 'A made-up wheel, spun',
  lane: 'long',
  example: {
    spokes: 32,
    crossings: 3,
    rimRadiusMm: 300,
    flanges: { leftRadiusMm: 19, rightRadiusMm: 19, leftOffsetMm: 35, rightOffsetMm: 35 },
    rimClass: 'double-wall box alloy',
    seed: 7,
  },
  input,
  run({ made, round, ...of }): Spun {
    const { wheel, turns, bent, seized } = madeUp(of);
    const stands = wheel.stands(
      turns.map((each, i) => each + (seized.includes(i) ? 0 : GETS * (made[i] ?? 0))),
      bent,
    );
    const read = readOff(stands, of.seed, round);
    const hundredths = (each: number) => plainZero(Math.round(each * 100) / 100);
    const side = of.mirrored ? -1 : 1;
    return {
      lateralMm: read.lateralMm.map((each) => hundredths(side * each)),
      radialMm: read.radialMm.map((each) => hundredths(each)),
      tensionN: read.tensionN.map((each) => Math.round(each / 10) * 10),
      dishMm: hundredths(side * mean(stands.lateralMm)),
      seized,
    };
  },
});
