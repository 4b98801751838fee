import { rims, spokeTensions } from '../identify/data/rims';
import { remembered } from '../remembered';
import { influenceOf, type Influence, type Rim } from './ring';
import { spokesOf, type Laced } from './spokes';

export const RIM_CLASSES = [...new Set(rims.map(({ rimClass }) => rimClass))];

/** E in N/mm² and density in g/mm³, for how far a rim gives along itself; its mass tells its section. */
const OF: Record<'steel' | 'aluminium' | 'carbon', { e: number; density: number }> = {
  steel: { e: 200_000, density: 7.85e-3 },
  aluminium: { e: 69_000, density: 2.7e-3 },
  carbon: { e: 60_000, density: 1.6e-3 },
};

/** The row of a class whose ERD lies nearest, with the tension that its rims are built to. */
export function rimRow(rimClass: string, rimRadiusMm: number) {
  const off = ({ ERDMinMm, ERDMaxMm }: (typeof rims)[number]) => Math.abs((ERDMinMm + ERDMaxMm) / 2 - 2 * rimRadiusMm);
  const row = rims.filter((each) => each.rimClass === rimClass).toSorted((a, b) => off(a) - off(b))[0]!;
  const tension = spokeTensions.find(({ name }) => name === row.tensionClass)!;
  return { ...row, tensionMinN: tension.tensionMinN, tensionMaxN: tension.tensionMaxN };
}

/** A rim of a class: the arithmetic middle of its row, so many times as stiff. */
export function rimOf(rimClass: string, rimRadiusMm: number, times = 1): Rim {
  const row = rimRow(rimClass, rimRadiusMm);
  const nmm2 = (least: number, most: number) => ((least + most) / 2) * 1e6 * times;
  const { e, density } = OF[row.material];
  const area = (row.massMinG + row.massMaxG) / 2 / (density * 2 * Math.PI * rimRadiusMm);
  return {
    radiusMm: rimRadiusMm,
    lateralNmm2: nmm2(row.EILatMinNm2, row.EILatMaxNm2),
    radialNmm2: nmm2(row.EIRadMinNm2, row.EIRadMaxNm2),
    twistNmm2: nmm2(row.GJMinNm2, row.GJMaxNm2),
    stretchN: e * area,
  };
}

export interface WheelOf extends Laced {
  spokeDiameterMm: number;
  nipplePitchMm: number;
  rimClass: string;
}

/** The influence of a wheel's nipples, kept for those that were asked last. `times` as stiff as its class. */
export const influenceFor = remembered(
  ({ wheel, times }: { wheel: WheelOf; times: number }): Influence =>
    influenceOf(
      spokesOf(wheel),
      rimOf(wheel.rimClass, wheel.rimRadiusMm, times),
      wheel.spokeDiameterMm,
      wheel.nipplePitchMm,
    ),
  24,
);
