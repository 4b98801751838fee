import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { atLeast, plainZero, roundTo } from '../numbers';
import { row, type Judged } from '../verdict';
import { wearLimits } from './data/wearLimits';

const input = z.strictObject({
  where: z._default(z.enum(['hub', 'headset']), 'hub'),
  movementMm: z.number().check(z.gte(0), z.lte(50), z.describe('from stop to stop, where it is read')),
  leverMm: z
    .number()
    .check(z.gt(0), z.lte(1000), z.describe('from the middle between the bearings to where it is read')),
  spanMm: z.number().check(z.gt(0), z.lte(400), z.describe('between the two rows of balls')),
  circleMm: z
    ._default(z.number().check(z.gte(0), z.lte(200)), 0)
    .check(
      z.describe('diameter of the circle of balls, where rows of cup and cone stand back to back; 0 for deep grooves'),
    ),
  contactDeg: z
    ._default(z.number().check(z.gte(15), z.lte(75)), 45)
    .check(z.describe('contact angle from the plane of the balls')),
  pitchMm: z._default(z.number().check(z.gt(0), z.lte(3)), 1).check(z.describe('pitch of the cone or cup thread')),
});

export interface RimPlay extends Judged<'none' | 'slight' | 'clear'> {
  radialMm: number;
  axialMm: number;
  turnDeg: number;
}

/**
 * What a rock at the rim is at the bearing. Rows of cup and cone stand back to back: their lines of contact meet the axle
 * outside the balls, so that two rows a span L apart on a circle D hold like two points L + D·tan α apart. With a diametral
 * clearance p the rim moves s = 2·R·p/(L + D·tan α). Along the axle the same clearance is p/tan α for a contact angle α
 * measured from the plane of the balls: that is how far the cone has to come in.
 *
 * Units: mm, degrees. Errors: a negative movement, no span. Source: geometry of a pair of angular contact rows.
 * Example: 1 mm at the rim of a 311 mm radius over a span of 54 mm on a circle of 21 mm → 0.12 mm at the bearing.
 */
function run({ where, movementMm, leverMm, spanMm, circleMm, contactDeg, pitchMm }: z.output<typeof input>): RimPlay {
  const tan = Math.tan((contactDeg * Math.PI) / 180);
  const baseMm = spanMm + circleMm * tan;
  const radialMm = (movementMm * baseMm) / (2 * leverMm);
  const axialMm = radialMm / tan;
  const turnDeg = (360 * axialMm) / pitchMm;
  const limits = wearLimits.find((line) => line.part === 'hub bearing' && line.check === 'rock at the rim')!;
  const verdict =
    movementMm === 0
      ? 'none'
      : where === 'hub'
        ? atLeast(movementMm, limits.thresholdRenew!)
          ? 'clear'
          : atLeast(movementMm, limits.thresholdWarn!)
            ? 'slight'
            : 'none'
        : 'clear';
  const reasons = [
    verdict === 'none'
      ? movementMm === 0
        ? 'No rock.'
        : `${roundTo(movementMm, 2)} mm at the rim is under ${limits.thresholdWarn} mm: the give of spokes and hand.`
      : where === 'headset'
        ? 'A headset should not rock at all.'
        : `${roundTo(movementMm, 2)} mm at the rim is about ${roundTo(radialMm, 2)} mm at the bearing, ${roundTo(turnDeg, 0)}° of a cone with ${roundTo(pitchMm, 2)} mm of pitch.`,
    ...(verdict === 'none' ? [] : ['Make sure that it is the bearing, and not slack spokes or the axle nuts.']),
  ];
  return {
    radialMm: roundTo(radialMm, 6),
    axialMm: roundTo(axialMm, 6),
    turnDeg: plainZero(roundTo(turnDeg, 3)),
    verdict,
    reasons,
    working: [
      row('s', 'movement, stop to stop', roundTo(movementMm, 3), 'mm'),
      row('R', 'lever', roundTo(leverMm, 1), 'mm'),
      row('L', 'span between the rows', roundTo(spanMm, 1), 'mm'),
      row('D', 'circle of the balls', roundTo(circleMm, 1), 'mm'),
      row('B', `base L + D·tan ${roundTo(contactDeg, 0)}°`, roundTo(baseMm, 1), 'mm'),
      row('p', 'clearance at the bearing s·B/(2R)', roundTo(radialMm, 4), 'mm'),
      row('x', `along the axle p/tan ${roundTo(contactDeg, 0)}°`, roundTo(axialMm, 4), 'mm'),
      row('φ', 'turn of the cone 360·x/pitch', roundTo(turnDeg, 1), '°'),
    ],
  };
}

export const inspectRimPlay = defineCalculator({
  id: 'inspect.rimPlay',
  title: 'What a rock at the rim is at the bearing',
  example: { movementMm: 1, leverMm: 311, spanMm: 60 },
  input,
  run,
});
