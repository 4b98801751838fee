import { addMinutes, parseISO } from 'date-fns';
import type { Bicycle } from '../record';

/** Timers that have not been ended, the soonest first. */
export function runningTimers(bicycle: Bicycle): { timer: Bicycle['timers'][number]; dueAtMs: number }[] {
  return bicycle.timers
    .filter((timer) => timer.endedAt === null)
    .map((timer) => ({ timer, dueAtMs: addMinutes(parseISO(timer.startedAt), timer.minutes).getTime() }))
    .sort((a, b) => a.dueAtMs - b.dueAtMs);
}
