import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { lengthMm } from '../fields';
import { atLeast, floorForgiving, plainZero, roundTo } from '../numbers';
import { row, type WorkingRow } from '../verdict';
import { ballSets } from '../balls/data/ballSets';

const MIN_GAP_SHARE = 0.1;
const FEWEST_BALLS = 3;

const shape = z
  .strictObject({
    pitchDiameterMm: z.optional(lengthMm.check(z.lte(1000))).check(z.describe('circle through the ball centres')),
    overBallsMm: z.optional(lengthMm.check(z.lte(1000))).check(z.describe('over two opposite balls from outside')),
    ballDiameterMm: lengthMm.check(z.gte(0.5), z.lte(50)),
  })
  .check(z.describe('Exactly one of pitchDiameterMm and overBallsMm; the circle must hold three balls or more.'));

type Shape = z.output<typeof shape>;

const circle = (v: Shape) => v.pitchDiameterMm ?? v.overBallsMm! - v.ballDiameterMm;

let input = rule(
  shape,
  ['overBallsMm'],
  (v) => !(v.pitchDiameterMm !== undefined && v.overBallsMm !== undefined),
  'give the ball circle or the size over two balls, not both',
);
input = rule(
  input,
  [],
  (v) => v.pitchDiameterMm !== undefined || v.overBallsMm !== undefined,
  'measure over two opposite balls from outside, or give the ball circle',
);
input = rule(
  input,
  ['ballDiameterMm'],
  (v) => {
    const ratio = v.ballDiameterMm / circle(v);
    if (Number.isNaN(ratio)) return true;
    return ratio > 0 && ratio <= 1 && atLeast(Math.PI / Math.asin(ratio), FEWEST_BALLS);
  },
  (v) =>
    `balls of ${v.ballDiameterMm} mm do not fit on a circle of ${roundTo(circle(v), 2)} mm three times: measure again`,
);

export interface BallCount {
  exact: number;
  full: number;
  use: number;
  gapMm: number;
  /** Rows of the table with this ball whose usual count fits here: a prompt, never an objection. */
  usual: { place: string; machineClass: string; count: number }[];
  working: WorkingRow[];
}

/**
 * How many balls a circle holds.
 *
 * exact = π/asin(d/D); full = floor(exact); gap for n balls = π·D − n·D·asin(d/D);
 * use = the most balls that leave at least 0.1·d. From over two opposite balls: D = over − d.
 *
 * Units: mm. Errors: neither or both of the circle's measures, balls that do not fit. Source: geometry.
 * Example: 3/16 in balls on a 16.2 mm circle: ten, with 2.6 mm of room.
 */
function run(problem: Shape): BallCount {
  const D = circle(problem);
  const d = problem.ballDiameterMm;
  const half = Math.asin(Math.min(1, d / D));
  const gapFor = (n: number) => Math.PI * D - n * D * half;
  const exact = Math.PI / half;
  const full = floorForgiving(exact);
  const use = atLeast(gapFor(full), MIN_GAP_SHARE * d) ? full : full - 1;
  const gapMm = Math.max(0, plainZero(gapFor(use)));
  return {
    exact,
    full,
    use,
    gapMm,
    usual: ballSets
      .filter(
        (set) =>
          set.countUsual !== null &&
          Math.abs(set.ballDiameterMm - d) < 0.05 &&
          set.pitchDiameterMm !== null &&
          Math.abs(set.pitchDiameterMm - D) < 2,
      )
      .map((set) => ({ place: set.place, machineClass: set.machineClass, count: set.countUsual! })),
    working: [
      row('D', 'ball circle', roundTo(D, 3), 'mm'),
      row('d', 'ball', d, 'mm'),
      row('n', 'exact = π/asin(d/D)', roundTo(exact, 3)),
      row('u', `most balls that leave 0.1·d = ${roundTo(MIN_GAP_SHARE * d, 2)} mm`, use),
      row('g', 'gap = π·D − u·D·asin(d/D)', roundTo(gapMm, 3), 'mm'),
    ],
  };
}

export const bearingsBallCount = defineCalculator({
  id: 'bearings.ballCount',
  title: 'How many balls the cup holds',
  example: { pitchDiameterMm: 16.2, ballDiameterMm: 4.762 },
  input,
  run,
});
