import type { Cantilever } from '@/core/brakes/cantilever';
import type { HandToPad } from '@/core/brakes/chain';
import type { QuestionOf } from '@/core/questions';
import { own } from '@/core/own';
import type { Bicycle } from '../record';
import type { WorkshopSettings } from '../settings/settings';
import type { BrakeMeasure } from './part';

export type BrakePlace = 'brake.front' | 'brake.rear';
type Numbers = Pick<Bicycle, 'brakeNumbers'>;

/** One number of a brake; null until it is measured. */
export const brakeNumber = ({ brakeNumbers }: Numbers, place: BrakePlace, measure: BrakeMeasure): number | null =>
  own(brakeNumbers, `${place}/${measure}`) ?? null;

/** The question for `brakes.setup`. */
export const setupInput = (
  { kind, brakeFluids }: Pick<Bicycle, 'kind' | 'brakeFluids'>,
  { rules }: Pick<WorkshopSettings, 'rules'>,
  place: BrakePlace,
): QuestionOf<'brakes.setup'> => ({
  kind,
  end: place === 'brake.front' ? 'front' : 'rear',
  rules,
  fluid: own(brakeFluids, place) ?? null,
});

/** The numbers of a cantilever as they were measured; null while one is wanting. */
export function cantileverOf(bicycle: Numbers, place: BrakePlace): Cantilever | null {
  const of = (measure: BrakeMeasure) => brakeNumber(bicycle, place, measure);
  const [pivot, out, up, inwards, padUp, yoke] = [
    of('pivot-half'),
    of('anchor-out'),
    of('anchor-up'),
    of('pad-in'),
    of('pad-up'),
    of('yoke'),
  ];
  if (pivot === null || out === null || up === null || inwards === null || padUp === null || yoke === null) return null;
  return {
    pivotHalfSpacingMm: pivot,
    anchor: { outMm: out, upMm: up },
    pad: { inMm: inwards, upMm: padUp },
    yokeHeightMm: yoke,
  };
}

/** A firm squeeze with two fingers. */
const HAND_N = 60;

/** The question for `brakes.chain`, with the arms' ratio as it was reckoned of a cantilever, else as it was put down; null while anything is wanting. */
export function handToPad(bicycle: Numbers, place: BrakePlace, reckonedArms: number | null): HandToPad | null {
  const of = (measure: BrakeMeasure) => brakeNumber(bicycle, place, measure);
  const arms = reckonedArms ?? of('arm-ratio');
  const [ratio, pull, bends, travel] = [of('lever-ratio'), of('lever-pull'), of('bends'), of('pad-travel')];
  if (arms === null || ratio === null || pull === null || bends === null || travel === null) return null;
  return { handN: HAND_N, leverRatio: ratio, bendsDeg: bends, armRatio: arms, pullMm: pull, padTravelMm: travel };
}
