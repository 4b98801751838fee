import fc from 'fast-check';
import { answer } from '../calculator';
import { moneyAppraise, type Appraisal, type AppraiseInput } from './appraise';
import { pertMean, pertQuantile } from './pert';
import { moneyResult, type MoneyResult, type ResultInput } from './result';
import { uniformStream } from './streams';

const exactly = (value: number) => ({ low: value, likely: value, high: value });

function appraise(changes: Partial<AppraiseInput> = {}): Appraisal {
  const result = answer(moneyAppraise, {
    currency: 'EUR',
    asking: 14000,
    resale: { low: 26000, likely: 30000, high: 34000 },
    costs: [],
    target: { kind: 'profit', amount: 5000 },
    trials: 2000,
    ...changes,
  });
  if (!result.ok) throw new Error(JSON.stringify(result.errors));
  return result.output;
}

function refusal(changes: Record<string, unknown>): string[] {
  const result = answer(moneyAppraise, {
    currency: 'EUR',
    asking: 1,
    resale: exactly(1),
    costs: [],
    target: { kind: 'profit', amount: 0 },
    ...changes,
  });
  return result.ok ? [] : result.errors.map((error) => error.path);
}

const post = {
  label: 'seized post',
  chance: 0.5,
  parts: { low: 0, likely: 1500, high: 6000 },
  minutes: { low: 20, likely: 60, high: 240 },
};
const tyres = { label: 'tyres', parts: { low: 2800, likely: 4000, high: 6500 }, minutes: exactly(35) };

describe('what may be paid', () => {
  test('a sure sale of 300 with nothing to do and 50 of profit wanted carries exactly 250', () => {
    const found = appraise({ resale: exactly(30000) });
    expect(found.ceiling).toBe(25000);
    expect(found.verdict).toBe('buy');
    expect(found.atAsking.profit).toEqual({ p10: 16000, p50: 16000, p90: 16000, mean: 16000 });
  });

  test('fee, travel and parts come off before the profit', () => {
    const found = appraise({
      resale: exactly(30000),
      fee: { percent: 10, fixed: 200 },
      otherCosts: 800,
      costs: [{ label: 'chain', parts: exactly(2000), minutes: exactly(0) }],
    });
    expect(found.ceiling).toBe(30000 - 3000 - 200 - 800 - 2000 - 5000);
  });

  test('a wage wanted of 15 an hour over 5 sure hours takes 75 off the ceiling', () => {
    const found = appraise({
      resale: exactly(30000),
      target: { kind: 'hourly', amount: 1500 },
      costs: [{ label: 'ordinary', kind: 'standing', parts: exactly(0), minutes: exactly(300) }],
    });
    expect(found.ceiling).toBe(22500);
    expect(found.atAsking.hourly!.p50).toBe((30000 - 14000) / 5);
  });

  test('asking exactly the ceiling is still a buy, one unit more is not', () => {
    expect(appraise({ resale: exactly(30000), asking: 25000 }).verdict).toBe('buy');
    expect(appraise({ resale: exactly(30000), asking: 25001 }).verdict).toBe('walk-away');
  });

  test('between the wanted confidence and even odds one haggles', () => {
    const found = appraise({ asking: 24500, confidence: 0.9 });
    expect(found.ceiling).toBeLessThan(24500);
    expect(found.verdict).toBe('haggle');
  });

  test('wages an hour are unknown while any trial takes no time', () => {
    expect(appraise({ costs: [post] }).atAsking.hourly).toBeNull();
  });

  test('the same input gives the same output to the last digit', () => {
    expect(appraise({ costs: [post, tyres] })).toEqual(appraise({ costs: [post, tyres] }));
  });

  test('another line does not move the draws of the first', () => {
    const alone = appraise({ costs: [post] });
    const withNothing = appraise({ costs: [post, { label: 'nothing', parts: exactly(0), minutes: exactly(0) }] });
    expect(withNothing.ceiling).toBe(alone.ceiling);
    expect(withNothing.atAsking).toEqual(alone.atAsking);
  });

  test('a change of words moves no ceiling: the draws of a line hang on its id', () => {
    const one = appraise({ costs: [{ ...post, id: 'post' }] });
    const other = appraise({ costs: [{ ...post, id: 'post', label: 'a post that will not move' }] });
    expect([other.ceiling, other.minutes, other.spread]).toEqual([one.ceiling, one.minutes, one.spread]);
    expect(appraise({ costs: [{ ...post, id: 'another' }] }).ceiling).not.toBe(one.ceiling);
    // Without an id it is the label, as ever.
    expect(appraise({ costs: [post] }).ceiling).toBe(appraise({ costs: [{ ...post, id: post.label }] }).ceiling);
    expect(refusal({ costs: [post, { ...post, id: post.label, label: 'the same again' }] })).toEqual(['costs']);
  });

  test('a driver lifts the ceiling by just what leaving its line out does', () => {
    const both = appraise({ costs: [post, tyres] });
    const without = appraise({ costs: [tyres] });
    const lift = both.drivers.find((driver) => driver.label === 'seized post')!.lift;
    expect(Math.abs(both.ceiling + lift - without.ceiling)).toBeLessThanOrEqual(1);
    expect(both.drivers.map((driver) => driver.lift)).toEqual(both.drivers.map((d) => d.lift).sort((a, b) => b - a));
  });

  test('money owed to a dearer fault never raises the ceiling', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 8000 }), fc.double({ min: 0, max: 1, noNaN: true }), (dearer, chance) => {
        const line = { ...post, chance };
        const before = appraise({ costs: [line] }).ceiling;
        const after = appraise({
          costs: [{ ...line, parts: { ...line.parts, high: line.parts.high + dearer } }],
        }).ceiling;
        return after <= before + 1;
      }),
      { numRuns: 25 },
    );
  });

  test('chances and spread add up', () => {
    const found = appraise({ costs: [post, tyres], asking: 24000 });
    expect(found.spread.reduce((sum, bin) => sum + bin.count, 0)).toBe(2000);
    expect(found.atAsking.lossChance).toBeGreaterThan(0);
    expect(found.atAsking.targetChance).toBeLessThan(1);
    const prices = found.priceCurve.map((point) => point.price);
    expect(prices).toEqual([...prices].sort((a, b) => b - a));
  });

  test('a ceiling never falls below nothing', () => {
    expect(appraise({ resale: exactly(1000), target: { kind: 'profit', amount: 90000 } }).ceiling).toBe(0);
  });

  test('what cannot be is refused, all at once, field by field', () => {
    expect(refusal({ resale: { low: 5, likely: 4, high: 3 } })).toEqual(['resale.low', 'resale.high']);
    expect(
      refusal({
        asking: 1.5,
        currency: 'euro',
        costs: [
          { label: 'a', parts: exactly(1), minutes: exactly(1) },
          { label: 'a', parts: exactly(1), minutes: exactly(1) },
        ],
      }),
    ).toEqual(['currency', 'asking', 'costs']);
    expect(refusal({ confidence: 0.4, trials: 10, colour: 'green' })).toEqual(['confidence', 'trials', 'colour']);
    expect(refusal({ asking: '140' })).toEqual(['asking']);
  });
});

describe('three-point ranges', () => {
  test('the middle of the draws has the mean (low + 4·likely + high)/6', () => {
    const range = { low: 10, likely: 25, high: 100 };
    const next = uniformStream(7, 'mean');
    const at = pertQuantile(range);
    let sum = 0;
    for (let i = 0; i < 50_000; i++) sum += at(next());
    expect(sum / 50_000).toBeCloseTo(pertMean(range), 0);
    expect(Math.abs(sum / 50_000 - 35)).toBeLessThan(0.3);
  });

  test('variance is that of the beta distribution', () => {
    const next = uniformStream(3, 'variance');
    const at = pertQuantile({ low: 0, likely: 0.5, high: 1 });
    const draws = Array.from({ length: 50_000 }, () => at(next()));
    const variance = draws.reduce((sum, x) => sum + (x - 0.5) ** 2, 0) / draws.length;
    expect(variance).toBeCloseTo(9 / (36 * 7), 3);
  });

  test('quantiles rise and stay inside the range', () => {
    fc.assert(
      fc.property(
        fc.tuple(fc.nat(1000), fc.nat(1000), fc.nat(1000)),
        fc.array(fc.double({ min: 1e-9, max: 1 - 1e-9, noNaN: true }), { minLength: 2 }),
        (ends, us) => {
          const [low, likely, high] = [...ends].sort((a, b) => a - b) as [number, number, number];
          const at = pertQuantile({ low, likely, high });
          const values = [...us].sort((a, b) => a - b).map(at);
          return values.every(
            (value, i) => value >= low && value <= high && (i === 0 || value >= values[i - 1]! - 1e-9),
          );
        },
      ),
    );
  });
});

describe('what it earned', () => {
  function result(changes: Partial<ResultInput> = {}): MoneyResult {
    const found = answer(moneyResult, { currency: 'EUR', sale: 48000, purchase: 18000, lines: [], ...changes });
    if (!found.ok) throw new Error(JSON.stringify(found.errors));
    return found.output;
  }
  const part = (paid: number, packQty = 1, usedQty = 1) => ({
    label: 'part',
    kind: 'part' as const,
    paid,
    packQty,
    usedQty,
  });

  test('bought 180, parts 75, sold 480 in nine hours: 225 of profit, 25 an hour', () => {
    const found = result({ lines: [1500, 1800, 800, 1200, 600, 1600].map((paid) => part(paid)), minutes: 540 });
    expect(found.profit).toBe(22500);
    expect(found.hourly).toBe(2500);
    expect(found.outlay).toBe(25500);
  });

  test('six balls of a bag of twenty are charged, fourteen stay in the drawer', () => {
    expect(result({ lines: [part(1000, 20, 6)] })).toMatchObject({ charged: 300, stockLeft: 700, outlay: 19000 });
  });

  test('charged and left are what was paid, to the unit', () => {
    const line = fc
      .tuple(fc.nat(100_000), fc.integer({ min: 1, max: 60 }), fc.nat(60))
      .map(([paid, pack, used]) => part(paid, pack, Math.min(used, pack)));
    fc.assert(
      fc.property(fc.array(line, { maxLength: 20 }), (lines) => {
        const found = result({ lines });
        return found.charged + found.stockLeft === lines.reduce((sum, l) => sum + l.paid, 0);
      }),
    );
  });

  test('halves are rounded up', () => {
    expect(result({ lines: [part(5, 2, 1)] }).charged).toBe(3);
  });

  test('without a sale there is no profit, without minutes no wage, without outlay no return', () => {
    expect(result({ sale: null })).toMatchObject({ profit: null, margin: null, hourly: null });
    expect(result().hourly).toBeNull();
    expect(result({ purchase: 0 }).returnOnOutlay).toBeNull();
    expect(result({ sale: 0 }).margin).toBeNull();
  });

  test('more used than the pack held is refused at that line', () => {
    const found = answer(moneyResult, { currency: 'EUR', sale: null, purchase: 0, lines: [part(1), part(100, 2, 3)] });
    expect(found).toEqual({
      ok: false,
      errors: [{ path: 'lines.1.usedQty', message: expect.stringContaining('3 used out of a pack of 2') as string }],
    });
  });
});
