import type { ProposedJob } from '@/core/decide/jobs';
import { decidedJob } from './decided';
import type { Job } from './part';

/** What the decisions say of one place. */
export interface PlaceWork {
  /** Kept jobs that are not done. */
  jobs: Job[];
  /** Why it is left alone on purpose; null where it is not. */
  leftAlone: string | null;
}

/**
 * What was decided for each place: the jobs that lead there, and what is left alone on purpose: a bearing that feels right, a
 * job that was dropped. A place with a kept job is not left alone, whatever else was dropped there.
 *
 * Example: the front hub runs as it should → left alone, "It feels right: leave well alone."
 */
export function workByPlace(jobs: readonly Job[], proposed: readonly ProposedJob[]): Map<string, PlaceWork> {
  const by = new Map<string, PlaceWork>();
  const at = (place: string) => {
    const known = by.get(place) ?? { jobs: [], leftAlone: null };
    by.set(place, known);
    return known;
  };
  for (const job of jobs) if (job.decision === 'keep' && !job.done) at(job.place).jobs.push(job);
  for (const job of proposed) {
    const decided = decidedJob(jobs, job);
    if (job.need === 'leave' && decided?.decision !== 'drop') at(job.place).leftAlone ??= job.why;
    if (job.need === 'needed' && !decided) at(job.place);
  }
  for (const job of jobs)
    if (job.decision === 'drop' && job.rule !== 'ordinary' && job.place !== 'frame')
      at(job.place).leftAlone ??= `${job.title}: dropped${job.reason ? `, ${job.reason.toLowerCase()}` : ''}.`;
  const kept = new Set(jobs.flatMap(({ place, decision }) => (decision === 'keep' ? [place] : [])));
  const open = new Set(proposed.flatMap((job) => (job.need === 'needed' && !decidedJob(jobs, job) ? [job.place] : [])));
  for (const [place, work] of by) if (kept.has(place) || open.has(place)) work.leftAlone = null;
  return by;
}
