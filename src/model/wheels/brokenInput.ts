import type { QuestionOf } from '@/core/questions';
import { isRimBraked } from '@/core/bicycle';
import type { Bicycle } from '../record';
import type { BrokenSpoke } from './part';
import { buildOf } from './questions';

/** Sides of a wheel where cogs or a disc are in the way of a spoke. A disc is on the left, cogs on the right. */
function blockedSides({ kind }: Pick<Bicycle, 'kind'>, end: BrokenSpoke['end']): 'left' | 'right' | 'both' | 'neither' {
  const hasDisc = !isRimBraked(kind, `rim.${end}`) && kind.brakes === 'disc';
  const hasCogs = end === 'rear';
  return hasDisc && hasCogs ? 'both' : hasDisc ? 'left' : hasCogs ? 'right' : 'neither';
}

/** The question for `wheels.brokenSpoke`; null until the wheel is described. */
export function brokenInput(
  bicycle: Pick<Bicycle, 'wheelBuilds' | 'brokenSpokes' | 'kind'>,
  { end, spoke, broke, at }: BrokenSpoke,
): QuestionOf<'wheels.brokenSpoke'> | null {
  const build = buildOf(bicycle, end);
  if (!build || spoke >= build.spokes) return null;
  const { leftRadiusMm, rightRadiusMm, leftOffsetMm, rightOffsetMm, rimClass: _rim, ...rest } = build;
  return {
    ...rest,
    flanges: { leftRadiusMm, rightRadiusMm, leftOffsetMm, rightOffsetMm },
    spoke,
    broke,
    // Those that broke up to this one: the third says rebuild, whenever it was.
    broken: Math.max(1, bicycle.brokenSpokes.filter((row) => row.end === end && row.at <= at).length),
    blocked: blockedSides(bicycle, end),
  };
}
