import type { Summary } from '@/model/summary';
import { shownEvents, todayEvents } from './todayEvents';

const NOW = new Date(2026, 10, 29, 15, 0).getTime();
const HOUR = 3_600_000;
const row = (id: string, timers: [string, number][], waits: [string, string | null][] = []) =>
  ({
    id,
    timers: timers.map(([label, hours]) => ({ id: label, label, dueAtMs: NOW + hours * HOUR })),
    waits: waits.map(([label, dueOn]) => ({ id: label, label, dueOn })),
  }) as unknown as Summary;

test('what is up, what falls due within a day and what comes tomorrow morning, in order; no delivery without a day, and none of next week', () => {
  const rows = [
    row(
      'a',
      [
        ['wax', 2],
        ['vinegar', -3],
        ['penetrant', 40],
      ],
      [['cable', null]],
    ),
    row(
      'b',
      [],
      [
        ['pins', '2026-11-30'],
        ['tyre', '2026-12-08'],
      ],
    ),
  ];
  expect(todayEvents(rows, NOW).map(({ label }) => label)).toEqual(['vinegar', 'wax', 'pins']);
});

test('three are drawn, and the rest is counted', () => {
  const events = todayEvents(
    [
      row(
        'a',
        Array.from({ length: 5 }, (_, i) => [`t${i}`, i + 1]),
      ),
    ],
    NOW,
  );
  expect(shownEvents(events).shown).toHaveLength(3);
  expect(shownEvents(events).more).toBe(2);
});
