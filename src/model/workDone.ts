import type { Command } from './commands';
import type { WorkedOn } from './provingRows';
import type { Bicycle } from './record';

type Work = Omit<WorkedOn, 'id' | 'at'>;

/**
 * What a change does to the bicycle itself, as far as something may have been signed that leans on it: a part off or back
 * in, a bearing set, a job done, a bolt of another size. Withdrawing a mistake is no work.
 * Example: a ticked step that takes a locknut off the front hub → the front hub was off.
 */
export function workDone(step: Command, before: Bicycle): Work[] {
  const at = (place: string, kind: WorkedOn['kind'], more: Partial<Work> = {}): Work[] => [
    { place, kind, bolt: null, job: null, ...more },
  ];
  switch (step.type) {
    case 'markStep':
      return step.done && step.takes.length > 0 ? at(step.place, 'off') : [];
    // Until it went back it was off.
    case 'putBack':
      return step.back ? at(step.place, 'off') : [];
    case 'workStep':
      return step.done ? at(step.place, 'adjusted') : [];
    case 'addTrial':
      return at(step.place, 'adjusted');
    case 'noteTray':
      return step.changes.ballsWere ? at(step.place, 'adjusted') : [];
    case 'finishJob': {
      const job = before.jobs.find((row) => row.id === step.job);
      return step.done && job && !job.done
        ? at(job.place, job.parts.high > 0 ? 'renewed' : 'adjusted', { job: job.id })
        : [];
    }
    case 'putLooseEnd':
      return step.looseEnd.closedAt === null ? at(step.looseEnd.place, 'off') : [];
    case 'putSeized':
      return step.seized.ended?.how === 'freed' ? at(step.seized.place, 'off') : [];
    case 'sizeBolt':
      return at(step.place, 'set', { bolt: step.bolt });
    default:
      return [];
  }
}
