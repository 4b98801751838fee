import { learntMinutes, NOTHING_LEARNT, type LearntInUse } from '@/core/money/learnt';
import { chargedShare } from '@/core/money/share';
import { roundHalfUp } from '@/core/numbers';
import type { Bicycle } from '../record';
import { minutesByJob } from '../work/hours';

/** One line of a customer’s bill: what was estimated, what it came to, and when it was said yes to. In minor units. */
export interface BillLine {
  id: string;
  title: string;
  low: number;
  high: number;
  /** Parts and work that were put down on it. */
  came: number;
  isDone: boolean;
  approvedAt: string | null;
  /** It was approved after hands were at the bicycle: found on the way. */
  isOnTheWay: boolean;
}

/**
 * A customer’s estimate beside what it came to, line by line: each kept job, its parts charged as they are everywhere, its minutes at the
 * customer’s rate. What was put down on no job stands by itself. Example: two of a pack of ten at 5.00 and half an hour at 40.00 → 21.00.
 */
export function billLines(
  bicycle: Pick<Bicycle, 'jobs' | 'lines' | 'minutes' | 'worked'>,
  perHour: number,
  learnt: Pick<LearntInUse, 'minutes'> = NOTHING_LEARNT,
): { lines: BillLine[]; besides: number; total: number } {
  const { jobs: minutes } = minutesByJob(bicycle);
  const began = bicycle.worked.map(({ at }) => at).toSorted()[0] ?? null;
  const labour = (count: number) => roundHalfUp((count * perHour) / 60);
  const partsOf = (job: string | undefined) =>
    bicycle.lines.filter((line) => line.job === job).reduce((sum, line) => sum + chargedShare(line), 0);
  const kept = bicycle.jobs.filter(({ decision }) => decision === 'keep');
  const lines = kept.map(({ id, title, place, minutes: thought, parts, done, approval }): BillLine => {
    const usual = learntMinutes(thought, place, learnt);
    return {
      id,
      title,
      low: parts.low + labour(usual.low),
      high: parts.high + labour(usual.high),
      came: partsOf(id) + labour(minutes[id] ?? 0),
      isDone: done,
      approvedAt: approval?.answer === 'yes' ? approval.at : null,
      isOnTheWay: approval?.answer === 'yes' && began !== null && approval.at > began,
    };
  });
  const known = new Set(kept.map(({ id }) => id));
  const loose = bicycle.lines
    .filter(({ job }) => job === undefined || !known.has(job))
    .reduce((sum, line) => sum + chargedShare(line), 0);
  const noJob = bicycle.minutes
    .filter(({ job }) => job === undefined || !known.has(job))
    .reduce((sum, entry) => sum + entry.minutes, 0);
  const besides = loose + labour(noJob);
  return { lines, besides, total: lines.reduce((sum, { came }) => sum + came, 0) + besides };
}
