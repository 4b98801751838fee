import fc from 'fast-check';
import { runs } from '../../../tests/runs';
import { answer, type Calculator } from '../calculator';
import type { SpokeFeel } from '../inspect/evidence';
import { feelsOfPairs } from './feelsOfPairs';
import { fromMeter } from './fromMeter';
import { wheelsLacing } from './lacing';
import { tensionOf } from './readTension';
import { wheelsSpoilt } from './spoilt';
import { wheelsTrue, type TrueQuestion } from './trueWheel';
import { wheelsTyreFit } from './tyreFit';

function ask<Output>(calculator: Calculator<never, Output> | { id: string }, input: unknown): Output {
  const said = answer(calculator as Calculator, input);
  if (!said.ok) throw new Error(JSON.stringify(said.errors));
  return said.output as Output;
}
const EVEN = {
  spokes: 36,
  crossings: 3,
  rimRadiusMm: 301,
  flanges: { leftRadiusMm: 22.5, rightRadiusMm: 22.5, leftOffsetMm: 34, rightOffsetMm: 34 },
  rimClass: 'double-wall box alloy',
};
const flat = (of = 0) => Array.from({ length: 36 }, () => of);
const trued = (more: Partial<TrueQuestion> & { readings: TrueQuestion['readings'] }) => {
  const said = answer(wheelsTrue, { ...EVEN, ...more });
  if (!said.ok) throw new Error(JSON.stringify(said.errors));
  return said.output;
};

describe('tension by its means', () => {
  const usual = { left: 800, right: 400 };
  const isLeft = [true, false, true, false];

  test('a meter before tones, tones before the hand; nothing read is nothing', () => {
    const all = {
      tensionN: [700, null, null, null],
      toneHz: [400, 300, 400, 300],
      feels: ['even', null, null, null] as const,
    };
    expect(tensionOf(all, isLeft, usual)).toMatchObject({ by: 'meter', isAbsolute: true });
    expect(tensionOf({ ...all, tensionN: flat().map(() => null) }, isLeft, usual)).toMatchObject({ by: 'tone' });
    expect(tensionOf({ feels: all.feels }, isLeft, usual)).toEqual({
      tensionN: [800, null, null, null],
      by: 'feel',
      isAbsolute: false,
    });
    expect(tensionOf({}, isLeft, usual)).toBeNull();
  });

  test('tones compare a side with itself; a metered spoke makes newtons of all', () => {
    const toneHz = [400, 300, 500, 300];
    const even = tensionOf({ toneHz }, isLeft, usual)!;
    expect(even.isAbsolute).toBe(false);
    expect(even.tensionN[2]! / even.tensionN[0]!).toBeCloseTo(1.5625, 9);
    expect((even.tensionN[0]! + even.tensionN[2]!) / 2).toBeCloseTo(800, 9);
    expect(tensionOf({ toneHz, metered: { spoke: 0, tensionN: 640 } }, isLeft, usual)).toEqual({
      tensionN: [640, 360, 1000, 360],
      by: 'tone',
      isAbsolute: true,
    });
  });

  test('a meter by its table: straight between the rows, nothing beyond them', () => {
    const table = [
      { reading: 24, tensionN: 1000 },
      { reading: 20, tensionN: 600 },
    ];
    expect(fromMeter(table, 22)).toBe(800);
    expect(fromMeter(table, 20)).toBe(600);
    expect(fromMeter(table, 19)).toBeNull();
    expect(fromMeter(table, 25)).toBeNull();
    expect(fromMeter([], 20)).toBeNull();
  });

  test('squeezed pairs are two of a side by turns, every spoke once', () => {
    const pairs = Array.from({ length: 16 }, (_, i): SpokeFeel => (i === 3 ? 'slack' : 'even'));
    const feels = feelsOfPairs(pairs, 32)!;
    expect(feels.flatMap((feel, i) => (feel === 'slack' ? [i] : []))).toEqual([5, 7]);
    expect(feels).not.toContain(null);
    expect(feelsOfPairs(pairs, 36)).toBeNull();
  });

  test('tones without a meter even a wheel out and say nothing of how tight; a slack hand says tension first', () => {
    const toneHz = flat(400).map((hz, i) => (i === 6 ? hz * 0.75 : hz));
    const said = trued({ readings: { lateralMm: flat(), toneHz } });
    expect(said.verdict).toBe('adjust');
    expect(said.turns.some(({ spoke, turns }) => spoke === 6 && turns > 0)).toBe(true);
    expect(said.tension).toMatchObject({ by: 'tone', isAbsolute: false });
    // As low as it may sound, unmetered it is not slack.
    expect(trued({ readings: { lateralMm: flat(), toneHz: flat(130) } }).verdict).toBe('true');
    expect(
      trued({ readings: { lateralMm: flat(), feels: Array.from({ length: 36 }, () => 'slack' as const) } }).verdict,
    ).toBe('tension-first');
  });
});

describe('where truing stops, and the middle', () => {
  const bump = flat().map((_, i) => Math.round(120 * Math.exp(-(((i - 9) / 3) ** 2))) / 100);
  const round = (before: number[], after: number[]) => ({
    turns: [{ spoke: 9, turns: 0.25 }],
    before: { lateralMm: before },
    after: { lateralMm: after },
  });

  test('three rounds without gain, and not two', () => {
    const idle = round(bump, bump);
    expect(trued({ readings: { lateralMm: bump }, history: [idle, idle] }).stop).toBeNull();
    expect(trued({ readings: { lateralMm: bump }, history: [idle, idle, idle] }).stop).toMatch(
      /Three rounds without gain/,
    );
    const gained = round(
      bump.map((mm) => 2 * mm),
      bump,
    );
    expect(trued({ readings: { lateralMm: bump }, history: [idle, idle, gained] }).stop).toBeNull();
  });

  test('a spoke beyond its maximum, and tight beside slack', () => {
    const tensionN = flat(700).map((each, i) => (i === 4 ? 2500 : each));
    const over = trued({ readings: { lateralMm: bump, tensionN } });
    expect(over.stop).toMatch(/Spoke 5 has more than this rim takes/);
    expect(over.turns.every(({ spoke, turns }) => spoke !== 4 || turns < 0)).toBe(true);
    const beside = flat(600).map((each, i) => (i === 4 ? 1000 : i === 6 ? 150 : each));
    expect(trued({ readings: { lateralMm: bump, tensionN: beside } }).stop).toMatch(/tight beside a slack one/);
  });

  test('a rim off its middle: the same turn on all of one side, towards the middle', () => {
    fc.assert(
      fc.property(fc.constantFrom(-2.5, -1.6, -1.2, 1.2, 1.5, 2), (dishMm) => {
        const { turns, verdict, predicted } = trued({ readings: { lateralMm: flat() }, dishMm });
        expect(verdict).toBe('adjust');
        expect(turns).toHaveLength(18);
        expect(new Set(turns.map(({ turns: by }) => by)).size).toBe(1);
        expect(new Set(turns.map(({ spoke }) => spoke % 2)).size).toBe(1);
        expect(Math.abs(predicted.dishMm!)).toBeLessThan(0.7);
      }),
      { numRuns: 6 },
    );
  });
});

describe('nipples that spoil', () => {
  const counted = (spoilt: number, tried: number, spoiltNipple: 'one' | 'all' = 'one') =>
    ask<{
      verdict: string;
      expected: { low: number; likely: number; high: number };
      ways: { id: string; minutes: { likely: number } }[];
    }>(wheelsSpoilt, { spokes: 36, spoilt, tried, spoiltNipple });
  test('the third counts, or the first where the house renews all', () => {
    expect([1, 2, 3].map((spoilt) => counted(spoilt, 9).verdict)).toEqual(['go-on', 'go-on', 'count']);
    expect(counted(1, 9, 'all').verdict).toBe('count');
    expect(counted(0, 9, 'all').verdict).toBe('go-on');
  });
  test('the more have spoilt of those tried, the more will, and the dearer going on becomes; all new costs the same', () => {
    const on = [1, 3, 6].map((spoilt) => counted(spoilt, 9).ways.find(({ id }) => id === 'go-on')!.minutes.likely);
    expect(on).toEqual(on.toSorted((a, b) => a - b));
    expect(
      new Set([1, 3, 6].map((spoilt) => counted(spoilt, 9).ways.find(({ id }) => id === 'all')!.minutes.likely)).size,
    ).toBe(1);
    expect(counted(3, 9).expected.likely).toBeCloseTo((27 * 3.5) / 10, 9);
    expect(answer(wheelsSpoilt, { spokes: 36, spoilt: 4, tried: 3 }).ok).toBe(false);
  });
});

describe('lacing', () => {
  interface Laced {
    steps: {
      spokes: { hole: number; side: string; flangeHole: number; lies: string; isPulling: boolean; crosses: number[] }[];
    }[];
  }
  test('by its steps a wheel has every spoke once, every flange hole once, and the crossings asked for', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(20, 24, 28, 32, 36, 40, 48),
        fc.integer({ min: 0, max: 4 }),
        fc.boolean(),
        fc.constantFrom('outside', 'inside'),
        (spokes, crossings, mirrored, pulling) => {
          const said = answer(wheelsLacing, { spokes, crossings, mirrored, pulling });
          if (!said.ok) return;
          const { steps } = said.output as Laced;
          const all = steps.flatMap((step) => step.spokes);
          expect(all.map(({ hole }) => hole).toSorted((a, b) => a - b)).toEqual(
            Array.from({ length: spokes }, (_, i) => i),
          );
          for (const side of ['left', 'right']) {
            const own = all.filter((each) => each.side === side);
            expect(own).toHaveLength(spokes / 2);
            expect(new Set(own.map(({ flangeHole }) => flangeHole)).size).toBe(spokes / 2);
            expect(own.filter(({ isPulling }) => isPulling)).toHaveLength(spokes / 4);
          }
          const byHole = new Map(all.map((each) => [each.hole, each]));
          for (const each of all) {
            expect(each.lies === pulling).toBe(each.isPulling);
            expect(new Set(each.crosses).size).toBe(crossings);
            for (const other of each.crosses) {
              // Whom one crosses crosses it too, is of its side and runs the other way.
              expect(byHole.get(other)!.crosses).toContain(each.hole);
              expect(byHole.get(other)!.side).toBe(each.side);
              expect(byHole.get(other)!.isPulling).toBe(!each.isPulling);
            }
          }
        },
      ),
      { numRuns: runs(200, 40) },
    );
  });

  test('every fourth hole, the inside ones of both sides before any that lies outside', () => {
    const { steps } = ask<Laced>(wheelsLacing, { spokes: 32, crossings: 3 });
    expect(steps.map((step) => [step.spokes[0]!.side, step.spokes[0]!.lies, step.spokes.length])).toEqual([
      ['left', 'inside', 8],
      ['right', 'inside', 8],
      ['left', 'outside', 8],
      ['right', 'outside', 8],
    ]);
    const [first] = steps;
    expect(first!.spokes.map(({ hole }, i) => hole - first!.spokes[0]!.hole - 4 * i)).toEqual(
      Array.from({ length: 8 }, () => 0),
    );
    expect(answer(wheelsLacing, { spokes: 33, crossings: 3 }).ok).toBe(false);
    expect(answer(wheelsLacing, { spokes: 30, crossings: 3 }).ok).toBe(false);
    expect(answer(wheelsLacing, { spokes: 16, crossings: 4 }).ok).toBe(false);
  });
});

test('the house that wants more room beside a tyre refuses what another takes', () => {
  const room = (gapMm: number, tyreGap: string) =>
    ask<{ verdict: string }>(wheelsTyreFit, { rimInnerMm: 17, tyreMm: 32, gapMm, tyreGap }).verdict;
  expect([room(4, 'usual'), room(4, 'wide'), room(6, 'wide'), room(2, 'usual')]).toEqual([
    'fits',
    'no-room',
    'fits',
    'no-room',
  ]);
});
