import type { Cantilever } from '@/core/brakes/cantilever';
import type { HandToPad } from '@/core/brakes/chain';
import type { CablePiece } from '@/core/cables/lengths';
import type { QuestionOf } from '@/core/questions';
import { own } from '@/core/own';
import type { Bicycle } from '../record';
import type { WorkshopSettings } from '../settings/settings';
import type { StockItem } from '../stock/item';
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

/** The question for `brakes.setups`: both ends at once. */
export const setupsInput = (
  { kind, brakeFluids }: Pick<Bicycle, 'kind' | 'brakeFluids'>,
  { rules }: Pick<WorkshopSettings, 'rules'>,
): QuestionOf<'brakes.setups'> => ({
  kind,
  rules,
  fluids: { front: own(brakeFluids, 'brake.front') ?? null, rear: own(brakeFluids, 'brake.rear') ?? null },
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

/** The question for `cables.lengths`: the bars as they are given to the rider, and the old pieces that were measured. */
export function cableLengthsInput({
  kind,
  fit,
  oldCables,
}: Pick<Bicycle, 'kind' | 'fit' | 'oldCables'>): QuestionOf<'cables.lengths'> {
  const moved = (measure: 'bar-height' | 'reach') => {
    const { beforeMm, givenMm } = fit[measure] ?? { beforeMm: null, givenMm: null };
    return beforeMm === null || givenMm === null ? 0 : Math.max(-300, Math.min(300, givenMm - beforeMm));
  };
  return { kind, bars: { upMm: moved('bar-height'), forwardMm: moved('reach') }, old: oldCables };
}

/** Lengths of cable that lie in the drawer, as `cables.cutList` asks for them: nothing there is bought again. */
export function cableStock(stock: readonly StockItem[]): NonNullable<QuestionOf<'cables.cutList'>['stock']> {
  return stock.flatMap(({ id, quantity, cable, goneAt }) =>
    cable === undefined || goneAt !== null || quantity < 1
      ? []
      : [
          {
            id,
            lengthMm: cable.lengthMm,
            count: Math.min(1000, Math.floor(quantity)),
            price: 0,
            maxPieces: cable.heads.length === 0 ? null : cable.heads.length,
            kind: cable.kind,
            ...(cable.heads.length > 0 && { heads: cable.heads }),
          },
        ],
  );
}

/** The question for `cables.cutList`: the pieces of this bicycle from what lies in the drawer. */
export const cutListInput = (
  pieces: readonly Pick<CablePiece, 'id' | 'lengthMm' | 'kind' | 'head'>[],
  stock: readonly StockItem[],
): QuestionOf<'cables.cutList'> => ({
  pieces: pieces.map(({ id, lengthMm, kind, head }) => ({ id, lengthMm, kind, ...(head && { head }) })),
  stock: cableStock(stock),
});
