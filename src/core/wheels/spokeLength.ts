import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { roundTo } from '../numbers';
import { row, type WorkingRow } from '../verdict';
import { crossings, spokeCount } from './laced';

const shape = z.strictObject({
  rimDiameterMm: z.number().check(z.gte(240), z.lte(700), z.describe('where the nipple sits')),
  holeCircleMm: z.number().check(z.gte(10), z.lte(240)),
  flangeOffsetMm: z.number().check(z.gte(0), z.lte(80)),
  flangeHoleMm: z._default(z.number().check(z.gt(0), z.lte(6)), 2.5),
  spokes: spokeCount,
  crossings,
});
const input = rule(
  rule(
    shape,
    ['holeCircleMm'],
    ({ holeCircleMm, rimDiameterMm }) => holeCircleMm < rimDiameterMm,
    'the hub is wider than its rim',
  ),
  ['crossings'],
  // Beyond a quarter turn a spoke would run back over the hub.
  ({ crossings: crossed, spokes }) => (720 * crossed) / spokes <= 100,
  ({ spokes }) => `so few spokes as ${spokes} are not crossed so often`,
);

/**
 * How long a spoke has to be: √(R² + r² + w² − 2Rr·cos(720°·crossings/spokes)) less half the hole that its elbow sits in.
 *
 * Units: mm. Errors: a hub wider than its rim, more crossings than the hub has room for. Source: geometry. Example: rim 602, circle 45, offset 35, 36 crossed
 * three times → 292.2 mm.
 */
export const wheelsSpokeLength = defineCalculator({
  id: 'wheels.spokeLength',
  title: 'How long a spoke has to be',
  example: { rimDiameterMm: 602, holeCircleMm: 45, flangeOffsetMm: 35, spokes: 36, crossings: 3 },
  input,
  run({ rimDiameterMm, holeCircleMm, flangeOffsetMm, flangeHoleMm, spokes, crossings: crossed }): {
    lengthMm: number;
    working: WorkingRow[];
  } {
    const [R, r] = [rimDiameterMm / 2, holeCircleMm / 2];
    const angle = (4 * Math.PI * crossed) / spokes;
    const whole = Math.sqrt(R ** 2 + r ** 2 + flangeOffsetMm ** 2 - 2 * R * r * Math.cos(angle));
    const lengthMm = whole - flangeHoleMm / 2;
    return {
      lengthMm,
      working: [
        row('s', '√(R² + r² + w² − 2Rr·cos a)', roundTo(whole, 2), 'mm'),
        row('l', 's less half the flange’s hole', roundTo(lengthMm, 1), 'mm'),
      ],
    };
  },
});
