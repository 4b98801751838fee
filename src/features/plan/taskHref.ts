import type { Stage } from '@/model/stages';
import { benchHref } from '../workshop/benchHref';
import { nextHref } from '../workshop/stageLink';
import type { OpenTask } from './usePlan';

const STAGE_OF: Record<OpenTask['kind'], Stage> = {
  job: 'decide',
  'take-out': 'clean',
  vinegar: 'clean',
  lift: 'clean',
  wash: 'clean',
  rinse: 'clean',
  overhaul: 'overhaul',
  back: 'rebuild',
  torque: 'rebuild',
  stand: 'prove',
  ride: 'prove',
  listing: 'hand-over',
};

/** Where a task of the plan is worked at: a kept job at the bench, everything else at its own stage and place. */
export function taskHref({ kind, bicycle, place }: Pick<OpenTask, 'kind' | 'bicycle' | 'place'>): string {
  if (kind === 'job') return benchHref(bicycle, 'jobs', null);
  if (kind === 'torque') return benchHref(bicycle, 'torque', null);
  return nextHref(bicycle, { stage: STAGE_OF[kind], place: kind === 'overhaul' || kind === 'back' ? place : null });
}

export const stageOf = (kind: OpenTask['kind']): Stage => STAGE_OF[kind];
