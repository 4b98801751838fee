import { HiddenWheel } from '../practice/wheel';
import type { Laced } from './spokes';
import { ratioOf } from './tensionRatio';
import { rimOf, rimRow } from './wheelInfluence';

/** A wheel that nobody sees into, with the rim of its class so many times as stiff, tight as a share of what such rims are built to. */
export function hiddenOf(
  of: Laced & { rimClass: string },
  times: number,
  tightShare = 1,
): { wheel: HiddenWheel; usualN: { left: number; right: number } } {
  const rim = rimOf(of.rimClass, of.rimRadiusMm, times);
  const row = rimRow(of.rimClass, of.rimRadiusMm);
  const tight = ((row.tensionMinN + row.tensionMaxN) / 2) * tightShare;
  const { leftRadiusMm, rightRadiusMm, leftOffsetMm, rightOffsetMm } = of.flanges;
  // The hidden wheel begins on its left: a mirrored one is the same seen from the other side.
  const flanges = of.mirrored
    ? {
        leftRadiusMm: rightRadiusMm,
        rightRadiusMm: leftRadiusMm,
        leftOffsetMm: rightOffsetMm,
        rightOffsetMm: leftOffsetMm,
      }
    : of.flanges;
  const tightSide = flanges.leftOffsetMm < flanges.rightOffsetMm ? 'left' : 'right';
  const other = tight * ratioOf({ ...of, flanges, mirrored: false }, tightSide);
  const [leftN, rightN] = tightSide === 'left' ? [tight, other] : [other, tight];
  const wheel = new HiddenWheel({
    ...of,
    flanges,
    spokeDiameterMm: 2,
    pitchMm: 0.4536,
    sidewaysNmm2: rim.lateralNmm2,
    inPlaneNmm2: rim.radialNmm2,
    twistNmm2: rim.twistNmm2,
    stretchN: rim.stretchN,
    leftN,
    rightN,
  });
  return { wheel, usualN: { left: leftN, right: rightN } };
}

/** A spoke pushes nothing: turns so wild that one would are a little less so. Whatever the wheel, it ends. */
export function withoutPushing(wheel: HiddenWheel, turns: readonly number[], leastN: number): number[] {
  let tamed = [...turns];
  for (let i = 0; i < 60 && Math.min(...wheel.stands(tamed).tensionN) < leastN; i++)
    tamed = tamed.map((each) => 0.9 * each);
  return tamed;
}
