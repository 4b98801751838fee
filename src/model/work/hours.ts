import { clockMinutes, type RunningClock } from '@/core/plan/clock';
import type { Bicycle } from '../record';
import { trayOfJob } from '../strip/trays';

/** All minutes put down on a bicycle. */
export function workedMinutes(bicycle: Pick<Bicycle, 'minutes'>): number {
  return bicycle.minutes.reduce((sum, entry) => sum + entry.minutes, 0);
}

/** Minutes put down on each job, and what was put down on none. */
export function minutesByJob({ minutes }: Pick<Bicycle, 'minutes'>): { jobs: Record<string, number>; none: number } {
  const jobs: Record<string, number> = {};
  let none = 0;
  for (const entry of minutes)
    if (entry.job) jobs[entry.job] = (jobs[entry.job] ?? 0) + entry.minutes;
    else none += entry.minutes;
  return { jobs, none };
}

/** The entries by themselves that are long enough to be put right, and how many seconds-long ones the clock left between them. */
export function readableEntries<Entry extends { minutes: number }>(
  minutes: readonly Entry[],
): { long: Entry[]; short: number } {
  const long = minutes.filter((entry) => entry.minutes >= 1);
  return { long, short: minutes.length - long.length };
}

/** A clock of the record, in milliseconds. */
export function runningClock(clock: NonNullable<Bicycle['clock']>): RunningClock {
  return {
    startedAtMs: Date.parse(clock.startedAt),
    activeAtMs: Date.parse(clock.activeAt),
    pausedAtMs: clock.pausedAt === undefined ? null : Date.parse(clock.pausedAt),
    pausedMs: (clock.pausedMinutes ?? 0) * 60_000,
  };
}

/** Minutes on the clock that runs now; nought where none does. */
export function clockNow({ clock }: Pick<Bicycle, 'clock'>, nowMs: number): number {
  return clock ? clockMinutes(runningClock(clock), nowMs, 'now') : 0;
}

/** The job that hands are at where a place is open: the one that was kept there and is not done; none where several were. */
export function jobAtHand({ jobs }: Pick<Bicycle, 'jobs'>, place: string | null): string | null {
  if (place === null) return null;
  const here = jobs.filter(
    (job) => job.decision === 'keep' && !job.done && (job.place === place || trayOfJob(job.place) === place),
  );
  return here.length === 1 ? here[0]!.id : null;
}
