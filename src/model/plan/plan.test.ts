import ICAL from 'ical.js';
import { answer } from '@/core/calculator';
import { NOTHING_LEARNT } from '@/core/money/learnt';
import { planSessions } from '@/core/plan/sessions';
import { planTasks } from '@/core/plan/tasks';
import { brokenBy } from '../../../tests/planCheck';
import { planInput as question } from '@/core/plan/planTask';
import { applyCommand, type Command } from '../commands';
import { demoWorkshop } from '../demo/workshop';
import { busyIn } from '../exchange/calendarIn';
import { planCalendar } from '../exchange/planCalendar';
import { newBicycle } from '../fresh';
import type { WorkshopSettings } from '../settings/settings';
import { USUAL_SETTINGS } from '../settings/usual';
import { summaryOf } from '../summaryOf';
import { openWorkOf } from './openWork';
import { planInput, plannedNow, tasksInput, withPenetrant, zeroOf } from './question';
import { handsIn, openTimes, sessionsAhead } from './sessions';

const NOW = new Date(2026, 10, 30, 12, 0);
const AT = NOW.toISOString();
const set = (changes: Partial<WorkshopSettings>): WorkshopSettings => ({ ...USUAL_SETTINGS, ...changes });
const bike = (...commands: Command[]) =>
  commands.reduce(
    (bicycle, command, i) => applyCommand(bicycle, { id: `c${i}`, bicycle: 'b', at: AT, command }),
    newBicycle('b', AT, 'B'),
  );
const job = (id: string, place: string, more: object = {}) =>
  ({
    type: 'decideJob',
    job: {
      id,
      rule: null,
      title: id,
      place,
      minutes: { low: 20, likely: 30, high: 50 },
      parts: { low: 0, likely: 0, high: 0 },
      decision: 'keep',
      reason: '',
      done: false,
      approval: null,
      declined: null,
      ...more,
    },
  }) as Command;
const bought: Command = { type: 'recordPurchase', paid: 4000, at: AT };

describe('sessions', () => {
  const tuesday = { id: 't', day: 2, from: '18:30', to: '20:30', who: '' };
  const wall = (ms: number) => new Date(ms).toTimeString().slice(0, 5);

  test('a weekly habit, a day of its own, and one that is cancelled', () => {
    const all = sessionsAhead(
      set({ week: [tuesday], ownSessions: [{ id: 'x', on: '2026-12-02', from: '09:00', to: '10:00', who: '' }] }),
      NOW,
    );
    expect(all).toHaveLength(7);
    expect(all.slice(0, 2).map(({ key }) => key)).toEqual(['2026-12-01 t', '2026-12-02 x']);
    const less = sessionsAhead(set({ week: [tuesday], cancelled: { '2026-12-01 t': true } }), NOW);
    expect(less[0]!.key).toBe('2026-12-08 t');
  });
  test('what a calendar takes cuts a session in two; what overlaps is one; what is over is none', () => {
    const at = (hour: number, minute = 0) => new Date(2026, 11, 1, hour, minute).toISOString();
    const cut = sessionsAhead(set({ week: [tuesday], busy: [{ from: at(19), to: at(19, 30), label: 'Choir' }] }), NOW);
    expect(cut.slice(0, 2).map(({ fromMs, toMs }) => [wall(fromMs), wall(toMs)])).toEqual([
      ['18:30', '19:00'],
      ['19:30', '20:30'],
    ]);
    const two = sessionsAhead(set({ week: [tuesday, { id: 'u', day: 2, from: '20:00', to: '21:00', who: '' }] }), NOW);
    expect([wall(two[0]!.fromMs), wall(two[0]!.toMs)]).toEqual(['18:30', '21:00']);
    const late = sessionsAhead(set({ week: [tuesday] }), new Date(2026, 11, 1, 20, 0));
    expect(wall(late[0]!.fromMs)).toBe('20:00');
    expect(sessionsAhead(set({ week: [{ ...tuesday, from: '20:30', to: '18:30', who: '' }] }), NOW)).toEqual([]);
  });
  test('two who work here have sessions of their own, side by side; hours of somebody who left are the first one’s', () => {
    const people = [
      { id: 'ada', name: 'Ada' },
      { id: 'bo', name: 'Bo' },
    ];
    const week = [
      { ...tuesday, who: 'ada' },
      { ...tuesday, id: 'u', from: '19:00', to: '22:00', who: 'bo' },
      { ...tuesday, id: 'v', from: '20:00', to: '21:00', who: 'gone' },
    ];
    const all = sessionsAhead(set({ week, people }), NOW).slice(0, 2);
    expect(all.map(({ who, fromMs, toMs }) => [who, wall(fromMs), wall(toMs)])).toEqual([
      ['ada', '18:30', '21:00'],
      ['bo', '19:00', '22:00'],
    ]);
    expect(openTimes(all).map(({ fromMs, toMs }) => [wall(fromMs), wall(toMs)])).toEqual([['18:30', '22:00']]);
    expect(handsIn(all)).toEqual(['ada', 'bo']);
    const asked = planInput([], all, USUAL_SETTINGS, all[0]!.fromMs);
    expect(asked).toMatchObject({
      hands: 2,
      sessions: [
        { hand: 1, fromMin: 0, toMin: 150 },
        { hand: 2, fromMin: 30 },
      ],
    });
    // One pair of hands is asked for as ever.
    expect(planInput([], all.slice(1), USUAL_SETTINGS, 0)).toMatchObject({ hands: 1 });
  });
  test('an evening stays an evening when the clocks change', () => {
    for (const now of [new Date(2027, 2, 20), new Date(2026, 9, 20)])
      for (const { fromMs, toMs } of sessionsAhead(
        set({ week: [{ id: 's', day: 7, from: '18:00', to: '20:00', who: '' }] }),
        now,
      ))
        expect([wall(fromMs), toMs - fromMs]).toEqual(['18:00', 7_200_000]);
  });
});

describe('tasks from the record', () => {
  const tasksOf = (...bicycles: ReturnType<typeof bike>[]) => {
    const summaries = Object.fromEntries(bicycles.map((each) => [each.id, summaryOf(each)]));
    const said = answer(planTasks, tasksInput(summaries, NOTHING_LEARNT));
    if (!said.ok) throw new Error(JSON.stringify(said.errors));
    return said.output;
  };
  const of = (found: ReturnType<typeof tasksOf>, id: string) => found.tasks.find((task) => task.id === `b/${id}`)!;

  test('a bicycle that is not bought, is sold or went out has nothing open', () => {
    expect(openWorkOf(bike(job('x', 'chain')))).toEqual([]);
    expect(openWorkOf(bike(bought, job('x', 'chain'), { type: 'setSale', changes: { price: 20_000 } }))).toEqual([]);
    expect(openWorkOf(bike(bought, job('x', 'chain'))).map(({ id }) => id)).toEqual([
      'job:x',
      'torque',
      'stand',
      'ride',
      'listing',
    ]);
  });
  test('the ordinary work has the listing in it: it is not counted twice', () => {
    const kinds = openWorkOf(bike(bought, job('ordinary', 'frame', { rule: 'ordinary' }))).map(({ kind }) => kind);
    expect(kinds).toEqual(['job', 'torque', 'stand', 'ride']);
  });
  test('the proofs come after the work, the listing last, and a bearing is closed in one go', () => {
    const found = tasksOf(
      bike(
        bought,
        job('x', 'hub.rear', { minutes: { low: 90, likely: 120, high: 200 } }),
        job('y', 'frame', { minutes: { low: 90, likely: 120, high: 200 } }),
      ),
    );
    expect(of(found, 'ride').after).toContain('b/stand');
    expect(of(found, 'listing').after).toContain('b/ride');
    expect([of(found, 'job:x').splittable, of(found, 'job:y').splittable]).toEqual([false, true]);
    expect(of(found, 'job:x').uses).toEqual([]);
  });
  test('a delivery with a day holds its job until then; one without is told, with all that comes after', () => {
    const delivery = (dueOn: string | null): Command => ({
      type: 'putDelivery',
      delivery: { id: 'd', label: 'Chain', dueOn, arrivedAt: null, place: 'chain' },
    });
    const waits = tasksOf(bike(bought, job('x', 'chain'), delivery('2026-12-04')));
    expect(of(waits, 'job:x').notBefore).toBe('2026-12-04T08:00:00');
    const unknown = tasksOf(bike(bought, job('x', 'chain'), delivery(null)));
    expect(unknown.left.map(({ label, why }) => `${label}: ${why}`).slice(0, 2)).toEqual([
      'x: it waits for Chain, and no day is known',
      'Torque round: it comes after “x”, which waits',
    ]);
    expect(unknown.tasks).toEqual([]);
  });
  test('vinegar only where somebody is there to lift it out in time, else penetrant, which may wait', () => {
    const part = { place: 'hub.front', part: 'axle-nut' };
    const out: Command = { type: 'markStep', place: 'hub.front', step: 'nuts', done: true, takes: ['axle-nut'] };
    const soil: Command = { type: 'setSoil', ...part, soil: 'rust' };
    const asked: Command = { type: 'sayHardened', ...part, hardened: false };
    // What nobody has asked after may be hardened, and never meets acid.
    expect(tasksOf(bike(bought, job('x', 'chain'), out, soil)).tasks.map(({ kind }) => kind)).toContain('wash');
    const { tasks } = tasksOf(bike(bought, job('x', 'chain'), out, soil, asked));
    expect(tasks.map(({ kind }) => kind)).toEqual(expect.arrayContaining(['vinegar', 'lift', 'back']));
    const planned = (sessions: { fromMin: number; toMin: number }[], list = tasks) => {
      const lies = sessions.map(({ fromMin, toMin }) => ({
        key: '',
        who: '',
        fromMs: fromMin * 60_000,
        toMs: toMin * 60_000,
      }));
      return planSessions.run(question.parse(planInput(list, lies, USUAL_SETTINGS, 0)));
    };
    // Seven in the morning after an evening: eight to twelve hours later.
    const evening = { fromMin: 0, toMin: 60 };
    const inTime = planned([evening, { fromMin: 600, toMin: 900 }]);
    expect(inTime.plan.map(({ task }) => task)).toEqual(expect.arrayContaining(['b/vinegar', 'b/lift']));
    const late = planned([evening, { fromMin: 4000, toMin: 4300 }]);
    expect(late.unplanned.map(({ task }) => task)).toContain('b/vinegar');
    const instead = withPenetrant(tasks, late);
    expect(instead.find(({ kind }) => kind === 'vinegar')!.label).toMatch(/^Penetrant/);
    expect(instead.find(({ kind }) => kind === 'lift')!.label).toMatch(/^Wipe off the penetrant/);
    expect(planned([evening, { fromMin: 4000, toMin: 4300 }], instead).unplanned).toEqual([]);
    expect(withPenetrant(tasks, inTime)).toBe(tasks);
  });
  test('minutes as learnt, with why', () => {
    const summaries = { b: summaryOf(bike(bought, job('x', 'rim.rear'))) };
    const learnt = { ...NOTHING_LEARNT, minutes: { wheels: { factor: 2, p10: 1.2, p90: 3.4, cases: 6 } } };
    const said = answer(planTasks, tasksInput(summaries, learnt));
    expect(said.ok && said.output.tasks[0]).toMatchObject({ minutes: 60, why: 'wheels × 2.0, from six' });
  });
  test('the demonstration is planned whole, and breaks nothing', () => {
    const { bicycles, settings } = demoWorkshop(NOW);
    const found = tasksOf(...bicycles);
    const zero = zeroOf(NOW);
    const asked = question.parse(planInput(plannedNow(found).tasks, sessionsAhead(settings, NOW), settings, zero));
    const plan = planSessions.run(asked);
    expect(plan.verdict).toBe('complete');
    expect(brokenBy(asked, plan)).toEqual([]);
  });
  test('five hundred bicycles: what is planned now is bounded, and the rest is told', () => {
    const many = Array.from({ length: 500 }, (_, i) => ({ ...bike(bought, job('x', 'chain')), id: `b${i}` }));
    const found = tasksOf(...many);
    const { tasks, later } = plannedNow(found);
    expect(tasks.length).toBeLessThanOrEqual(300);
    expect(new Set(tasks.map(({ bicycle }) => bicycle)).size + later.length).toBe(500);
  });
});

describe('calendars', () => {
  const file = (...lines: string[]) =>
    ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//test//EN', ...lines, 'END:VCALENDAR'].join('\r\n');
  const entry = (...lines: string[]) => ['BEGIN:VEVENT', 'UID:a', 'SUMMARY:Choir', ...lines, 'END:VEVENT'];

  test('single times, repeats with an exception, in a zone of their own', () => {
    const found = busyIn(
      file(
        ...entry(
          'DTSTART:20261201T180000Z',
          'DTEND:20261201T190000Z',
          'RRULE:FREQ=WEEKLY;COUNT=4',
          'EXDATE:20261208T180000Z',
        ),
        'BEGIN:VEVENT',
        'UID:b',
        'SUMMARY:Dentist',
        'DTSTART:20261203T080000Z',
        'DTEND:20261203T090000Z',
        'END:VEVENT',
      ),
      NOW,
    );
    expect(found.ok && found.busy.map(({ from, label }) => `${from.slice(0, 13)} ${label}`)).toEqual([
      '2026-12-01T18 Choir',
      '2026-12-03T08 Dentist',
      '2026-12-15T18 Choir',
      '2026-12-22T18 Choir',
    ]);
  });
  test('a zone with a summer time of its own is reckoned by its own rules', () => {
    const zone = [
      'BEGIN:VTIMEZONE',
      'TZID:Harbour',
      'BEGIN:STANDARD',
      'DTSTART:20201025T030000',
      'TZOFFSETFROM:+0200',
      'TZOFFSETTO:+0100',
      'RRULE:FREQ=YEARLY;BYMONTH=10;BYDAY=-1SU',
      'END:STANDARD',
      'BEGIN:DAYLIGHT',
      'DTSTART:20210328T020000',
      'TZOFFSETFROM:+0100',
      'TZOFFSETTO:+0200',
      'RRULE:FREQ=YEARLY;BYMONTH=3;BYDAY=-1SU',
      'END:DAYLIGHT',
      'END:VTIMEZONE',
    ];
    const at = (day: string) =>
      file(...zone, ...entry(`DTSTART;TZID=Harbour:${day}T190000`, `DTEND;TZID=Harbour:${day}T200000`));
    const winter = busyIn(at('20261202'), NOW);
    expect(winter.ok && winter.busy[0]!.from).toBe('2026-12-02T18:00:00.000Z');
    const summer = busyIn(at('20260701'), new Date(Date.UTC(2026, 5, 20)));
    expect(summer.ok && summer.busy[0]!.from).toBe('2026-07-01T17:00:00.000Z');
  });
  test('whole days, what is free and what is cancelled take nothing; no calendar is told; ten thousand entries are bounded', () => {
    const none = busyIn(
      file(
        ...entry('DTSTART;VALUE=DATE:20261201'),
        ...entry('DTSTART:20261201T180000Z', 'DTEND:20261201T190000Z', 'TRANSP:TRANSPARENT'),
        ...entry('DTSTART:20261201T180000Z', 'DTEND:20261201T190000Z', 'STATUS:CANCELLED'),
      ),
      NOW,
    );
    expect(none).toEqual({ ok: true, busy: [], skipped: 0 });
    expect(busyIn('a shopping list', NOW).ok).toBe(false);
    expect(busyIn('BEGIN:VCARD\r\nEND:VCARD', NOW).ok).toBe(false);
    const many = Array.from({ length: 10_000 }, (_, i) => [
      'BEGIN:VEVENT',
      `UID:${i}`,
      `DTSTART:20261201T1${i % 10}0000Z`,
      `DTEND:20261201T1${i % 10}3000Z`,
      'END:VEVENT',
    ]).flat();
    const found = busyIn(file(...many), NOW);
    expect(found.ok && [found.busy.length, found.skipped]).toEqual([1000, 9000]);
    // One that repeats by the second does not hang.
    expect(
      busyIn(file(...entry('DTSTART:20200101T000000Z', 'DTEND:20200101T000001Z', 'RRULE:FREQ=SECONDLY')), NOW).ok,
    ).toBe(true);
  });
  test('the plan goes out with ids that stay and a sequence that grows, as a foreign reader has it', async () => {
    const tasks = [{ id: 'b/job:x', label: 'Chain; with, signs', bicycle: 'b' }];
    const plan = {
      plan: [
        { task: 'b/job:x', fromMin: 0, toMin: 30 },
        { task: 'b/job:x', fromMin: 100, toMin: 110 },
      ],
      waits: [{ task: 'b/job:x', fromMin: 110, toMin: 200 }],
    };
    const read = async (zero: number, now: number) =>
      new ICAL.Component(ICAL.parse(await planCalendar(plan, tasks, { b: 'Mixte' }, zero, now)) as unknown[])
        .getAllSubcomponents('vevent')
        .map((each) => new ICAL.Event(each));
    const first = await read(NOW.getTime(), NOW.getTime());
    const later = await read(NOW.getTime() + 86_400_000, NOW.getTime() + 3_600_000);
    expect(first.map(({ summary }) => summary)).toEqual([
      'Mixte: Chain; with, signs',
      'Mixte: Chain; with, signs',
      'Ready to go on. Mixte: Chain; with, signs',
    ]);
    expect(first.map(({ uid }) => uid)).toEqual(later.map(({ uid }) => uid));
    expect(new Set(first.map(({ uid }) => uid)).size).toBe(3);
    expect(Number(later[0]!.sequence)).toBeGreaterThan(Number(first[0]!.sequence));
    expect(first[0]!.startDate.toJSDate().getTime()).toBe(NOW.getTime());
    expect(first[0]!.component.getFirstSubcomponent('valarm')).not.toBeNull();
  });
});
