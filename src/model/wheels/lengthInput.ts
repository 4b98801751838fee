import type { QuestionOf } from '@/core/questions';
import type { WheelBuild } from './part';

/** The question for `wheels.spokeLength` of a side. */
export function lengthInput(build: WheelBuild, side: 'left' | 'right'): QuestionOf<'wheels.spokeLength'> {
  const { spokes, crossings, rimRadiusMm } = build;
  return {
    spokes,
    crossings,
    rimDiameterMm: 2 * rimRadiusMm,
    holeCircleMm: 2 * (side === 'left' ? build.leftRadiusMm : build.rightRadiusMm),
    flangeOffsetMm: side === 'left' ? build.leftOffsetMm : build.rightOffsetMm,
  };
}

/** One of each length lies in the drawer for the next one that breaks. */
const SPARE = 1;

/** What is bought for a wheel: half of the spokes a side and one to spare of each length, and nipples for all. */
export function spokesToBuy({ spokes }: Pick<WheelBuild, 'spokes'>, leftMm: number, rightMm: number) {
  const [left, right] = [Math.round(leftMm), Math.round(rightMm)];
  const lines =
    left === right
      ? [{ count: spokes + SPARE, lengthMm: left }]
      : [
          { count: spokes / 2 + SPARE, lengthMm: left },
          { count: spokes / 2 + SPARE, lengthMm: right },
        ];
  const nipples = lines.reduce((sum, { count }) => sum + count, 0);
  return {
    lines,
    nipples,
    words: `${lines.map(({ count, lengthMm }) => `${count} spokes of ${lengthMm} mm`).join(', ')}, ${nipples} nipples`,
  };
}
