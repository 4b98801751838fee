import { kindAt } from '@/core/bicycle';
import { own } from '@/core/own';
import type { QuestionOf } from '@/core/questions';
import type { Bicycle } from '../record';
import type { WorkshopSettings } from '../settings/settings';
import type { WheelEnd } from '../wheels/part';
import type { Puncture } from './part';

/** A bead seat and a width that are known: read at rim and tyre, else of what the bicycle is there. */
export const rimSeatOf = ({ tyreFits, kind }: Pick<Bicycle, 'tyreFits' | 'kind'>, end: WheelEnd): number =>
  own(tyreFits, end)?.rimSeatMm ?? kindAt(kind, `rim.${end}`).beadSeatMm;
export const tyreWidthOf = ({ tyreFits, kind }: Pick<Bicycle, 'tyreFits' | 'kind'>, end: WheelEnd): number =>
  own(tyreFits, end)?.tyreMm ?? kindAt(kind, `tyre.${end}`).tyreWidthMm;

/** The mark of the tyre, at most: what the proof reads, and nobody is asked for twice. */
export const MOST_MARK = { front: 'mark-most-front', rear: 'mark-most-rear' } as const;
export const mostMarkOf = ({ proofReadings }: Pick<Bicycle, 'proofReadings'>, end: WheelEnd): number | null =>
  proofReadings.findLast(({ reading, when }) => reading === MOST_MARK[end] && when === 'after')?.value ?? null;

/** The question for `tyres.mount`, from what is known of rim and tyre; null where nobody has read anything of either. */
export function mountOf(
  bicycle: Pick<Bicycle, 'tyreFits' | 'kind' | 'proofReadings'>,
  end: WheelEnd,
): QuestionOf<'tyres.mount'> | null {
  const fit = own(bicycle.tyreFits, end);
  if (!fit) return null;
  const { rimInnerMm: _inner, ...read } = fit;
  const tyreMostBar = mostMarkOf(bicycle, end);
  return {
    ...read,
    rimSeatMm: rimSeatOf(bicycle, end),
    tyreMm: tyreWidthOf(bicycle, end),
    ...(tyreMostBar !== null && tyreMostBar > 0 && { tyreMostBar }),
  };
}

/** The question for `wheels.tyreFit`: null until the rim is measured. The room beside it is the look-over’s. */
export function fitInput(
  bicycle: Pick<Bicycle, 'tyreFits' | 'observations' | 'kind'>,
  end: WheelEnd,
  { rules }: Pick<WorkshopSettings, 'rules'>,
): QuestionOf<'wheels.tyreFit'> | null {
  const rimInnerMm = own(bicycle.tyreFits, end)?.rimInnerMm;
  if (rimInnerMm === undefined) return null;
  const tyreMm = tyreWidthOf(bicycle, end);
  const gapMm = bicycle.observations.findLast(({ check, withdrawn }) => check === `tyre-gap-${end}` && !withdrawn)
    ?.evidence.readingsMm?.[0];
  return { rimInnerMm, tyreMm, tyreGap: rules.tyreGap, ...(gapMm !== undefined && { gapMm }) };
}

/** The question for `tyres.whyFlat`. */
export function whyFlatInput(
  bicycle: Pick<Bicycle, 'tyreFits' | 'kind' | 'wheelBuilds'>,
  { end, fromValveMm, side, holes, found }: Puncture,
): QuestionOf<'tyres.whyFlat'> {
  const spokes = own(bicycle.wheelBuilds, end)?.spokes;
  return {
    fromValveMm,
    side,
    holes,
    found,
    beadSeatMm: rimSeatOf(bicycle, end),
    tyreMm: tyreWidthOf(bicycle, end),
    ...(spokes !== undefined && { spokes }),
  };
}
