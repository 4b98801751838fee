import type { ProposedJob } from '@/core/decide/jobs';
import type { Bicycle } from '../record';
import type { Job } from './part';

type Names = Pick<ProposedJob, 'rule' | 'aka'>;

/** The job of the record that a proposal is, under whichever name it was decided; undefined where nobody has. */
export function decidedJob(jobs: readonly Job[], { rule, aka }: Names): Job | undefined {
  return (
    jobs.find(({ id }) => id === rule) ??
    jobs.find(({ id, decision }) => decision === 'keep' && aka.includes(id)) ??
    jobs.find(({ id }) => aka.includes(id))
  );
}

/** Every id under which proposals may stand in the record. */
export function namesOf(proposed: readonly Names[]): Set<string> {
  return new Set(proposed.flatMap(({ rule, aka }) => [rule, ...aka]));
}

/** A proposal as a job that is kept. */
export function asJob(proposed: ProposedJob): Job {
  const { rule, title, place, minutes, parts } = proposed;
  return {
    id: rule,
    rule,
    title,
    place,
    minutes,
    parts,
    decision: 'keep',
    reason: '',
    done: false,
    approval: null,
    declined: null,
  };
}

/** Jobs that were put down under no proposal's name: by hand, or for a finding that is no more. */
export function otherJobs(jobs: readonly Job[], proposed: readonly Names[]): Job[] {
  const names = namesOf(proposed);
  return jobs.filter(({ id }) => !names.has(id));
}

/**
 * Proposals with the figures that were put right at Buy: the ordinary work is one line wherever it is told, and where it was
 * left out there it is proposed no more. Example: ordinary work of 4 h at Buy is 4 h at Decide.
 */
export function asSaidAtBuy(
  { appraisal, jobs }: Pick<Bicycle, 'appraisal' | 'jobs'>,
  proposed: readonly ProposedJob[],
): ProposedJob[] {
  const line = appraisal.lines.find(({ id }) => id === 'ordinary');
  return proposed.flatMap((job) => {
    if (job.rule !== 'ordinary') return [job];
    if (line) return [{ ...job, minutes: line.minutes, parts: line.parts }];
    return decidedJob(jobs, job) ? [job] : [];
  });
}
