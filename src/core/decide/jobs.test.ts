import { bicycleKind } from '../bicycle';
import { diagnosisFaults } from '../inspect/data/diagnosis';
import { faultJobs, jobRules } from './data/rules';
import { decideJobs } from './jobs';

const jobs = (findings: object[], complaints: object[] = [], brief = 'rideable') =>
  decideJobs.run(decideJobs.input.parse({ brief, kind: bicycleKind.parse({}), findings, complaints })).jobs;
const finding = (check: string, verdict: string, more: object = {}) => ({
  check,
  label: check,
  verdict,
  reasons: [`${check} is ${verdict}.`],
  ...more,
});
const said = (fault: string) => ({ id: 'c1', said: 'It skips under load', fault });

describe('one job, both reasons, one price', () => {
  test('a complaint traced to a worn chain and a chain read as worn ask for one job', () => {
    const all = jobs([finding('chain', 'replace-chain')], [said('chain-worn')]);
    const chain = all.filter(({ place }) => place === 'chain');
    expect(chain).toHaveLength(1);
    expect(chain[0]).toMatchObject({
      rule: 'chain',
      because: 'chain: chain is replace-chain.',
      also: ['The rider says: “It skips under load”'],
    });
    expect(chain[0]!.aka).toContain('fault-chain-worn');
  });

  test('a complaint that no finding speaks of asks for a job of its own, at the fault’s own price', () => {
    const row = diagnosisFaults.find(({ id }) => id === 'pawls')!;
    expect(jobs([], [said('pawls')]).find(({ rule }) => rule === 'fault-pawls')).toMatchObject({
      title: row.fix,
      need: 'needed',
      check: null,
      parts: { low: row.partsLowMinor, likely: row.partsLikelyMinor, high: row.partsHighMinor },
    });
  });

  test('two findings that ask for one thing at one place make one job', () => {
    const all = jobs([finding('rim-front', 'replace', { outcome: 'flat' }), finding('braking-front', 'renew')]);
    const rims = all.filter(({ title }) => title === 'Renew the front rim or wheel');
    expect(rims).toHaveLength(1);
    expect(rims[0]!.also).toHaveLength(1);
    expect(rims[0]!.aka).toEqual(expect.arrayContaining(['rim-front-flat']));
  });

  test('what was judged by eye is the same job as what a closer look asks for', () => {
    const closer = jobs([finding('hub-front', 'look-inside')]).find(({ rule }) => rule === 'hub-front-open')!;
    expect(closer.aka).toContain('by-eye-service:hub-front');
  });

  test('a donor gets no job from a complaint', () => {
    expect(jobs([], [said('pawls')], 'donor').some(({ rule }) => rule.startsWith('fault-'))).toBe(false);
  });
});

test('every fault that shares a job names a fault and jobs that there are', () => {
  for (const [fault, rules] of faultJobs) {
    expect(diagnosisFaults.some(({ id }) => id === fault)).toBe(true);
    for (const rule of rules) expect(jobRules.map(({ id }) => id)).toContain(rule);
  }
});
