import { own } from '@/core/own';
import type { QuestionOf } from '@/core/questions';
import type { Bicycle } from '../record';
import type { WorkshopSettings } from '../settings/settings';
import type { WheelEnd } from '../wheels/part';
import type { Puncture, TyreFit } from './part';

/** Of what was read of rim and tyre what `tyres.mount` asks. */
export function mountOf({ rimInnerMm: _inner, ...fit }: TyreFit): QuestionOf<'tyres.mount'> {
  return fit;
}

/** A bead seat that is known: read at the rim, else of what the bicycle is. */
export const rimSeatOf = ({ tyreFits, kind }: Pick<Bicycle, 'tyreFits' | 'kind'>, end: WheelEnd): number =>
  own(tyreFits, end)?.rimSeatMm ?? kind.beadSeatMm;

/** The question for `wheels.tyreFit`: null until rim and tyre are measured. The room beside it is the look-over’s. */
export function fitInput(
  { tyreFits, observations }: Pick<Bicycle, 'tyreFits' | 'observations'>,
  end: WheelEnd,
  { rules }: Pick<WorkshopSettings, 'rules'>,
): QuestionOf<'wheels.tyreFit'> | null {
  const { rimInnerMm, tyreMm } = own(tyreFits, end) ?? {};
  if (rimInnerMm === undefined || tyreMm === undefined) return null;
  const gapMm = observations.findLast(({ check, withdrawn }) => check === `tyre-gap-${end}` && !withdrawn)?.evidence
    .readingsMm?.[0];
  return { rimInnerMm, tyreMm, tyreGap: rules.tyreGap, ...(gapMm !== undefined && { gapMm }) };
}

/** The question for `tyres.whyFlat`. */
export function whyFlatInput(
  bicycle: Pick<Bicycle, 'tyreFits' | 'kind' | 'wheelBuilds'>,
  { end, fromValveMm, side, holes, found }: Puncture,
): QuestionOf<'tyres.whyFlat'> {
  const tyreMm = own(bicycle.tyreFits, end)?.tyreMm;
  const spokes = own(bicycle.wheelBuilds, end)?.spokes;
  return {
    fromValveMm,
    side,
    holes,
    found,
    beadSeatMm: rimSeatOf(bicycle, end),
    ...(tyreMm !== undefined && { tyreMm }),
    ...(spokes !== undefined && { spokes }),
  };
}
