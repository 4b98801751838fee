import { differenceInMinutes, parseISO } from 'date-fns';

/** After this long without a touch the bench asks once. */
export const IDLE_MINUTES = 10;

export interface RunningClock {
  startedAtMs: number;
  /** When somebody was last seen to be at it. */
  activeAtMs: number;
  /** Since when it stands still; null while it runs. */
  pausedAtMs?: number | null;
  /** How long it stood still before. */
  pausedMs?: number;
}

/** Whether nobody has been seen at the bench for longer than the idle time. A clock that stands still asks nothing. */
export function isIdle({ activeAtMs, pausedAtMs = null }: RunningClock, nowMs: number): boolean {
  return pausedAtMs === null && nowMs - activeAtMs > IDLE_MINUTES * 60_000;
}

/**
 * The minutes a clock has run: until now while somebody is at it, or until they were last seen. Never negative, so that a
 * machine whose time was set back takes nothing away. Pauses are never counted. Unrounded; what is shown is rounded, what is kept is not.
 *
 * Example: started 19:00, last seen 19:25, `until: 'seen'` is 25.
 */
export function clockMinutes(
  { startedAtMs, activeAtMs, pausedAtMs = null, pausedMs = 0 }: RunningClock,
  nowMs: number,
  until: 'now' | 'seen',
): number {
  const seen = until === 'now' ? nowMs : Math.max(startedAtMs, activeAtMs);
  const end = pausedAtMs === null ? seen : Math.min(seen, pausedAtMs);
  return Math.max(0, (end - startedAtMs - pausedMs) / 60_000);
}

/** Whole minutes from one moment to a later one; never negative. Example: 19:00 to 19:25:40 is 25. */
export function minutesBetween(from: string, to: string): number {
  return Math.max(0, differenceInMinutes(parseISO(to), parseISO(from)));
}
