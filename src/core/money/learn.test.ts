import fc from 'fast-check';
import { runs } from '../../../tests/runs';
import { answer } from '../calculator';
import { factorWords, moneyLearn, type Learnt } from './learn';

function learn(of: object): Learnt {
  const said = answer(moneyLearn, of);
  if (!said.ok) throw new Error(JSON.stringify(said.errors));
  return said.output;
}
const took = (job: string, times: number) => ({
  job,
  estimateMin: { low: 60, likely: 100, high: 150 },
  actualMin: 100 * times,
});

/** The same posterior by conditioning the whole normal vector on all cases at once: no closed form, no groups. */
function conditioned(cases: { job: string; actualMin: number }[], job: string): { mean: number; sd: number } {
  const n = cases.length;
  const of = (a: string, b: string, same: boolean) => 0.09 + (a === b ? 0.0625 : 0) + (same ? 0.1225 : 0);
  const matrix = cases.map((a, i) => [
    ...cases.map((b, j) => of(a.job, b.job, i === j)),
    Math.log(a.actualMin / 100),
    0.09 + (a.job === job ? 0.0625 : 0),
  ]);
  for (let p = 0; p < n; p++)
    for (let r = 0; r < n; r++) {
      if (r === p) continue;
      const f = matrix[r]![p]! / matrix[p]![p]!;
      for (let c = p; c < n + 2; c++) matrix[r]![c]! -= f * matrix[p]![c]!;
    }
  const cross = cases.map((a) => 0.09 + (a.job === job ? 0.0625 : 0));
  const mean = cross.reduce((sum, each, i) => sum + (each * matrix[i]![n]!) / matrix[i]![i]!, 0);
  const less = cross.reduce((sum, each, i) => sum + (each * matrix[i]![n + 1]!) / matrix[i]![i]!, 0);
  return { mean, sd: Math.sqrt(0.09 + 0.0625 - less) };
}

const anyCases = fc.array(
  fc.record({ job: fc.constantFrom('wheels', 'hubs', 'brakes'), times: fc.double({ min: 0.3, max: 4, noNaN: true }) }),
  { minLength: 1, maxLength: 12 },
);

describe('what finished bicycles teach', () => {
  test('nothing finished: what is thought stands', () => {
    expect(learn({})).toMatchObject({
      overall: { factor: 1, sd: 0.3 },
      minutes: [],
      resale: { factor: 1, sd: 0.15, cases: 0 },
      calibration: { minutesWithin: null, salesWithin: null },
    });
  });

  test('the closed form is the posterior of the whole vector, whatever the cases', () => {
    fc.assert(
      fc.property(anyCases, (cases) => {
        const jobs = cases.map(({ job, times }) => took(job, times));
        for (const { job, factor, sd, predict } of learn({ jobs }).minutes) {
          const whole = conditioned(jobs, job);
          expect(Math.log(factor)).toBeCloseTo(whole.mean, 8);
          expect(sd).toBeCloseTo(whole.sd, 8);
          expect(predict.p90 / predict.p10).toBeCloseTo(Math.exp(2 * 1.2816 * Math.hypot(sd, 0.35)), 8);
        }
      }),
      { numRuns: runs(200, 50) },
    );
  });

  test('the order of the cases does not matter', () => {
    fc.assert(
      fc.property(anyCases, fc.infiniteStream(fc.nat()), (cases, dice) => {
        const jobs = cases.map(({ job, times }) => took(job, times));
        const [...order] = jobs.map((each) => ({ each, at: dice.next().value as number }));
        const mixed = order.toSorted((a, b) => a.at - b.at).map(({ each }) => each);
        expect(learn({ jobs: mixed })).toEqual(learn({ jobs }));
      }),
      { numRuns: runs(150, 40) },
    );
  });

  test('wheels that took about three times, five of them: told; four are not, nor what was as expected', () => {
    const wheels = (many: number) => Array.from({ length: many }, () => took('wheels', 3));
    const five = learn({ jobs: wheels(5) });
    expect(five.minutes[0]).toMatchObject({ cases: 5, isTold: true });
    expect(five.reasons[0]).toBe('Wheels take you more than twice as long, from five.');
    expect(learn({ jobs: wheels(4) }).minutes[0]!.isTold).toBe(false);
    expect(learn({ jobs: Array.from({ length: 9 }, () => took('hubs', 1)) }).minutes[0]!.isTold).toBe(false);
    expect(five.calibration.minutesWithin).toBe(0);
  });

  test('what is fetched, and chances: what is thought counts as much as eight cases', () => {
    const { resale, chances } = learn({
      sales: Array.from({ length: 4 }, () => ({
        predicted: { low: 26_000, likely: 30_000, high: 34_000 },
        sold: 27_000,
      })),
      faults: [{ fault: 'post', chance: 0.1, cases: 12, seen: 3 }],
    });
    expect(Math.log(resale.factor)).toBeCloseTo((4 * Math.log(0.9)) / 0.04 / (1 / 0.0225 + 4 / 0.04), 9);
    expect(chances[0]!.chance).toBeCloseTo(3.8 / 20, 12);
  });

  test('a factor in words; impossible cases are refused', () => {
    expect([3.2, 2, 1.6, 1.2, 1, 0.8, 0.4].map(factorWords)).toHaveLength(7);
    expect(factorWords(2.4)).toBe('more than twice as long');
    for (const bad of [
      { jobs: [{ job: 'a', estimateMin: { low: 9, likely: 5, high: 10 }, actualMin: 5 }] },
      { jobs: [{ job: 'a', estimateMin: { low: 1, likely: 5, high: 10 }, actualMin: 0 }] },
      { faults: [{ fault: 'a', chance: 0.1, cases: 2, seen: 3 }] },
      { sales: [{ predicted: { low: 1, likely: 2, high: 3 }, sold: 0 }] },
    ])
      expect(answer(moneyLearn, bad).ok).toBe(false);
  });
});
