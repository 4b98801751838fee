import { act, fireEvent, screen } from '@testing-library/react';
import type { Stage } from '@/model/stages';
import { drawStage } from '../../tests/stage';
import { useBenchClock } from './clock/useBenchClock';
import { WorkClock } from './clock/WorkClock';
import type { StageProps } from './workshop/WorkshopProvider';

const START = new Date('2026-11-25T19:00:00.000Z');
/** Time passes; what looks at the clock every few seconds looks once. */
const LOOK_MS = 10_100;
const pass = (minutes: number) =>
  act(async () => {
    jest.setSystemTime(Date.now() + minutes * 60_000 - LOOK_MS);
    await jest.advanceTimersByTimeAsync(LOOK_MS);
  });

function bench(stage: Stage, place: string | null = null) {
  return function Bench({ bicycle, send }: StageProps) {
    const clock = useBenchClock(bicycle, send, stage, place);
    return <WorkClock bicycle={bicycle} send={send} stage={stage} clock={clock} />;
  };
}

beforeEach(() => jest.useFakeTimers({ now: START, doNotFake: ['queueMicrotask', 'setImmediate'] }));
afterEach(() => jest.useRealTimers());

describe('hours that keep themselves', () => {
  test('opening the bench starts the clock, leaving the page puts the minutes on the stage and the place', async () => {
    const { record } = await drawStage(bench('overhaul', 'hub.front'));
    expect(record().clock).toMatchObject({ stage: 'overhaul', place: 'hub.front' });
    await pass(6);
    act(() => void window.dispatchEvent(new Event('pagehide')));
    expect(record().clock).toBeNull();
    expect(record().minutes).toMatchObject([{ stage: 'overhaul', place: 'hub.front' }]);
    expect(record().minutes[0]!.minutes).toBeCloseTo(6, 1);
  });

  test('looking at the figures is no work at the bench', async () => {
    const { record } = await drawStage(bench('buy'));
    expect(record().clock).toBeNull();
  });

  test('a touch says that somebody is at it; ten quiet minutes later it asks once and counts until then', async () => {
    const { record } = await drawStage(bench('strip'));
    await pass(8);
    act(() => void fireEvent.pointerDown(document.body));
    await pass(11);
    expect(screen.getByRole('heading', { name: /It has been quiet since/ })).toBeInTheDocument();
    await pass(5);
    expect(screen.getAllByRole('dialog')).toHaveLength(1);
    act(() => screen.getByRole('button', { name: /^Count until/ }).click());
    expect(record().minutes[0]!.minutes).toBeCloseTo(8, 1);
    expect(record().clock).not.toBeNull();
  });

  test('all of it, or none of it, when the person says so', async () => {
    const { record } = await drawStage(bench('strip'));
    await pass(20);
    act(() => screen.getByRole('button', { name: 'Count all of it' }).click());
    expect(record().minutes[0]!.minutes).toBeCloseTo(20, 1);
    await pass(20);
    act(() => screen.getByRole('button', { name: 'Count none of it' }).click());
    expect(record().minutes).toHaveLength(1);
  });

  test('a clock that a crash left running is asked about at the next opening', async () => {
    const since = (minutes: number) => new Date(START.getTime() - minutes * 60_000).toISOString();
    const { record } = await drawStage(bench('strip'), [
      { type: 'startClock', clock: 'k1', at: since(90), stage: 'strip', place: null },
      { type: 'touchClock', at: since(65) },
    ]);
    expect(screen.getByRole('heading', { name: /It has been quiet since/ })).toBeInTheDocument();
    act(() => screen.getByRole('button', { name: /^Count until/ }).click());
    expect(record().minutes).toMatchObject([{ id: 'k1', minutes: 25 }]);
  });

  const openMenu = async () => {
    act(() => screen.getByRole('button', { name: /logged/ }).click());
    // The menu comes when it is opened.
    await act(async () => void (await import('./clock/ClockMenu')));
  };
  test('the clock stands still at a tap and goes on at the next; what lies between is not counted', async () => {
    const { record } = await drawStage(bench('strip'));
    await pass(6);
    await openMenu();
    act(() => screen.getByRole('menuitem', { name: 'Pause the clock' }).click());
    await pass(40);
    expect(screen.queryByRole('dialog')).toBeNull();
    await openMenu();
    act(() => screen.getByRole('menuitem', { name: 'Go on' }).click());
    await pass(4);
    act(() => void window.dispatchEvent(new Event('pagehide')));
    expect(record().minutes[0]!.minutes).toBeCloseTo(10, 1);
  });

  test('minutes fall on the job that was kept at the place at hand, and on whoever is at the bench', async () => {
    const { record } = await drawStage(bench('overhaul', 'hub.front'), [
      {
        type: 'decideJob',
        job: {
          id: 'hub-front-open',
          rule: 'hub-front-open',
          title: 'Open and overhaul the front hub',
          place: 'hub.front',
          minutes: { low: 45, likely: 70, high: 110 },
          parts: { low: 0, likely: 0, high: 0 },
          decision: 'keep',
          reason: '',
          done: false,
          approval: null,
          declined: null,
        },
      },
    ]);
    await pass(6);
    act(() => void window.dispatchEvent(new Event('pagehide')));
    expect(record().minutes).toMatchObject([{ job: 'hub-front-open', place: 'hub.front', by: 'The mechanic' }]);
  });

  test('one tap corrects, and what is taken off comes off the last entries first', async () => {
    const entry = (id: string, minutes: number) =>
      ({ type: 'putMinutes', entry: { id, stage: 'strip', minutes, at: START.toISOString(), place: null } }) as const;
    const { record } = await drawStage(bench('strip'), [entry('a', 30), entry('b', 4)]);
    await openMenu();
    act(() => screen.getByRole('menuitem', { name: '15 min less on Strip' }).click());
    expect(record().minutes.map((row) => [row.id, row.minutes])).toEqual([['a', 19]]);
    await openMenu();
    act(() => screen.getByRole('menuitem', { name: '5 min more on Strip' }).click());
    expect(record().minutes.reduce((sum, row) => sum + row.minutes, 0)).toBe(24);
  });
});
