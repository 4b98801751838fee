import type { Cantilever } from '@/core/brakes/cantilever';
import { brakedOn } from '@/core/brakes/brakedOn';
import type { HandToPad } from '@/core/brakes/chain';
import type { UsualBrake } from '@/core/brakes/usual';
import type { CablePiece } from '@/core/cables/lengths';
import type { QuestionOf } from '@/core/questions';
import { own } from '@/core/own';
import { setBrakeOf } from '@/core/setup/kinds';
import type { Bicycle } from '../record';
import type { StockItem } from '../stock/item';
import type { BrakeMeasure } from './part';

export type BrakePlace = 'brake.front' | 'brake.rear';
type Numbers = Pick<Bicycle, 'brakeNumbers'>;

/** One number of a brake; null until it is measured. */
export const brakeNumber = ({ brakeNumbers }: Numbers, place: BrakePlace, measure: BrakeMeasure): number | null =>
  own(brakeNumbers, `${place}/${measure}`) ?? null;

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

/** What hand to pad goes by: the measures, and the name that each has in the table of usual brakes. */
export const CHAIN_MEASURES = {
  'lever-ratio': 'leverRatio',
  'lever-pull': 'pullMm',
  bends: 'bendsDeg',
  'arm-ratio': 'armRatio',
  'pad-travel': 'padTravelMm',
} as const satisfies Partial<Record<BrakeMeasure, keyof UsualBrake>>;
export type ChainMeasure = keyof typeof CHAIN_MEASURES;

/**
 * The question for `brakes.chain`: what was measured, arms as they were reckoned of a cantilever, and for the rest what is
 * usual of such a brake. `taken` names what was only taken as usual.
 */
export function handToPad(
  bicycle: Numbers & Pick<Bicycle, 'kind' | 'rimMetals'>,
  place: BrakePlace,
  reckonedArms: number | null,
  usual: UsualBrake,
): { question: HandToPad; taken: ChainMeasure[] } {
  const taken: ChainMeasure[] = [];
  const of = (measure: ChainMeasure): number => {
    const known = measure === 'arm-ratio' ? reckonedArms : null;
    const measured = known ?? brakeNumber(bicycle, place, measure);
    if (measured === null) taken.push(measure);
    return measured ?? usual[CHAIN_MEASURES[measure]];
  };
  const brake = setBrakeOf(bicycle.kind, place === 'brake.front' ? 'front' : 'rear');
  const question = {
    handN: HAND_N,
    leverRatio: of('lever-ratio'),
    bendsDeg: of('bends'),
    armRatio: of('arm-ratio'),
    pullMm: of('lever-pull'),
    padTravelMm: of('pad-travel'),
    on: brakedOn(brake, own(bicycle.rimMetals, place) ?? null),
  };
  return { question, taken };
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
