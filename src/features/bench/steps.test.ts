import { newBearing, UNCOUNTED } from '@/model/bearings/fresh';
import { newBicycle } from '@/model/fresh';
import { newTray } from '@/model/strip/fresh';
import type { Bicycle } from '@/model/record';
import type { BenchTask } from '@/model/work/part';
import { stepsOf } from '../../../tests/declared';
import { firstStep } from './useBenchSteps';

const AT = '2026-11-25T10:00:00.000Z';
const steps = (task: BenchTask, changes: Partial<Bicycle> = {}) =>
  stepsOf(task, { ...newBicycle('b', AT, 'B'), ...changes });
const tray = newTray('hub.front');

describe('the steps of the bench', () => {
  test('a strip step says its tool, which way it turns and what is forgotten, and records what comes off', async () => {
    const locknut = (await steps('strip')).find((step) => step.id === 'locknut')!;
    expect(locknut).toMatchObject({
      tool: expect.stringContaining('cone spanner') as string,
      turn: { fastener: 'cone-locknut', side: 'left', action: 'loosen' },
      finish: { type: 'markStep', done: true, takes: ['locknut.left', 'washer.left'] },
    });
  });
  test('balls are counted before their step is done', async () => {
    const balls = async (changes: Partial<Bicycle> = {}) =>
      (await steps('strip', changes)).find((step) => step.id === 'balls-left')!;
    expect((await balls()).waitsFor).toBe('Count them out first.');
    const counted = { ...newBearing('hub.front'), balls: { left: { ...UNCOUNTED, out: 9 } } };
    expect((await balls({ bearings: [counted] })).waitsFor).toBeNull();
  });
  test('an overhaul goes step by step: what comes first is waited for, compound and thread hand are said', async () => {
    const of = (doneSteps: string[]) => steps('overhaul', { bearings: [{ ...newBearing('hub.front'), doneSteps }] });
    const grease = async (worked: string[]) => (await of(worked)).find((step) => step.id === 'grease')!;
    expect((await grease(['feel', 'clean'])).waitsFor).toMatch(/^First: look at every track/);
    expect(await grease(['feel', 'clean', 'look', 'measure'])).toMatchObject({
      waitsFor: null,
      aside: 'With bearing grease',
      finish: { type: 'overhaulStep', place: 'hub.front', step: 'grease', done: true },
    });
    expect((await of([])).find((step) => step.id === 'lock')!.turn).toMatchObject({
      fastener: 'cone-locknut',
      action: 'tighten',
    });
    const felt = await of(['feel']);
    expect(felt[firstStep(felt, null)]!.id).toBe('clean');
  });
  test('the tray is read from its other end, and what turned off one way turns on the other', async () => {
    const back = await steps('put-back', {
      trays: [{ ...tray, off: { 'locknut.left': 1, 'cone.left': 2, 'balls.left': 3 } }],
    });
    expect(back.map((step) => step.id)).toEqual(['balls.left', 'cone.left', 'locknut.left']);
    expect(back[2]!.turn).toMatchObject({ action: 'tighten' });
    expect(back[0]).toMatchObject({ tally: { label: 'in, left', count: null }, waitsFor: 'Count them in first.' });
  });
  test('how many belong is what the cup holds when it is known, else what came out', async () => {
    const of = async (left: object) => {
      const [first] = await steps('put-back', {
        trays: [{ ...tray, off: { 'balls.left': 1 } }],
        bearings: [{ ...newBearing('hub.front'), balls: { left: { ...UNCOUNTED, ...left } } }],
      });
      return first!.large;
    };
    expect(await of({ out: 9 })).toBe('9 balls');
    expect(await of({ out: 9, holds: 10 })).toBe('10 balls');
    expect(await of({})).toBeNull();
  });
  test('a proof and a torque are never signed by going on', async () => {
    const quiet = await Promise.all([steps('prove'), steps('look-over'), steps('torque')]);
    expect(quiet.map((list) => list.length > 10)).toEqual([true, true, true]);
    for (const step of quiet.flat()) expect(step.finish).toBeNull();
    // What holds the rider is waited for, and is left by a key that says so.
    const held = quiet[2].filter(({ waitsFor }) => waitsFor !== null);
    expect(held.length).toBeGreaterThan(20);
    expect(held.every(({ mayLeave }) => mayLeave === 'Leave unsigned')).toBe(true);
    expect(quiet[2].find(({ id }) => id === 'stem-expander')?.waitsFor).not.toBeNull();
  });
  test('any kept job is a step of its own, done by one tap; a dropped one is none', async () => {
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
    const list = await steps('jobs', { jobs: [job, { ...job, id: 'j2', decision: 'drop' }] });
    expect(list).toMatchObject([
      {
        title: 'Renew the chain',
        place: 'chain',
        large: '20 min',
        finish: { type: 'finishJob', job: 'j1', done: true },
      },
    ]);
    expect(await steps('jobs')).toEqual([]);
  });
  test('it opens where it was left, else at the first that is not done', async () => {
    const list = await steps('strip', { trays: [{ ...tray, doneSteps: ['photo', 'before'] }] });
    expect(list[firstStep(list, null)]!.id).toBe('skewer');
    expect(list[firstStep(list, 'photo')]!.id).toBe('photo');
    expect(list[firstStep(list, 'no such step')]!.id).toBe('skewer');
    expect(firstStep([], null)).toBe(0);
  });
});
