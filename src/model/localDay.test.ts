import { execFileSync } from 'node:child_process';

interface Said {
  today: string;
  bare: string;
  due: string[];
}

/** The same moment as machines of other time zones tell it. */
function saidIn(zone: string, moment: string): Said {
  const args = ['node_modules/tsx/dist/cli.mjs', 'tests/days.ts', moment];
  return JSON.parse(execFileSync('node', args, { env: { ...process.env, TZ: zone } }).toString()) as Said;
}

test('in Berlin it is tomorrow at half past midnight, in New York still today in the evening', () => {
  const berlin = saidIn('Europe/Berlin', '2026-06-01T22:30:00.000Z');
  const newYork = saidIn('America/New_York', '2026-06-03T01:30:00.000Z');
  expect([berlin.today, newYork.today]).toEqual(['2026-06-02', '2026-06-02']);
  // A day that was put down is that day everywhere, and what is due in days is counted on the wall.
  expect(berlin.bare).toBe(newYork.bare);
  expect(berlin.bare).toBe('2 June 2026');
  expect(berlin.due.length).toBeGreaterThan(0);
  expect(berlin.due).toEqual(newYork.due);
});
