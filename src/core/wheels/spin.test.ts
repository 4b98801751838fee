import { answer } from '../calculator';
import { HiddenWheel, neglected, readOff } from '../practice/wheel';
import { wheelsSpin } from './spin';

const OF = {
  spokes: 32,
  crossings: 3,
  rimRadiusMm: 300,
  flanges: { leftRadiusMm: 19, rightRadiusMm: 19, leftOffsetMm: 35, rightOffsetMm: 22 },
  rimClass: 'double-wall box alloy',
  seed: 11,
};
const spin = (more: object = {}) => {
  const said = answer(wheelsSpin, { ...OF, ...more });
  if (!said.ok) throw new Error(JSON.stringify(said));
  return said.output;
};
const none = () => Array.from({ length: 32 }, () => 0);

describe('a made-up wheel', () => {
  test('reads alike each time of the same round, and a little otherwise in the next', () => {
    expect(spin()).toEqual(spin());
    const [one, other] = [spin(), spin({ round: 1 })];
    expect(one).not.toEqual(other);
    for (const [i, mm] of one.lateralMm.entries()) expect(Math.abs(mm - other.lateralMm[i]!)).toBeLessThan(0.3);
  });

  test('a nipple that is tightened draws the rim to its side, inwards, and pulls harder itself', () => {
    const made = none();
    made[8] = 1;
    const [before, after] = [spin(), spin({ made })];
    // The ninth from the valve is of the left side.
    expect(after.lateralMm[8]! - before.lateralMm[8]!).toBeGreaterThan(0.3);
    expect(after.radialMm[8]! - before.radialMm[8]!).toBeLessThan(0);
    expect(after.tensionN[8]! - before.tensionN[8]!).toBeGreaterThan(150);
  });

  test('its side with the smaller offset is the tighter one, as dish asks', () => {
    const { tensionN } = spin();
    const mean = (side: number) => tensionN.filter((_, i) => i % 2 === side).reduce((sum, each) => sum + each, 0) / 16;
    expect(mean(1)).toBeGreaterThan(1.2 * mean(0));
  });

  test('its mirror image swings to the other side', () => {
    const { leftRadiusMm, rightRadiusMm, leftOffsetMm, rightOffsetMm } = OF.flanges;
    const flanges = {
      leftRadiusMm: rightRadiusMm,
      rightRadiusMm: leftRadiusMm,
      leftOffsetMm: rightOffsetMm,
      rightOffsetMm: leftOffsetMm,
    };
    const mirror = spin({ mirrored: true, flanges });
    for (const [i, mm] of spin().lateralMm.entries()) expect(mirror.lateralMm[i]!).toBeCloseTo(-mm, 6);
  });

  test('turns for another count of spokes, and a rim that there is not, are refused', () => {
    expect(answer(wheelsSpin, { ...OF, made: [1] }).ok).toBe(false);
    expect(answer(wheelsSpin, { ...OF, rimClass: 'wood' }).ok).toBe(false);
  });
});

describe('the physics under it', () => {
  const wheel = new HiddenWheel({
    ...OF,
    spokeDiameterMm: 2,
    pitchMm: 0.4536,
    sidewaysNmm2: 250e6,
    inPlaneNmm2: 140e6,
    twistNmm2: 32e6,
    stretchN: 6.8e6,
    leftN: 500,
    rightN: 900,
  });
  test('turning nothing leaves it even; half a turn does half of what a whole one does', () => {
    expect(Math.max(...wheel.stands(none()).lateralMm.map(Math.abs))).toBeLessThan(1e-9);
    const [half, whole] = [0.5, 1].map((turns) => wheel.stands(none().map((_, i) => (i === 5 ? turns : 0))));
    for (const [i, mm] of whole!.lateralMm.entries()) expect(mm).toBeCloseTo(2 * half!.lateralMm[i]!, 9);
  });

  test('all of one side tightened moves the whole rim to that side and leaves it true', () => {
    const { lateralMm } = wheel.stands(none().map((_, i) => (i % 2 === 0 ? 0.5 : 0)));
    expect(Math.min(...lateralMm)).toBeGreaterThan(0.2);
    expect(Math.max(...lateralMm) - Math.min(...lateralMm)).toBeLessThan(0.05);
  });

  test('a neglected wheel has a few nipples much off and the rest a little; gauges err, and not by much', () => {
    const turns = neglected(5, 32);
    expect(turns.filter((each) => Math.abs(each) > 0.5).length).toBeGreaterThanOrEqual(2);
    const stands = wheel.stands(turns);
    const read = readOff(stands, 5, 0);
    for (const [i, mm] of read.lateralMm.entries()) expect(Math.abs(mm - stands.lateralMm[i]!)).toBeLessThan(0.2);
  });
});
