import { differenceInMinutes, parseISO } from 'date-fns';

/** After this long without a touch the bench asks once. */
export const IDLE_MINUTES = 10;

export interface RunningClock {
  startedAtMs: number;
  /** When somebody was last seen to be at it. */
  activeAtMs: number;
}

/** Whether nobody has been seen at the bench for longer than the idle time. */
export function isIdle({ activeAtMs }: RunningClock, nowMs: number): boolean {
  return nowMs - activeAtMs > IDLE_MINUTES * 60_000;
}

/**
 * The minutes a clock has run: until now while somebody is at it, or until they were last seen. Never negative, so that a
 * machine whose time was set back takes nothing away. Unrounded; what is shown is rounded, what is kept is not.
 *
 * Example: started 19:00, last seen 19:25, `until: 'seen'` is 25.
 */
export function clockMinutes({ startedAtMs, activeAtMs }: RunningClock, nowMs: number, until: 'now' | 'seen'): number {
  const end = until === 'now' ? nowMs : Math.max(startedAtMs, activeAtMs);
  return Math.max(0, (end - startedAtMs) / 60_000);
}

/** Whole minutes from one moment to a later one; never negative. Example: 19:00 to 19:25:40 is 25. */
export function minutesBetween(from: string, to: string): number {
  return Math.max(0, differenceInMinutes(parseISO(to), parseISO(from)));
}
