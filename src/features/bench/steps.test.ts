import { bearingsBenches, type Benches } from '@/core/bearings/bench';
import { answer } from '@/core/calculator';
import { assemblyAt } from '@/core/strip/assembly';
import { newBearing, UNCOUNTED } from '@/model/bearings/fresh';
import { newBicycle } from '@/model/fresh';
import { newTray } from '@/model/strip/fresh';
import type { Bicycle } from '@/model/record';
import type { BenchTask } from '@/model/work/part';
import { benchSteps, firstStep } from './steps';

const frontHub = assemblyAt('hub-front', 'hub.front');

const AT = '2026-11-25T10:00:00.000Z';
const around = { assembly: frontHub, bolts: [], findings: [], bench: null };
const steps = (task: BenchTask, changes: Partial<Bicycle> = {}) =>
  benchSteps(task, { ...newBicycle('b', AT, 'B'), ...changes }, around);
const tray = newTray('hub.front');
function bearing(place: string): Benches['benches'][number] {
  const asked = answer(bearingsBenches, { kind: newBicycle('b', AT, 'B').kind });
  if (!asked.ok) throw new Error('no benches');
  return asked.output.benches.find((bench) => bench.place === place)!;
}

describe('the steps of the bench', () => {
  test('a strip step says its tool, which way it turns and what is forgotten, and records what comes off', () => {
    const locknut = steps('strip').find((step) => step.id === 'locknut')!;
    expect(locknut).toMatchObject({
      tool: expect.stringContaining('cone spanner') as string,
      turn: { fastener: 'cone-locknut', side: 'left', action: 'loosen' },
      finish: { type: 'markStep', done: true, takes: ['locknut.left', 'washer.left'] },
    });
  });
  test('balls are counted before their step is done', () => {
    const balls = (changes: Partial<Bicycle> = {}) => steps('strip', changes).find((step) => step.id === 'balls-left')!;
    expect(balls().waitsFor).toBe('Count them out first.');
    const counted = { ...newBearing('hub.front'), balls: { left: { ...UNCOUNTED, out: 9 } } };
    expect(balls({ bearings: [counted] }).waitsFor).toBeNull();
  });
  test('an overhaul goes step by step: what comes first is waited for, compound and thread hand are said', () => {
    const of = (doneSteps: string[]) =>
      benchSteps(
        'overhaul',
        { ...newBicycle('b', AT, 'B'), bearings: [{ ...newBearing('hub.front'), doneSteps }] },
        { ...around, bench: bearing('hub.front') },
      );
    const grease = (worked: string[]) => of(worked).find((step) => step.id === 'grease')!;
    expect(grease(['feel', 'clean']).waitsFor).toMatch(/^First: look at every track/);
    expect(grease(['feel', 'clean', 'look', 'measure'])).toMatchObject({
      waitsFor: null,
      aside: 'With bearing grease',
      finish: { type: 'overhaulStep', place: 'hub.front', step: 'grease', done: true },
    });
    expect(of([]).find((step) => step.id === 'lock')!.turn).toMatchObject({
      fastener: 'cone-locknut',
      action: 'tighten',
    });
    expect(of(['feel'])[firstStep(of(['feel']), null)]!.id).toBe('clean');
  });
  test('the tray is read from its other end, and what turned off one way turns on the other', () => {
    const back = steps('put-back', {
      trays: [{ ...tray, off: { 'locknut.left': 1, 'cone.left': 2, 'balls.left': 3 } }],
    });
    expect(back.map((step) => step.id)).toEqual(['balls.left', 'cone.left', 'locknut.left']);
    expect(back[2]!.turn).toMatchObject({ action: 'tighten' });
    expect(back[0]).toMatchObject({ count: { side: 'left', what: 'in' }, waitsFor: 'Count them in first.' });
  });
  test('how many belong is what the cup holds when it is known, else what came out', () => {
    const of = (left: object) =>
      steps('put-back', {
        trays: [{ ...tray, off: { 'balls.left': 1 } }],
        bearings: [{ ...newBearing('hub.front'), balls: { left: { ...UNCOUNTED, ...left } } }],
      })[0]!.large;
    expect(of({ out: 9 })).toBe('9 balls');
    expect(of({ out: 9, holds: 10 })).toBe('10 balls');
    expect(of({})).toBeNull();
  });
  test('a proof and a torque are never signed by going on', () => {
    for (const step of [...steps('prove'), ...steps('look-over')]) expect(step.finish).toBeNull();
  });
  test('any kept job is a step of its own, done by one tap; a dropped one is none', () => {
    const job = {
      id: 'j1',
      rule: null,
      title: 'Renew the chain',
      place: 'chain',
      minutes: { low: 10, likely: 20, high: 35 },
      parts: { low: 0, likely: 0, high: 0 },
      decision: 'keep' as const,
      reason: '',
      approval: null,
      declined: null,
      done: false,
    };
    const list = steps('jobs', { jobs: [job, { ...job, id: 'j2', decision: 'drop' }] });
    expect(list).toMatchObject([
      {
        title: 'Renew the chain',
        place: 'chain',
        large: '20 min',
        finish: { type: 'finishJob', job: 'j1', done: true },
      },
    ]);
    expect(steps('jobs')).toEqual([]);
  });
  test('it opens where it was left, else at the first that is not done', () => {
    const list = steps('strip', { trays: [{ ...tray, doneSteps: ['photo', 'before'] }] });
    expect(list[firstStep(list, null)]!.id).toBe('skewer');
    expect(list[firstStep(list, 'photo')]!.id).toBe('photo');
    expect(list[firstStep(list, 'no such step')]!.id).toBe('skewer');
    expect(firstStep([], null)).toBe(0);
  });
});
