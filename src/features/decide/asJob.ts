import type { ProposedJob } from '@/core/decide/jobs';
import type { Job } from '@/model/decide/part';

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
