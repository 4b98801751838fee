import fc from 'fast-check';
import { ceilingOf, finishedIn, heldBy, hiddenShop, knownBy, learntBy } from '../../../tests/hiddenShop';
import { runs } from '../../../tests/runs';
import { buyLearn } from '@/core/buy/learn';
import { answer } from '@/core/calculator';
import { betaBelow } from '@/core/money/betaBelow';
import { learntMinutes, learntRange, NOTHING_LEARNT } from '@/core/money/learnt';
import { USUAL_SETTINGS } from '../settings/usual';
import { demoWorkshop } from '../demo/workshop';
import { summaryOf } from '../summaryOf';
import { inUse, lessonsOf, taughtInput, usesLessons } from './learnt';
import { workedOutBy } from './workedOutBy';

const TODAY = '2026-11-25';
const { bicycles } = demoWorkshop(new Date(`${TODAY}T10:00:00.000Z`));
const summaries = Object.fromEntries(bicycles.map((bicycle) => [bicycle.id, summaryOf(bicycle)]));

function learn(input: object) {
  const said = answer(buyLearn, input);
  if (!said.ok) throw new Error(JSON.stringify(said.errors));
  return said.output;
}

describe('what is learnt, and what is used of it', () => {
  const learnt = learn(taughtInput(summaries));

  test('nothing is used unasked, however clear it is', () => {
    expect(usesLessons(USUAL_SETTINGS)).toBe(false);
    expect(inUse(learnt, USUAL_SETTINGS)).toEqual(NOTHING_LEARNT);
    expect(
      lessonsOf(learnt, USUAL_SETTINGS)
        .filter(({ isTold }) => isTold)
        .map(({ key }) => key),
    ).toEqual(['minutes:wheels', 'minutes:brakes', 'chance:cables', 'chance:tyres']);
  });
  test('wheels, said yes to, move the minutes of wheels and of nothing else; taken back they move nothing', () => {
    const used = inUse(learnt, { learnt: { 'minutes:wheels': 'yes' } });
    const thought = { low: 20, likely: 35, high: 60 };
    expect(learntMinutes(thought, 'rim.rear', used).likely).toBeGreaterThan(70);
    expect(learntMinutes(thought, 'hub.rear', used)).toEqual(thought);
    expect(used).toMatchObject({ resale: null, chances: {} });
    expect(inUse(learnt, { learnt: { 'minutes:wheels': 'no' } })).toEqual(NOTHING_LEARNT);
  });
  test('a lesson is told from five cases on, and only clear of what was expected', () => {
    const job = { job: 'wheels', estimateMin: { low: 60, likely: 100, high: 150 }, actualMin: 220 };
    const told = (count: number, more: object = {}) =>
      learn({ jobs: Array.from({ length: count }, () => ({ ...job, ...more })) }).minutes[0]!.isTold;
    expect([told(4), told(5)]).toEqual([false, true]);
    expect(told(12, { actualMin: 104 })).toBe(false);
    const at = (looked: number, bad: number) => learn({ door: { cables: { looked, bad } } }).chances[0]!;
    expect([at(4, 4).isTold, at(5, 5).isTold, at(10, 1).isTold]).toEqual([false, true, false]);
    expect(at(8, 7).words).toBe('Cables rusty or frayed: in seven of eight, where 10 in a hundred were expected');
    expect(learn({ door: { 'no-such-line': { looked: 9, bad: 9 } } }).chances).toEqual([]);
  });
  test('a chance is (8·chance + seen)/(8 + cases)', () => {
    const found = learn({ door: { cables: { looked: 8, bad: 7 } } }).chances[0]!;
    expect(found.chance).toBeCloseTo((8 * found.thought + 7) / 16, 12);
  });
  test('a row of the floor is worked out anew when a lesson is used, taken back, or has more to learn from', () => {
    const by = (settings: object, rows = summaries) => workedOutBy({ ...USUAL_SETTINGS, ...settings }, rows, TODAY);
    const used = { learnt: { resale: 'yes' }, stamps: { 'learnt/resale': '2026-11-25T10:00:00.000Z a' } };
    const undone = { learnt: { resale: 'no' }, stamps: { 'learnt/resale': '2026-11-25T11:00:00.000Z b' } };
    expect(new Set([by({}), by(used), by(undone)]).size).toBe(3);
    const [first, ...rest] = Object.values(summaries).filter(({ books }) => books !== null);
    const fewer = Object.fromEntries(Object.entries(summaries).filter(([id]) => id !== first!.id));
    expect(rest.length).toBeGreaterThan(0);
    expect(by(used, fewer)).not.toBe(by(used));
    // Another round in the practice room is no reason.
    expect(by({ stamps: { 'practice/cone-1': '2026-11-25T12:00:00.000Z c' } })).toBe(by({}));
  });
});

describe('ranges as learnt', () => {
  test('stay in order, are never narrower than the next four in five, and a factor of one moves nothing', () => {
    const value = fc.integer({ min: 0, max: 5000 });
    const factor = fc.double({ min: 0.1, max: 8, noNaN: true });
    fc.assert(
      fc.property(fc.tuple(value, value, value), factor, (three, times) => {
        const [low, likely, high] = three.toSorted((a, b) => a - b) as [number, number, number];
        const learnt = { factor: times, p10: times * 0.6, p90: times * 1.7 };
        const range = learntRange({ low, likely, high }, learnt);
        expect(range.low).toBeLessThanOrEqual(range.likely);
        expect(range.likely).toBeLessThanOrEqual(range.high);
        if (likely > 0) expect(range.high).toBeGreaterThanOrEqual(Math.min(100_000, likely * learnt.p90) - 0.051);
        expect(learntRange({ low, likely, high }, { factor: 1, p10: 1, p90: 1 })).toEqual({ low, likely, high });
      }),
      { numRuns: runs(300, 80) },
    );
  });
  test('how much of a Beta lies below: known values, and both ends', () => {
    expect(betaBelow(0.5, 3, 3)).toBeCloseTo(0.5, 6);
    // Of Beta(a, 1) it is x^a, of Beta(1, b) 1 − (1 − x)^b.
    expect(betaBelow(0.3, 4, 1)).toBeCloseTo(0.3 ** 4, 5);
    expect(betaBelow(0.2, 1, 5)).toBeCloseTo(1 - 0.8 ** 5, 5);
    expect(betaBelow(0.05, 0.4, 1)).toBeCloseTo(0.05 ** 0.4, 3);
    expect([betaBelow(0, 2, 2), betaBelow(1, 2, 2)]).toEqual([0, 1]);
  });
});

test('a workshop of hidden habits: after twenty bicycles its ceilings are off by less than half of what they were', () => {
  let [untaught, taught, held, of] = [0, 0, 0, 0];
  for (let seed = 1; seed <= runs(12, 6); seed++) {
    const shop = hiddenShop(seed);
    const { learnt, minutes } = learntBy(finishedIn(shop, 20, seed));
    const truth = ceilingOf(seed, knownBy(shop));
    untaught += Math.abs(ceilingOf(seed, NOTHING_LEARNT) - truth);
    taught += Math.abs(ceilingOf(seed, learnt) - truth);
    const next = heldBy(shop, minutes, seed);
    held += next.held;
    of += next.of;
  }
  expect(taught).toBeLessThan(untaught / 2);
  expect(held / of).toBeGreaterThan(0.7);
  expect(held / of).toBeLessThan(0.9);
});
