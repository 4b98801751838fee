import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { roundTo } from '../numbers';
import { row, type WorkingRow } from '../verdict';
import { crossings, flanges, rimRadiusMm, spokeCount } from './laced';
import { flangeOf, lengthMm, type Laced } from './spokes';

const input = z.strictObject({
  flanges,
  rimRadiusMm,
  spokes: spokeCount,
  crossings,
  driveSide: z._default(z.enum(['left', 'right']), 'right'),
  driveN: z.number().check(z.gt(0), z.lte(3000)),
});

/** What dish leaves the other side of what one side has: (wd/ld)/(wo/lo). */
export function ratioOf(wheel: Laced, from: 'left' | 'right'): number {
  const share = (side: 'left' | 'right') => flangeOf(wheel, side).offsetMm / lengthMm(wheel, flangeOf(wheel, side));
  return share(from) / share(from === 'left' ? 'right' : 'left');
}

/**
 * What dish leaves the other side: the pulls sideways have to be equal, so other = drive·(wd/ld)/(wo/lo), w the offset and l the
 * length of a spoke of that side.
 *
 * Units: mm, N. Errors: an odd number of spokes, flanges without offset. Source: balance of forces along the axle. Example: offsets
 * 37.5 and 17.5, circles of 22.5, rim 300, 32 crossed three times, 950 N on the right → 446 N on the left.
 */
export const wheelsTensionRatio = defineCalculator({
  id: 'wheels.tensionRatio',
  title: 'What dish leaves the other side',
  example: {
    flanges: { leftRadiusMm: 22.5, rightRadiusMm: 22.5, leftOffsetMm: 37.5, rightOffsetMm: 17.5 },
    rimRadiusMm: 300,
    spokes: 32,
    crossings: 3,
    driveN: 950,
  },
  input,
  run({ driveSide, driveN, ...wheel }): { otherN: number; share: number; working: WorkingRow[] } {
    const share = ratioOf({ ...wheel, mirrored: false }, driveSide);
    return {
      otherN: driveN * share,
      share,
      working: [row('o', 'drive · (wd/ld)/(wo/lo)', roundTo(driveN * share, 0), 'N')],
    };
  },
});
