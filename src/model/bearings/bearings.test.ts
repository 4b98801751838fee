import { bearingsBenches, type Benches } from '@/core/bearings/bench';
import { answer } from '@/core/calculator';
import { applyCommand, type Command } from '../commands';
import { inspectLookOver } from '@/core/inspect/lookOver';
import { lookOverInput } from '../inspect/questions';
import { bearingFor, knownBearing } from './bearingFor';
import {
  axleOf,
  ballsNeeded,
  gradeInput,
  contactInput,
  sectionInput,
  serviceInput,
  settingInput,
  workedSteps,
} from './questions';
import { worstTrack } from './tracks';
import { USUAL_SETTINGS } from '../settings/usual';
import { newBearing } from './fresh';
import type { Bicycle } from '../record';
import { nextThing } from '../next';
import type { Summary } from '../summary';
import { summaryOf } from '../summaryOf';
import { after, AT, seen } from '../../../tests/records';

function benchAt(bicycle: Bicycle, place: string): Benches['benches'][number] {
  const asked = answer(bearingsBenches, { kind: bicycle.kind });
  if (!asked.ok) throw new Error('no benches');
  return asked.output.benches.find((bench) => bench.place === place)!;
}
const settingOf = (bicycle: Bicycle, place: string, others: Summary[] = []) =>
  settingInput(bicycle, bearingFor(bicycle, place), benchAt(bicycle, place), USUAL_SETTINGS, others)!;
const trial = (id: string, turnDeg: number): Command => ({
  type: 'addTrial',
  place: 'hub.front',
  trial: { id, turnDeg, feel: 'tick', clamped: false },
});

describe('a bearing on the bench', () => {
  test('what the look-over felt is the hub’s before, until it is felt on the bench', () => {
    const known = (bicycle: Bicycle) =>
      knownBearing(
        bicycle,
        'hub.front',
        inspectLookOver.run(inspectLookOver.input.parse(lookOverInput(bicycle, USUAL_SETTINGS, '2026-11-25'))),
      ).before;
    expect(known(after(seen('1', 'hub-front', { feel: 'gritty', play: 'slight', spinS: 14 })))).toEqual({
      feel: 'gritty',
      play: 'slight',
      spinS: 14,
    });
    const noted = after(seen('1', 'hub-front', { feel: 'gritty' }), {
      type: 'feelBearing',
      place: 'hub.front',
      when: 'before',
      changes: { feel: 'tight' },
    });
    expect(known(noted)).toMatchObject({ feel: 'tight' });
    expect(known(after())).toBeNull();
  });

  test('the worst track of any row counts, and what was said of all rows at once', () => {
    const tray = {
      ...newBearing('hub.front'),
      tracks: { 'left.cup': 'bright' as const, 'right.cup': 'pitted' as const },
    };
    expect(worstTrack(tray, 'cup')).toBe('pitted');
    expect(worstTrack(tray, 'cone')).toBe('unknown');
    expect(worstTrack({ ...tray, seen: { ...tray.seen, cone: 'dull' } }, 'cone')).toBe('dull');
    const bicycle = after();
    expect(gradeInput(bicycle, tray, benchAt(bicycle, 'hub.front'), USUAL_SETTINGS).cup).toBe('pitted');
  });

  test('the axle is as usual for its hub until it is measured, field by field', () => {
    const bicycle = after({ type: 'measureAxle', place: 'hub.rear', changes: { coneSpanMm: 68 } });
    const bench = benchAt(bicycle, 'hub.rear');
    expect(axleOf(bearingFor(bicycle, 'hub.rear'), bench)).toMatchObject({ majorMm: 10, coneSpanMm: 68 });
    expect(settingOf(bicycle, 'headset').squeeze).toBeNull();
    const nutted = after({ type: 'describeKind', changes: { wheels: 'nutted' } });
    expect(settingOf(nutted, 'hub.front').squeeze).toBeNull();
    expect(settingOf(bicycle, 'hub.rear').squeeze).toMatchObject({ axle: { majorMm: 10 }, coneSpanMm: 68 });
  });

  test('the question while it is set carries pitch, bands, tool and trials of this bearing', () => {
    const bicycle = after({
      type: 'addTrial',
      place: 'headset',
      trial: { id: 't', turnDeg: -20, feel: 'tick', clamped: false },
    });
    const { cone, drag } = settingOf(bicycle, 'headset');
    expect(cone).toMatchObject({ pitchMm: 1.0583, turns: 'adjustable-cup', toolMm: 250, school: 'from-tight' });
    expect(cone.trials).toEqual([{ turnDeg: -20, feel: 'tick', clamped: false }]);
    expect(drag.bands).toEqual(cone.bands);
  });

  test('drag is learnt from like bearings of the other bicycles, never from this one', () => {
    const other = summaryOf({ ...after(trial('1', 0), trial('2', -20)), id: 'other' });
    const own = summaryOf(after(trial('1', 0), trial('2', -20)));
    expect(settingOf(after(), 'hub.front', [other, own]).drag.sessions).toHaveLength(1);
    expect(settingOf(after(), 'hub.rear', [other, own]).drag.sessions).toHaveLength(0);
  });

  test('balls are ordered by size: a coaster hub takes two, and a measured size stands for its like', () => {
    const coaster = after({ type: 'describeKind', changes: { gears: 'coaster' } });
    const bench = benchAt(coaster, 'hub.rear');
    const counted = (row: string): Command => ({
      type: 'countBalls',
      place: 'hub.rear',
      side: row,
      changes: { out: 8 },
    });
    const tray = bearingFor(
      ['brake', 'driver', 'small'].reduce(
        (bicycle, row, i) => applyCommand(bicycle, { id: `n${i}`, bicycle: 'b', at: AT, command: counted(row) }),
        coaster,
      ),
      'hub.rear',
    );
    expect(ballsNeeded(tray, bench, null).map(({ fractionIn, needed }) => [fractionIn, needed])).toEqual([
      ['1/4', 16],
      ['3/16', 8],
    ]);
    const hub = benchAt(after(), 'hub.front');
    expect(ballsNeeded(bearingFor(after(), 'hub.front'), hub, { fractionIn: '7/32', usualPack: 100 })).toEqual([
      { fractionIn: '7/32', usualPack: 100, needed: 20 },
    ]);
  });

  test('the drawing takes its counts from the tray and its balls from the caliper', () => {
    const bicycle = after({ type: 'countBalls', place: 'hub.front', side: 'left', changes: { holds: 9, in: 7 } });
    const section = sectionInput(bearingFor(bicycle, 'hub.front'), benchAt(bicycle, 'hub.front'), {
      ballMm: 5.5563,
      playMm: 0.02,
      cameOut: ['balls.right'],
    });
    expect(section.rows.map(({ holds, in: put }) => [holds, put])).toEqual([
      [9, 7],
      [10, 0],
    ]);
    expect(section.rows[0]!.ballMm).toBe(5.5563);
    expect(section.set).toEqual({ row: 'right', part: 'cone', playMm: 0.02 });
    const bracket = sectionInput(bearingFor(bicycle, 'bottom-bracket'), benchAt(bicycle, 'bottom-bracket'), {
      ballMm: null,
      playMm: 0,
      cameOut: [],
    });
    expect(bracket.rows.map((row) => row.in)).toEqual([null, null]);
    expect(bracket.set).toMatchObject({ row: 'left', part: 'cup' });
  });

  test('what a row carries is that of its kind: a headset bears along its axis too, a hub does not', () => {
    const bicycle = after();
    const input = (place: string) => contactInput(bearingFor(bicycle, place), benchAt(bicycle, place), 0, null)!;
    expect(input('headset').alongN).toBeGreaterThan(0);
    expect(input('hub.front').alongN).toBe(0);
    expect(input('bottom-bracket').acrossN).toBeGreaterThan(input('hub.front').acrossN!);
    expect([input('headset').cup, input('bottom-bracket').cup]).toEqual(['pressed', 'turned']);
  });

  test('the interval counts from the first word on how it is now; feeling it is a step by itself', () => {
    const noted = after(
      { type: 'feelBearing', place: 'hub.front', when: 'after', changes: { feel: 'smooth' }, on: '2026-11-25' },
      { type: 'feelBearing', place: 'hub.front', when: 'after', changes: { play: 'none' }, on: '2026-12-01' },
    );
    const tray = bearingFor(noted, 'hub.front');
    expect(serviceInput(noted, tray, 'cup-and-cone')).toMatchObject({ lastServiced: '2026-11-25', use: 'mixed' });
    expect(serviceInput(after(), bearingFor(after(), 'hub.front'), 'cup-and-cone')).toBeNull();
    expect(workedSteps(tray)).toEqual(['after']);
  });

  test('whichever bearing lies open is what the bicycle waits for', () => {
    const bought: Command[] = [
      { type: 'recordPurchase', paid: 100, at: AT },
      seen('1', 'hub-front', { feel: 'gritty' }),
      {
        type: 'decideJob',
        job: {
          id: 'j',
          rule: null,
          title: 'Headset',
          place: 'headset',
          minutes: { low: 1, likely: 2, high: 3 },
          parts: { low: 0, likely: 0, high: 0 },
          decision: 'keep',
          reason: '',
          done: false,
          approval: null,
          declined: null,
        },
      },
      { type: 'markStep', place: 'headset', step: 'locknut', done: true, takes: ['locknut'] },
    ];
    expect(nextThing(after(...bought)).words).toBe('Headset lies open in its tray');
  });
});
