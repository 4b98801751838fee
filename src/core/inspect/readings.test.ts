import { answer, type Calculator } from '../calculator';
import type * as z from 'zod/mini';
import { inspectHanger } from './hanger';
import { inspectRimPlay } from './rimPlay';
import { inspectRunout } from './runout';
import { inspectSpokeMap } from './spokeMap';
import { inspectTyreAge } from './tyreAge';

function ok<S extends z.ZodMiniType, O>(calculator: Calculator<S, O>, input: unknown): O {
  const result = answer(calculator, input);
  if (!result.ok) throw new Error(JSON.stringify(result.errors));
  return result.output;
}
const refused = (calculator: Calculator, input: unknown) => {
  const result = answer(calculator, input);
  return result.ok ? [] : result.errors.map((error) => `${error.path}: ${error.message}`);
};

describe('the hanger', () => {
  const gaps = (list: [number, number][]) => list.map(([clockDeg, gapMm]) => ({ clockDeg, gapMm }));
  /** Gaps of a hanger that leans by so much, widest at one clock point. */
  const leaning = (amplitudeMm: number, atDeg: number, at: number[]) =>
    gaps(at.map((deg) => [deg, 20 + amplitudeMm * Math.cos(((deg - atDeg) * Math.PI) / 180)]));
  const ask = (readings: object[], more: object = {}) =>
    ok(inspectHanger, { readings, radiusMm: 300, speeds: 9, ...more });

  test('four gaps that differ by 4 mm: pushed 2 mm towards the wheel where the gap is widest', () => {
    const found = ask(
      gaps([
        [0, 12],
        [90, 10],
        [180, 8],
        [270, 10],
      ]),
      { material: 'steel' },
    );
    expect(found).toMatchObject({ spreadMm: 4, pushMm: 2, pushAtDeg: 0, verdict: 'align' });
    expect(found.words).toContain('towards the wheel at twelve o’clock');
    expect(found.tiltDeg).toBeCloseTo((Math.atan(2 / 300) * 180) / Math.PI, 5);
  });

  test('whatever it leans and wherever it is read, the lean is found again', () => {
    for (const at of [0, 37, 90, 201, 359])
      for (const points of [
        [0, 90, 180, 270],
        [10, 130, 250],
        [0, 60, 120, 180, 240, 300],
      ]) {
        const found = ask(leaning(1.7, at, points));
        expect(found.pushMm).toBeCloseTo(1.7, 5);
        expect(Math.cos(((found.pushAtDeg - at) * Math.PI) / 180)).toBeCloseTo(1, 9);
        expect(found.residualMm).toBeCloseTo(0, 5);
      }
  });

  test.each([
    [8, 2, 'straight'],
    [8, 2.1, 'align'],
    [9, 1, 'straight'],
    [9, 1.1, 'align'],
  ])('%i speeds: a spread of %f mm is %s', (speeds, spread, verdict) => {
    expect(ask(leaning(spread / 2, 90, [0, 90, 180, 270]), { speeds, material: 'steel' }).verdict).toBe(verdict);
  });

  test('steel is bent back, aluminium within two degrees and once, carbon never', () => {
    const bent = leaning(3, 90, [0, 90, 180, 270]);
    const far = leaning(11, 90, [0, 90, 180, 270]);
    expect(ask(bent, { material: 'aluminium' }).verdict).toBe('align');
    expect(ask(bent, { material: 'aluminium', bentBefore: true }).verdict).toBe('replace');
    expect(ask(bent, { material: 'carbon' }).verdict).toBe('replace');
    expect(ask(far, { material: 'aluminium' }).verdict).toBe('replace');
    expect(ask(far, { material: 'steel' }).verdict).toBe('align');
    expect(ask(leaning(0.1, 90, [0, 90, 180, 270]), { material: 'carbon' }).verdict).toBe('straight');
  });

  test('readings that lie on no plane are taken again', () => {
    expect(
      ask(
        gaps([
          [0, 10],
          [90, 14],
          [180, 10],
          [270, 14],
        ]),
      ).verdict,
    ).toBe('measure-again');
  });

  test('two clock points, or all on one side, tell no tilt', () => {
    expect(
      refused(inspectHanger, {
        readings: gaps([
          [0, 1],
          [180, 2],
          [0, 1],
        ]),
        radiusMm: 300,
        speeds: 9,
      }),
    ).toEqual([expect.stringContaining('three clock points')]);
    expect(
      refused(inspectHanger, {
        readings: gaps([
          [0, 1],
          [60, 2],
          [120, 1],
        ]),
        radiusMm: 300,
        speeds: 9,
      }),
    ).toEqual([expect.stringContaining('no reading over an arc of 240°')]);
  });

  test('a straight one has no direction and no signed nought', () => {
    const found = ask(
      gaps([
        [0, 10],
        [90, 10],
        [180, 10],
        [270, 10],
      ]),
    );
    expect([found.pushAtDeg, found.pushMm, found.spreadMm].map((x) => Object.is(x, 0))).toEqual([true, true, true]);
  });
});

describe('runout', () => {
  test('one bend in twelve steps is a local fault, one wave is a lean', () => {
    const bend = ok(inspectRunout, { of: 'rim-braked', readingsMm: [0, 0, 0, 1.2, 0, 0, 0, 0, 0, 0, 0, 0] });
    expect(bend).toMatchObject({ peakToPeakMm: 1.2, highAtDeg: 90, verdict: 'true-it' });
    expect(bend.leanShare).toBeLessThan(0.3);
    const wave = ok(inspectRunout, {
      of: 'disc',
      readingsMm: Array.from({ length: 12 }, (_, i) => 0.3 * Math.cos((2 * Math.PI * i) / 12)),
    });
    expect(wave.leanShare).toBeCloseTo(1, 6);
    expect(wave.reasons.join(' ')).toContain('how it sits');
  });
  test('the same half millimetre is let pass on a wheel with a disc and watched on one with rim brakes', () => {
    const readingsMm = [0, 0.5, 0, 0];
    expect(ok(inspectRunout, { of: 'rim-free', readingsMm }).verdict).toBe('true');
    expect(ok(inspectRunout, { of: 'rim-braked', readingsMm }).verdict).toBe('near');
    expect(ok(inspectRunout, { of: 'disc', readingsMm }).verdict).toBe('true-it');
  });
});

describe('rock at the rim', () => {
  test('1 mm at a 311 mm rim over 60 mm of span is about a tenth at the bearing and 35° of cone', () => {
    const found = ok(inspectRimPlay, { movementMm: 1, leverMm: 311, spanMm: 60 });
    expect(found.radialMm).toBeCloseTo(0.0965, 4);
    expect(found.axialMm).toBeCloseTo(found.radialMm, 9);
    expect(found.turnDeg).toBeCloseTo(34.7, 1);
    expect(found.verdict).toBe('clear');
  });
  test('the give of spokes is no play, and a headset should not rock at all', () => {
    expect(ok(inspectRimPlay, { movementMm: 0.2, leverMm: 311, spanMm: 60 }).verdict).toBe('none');
    expect(ok(inspectRimPlay, { where: 'headset', movementMm: 0.2, leverMm: 450, spanMm: 120 }).verdict).toBe('clear');
  });
  test('play at the bearing grows with the rock and the span and falls with the lever', () => {
    const play = (movementMm: number, leverMm: number, spanMm: number) =>
      ok(inspectRimPlay, { movementMm, leverMm, spanMm }).radialMm;
    expect(play(2, 300, 60)).toBeGreaterThan(play(1, 300, 60));
    expect(play(1, 300, 70)).toBeGreaterThan(play(1, 300, 60));
    expect(play(1, 200, 60)).toBeGreaterThan(play(1, 300, 60));
  });
});

describe('a squeeze map', () => {
  const even = Array.from({ length: 16 }, () => 'even');
  test('even, uneven, slack all over, broken', () => {
    expect(ok(inspectSpokeMap, { pairs: even }).verdict).toBe('even');
    const one = ok(inspectSpokeMap, { pairs: even.map((feel, i) => (i === 4 ? 'slack' : feel)) });
    expect(one).toMatchObject({ verdict: 'uneven', odd: [5], worstRun: 1 });
    expect(ok(inspectSpokeMap, { pairs: even.map((_, i) => (i % 3 ? 'soft' : 'even')) }).verdict).toBe('slack');
    expect(ok(inspectSpokeMap, { pairs: even.map((feel, i) => (i === 0 ? 'broken' : feel)) }).verdict).toBe('broken');
  });
  test('soft neighbours are counted across the valve', () => {
    const pairs = even.map((feel, i) => ([15, 0, 1].includes(i) ? 'soft' : feel));
    expect(ok(inspectSpokeMap, { pairs })).toMatchObject({ worstRun: 3, verdict: 'uneven' });
  });
});

describe('the four figures of a tyre', () => {
  const today = '2026-11-25';
  test('week 23 of 2018 is eight and a half years old: near', () => {
    const found = ok(inspectTyreAge, { code: '2318', today });
    expect(found).toMatchObject({ madeOn: '2018-06-04', verdict: 'near' });
    expect(found.years).toBeCloseTo(8.47, 1);
  });
  test('ten years and over is renewed, five is sound', () => {
    expect(ok(inspectTyreAge, { code: '4616', today }).verdict).toBe('renew');
    expect(ok(inspectTyreAge, { code: '4821', today }).verdict).toBe('sound');
  });
  test('a week that has not come and a week that is none are refused in words', () => {
    expect(refused(inspectTyreAge, { code: '5227', today })).toEqual([expect.stringContaining('has not come yet')]);
    expect(refused(inspectTyreAge, { code: '5418', today })).toEqual([expect.stringContaining('week then year')]);
  });
});
