import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { moreThan, roundTo } from '../numbers';
import { row, type Judged } from '../verdict';

export const SITTING = ['upright', 'touring', 'sporting'] as const;
export type Sitting = (typeof SITTING)[number];

const depth = z.number().check(z.gt(0), z.lte(500));
const shape = z.strictObject({
  insideLegMm: z
    .number()
    .check(z.gte(400), z.lte(1100), z.describe('floor to crotch, barefoot, a book pulled up hard between the legs')),
  heightMm: z.optional(z.number().check(z.gte(1000), z.lte(2300))),
  forearmMm: z
    .optional(z.number().check(z.gte(250), z.lte(650)))
    .check(z.describe('elbow to the tips of the fingers; from the height where it is not given')),
  crankMm: z._default(z.number().check(z.gte(90), z.lte(200)), 170),
  sitting: z._default(z.enum(SITTING), 'touring'),
  bracketHeightMm: z
    ._default(z.number().check(z.gte(150), z.lte(400)), 270)
    .check(z.describe('the middle of the crank over the ground')),
  post: z.optional(
    z.strictObject({
      saddleMm: z.number().check(z.gte(200), z.lte(1100), z.describe('as the saddle stands now, over the crank')),
      insertedMm: depth,
      minimumMm: z.nullable(depth),
    }),
  ),
});

const input = rule(
  shape,
  ['insideLegMm'],
  ({ insideLegMm, heightMm }) =>
    heightMm === undefined || (insideLegMm >= 0.38 * heightMm && insideLegMm <= 0.56 * heightMm),
  'no leg is that long for this height: measure again from the floor, barefoot',
);
export type PositionInput = z.input<typeof input>;

/** Crank to saddle as a share of the inside leg, for cranks of 170 mm; a longer crank lowers the saddle by as much. */
const SADDLE_SHARE = 0.883;
const USUAL_CRANK_MM = 170;
/** Riders stray this far from the rule, and still sit well. */
const SADDLE_WITHIN_MM = 12;
const OTHERS_WITHIN_MM = 25;
/** The usual angle of a seat tube, and from the nose of a saddle back to where one sits. */
const SEAT_ANGLE_DEG = 73;
const NOSE_TO_SEAT_MM = 140;
/** Elbow to fingertips, as a share of the height of grown people, and the height by the inside leg. */
const FOREARM_SHARE = 0.262;
const INSIDE_LEG_SHARE = 0.47;
/** What is added to the forearm from nose to bar, and the bar over the saddle, by how one sits. */
const BY_SITTING: Record<Sitting, { addedMm: number; barOverMm: number }> = {
  upright: { addedMm: 15, barOverMm: 60 },
  touring: { addedMm: 55, barOverMm: 0 },
  sporting: { addedMm: 85, barOverMm: -50 },
};

export interface Position extends Judged<'reckoned' | 'post-too-short'> {
  saddleHeightMm: number;
  saddleSetbackMm: number;
  reachMm: number;
  barHeightMm: number;
  withinMm: { saddle: number; others: number };
  /** How deep the post would stand; null where nobody measured it. */
  insertedMm: number | null;
}

/**
 * Where a rider would begin to sit: rules of thumb from the inside leg, the forearm and how one sits. Where the post was measured, how deep it would
 * then stand.
 *
 * saddle = 0.883·leg − (crank − 170), from the middle of the crank; its nose behind the crank = saddle·cos 73° − 140; nose to
 * bar = forearm + 15 / 55 / 85; bar over the ground = bracket + saddle·sin 73° + 60 / 0 / −50 (upright, touring, sporting).
 *
 * Units: mm. Errors: a leg that does not go with its height. Source: rules of thumb of fitting; a place to begin from.
 * Example: an inside leg of 840 mm → 742 mm, nose 77 mm behind the crank.
 */
function run({
  insideLegMm,
  heightMm,
  forearmMm,
  crankMm,
  sitting,
  bracketHeightMm,
  post,
}: z.output<typeof shape>): Position {
  const angle = (SEAT_ANGLE_DEG * Math.PI) / 180;
  const saddle = SADDLE_SHARE * insideLegMm - (crankMm - USUAL_CRANK_MM);
  const forearm = forearmMm ?? FOREARM_SHARE * (heightMm ?? insideLegMm / INSIDE_LEG_SHARE);
  const { addedMm, barOverMm } = BY_SITTING[sitting];
  const insertedMm = post ? post.insertedMm - (saddle - post.saddleMm) : null;
  const leastMm = post?.minimumMm ?? null;
  const short = insertedMm !== null && leastMm !== null && moreThan(leastMm, insertedMm);
  const figure = (mm: number) => roundTo(mm, 0);
  return {
    saddleHeightMm: figure(saddle),
    saddleSetbackMm: figure(saddle * Math.cos(angle) - NOSE_TO_SEAT_MM),
    reachMm: figure(forearm + addedMm),
    barHeightMm: figure(bracketHeightMm + saddle * Math.sin(angle) + barOverMm),
    withinMm: { saddle: SADDLE_WITHIN_MM, others: OTHERS_WITHIN_MM },
    insertedMm: insertedMm === null ? null : figure(insertedMm),
    verdict: short ? 'post-too-short' : 'reckoned',
    reasons: [
      ...(short
        ? [
            `The post would stand ${figure(insertedMm)} mm deep, and its mark asks for ${figure(leastMm)}: a longer post, or the frame is too small.`,
          ]
        : insertedMm !== null
          ? [`The post would stand ${figure(insertedMm)} mm deep.`]
          : []),
      'A place to begin from. Heel on the pedal at its lowest: the leg just straight, the hips still. Then the rider rides it.',
      ...(forearmMm === undefined ? ['The reach goes by the height: measure the forearm for a better one.'] : []),
    ],
    working: [
      row('l', 'inside leg', insideLegMm, 'mm'),
      row('h', `saddle = ${SADDLE_SHARE}·l − (crank − ${USUAL_CRANK_MM})`, figure(saddle), 'mm'),
      row(
        'b',
        `nose = h·cos ${SEAT_ANGLE_DEG}° − ${NOSE_TO_SEAT_MM}`,
        figure(saddle * Math.cos(angle) - NOSE_TO_SEAT_MM),
        'mm',
      ),
      row('f', 'forearm', figure(forearm), 'mm'),
      row('r', `nose to bar = f + ${addedMm}`, figure(forearm + addedMm), 'mm'),
      row(
        'B',
        `bar = ${bracketHeightMm} + h·sin ${SEAT_ANGLE_DEG}° + ${barOverMm}`,
        figure(bracketHeightMm + saddle * Math.sin(angle) + barOverMm),
        'mm',
      ),
    ],
  };
}

export const rebuildPosition = defineCalculator({
  id: 'rebuild.position',
  title: 'Where a rider would begin to sit',
  example: { insideLegMm: 840 },
  input,
  run,
});
