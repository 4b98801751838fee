import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { HiddenWheel, neglected, readOff } from '../practice/wheel';
import { remembered } from '../remembered';
import { crossings, flanges, rimRadiusMm, spokeCount } from './laced';
import { ratioOf } from './tensionRatio';
import { RIM_CLASSES, rimOf, rimRow } from './wheelInfluence';

const shape = z.strictObject({
  spokes: spokeCount,
  crossings,
  mirrored: z._default(z.boolean(), false),
  rimRadiusMm,
  flanges,
  rimClass: z
    .string()
    .check(z.refine((id) => RIM_CLASSES.includes(id), { error: `one of: ${RIM_CLASSES.join(', ')}` })),
  seed: z.number().check(z.multipleOf(1), z.gte(1), z.lte(2_147_483_647)),
  made: z
    ._default(z.array(z.number().check(z.gte(-40), z.lte(40))).check(z.maxLength(48)), [])
    .check(z.describe('turns of each nipple since it came into the stand; none where it was not touched')),
  round: z._default(z.number().check(z.multipleOf(1), z.gte(0), z.lte(1000)), 0),
});
const input = rule(
  shape,
  ['made'],
  ({ made, spokes }) => made.length === 0 || made.length === spokes,
  ({ spokes }) => `one for each of the ${spokes} spokes, or none`,
);

export interface Spun {
  lateralMm: number[];
  radialMm: number[];
  tensionN: number[];
}

/** A tenth of each turn is lost as the spoke winds up. */
const GETS = 0.9;
/** A spoke pushes nothing: a wheel so far out that one would is a little less so. */
const LEAST_SHARE = 0.15;
const MOST_TIMES = 40;

type Of = Omit<z.output<typeof shape>, 'made' | 'round'>;

/** A made-up wheel with its nipples as it was neglected; how stiff it really is hangs on its seed. */
const madeUp = remembered(({ seed, mirrored, rimClass, ...of }: Of) => {
  const rim = rimOf(rimClass, of.rimRadiusMm, 0.75 + ((seed * 7919) % 100) / 200);
  const row = rimRow(rimClass, of.rimRadiusMm);
  const tight = (row.tensionMinN + row.tensionMaxN) / 2;
  const { leftRadiusMm, rightRadiusMm, leftOffsetMm, rightOffsetMm } = of.flanges;
  const own = mirrored
    ? {
        leftRadiusMm: rightRadiusMm,
        rightRadiusMm: leftRadiusMm,
        leftOffsetMm: rightOffsetMm,
        rightOffsetMm: leftOffsetMm,
      }
    : of.flanges;
  const isLeftTight = own.leftOffsetMm < own.rightOffsetMm;
  const other = tight * ratioOf({ ...of, flanges: own, mirrored: false }, isLeftTight ? 'left' : 'right');
  const wheel = new HiddenWheel({
    ...of,
    flanges: own,
    spokeDiameterMm: 2,
    pitchMm: 0.4536,
    sidewaysNmm2: rim.lateralNmm2,
    inPlaneNmm2: rim.radialNmm2,
    twistNmm2: rim.twistNmm2,
    stretchN: rim.stretchN,
    leftN: isLeftTight ? tight : other,
    rightN: isLeftTight ? other : tight,
  });
  let turns = neglected(seed, of.spokes);
  const least = LEAST_SHARE * Math.min(wheel.spec.leftN, wheel.spec.rightN);
  for (let i = 0; i < MOST_TIMES && Math.min(...wheel.stands(turns).tensionN) < least; i++)
    turns = turns.map((each) => 0.8 * each);
  return { wheel, turns };
}, 4);

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
    const { wheel, turns } = madeUp(of);
    const stands = wheel.stands(turns.map((each, i) => each + GETS * (made[i] ?? 0)));
    const read = readOff(stands, of.seed, round);
    const hundredths = (each: number) => Math.round(each * 100) / 100;
    const side = of.mirrored ? -1 : 1;
    return {
      lateralMm: read.lateralMm.map((each) => hundredths(side * each) + 0),
      radialMm: read.radialMm.map((each) => hundredths(each) + 0),
      tensionN: read.tensionN.map((each) => Math.round(each / 10) * 10),
    };
  },
});
