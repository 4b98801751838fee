import { answer } from '../calculator';
import { neglected, readOff } from '../practice/wheel';
import { wheelsCause, type WheelCauses } from './cause';
import { hiddenOf, withoutPushing } from './madeUp';
import { wheelsSpin } from './spin';

const OF = {
  spokes: 36,
  crossings: 3,
  mirrored: false,
  rimRadiusMm: 301,
  flanges: { leftRadiusMm: 22.5, rightRadiusMm: 22.5, leftOffsetMm: 34, rightOffsetMm: 20 },
  rimClass: 'double-wall box alloy',
};
const none = () => Array.from({ length: 36 }, () => 0);
/** A bump of the metal itself, so many spokes wide. */
const bump = (at: number, mm: number, wide: number) =>
  Array.from({ length: 36 }, (_, i) => {
    const off = Math.min(Math.abs(i - at), 36 - Math.abs(i - at));
    return mm * Math.exp(-((off / wide) ** 2));
  });

function told(
  seed: number,
  bent: { lateralMm?: number[]; radialMm?: number[] },
  more: { tension?: boolean; hubMm?: number[]; rimClass?: string; neglect?: boolean } = {},
): WheelCauses {
  const of = { ...OF, ...(more.rimClass && { rimClass: more.rimClass }) };
  const { wheel } = hiddenOf(of, seed % 2 === 0 ? 0.7 : 1.3);
  const turns = more.neglect === false ? none() : withoutPushing(wheel, neglected(seed, 36), 80);
  const read = readOff(wheel.stands(turns, { lateralMm: none(), radialMm: none(), ...bent }), seed, 0);
  const said = answer(wheelsCause, {
    ...of,
    readings: {
      lateralMm: read.lateralMm,
      radialMm: read.radialMm,
      ...(more.tension !== false && { tensionN: read.tensionN }),
    },
    ...(more.hubMm && { hubMm: more.hubMm }),
  });
  if (!said.ok) throw new Error(JSON.stringify(said.errors));
  return said.output;
}
const share = (list: readonly boolean[]) => list.filter(Boolean).length / list.length;
const seeds = Array.from({ length: 40 }, (_, i) => i + 1);

describe('what no nipple cures', () => {
  test.each([[true], [false]])('neglected nipples alone are blamed on no metal (tension read: %s)', (tension) => {
    expect(share(seeds.map((seed) => told(seed, {}, { tension }).verdict === 'nipples'))).toBeGreaterThanOrEqual(0.95);
  });

  test.each([
    [true, 2],
    [false, 2.5],
  ])('a dent is found where it is (tension read: %s)', (tension, mm) => {
    const found = seeds.map((seed) => {
      const at = (seed * 7) % 36;
      if (Math.abs(at - 18) < 4) return true;
      const { causes, verdict } = told(seed, { lateralMm: bump(at, mm, 1.2) }, { tension });
      const here = causes.some(
        ({ kind, spoke }) =>
          kind === 'bend' && spoke !== null && Math.min(Math.abs(spoke - at), 36 - Math.abs(spoke - at)) <= 1,
      );
      return verdict === 'metal' && here;
    });
    expect(share(found)).toBeGreaterThanOrEqual(0.9);
  });

  test('a narrow lump opposite the valve is the joint, and is left out; the same lump elsewhere is a bend', () => {
    const lump = (at: number) => ({ lateralMm: bump(at, 1, 0.6) });
    for (const seed of [1, 2, 3, 4]) {
      const joint = told(seed, lump(18), { neglect: false });
      expect(joint.verdict).toBe('joint');
      expect(joint.leaveOut).toContain(18);
      expect(joint.causes[0]!.words).toMatch(/opposite the valve/);
      expect(told(seed, lump(9), { neglect: false })).toMatchObject({ verdict: 'metal', leaveOut: [] });
    }
  });

  describe('the disc beside the rim', () => {
    const even = (mm: number, at = 0) =>
      Array.from({ length: 12 }, (_, i) => mm * Math.cos((2 * Math.PI * i) / 12 - at));
    const rim = (mm: number) => ({
      lateralMm: Array.from({ length: 36 }, (_, i) => mm * Math.cos((2 * Math.PI * i) / 36)),
    });
    const kinds = (bent: Parameters<typeof told>[1], hubMm: number[]) =>
      told(5, bent, { neglect: false, hubMm }).causes.map(({ kind }) => kind);
    test('runs true', () => expect(kinds({}, even(0.1))).toEqual([]));
    test('swings once a turn and the rim does not: seat and bolts, then the hub', () =>
      expect(kinds({}, even(0.4))).toEqual(['seat']));
    test('swings with the rim: the axle', () => expect(kinds(rim(1.5), even(0.4))).toContain('axle'));
    test('a flange that swings is a hub that is out', () => {
      const said = answer(wheelsCause, { ...OF, readings: { lateralMm: none() }, hubAt: 'flange', hubMm: even(0.4) });
      expect(said.ok && said.output.causes[0]!.kind).toBe('hub');
      expect(said.ok && said.output.reasons.join(' ')).toMatch(/nothing trues that away/);
    });
    test('bent at one place', () => expect(kinds({}, [0, 0, 0, 0, 0.9, 0.3, 0, 0, 0, 0, 0, 0])).toEqual(['disc']));
  });

  test('a few spots by eye say nothing of metal', () => {
    const lateralMm = Array.from({ length: 36 }, (_, i) => (i % 12 === 0 ? (i === 0 ? 3 : 0) : null));
    const said = answer(wheelsCause, { ...OF, readings: { lateralMm } });
    expect(said.ok && said.output.verdict).toBe('nipples');
  });
});

test('the stand-in of a steel rim has its joint, and what is left out of the round is that alone', () => {
  const of = { ...OF, rimClass: 'vintage steel roadster' };
  for (const seed of [1, 2, 3]) {
    const spun = answer(wheelsSpin, { ...of, seed, fault: 'wobble' });
    if (!spun.ok) throw new Error(JSON.stringify(spun.errors));
    const { lateralMm, radialMm, tensionN } = spun.output;
    const said = answer(wheelsCause, { ...of, readings: { lateralMm, radialMm, tensionN } });
    if (!said.ok) throw new Error(JSON.stringify(said.errors));
    expect(said.output.verdict).toBe('joint');
    expect(said.output.leaveOut).toContain(18);
    expect(said.output.leaveOut.length).toBeLessThanOrEqual(3);
  }
});
