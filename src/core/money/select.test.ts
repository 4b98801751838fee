import { payableOf, sortedCeiling, sortedChance } from './ceiling';
import { quantileRaised, quantileSelected } from './select';
import { quantileSorted } from '../numbers';
import { uniformStream } from './streams';
import { answer } from '../calculator';
import { moneyAppraise } from './appraise';
import { moneySamples } from './samples';

const list = (seed: number, n: number, make: (u: number) => number) => {
  const next = uniformStream(seed, 'list');
  return Float64Array.from({ length: n }, () => make(next()));
};

describe('quantiles without sorting', () => {
  test('selecting is sorting, ties and all', () => {
    for (let seed = 1; seed < 80; seed++) {
      const values = list(seed, 1 + ((seed * 37) % 400), (u) => Math.round(u * 50));
      const q = uniformStream(seed, 'q')();
      expect(quantileSelected(values.slice(), q)).toBeCloseTo(quantileSorted(values.slice().sort(), q), 9);
    }
  });
  test('raising some values gives what sorting them anew would give', () => {
    for (let seed = 1; seed < 80; seed++) {
      const n = 30 + ((seed * 53) % 500);
      const values = list(seed, n, (u) => Math.round(u * 1000));
      const parts = list(seed + 1000, n, (u) => (u < 0.3 ? u * 900 : 0));
      const minutes = list(seed + 2000, n, (u) => (u < 0.2 ? u * 60 : 0));
      const q = 0.05 + 0.9 * uniformStream(seed, 'q')();
      const from = quantileSelected(values.slice(), q);
      const exact = quantileSorted(values.map((value, i) => value + parts[i]! + 1.5 * minutes[i]!).sort(), q);
      expect(quantileRaised(values, parts, minutes, 1.5, q, from)).toBeCloseTo(exact, 9);
    }
  });
});

test('the ceiling of a slider is the ceiling of the appraisal, at every target and confidence', () => {
  const problem = {
    currency: 'EUR',
    asking: 14000,
    resale: { low: 26000, likely: 30000, high: 34000 },
    costs: [
      {
        label: 'post',
        chance: 0.3,
        parts: { low: 0, likely: 500, high: 3500 },
        minutes: { low: 20, likely: 70, high: 300 },
      },
    ],
    trials: 3000,
  };
  const base = { ...problem, target: { kind: 'profit' as const, amount: 0 } };
  const samples = answer(moneySamples, base);
  if (!samples.ok) throw new Error();
  for (const target of [
    { kind: 'hourly' as const, amount: 1500 },
    { kind: 'profit' as const, amount: 9000 },
  ])
    for (const confidence of [0.5, 0.8, 0.93]) {
      const whole = answer(moneyAppraise, { ...problem, target, confidence });
      if (!whole.ok) throw new Error();
      const sorted = payableOf(samples.output, target, 0).sort();
      expect(sortedCeiling(sorted, confidence)).toBe(whole.output.ceiling);
      expect(sortedChance(sorted, 14000)).toBeCloseTo(whole.output.atAsking.targetChance, 9);
    }
});
