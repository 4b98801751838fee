import fc from 'fast-check';
import { answer } from '../calculator';
import { bearingsAdjustCone, type AdjustConeInput, type ConeAdvice } from './adjustCone';
import { bearingsBallCount } from './ballCount';
import { bearingsClampAllowance } from './clampAllowance';
import { ballsDue, checkCounts } from './counts';
import { bearingsGrade, type Grade, type GradeInput } from './grade';
import { bearingsIdentifyBall } from './identifyBall';
import { balls } from '../balls/data/balls';
import { ballSets } from '../balls/data/ballSets';
import { setHubs } from '../../../bench/hubs';

function ok<T>(result: { ok: true; output: T } | { ok: false; errors: unknown }): T {
  if (!result.ok) throw new Error(JSON.stringify(result.errors));
  return result.output;
}
const ball = (readingsMm: number[], instrument: 'caliper' | 'micrometer' = 'caliper') =>
  ok(answer(bearingsIdentifyBall, { readingsMm, instrument }));

describe('which ball', () => {
  test('6.34, 6.35, 6.34 are 1/4 in, in size', () => {
    expect(ball([6.34, 6.35, 6.34])).toMatchObject({ nominal: { fractionIn: '1/4' }, verdict: 'in-size' });
  });
  test('a caliper tells 0.02 mm and no less', () => {
    expect(ball([6.33]).verdict).toBe('in-size');
    expect(ball([6.329]).verdict).toBe('undersize');
    expect(ball([6.35, 6.33]).verdict).toBe('in-size');
    expect(ball([6.36, 6.339]).verdict).toBe('uneven');
  });
  test("a micrometer holds a ball to the table's own limit", () => {
    expect(ball([6.337], 'micrometer').verdict).toBe('in-size');
    expect(ball([6.336], 'micrometer').verdict).toBe('undersize');
    expect(ball([6.35, 6.344], 'micrometer').verdict).toBe('uneven');
  });
  test('3/16 and 7/32 look alike and are told apart', () => {
    expect(ball([4.76]).nominal!.fractionIn).toBe('3/16');
    expect(ball([5.55]).nominal!.fractionIn).toBe('7/32');
    expect(ball([5.2])).toMatchObject({ nominal: null, verdict: 'unknown' });
  });
  test('every size of the table knows itself, and its reject figure is nominal less its limit', () => {
    for (const row of balls) {
      expect(ball([row.diameterMm]).nominal!.fractionIn).toBe(row.fractionIn);
      expect(row.diameterMm - row.wearLimitMm).toBeCloseTo(row.rejectBelowMm, 4);
      expect(row.diameterIn * 25.4).toBeCloseTo(row.diameterMm, 3);
    }
  });
});

describe('how many balls', () => {
  test('3/16 in on a 16.2 mm circle: ten, with room', () => {
    const found = ok(answer(bearingsBallCount, { pitchDiameterMm: 16.2, ballDiameterMm: 4.7625 }));
    expect(found).toMatchObject({ full: 10, use: 10 });
    expect(found.exact).toBeCloseTo(10.528, 2);
    expect(found.gapMm).toBeCloseTo(2.55, 1);
  });
  test('over two balls is the circle and one ball more', () => {
    const over = ok(answer(bearingsBallCount, { overBallsMm: 16.2 + 4.7625, ballDiameterMm: 4.7625 }));
    expect(over.exact).toBeCloseTo(10.528, 2);
  });
  test('a cup that a full ring would jam is filled with one less', () => {
    const D = 4 / Math.sin(Math.PI / 12);
    expect(ok(answer(bearingsBallCount, { pitchDiameterMm: D, ballDiameterMm: 4 }))).toMatchObject({
      full: 12,
      use: 11,
    });
  });
  test('the table was back-computed from usual counts with the same geometry', () => {
    for (const set of ballSets) {
      if (set.pitchDiameterMm === null || set.fullComplementAtPitch === null || set.arrangement !== 'loose') continue;
      expect(
        ok(answer(bearingsBallCount, { pitchDiameterMm: set.pitchDiameterMm, ballDiameterMm: set.ballDiameterMm }))
          .full,
      ).toBe(set.fullComplementAtPitch);
    }
  });
  test('the balls used leave room, and one more would not', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 10, noNaN: true }),
        fc.double({ min: 2.5, max: 15, noNaN: true }),
        (d, ratio) => {
          const D = d * ratio;
          const found = ok(answer(bearingsBallCount, { pitchDiameterMm: D, ballDiameterMm: d }));
          const gap = (n: number) => Math.PI * D - n * D * Math.asin(d / D);
          return gap(found.use) >= 0.1 * d - 1e-6 && gap(found.use + 1) < 0.1 * d + 1e-6;
        },
      ),
    );
  });
  test('balls larger than their circle are refused', () => {
    expect(answer(bearingsBallCount, { pitchDiameterMm: 5, ballDiameterMm: 6 })).toMatchObject({
      ok: false,
      errors: [{ path: 'ballDiameterMm' }],
    });
    expect(answer(bearingsBallCount, { ballDiameterMm: 6 })).toMatchObject({ ok: false, errors: [{ path: '' }] });
  });
});

describe('three numbers of one side', () => {
  const counts = { out: 9, holds: 9, in: 9, answer: null };
  test('nine, nine, nine asks nothing', () => {
    expect(checkCounts(counts)).toMatchObject({ question: null, settled: true });
  });
  test('eight in where nine came out is asked about and settled by one tap', () => {
    expect(checkCounts({ ...counts, in: 8 }).settled).toBe(false);
    expect(checkCounts({ ...counts, in: 8, answer: 'lost' }).settled).toBe(true);
    expect(checkCounts({ ...counts, in: 8, answer: 'came-overfull' }).settled).toBe(false);
  });
  test('a cup that came short is filled, one that came overfull is not filled again', () => {
    expect(checkCounts({ out: 8, holds: 9, in: 9, answer: 'came-short' }).settled).toBe(true);
    expect(ballsDue({ out: 8, holds: 9, in: null, answer: null })).toBe(9);
    expect(checkCounts({ out: 11, holds: 10, in: 10, answer: null }).answers).toEqual(['came-overfull']);
  });
});

describe('what a quick release squeezes', () => {
  test('a 10 × 1 axle, 5.2 bore, 68 between cones, 4,200 N: 0.032 mm, nearly twelve degrees', () => {
    const found = ok(
      answer(bearingsClampAllowance, {
        axle: { majorMm: 10, pitchMm: 1, boreMm: 5.2 },
        coneSpanMm: 68,
        clampForceN: 4200,
      }),
    );
    expect(found.compressionMm).toBeCloseTo(0.0322, 4);
    expect(found.coneTurnDeg).toBeGreaterThan(11);
    expect(found.coneTurnDeg).toBeLessThan(12);
  });
  test('a bore as wide as the thread leaves no axle', () => {
    expect(
      answer(bearingsClampAllowance, { axle: { majorMm: 9, pitchMm: 1, boreMm: 9 }, coneSpanMm: 60, clampForceN: 1 }),
    ).toMatchObject({ ok: false, errors: [{ path: 'axle.boreMm' }] });
  });
});

describe('what a bearing needs', () => {
  const grade = (input: Partial<GradeInput>): Grade =>
    ok(answer(bearingsGrade, { kind: 'cup-and-cone', place: 'hub.front', ...input }));
  test.each([
    [{ feel: 'gritty' }, 'look-inside'],
    [{ feel: 'gritty', openable: false }, 'renew-unit'],
    [{ feel: 'light-rumble', play: 'none' }, 'leave'],
    [{ feel: 'tight' }, 'adjust'],
    [{ feel: 'smooth', play: 'slight' }, 'adjust'],
    [{ feel: 'smooth', play: 'none' }, 'leave'],
    [{ feel: 'gritty', grease: 'dirty', balls: 'bright' }, 'repack'],
    [{ feel: 'gritty', grease: 'dirty', balls: 'dull' }, 'renew-balls'],
    [{ balls: 'short' }, 'renew-balls'],
    [{ cone: 'pitted', balls: 'rusty' }, 'renew-cone'],
    [{ cup: 'pitted', cone: 'pitted' }, 'renew-unit'],
    [{ kind: 'cartridge', feel: 'gritty' }, 'renew-cartridge'],
    [{ kind: 'cartridge', feel: 'tight' }, 'adjust'],
    [{ kind: 'bushing', play: 'clear' }, 'renew-cartridge'],
  ] as const)('%j → %s', (input, verdict) => {
    expect(grade(input).verdict).toBe(verdict);
  });
  test('where schools differ the house rule decides and is named', () => {
    const rules = { pittedCup: 'run-on', reuseBalls: 'never', cartridges: 'repack-if-balls-bright' } as const;
    expect(grade({ cup: 'pitted', rules })).toMatchObject({ verdict: 'run-on', rule: 'pittedCup: run-on' });
    expect(grade({ grease: 'dry', balls: 'bright', rules })).toMatchObject({
      verdict: 'renew-balls',
      rule: 'reuseBalls: never',
    });
    expect(grade({ kind: 'cartridge', feel: 'gritty', rules })).toMatchObject({ verdict: 'look-inside' });
    expect(grade({ kind: 'cartridge', feel: 'gritty', balls: 'bright', rules })).toMatchObject({ verdict: 'repack' });
    expect(grade({ feel: 'smooth', play: 'none', rules: { openSound: true } })).toMatchObject({
      verdict: 'repack',
      rule: 'openSound: true',
    });
  });
  test('a worse cup, cone or ball never gives a milder verdict', () => {
    const rank: Record<string, number> = {
      leave: 0,
      adjust: 1,
      repack: 2,
      'renew-balls': 3,
      'renew-cone': 4,
      'renew-cartridge': 4,
      'renew-unit': 5,
    };
    const worse = {
      cup: ['bright', 'dull', 'pitted'],
      cone: ['bright', 'dull', 'pitted'],
      balls: ['bright', 'dull', 'rusty'],
    } as const;
    const evidence = fc.record({
      feel: fc.constantFrom('smooth', 'light-rumble', 'gritty', 'notchy', 'tight', 'seized', 'unknown'),
      play: fc.constantFrom('none', 'slight', 'clear', 'unknown'),
      grease: fc.constantFrom('fresh', 'dirty', 'dry', 'rusty', 'unknown'),
      cup: fc.constantFrom(...worse.cup),
      cone: fc.constantFrom(...worse.cone),
      balls: fc.constantFrom(...worse.balls),
    });
    fc.assert(
      fc.property(
        evidence,
        fc.constantFrom('cup', 'cone', 'balls'),
        fc.constantFrom('never', 'if-bright'),
        (seen, key, reuseBalls) => {
          const list: readonly string[] = worse[key];
          const next = list[list.indexOf(seen[key]) + 1];
          if (!next) return true;
          const rules = { reuseBalls } as GradeInput['rules'];
          const mild = rank[grade({ ...(seen as GradeInput), rules }).verdict];
          const grave = rank[grade({ ...(seen as GradeInput), [key]: next, rules }).verdict];
          return mild === undefined || grave === undefined || grave >= mild;
        },
      ),
    );
  });
});

describe('the next turn of the cone', () => {
  const advise = (input: Partial<AdjustConeInput> = {}): ConeAdvice =>
    ok(answer(bearingsAdjustCone, { pitchMm: 1, trials: [], ...input }));

  test('no trial yet: from tight opens, from loose closes', () => {
    expect(advise({ school: 'from-tight' }).next!.turnDeg).toBeLessThan(0);
    expect(advise({ school: 'from-loose' }).next!.turnDeg).toBeGreaterThan(0);
    expect(advise().playMm).toBeNull();
  });
  test('tight is opened, loose is closed', () => {
    expect(advise({ trials: [{ turnDeg: 0, feel: 'tight' }] }).next!.turnDeg).toBeLessThan(0);
    expect(advise({ trials: [{ turnDeg: 0, feel: 'loose' }] }).next!.turnDeg).toBeGreaterThan(0);
  });
  test('twelve degrees are 31 mm at the tip of a 150 mm spanner and a fifth of a flat', () => {
    const next = advise({ trials: [{ turnDeg: 0, feel: 'tight' }] }).next!;
    expect(next.tipTravelMm / Math.abs(next.turnDeg)).toBeCloseTo(31.4 / 12, 2);
    expect(next.flatShare / Math.abs(next.turnDeg)).toBeCloseTo(0.2 / 12, 4);
  });
  test('one smooth feel out of nothing is felt again before it is believed', () => {
    const once = advise({ trials: [{ turnDeg: 0, feel: 'smooth' }] });
    expect(once.done).toBe(false);
    expect(once.next!.turnDeg).toBe(0);
    expect(
      advise({
        trials: [
          { turnDeg: 0, feel: 'smooth' },
          { turnDeg: 0, feel: 'smooth' },
        ],
      }),
    ).toMatchObject({ done: true, next: null });
  });
  test('with a skewer the feel that counts is taken closed', () => {
    const open = { turnDeg: 0, feel: 'tick' as const, clamped: false };
    const closed = { turnDeg: 0, feel: 'smooth' as const, clamped: true };
    expect(advise({ allowanceDeg: 12, trials: [open, { ...closed, clamped: false }] }).done).toBe(false);
    expect(advise({ allowanceDeg: 12, trials: [open, closed] }).done).toBe(true);
  });
  test('evidence against itself neither breaks nor finishes', () => {
    const trials = Array.from({ length: 20 }, (_, i) => ({
      turnDeg: 0,
      feel: i % 2 ? ('tight' as const) : ('loose' as const),
    }));
    const found = advise({ trials, missShare: 0 });
    expect(found.done).toBe(false);
    expect(Number.isFinite(found.estimate.toIdealDeg) && Number.isFinite(found.estimate.sdDeg)).toBe(true);
  });
  test('the same trials give the same advice', () => {
    const trials = [
      { turnDeg: 0, feel: 'tight' as const },
      { turnDeg: -30, feel: 'tick' as const },
    ];
    expect(advise({ trials })).toEqual(advise({ trials }));
  });

  const usual = { dragMeanDeg: 5, dragSdDeg: 4, bandScale: 1, allowanceDeg: 0 };
  test.each([
    ['as believed', usual, 5, 0.93],
    ['with a skewer', { ...usual, allowanceDeg: 12 }, 5, 0.93],
    ['drag 9±6', { ...usual, dragMeanDeg: 9, dragSdDeg: 6 }, 5.6, 0.93],
    ['bands a third narrower', { ...usual, bandScale: 2 / 3 }, 6.6, 0.9],
    ['bands a third wider', { ...usual, bandScale: 4 / 3 }, 4.8, 0.93],
  ])('hidden hubs, %s: few trials and nearly all right', (_name, truth, mostTrials, leastRight) => {
    const found = setHubs(20, truth, 'adviser');
    expect(found.shareRight).toBeGreaterThanOrEqual(leastRight);
    expect(found.meanTrials).toBeLessThan(mostTrials);
  });
});
