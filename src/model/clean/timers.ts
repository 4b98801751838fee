import type { Bicycle } from '../record';

/** Timers that have not been ended, the soonest first. */
export function runningTimers(bicycle: Bicycle): { timer: Bicycle['timers'][number]; dueAtMs: number }[] {
  return bicycle.timers
    .filter((timer) => timer.endedAt === null)
    .map((timer) => ({ timer, dueAtMs: Date.parse(timer.startedAt) + timer.minutes * 60_000 }))
    .sort((a, b) => a.dueAtMs - b.dueAtMs);
}
