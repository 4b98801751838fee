import fc from 'fast-check';
import type * as z from 'zod/mini';
import { hiddenWheel, trueByAdviser, trueByEye, trueWheels } from '../../../bench/wheels';
import { runs } from '../../../tests/runs';
import { HiddenWheel } from '../practice/wheel';
import { answer, type Calculator } from '../calculator';
import { learnStiffness } from './learnStiffness';
import { influenceOf } from './ring';
import { wheelsSpokeLength } from './spokeLength';
import { spokesOf } from './spokes';
import { wheelsTensionRatio } from './tensionRatio';
import { wheelsTone } from './tone';
import { wheelsTrue, type TrueQuestion } from './trueWheel';
import { wheelsTyreFit } from './tyreFit';
import { rimOf } from './wheelInfluence';

function ask<Schema extends z.ZodMiniType, Output>(of: Calculator<Schema, Output>, question: z.input<Schema>): Output {
  const said = answer(of, question);
  if (!said.ok) throw new Error(JSON.stringify(said));
  return said.output;
}
const isRefused = (of: Calculator, question: unknown) => !answer(of, question).ok;

const N = 36;
const WHEEL = {
  spokes: N,
  crossings: 3,
  rimRadiusMm: 301,
  flanges: { leftRadiusMm: 22.5, rightRadiusMm: 22.5, leftOffsetMm: 34, rightOffsetMm: 20 },
  rimClass: 'double-wall box alloy',
};
const EVEN = { ...WHEEL, flanges: { leftRadiusMm: 20, rightRadiusMm: 20, leftOffsetMm: 33, rightOffsetMm: 33 } };
const flat = () => Array.from({ length: N }, () => 0);
/** A bump to one side, so high and so many spokes wide. */
const bump = (at: number, mm: number, wide = 3) =>
  flat().map((_, i) => {
    const off = Math.min(Math.abs(i - at), N - Math.abs(i - at));
    return mm * Math.exp(-((off / wide) ** 2));
  });
const tensions = (left: number, right: number) => flat().map((_, i) => (i % 2 === 0 ? left : right));
const trued = (question: Partial<TrueQuestion> = {}) =>
  ask(wheelsTrue, { ...EVEN, readings: { lateralMm: flat() }, ...question });

describe('the ring', () => {
  const spokes = spokesOf({ ...WHEEL, mirrored: false });
  const rim = rimOf(WHEEL.rimClass, WHEEL.rimRadiusMm);
  const coarse = influenceOf(spokes, rim, 2, 0.4536);

  test('agrees with a ring of two elements a spoke, and with a curved ring in Fourier series', () => {
    const fine = influenceOf(spokes, rim, 2, 0.4536, 2);
    const most = Math.max(...coarse.lateral);
    for (let i = 0; i < N * N; i++) {
      expect(Math.abs(fine.lateral[i]! - coarse.lateral[i]!)).toBeLessThan(0.02 * most);
      expect(Math.abs(fine.tension[i]! - coarse.tension[i]!)).toBeLessThan(6);
    }
    const { flanges, crossings, rimRadiusMm } = WHEEL;
    const curved = new HiddenWheel({
      spokes: N,
      crossings,
      rimRadiusMm,
      flanges,
      spokeDiameterMm: 2,
      pitchMm: 0.4536,
      sidewaysNmm2: rim.lateralNmm2,
      inPlaneNmm2: rim.radialNmm2,
      twistNmm2: rim.twistNmm2,
      stretchN: rim.stretchN,
      leftN: 0,
      rightN: 0,
    }).stands(flat().map((_, i) => (i === 4 ? 1 : 0)));
    for (let i = 0; i < N; i++) {
      expect(Math.abs(curved.lateralMm[i]! - coarse.lateral[i * N + 4]!)).toBeLessThan(0.01 * most);
      expect(Math.abs(curved.radialMm[i]! - coarse.radial[i * N + 4]!)).toBeLessThan(0.01 * most);
      expect(Math.abs(curved.tensionN[i]! - coarse.tension[i * N + 4]!)).toBeLessThan(6);
    }
  });

  test('what four nipples do, all do further round; a nipple draws the rim to its own side and inwards', () => {
    const all = influenceOf(spokesOf({ ...WHEEL, spokes: 18, crossings: 1, mirrored: false }), rim, 2, 0.4536);
    expect(all.n).toBe(18);
    for (let j = 0; j < N; j++) {
      expect(Math.sign(coarse.lateral[j * N + j]!)).toBe(j % 2 === 0 ? 1 : -1);
      expect(coarse.radial[j * N + j]!).toBeLessThan(0);
      expect(coarse.tension[j * N + j]!).toBeGreaterThan(0);
    }
    // Maxwell: what one does to another the other does to it, in force for draw.
    expect(coarse.tension[5 * N + 2]!).toBeCloseTo(coarse.tension[2 * N + 5]!, 0);
  });
});

describe('the next round', () => {
  test('what lies inside is true, and nothing is turned', () => {
    const said = trued({ readings: { lateralMm: bump(5, 0.3) } });
    expect(said).toMatchObject({ verdict: 'true', turns: [] });
    expect(said.predicted).toEqual(said.now);
  });

  test('a wobble is brought inside by few nipples in quarters, none over a turn', () => {
    const said = trued({ readings: { lateralMm: bump(9, 1.4), radialMm: flat() } });
    expect(said.verdict).toBe('adjust');
    expect(said.turns.length).toBeLessThan(12);
    for (const { turns } of said.turns) {
      expect(turns * 4).toBe(Math.round(turns * 4));
      expect(Math.abs(turns)).toBeLessThanOrEqual(1);
    }
    expect(said.predicted.lateralMm).toBeLessThanOrEqual(0.7 * 0.5 + 1e-9);
  });

  test('a wheel and its mirror image get mirrored advice', () => {
    const lateralMm = bump(8, 1.2).map((each, i) => each - bump(20, 0.9)[i]!);
    const one = trued({ readings: { lateralMm } });
    const other = trued({ mirrored: true, readings: { lateralMm: lateralMm.map((each) => -each) } });
    expect(other.turns).toEqual(one.turns);
    expect(other.predicted.lateralMm).toBeCloseTo(one.predicted.lateralMm, 9);
  });

  test('the same reading turned by a pair of pairs gets the same advice, turned', () => {
    const lateralMm = bump(8, 1.3);
    const turned = [...lateralMm.slice(-4), ...lateralMm.slice(0, -4)];
    const [one, other] = [trued({ readings: { lateralMm } }), trued({ readings: { lateralMm: turned } })];
    const further = one.turns.map(({ spoke, turns }) => ({ spoke: (spoke + 4) % N, turns }));
    expect(other.turns.toSorted((a, b) => a.spoke - b.spoke)).toEqual(further.toSorted((a, b) => a.spoke - b.spoke));
  });

  test('stuck nipples are never turned, and no spoke goes over its maximum', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: N - 1 }),
        fc.array(fc.integer({ min: 0, max: N - 1 }), { maxLength: 5 }),
        (at, stuck) => {
          const tensionN = tensions(1000, 1000);
          const said = trued({
            stuck: [...new Set(stuck)],
            readings: { lateralMm: bump(at, 1.1), radialMm: flat(), tensionN },
            limits: { maxTensionN: 1150 },
          });
          for (const { spoke } of said.turns) expect(stuck).not.toContain(spoke);
          if (said.verdict === 'adjust') expect(said.predicted.tensionShare!).toBeLessThanOrEqual(0.25);
        },
      ),
      { numRuns: runs(60, 8) },
    );
  });

  test('more than a sixth stuck: all of them new; a slack wheel: tension first, all of a side alike', () => {
    const stuck = [0, 3, 6, 9, 12, 15, 18];
    expect(trued({ stuck, readings: { lateralMm: bump(5, 2) } })).toMatchObject({ verdict: 're-nipple', turns: [] });
    const slack = ask(wheelsTrue, { ...WHEEL, readings: { lateralMm: bump(5, 2), tensionN: tensions(150, 320) } });
    expect(slack.verdict).toBe('tension-first');
    expect(slack.turns).toHaveLength(N);
    // The tighter side stands nearer the middle: here the right one.
    expect(slack.turns.find(({ spoke }) => spoke === 1)!.turns).toBe(0.5);
    expect(slack.turns.find(({ spoke }) => spoke === 0)!.turns).toBe(0.25);
  });

  test('loose ones come up first, and nothing is said of the wobble', () => {
    const said = trued({ loose: [4, 7], readings: { lateralMm: bump(5, 2) } });
    expect(said.verdict).toBe('tension-first');
    expect(said.turns.map(({ spoke }) => spoke)).toEqual([4, 7]);
    expect(said.turns.every(({ turns }) => turns > 0)).toBe(true);
    expect(trued({ loose: [0, 2, 4, 6, 8, 10, 12, 14, 16, 18], readings: { lateralMm: flat() } }).turns).toHaveLength(
      N,
    );
  });

  test('a dent is bent metal: no round is made of it', () => {
    const radialMm = flat();
    radialMm[9] = -3;
    expect(trued({ readings: { lateralMm: flat(), radialMm } })).toMatchObject({ verdict: 'rim-or-hub', turns: [] });
  });

  test('a middle that is off is drawn over by whole sides', () => {
    const said = trued({ dishMm: 2, readings: { lateralMm: flat(), tensionN: tensions(1000, 1000) } });
    expect(said.verdict).toBe('adjust');
    expect(Math.abs(said.predicted.dishMm!)).toBeLessThan(1);
    const right = said.turns.filter(({ spoke }) => spoke % 2 === 1);
    expect(right.every(({ turns }) => turns > 0)).toBe(true);
  });

  test('three spots by eye are enough', () => {
    const lateralMm = flat().map((_, i) => (i === 0 ? 1 : i === 12 || i === 24 ? -0.2 : null));
    const said = trued({ readings: { lateralMm } });
    expect(said.verdict).toBe('adjust');
    expect(said.predicted.lateralMm).toBeLessThan(0.5);
  });

  test('35 readings of 36, two readings, 30 mm, an unknown class, a spoke that there is not: refused with their paths', () => {
    for (const question of [
      { readings: { lateralMm: flat().slice(1) } },
      { readings: { lateralMm: flat().map((_, i) => (i < 2 ? 0 : null)) } },
      { readings: { lateralMm: [30, ...flat().slice(1)] } },
      { rimClass: 'wood', readings: { lateralMm: flat() } },
      { stuck: [40], readings: { lateralMm: flat() } },
    ])
      expect(isRefused(wheelsTrue, { ...EVEN, ...question })).toBe(true);
  });
});

describe('hidden wheels, of other physics and other code', () => {
  test('inside after two rounds at most, with fewer nipples than the eye turns', () => {
    const adviser = trueWheels(10, (seed) => trueByAdviser(seed, true));
    expect(adviser.within2).toBeGreaterThanOrEqual(0.9);
    expect(adviser.nipples).toBeLessThanOrEqual(18);
    const eye = trueWheels(4, trueByEye);
    expect(eye.nipples).toBeGreaterThan(adviser.nipples);
  });

  test('the stiffness of a rim is learnt from what its rounds did', () => {
    const { wheel, of } = hiddenWheel(4, 0.5);
    const turns = [
      { spoke: 3, turns: 1 },
      { spoke: 6, turns: -0.75 },
      { spoke: 20, turns: 1 },
    ];
    const made = flat().slice(0, of.spokes);
    for (const { spoke, turns: by } of turns) made[spoke] = 0.9 * by;
    const before = wheel.stands(flat().slice(0, of.spokes));
    const known = { ...of, mirrored: false, spokeDiameterMm: 2, nipplePitchMm: 0.4536 };
    expect(learnStiffness(known, [])).toBe(1);
    expect(learnStiffness(known, [{ turns, before, after: wheel.stands(made) }])).toBeLessThan(0.8);
  });
});

describe('the small ones', () => {
  test('950 N on the right leave 446 on the left', () => {
    const { otherN } = ask(wheelsTensionRatio, {
      flanges: { leftRadiusMm: 22.5, rightRadiusMm: 22.5, leftOffsetMm: 37.5, rightOffsetMm: 17.5 },
      rimRadiusMm: 300,
      spokes: 32,
      crossings: 3,
      driveN: 950,
    });
    expect(Math.round(otherN)).toBe(446);
  });

  test('a tone a fifth higher is more than twice the tension; only a metered spoke makes newtons of it', () => {
    const tone = ask(wheelsTone, { spokeDiameterMm: 2, freeLengthMm: 180, hz: [300, 450] });
    expect(tone.tensionN[1]! / tone.tensionN[0]!).toBeCloseTo(2.25, 9);
    expect(tone.isCalibrated).toBe(false);
    const metered = ask(wheelsTone, {
      spokeDiameterMm: 2,
      freeLengthMm: 180,
      hz: [300],
      calibrate: { hz: 300, tensionN: 640 },
    });
    expect(metered.tensionN[0]).toBeCloseTo(640, 9);
    expect(metered.isCalibrated).toBe(true);
  });

  test('a spoke’s length; a hub wider than its rim is refused', () => {
    const { lengthMm } = ask(wheelsSpokeLength, {
      rimDiameterMm: 602,
      holeCircleMm: 45,
      flangeOffsetMm: 35,
      spokes: 36,
      crossings: 3,
    });
    expect(lengthMm).toBeCloseTo(
      Math.sqrt(301 ** 2 + 22.5 ** 2 + 35 ** 2 - 2 * 301 * 22.5 * Math.cos(Math.PI / 3)) - 1.25,
      9,
    );
    expect(
      isRefused(wheelsSpokeLength, {
        rimDiameterMm: 240,
        holeCircleMm: 240,
        flangeOffsetMm: 35,
        spokes: 36,
        crossings: 3,
      }),
    ).toBe(true);
    expect(
      isRefused(wheelsSpokeLength, {
        rimDiameterMm: 602,
        holeCircleMm: 45,
        flangeOffsetMm: 35,
        spokes: 33,
        crossings: 3,
      }),
    ).toBe(true);
  });

  test('23 on a rim of 17 is narrow, 32 fits; one that fits a rim fits until it does not', () => {
    const fit = (tyreMm: number, more: object = {}) => ask(wheelsTyreFit, { rimInnerMm: 17, tyreMm, ...more }).verdict;
    expect(fit(23)).toBe('narrow');
    expect(fit(32)).toBe('fits');
    expect(fit(60)).toBe('wide');
    expect(fit(32, { gapMm: 2 })).toBe('no-room');
    const line = Array.from({ length: 60 }, (_, i) => fit(15 + i));
    expect(line.join('|')).toMatch(/^(narrow\|)+(fits\|)+(wide\|?)+$/);
  });
});
