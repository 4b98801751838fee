import { diagnosisTrial } from '../../../bench/diagnosis';
import { answer } from '../calculator';
import type { Diagnosis } from './conclude';
import { inspectDiagnose } from './diagnose';
import { knowledge } from './knowledge';
import { inspectOpenComplaints } from './openComplaints';
import { inspectRemedy } from './remedy';

function ask(complaints: string[], results: [string, string][] = [], unavailable: string[] = []): Diagnosis {
  const told = answer(inspectDiagnose, {
    complaints,
    results: results.map(([test, outcome]) => ({ test, outcome })),
    unavailable,
  });
  if (!told.ok) throw new Error(JSON.stringify(told.errors));
  return told.output;
}

describe('what the diagnosis believes', () => {
  test('thirty faults, twenty-five tests and fourteen complaints at least', () => {
    expect(knowledge.faults.length).toBeGreaterThanOrEqual(30);
    expect(knowledge.tests.length).toBeGreaterThanOrEqual(25);
    expect(knowledge.complaints.length).toBeGreaterThanOrEqual(14);
  });
  test('priors sum to one, outcomes of every test for every fault sum to one, every chance lies within 0.01 and 0.99', () => {
    expect(knowledge.faults.reduce((sum, fault) => sum + fault.prior, 0)).toBeCloseTo(1, 12);
    const sums = new Map<string, number>();
    for (const { test, fault, p } of knowledge.outcomeGivenFault) {
      expect(p).toBeGreaterThanOrEqual(0.01);
      expect(p).toBeLessThanOrEqual(0.99);
      sums.set(`${test} ${fault}`, (sums.get(`${test} ${fault}`) ?? 0) + p);
    }
    expect(sums.size).toBe(knowledge.tests.length * knowledge.faults.length);
    for (const sum of sums.values()) expect(sum).toBeCloseTo(1, 9);
    for (const { p } of knowledge.complaintGivenFault) expect(p >= 0.01 && p <= 0.99).toBe(true);
  });
  test('every fault can be complained of and has a remedy', () => {
    for (const { id } of knowledge.faults) {
      expect(knowledge.complaintGivenFault.some((row) => row.fault === id)).toBe(true);
      expect(answer(inspectRemedy, { fault: id }).ok).toBe(true);
    }
  });
});

describe('“It takes several pedal turns before the gear takes.”', () => {
  test('a cheap telling test comes first, nothing is taken apart', () => {
    const [first] = ask(['late-engage']).next;
    expect(['cage-by-hand', 'chain-gauge', 'bite']).toContain(first!.test);
    expect(first!.minutes).toBeLessThanOrEqual(1);
  });
  test('chain sound and cage slow: the sticky pivot leads clearly, and the page says why the chain is out', () => {
    const found = ask(
      ['late-engage'],
      [
        ['chain-gauge', 'sound'],
        ['cage-by-hand', 'slow'],
      ],
    );
    expect(found.faults[0]).toMatchObject({ id: 'derailleur-pivot' });
    expect(found.faults[0]!.probability).toBeGreaterThan(0.7);
    expect(found.reasons.join(' ')).toContain('speaks against chain worn');
  });
  test('slipping on starting off as well: the pawls lead, marked unsafe', () => {
    const found = ask(
      ['late-engage', 'slips-start'],
      [
        ['chain-gauge', 'sound'],
        ['cage-by-hand', 'slow'],
      ],
    );
    expect(found.faults[0]!.id).toBe('pawls');
    expect(found.reasons).toContain('Unsafe: not to be ridden until it is put right or ruled out.');
  });
});

test('a creak is usually not the bottom bracket', () => {
  const order = ask(['creak']).faults.map((fault) => fault.id);
  expect(order.indexOf('saddle-creak')).toBeLessThan(order.indexOf('bottom-bracket'));
  expect(order.indexOf('pedals')).toBeLessThan(order.indexOf('shell-dry'));
});

describe('the odds', () => {
  test('sum to one and follow Bayes’ rule', () => {
    const found = ask(['skips'], [['chain-gauge', 'worn']]);
    expect(found.faults.reduce((sum, fault) => sum + fault.probability, 0)).toBeCloseTo(1, 9);
    const weight = (fault: string) =>
      knowledge.faults.find((each) => each.id === fault)!.prior *
      (knowledge.complaintGivenFault.find((row) => row.fault === fault && row.complaint === 'skips')?.p ??
        knowledge.complaintDefault) *
      knowledge.outcomeGivenFault.find(
        (row) => row.fault === fault && row.test === 'chain-gauge' && row.outcome === 'worn',
      )!.p;
    const whole = knowledge.faults.reduce((sum, fault) => sum + weight(fault.id), 0);
    for (const { id, probability } of found.faults) expect(probability).toBeCloseTo(weight(id) / whole, 9);
  });
  test('a test named twice counts as it came out last, and is not asked again', () => {
    const last = ask(
      ['skips'],
      [
        ['chain-gauge', 'sound'],
        ['chain-gauge', 'worn'],
      ],
    );
    expect(last.faults).toEqual(ask(['skips'], [['chain-gauge', 'worn']]).faults);
    expect(last.next.map((each) => each.test)).not.toContain('chain-gauge');
  });
  test('a test that cannot be done is never advised; with none left it cannot tell', () => {
    const all = knowledge.tests.map((test) => test.id);
    expect(ask(['skips'], [], ['chain-gauge']).next.map((each) => each.test)).not.toContain('chain-gauge');
    expect(ask(['skips'], [], all)).toMatchObject({ next: [], settled: false, verdict: 'cannot-tell' });
  });
  test('advice is by bits a minute, never under a thousandth of a bit', () => {
    const { next } = ask(['creak']);
    for (const each of next) {
      expect(each.informationBits).toBeGreaterThanOrEqual(0.001);
      expect(each.bitsPerMinute).toBeCloseTo(each.informationBits / each.minutes, 12);
    }
    expect(next.map((each) => each.bitsPerMinute)).toEqual(
      [...next.map((each) => each.bitsPerMinute)].sort((a, b) => b - a),
    );
  });
  test('unknown ids are refused where they stand, all at once', () => {
    const told = answer(inspectDiagnose, {
      complaints: ['sings'],
      results: [
        { test: 'chain-gauge', outcome: 'purple' },
        { test: 'x', outcome: 'y' },
      ],
      unavailable: ['z'],
    });
    expect(told.ok ? [] : told.errors.map((error) => error.path)).toEqual([
      'complaints.0',
      'results.0.outcome',
      'results.1.test',
      'unavailable.0',
    ]);
  });
});

test('over bicycles drawn from its own beliefs it names the fault four times in five, in at most 60 % of the minutes', () => {
  const { telling, cheapest } = diagnosisTrial(120, 0);
  expect(telling.right).toBeGreaterThanOrEqual(0.8);
  expect(telling.minutes / cheapest.minutes).toBeLessThanOrEqual(0.6);
});

test('an open complaint whose leading fault throws riders is told as unsafe', () => {
  const told = answer(inspectOpenComplaints, {
    complaints: [
      { id: 'a', question: { complaints: ['slips-start'], results: [{ test: 'bite', outcome: 'slips' }] } },
      { id: 'b', question: { complaints: ['punctures'], results: [] } },
    ],
  });
  expect(told.ok && told.output.open.map((each) => each.unsafe)).toEqual([true, false]);
});
