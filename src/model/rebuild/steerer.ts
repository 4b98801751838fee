import type { SteererCutInput } from '@/core/rebuild/steererCut';
import type { Bicycle } from '../record';
import type { Spacer } from './part';

/** The spacers of one side of the stem, from below, in the order in which they were put on. */
export const spacersOn = ({ spacers }: Pick<Bicycle, 'spacers'>, side: Spacer['side']): Spacer[] =>
  spacers.filter((each) => each.side === side);

const heightOf = (spacers: Spacer[]) => spacers.reduce((sum, { heightMm }) => sum + heightMm, 0);

/** The question for `rebuild.steererCut`; null while anything that stands on the steerer is not measured. No spacer is a spacer of nothing. */
export function steererStack(
  bicycle: Pick<Bicycle, 'stack' | 'spacers' | 'kind'>,
): (SteererCutInput & { spacersAboveMm: number }) | null {
  const { steerer, 'head-tube': headTube, headset, stem } = bicycle.stack;
  if (steerer === undefined || headTube === undefined || headset === undefined || stem === undefined) return null;
  const { kind } = bicycle;
  return {
    steererMm: steerer,
    headTubeMm: headTube,
    headsetStackMm: headset,
    stemClampMm: stem,
    spacersBelowMm: heightOf(spacersOn(bicycle, 'below')),
    spacersAboveMm: heightOf(spacersOn(bicycle, 'above')),
    material: kind.steererMaterial ?? kind.forkMaterial ?? kind.frameMaterial,
  };
}
