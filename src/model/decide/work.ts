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

/** The ordinary work of a resale is of the whole bicycle: it opens no tray, and leaves none alone. */
const isOfPlace = ({ rule }: { rule: Job['rule'] }) => rule !== 'ordinary';

/**
 * What was decided for each place: the jobs that lead there, and what is left alone on purpose: a bearing that feels right, a
 * job that was dropped. A place with a kept job is not left alone, whatever else was dropped there.
 *
 * Example: the front hub runs as it should → left alone, "It feels right: leave well alone."
 */
export function workByPlace(decided: readonly Job[], asked: readonly ProposedJob[]): Map<string, PlaceWork> {
  const [jobs, proposed] = [decided.filter(isOfPlace), asked.filter(isOfPlace)];
  const by = new Map<string, PlaceWork>();
  const at = (place: string) => {
    const known = by.get(place) ?? { jobs: [], leftAlone: null };
    by.set(place, known);
    return known;
  };
  for (const job of jobs) if (job.decision === 'keep' && !job.done) at(job.place).jobs.push(job);
  for (const job of proposed) {
    const answer = decidedJob(jobs, job);
    if (job.need === 'leave' && answer?.decision !== 'drop') at(job.place).leftAlone ??= job.why;
    if (job.need === 'needed' && !answer) at(job.place);
  }
  for (const job of jobs)
    if (job.decision === 'drop' && job.place !== 'frame')
      at(job.place).leftAlone ??= `${job.title}: dropped${job.reason ? `, ${job.reason.toLowerCase()}` : ''}.`;
  const kept = new Set(jobs.flatMap(({ place, decision }) => (decision === 'keep' ? [place] : [])));
  const open = new Set(proposed.flatMap((job) => (job.need === 'needed' && !decidedJob(jobs, job) ? [job.place] : [])));
  for (const [place, work] of by) if (kept.has(place) || open.has(place)) work.leftAlone = null;
  return by;
}
