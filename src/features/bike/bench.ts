import type { Bicycle } from '@/model/record';
import type { Stage } from '@/model/stages';
import type { BenchTask } from '@/model/work/part';

const TASK_OF_STAGE: Record<Stage, BenchTask> = {
  buy: 'look-over',
  'look-over': 'look-over',
  decide: 'jobs',
  strip: 'strip',
  clean: 'put-back',
  overhaul: 'overhaul',
  rebuild: 'torque',
  prove: 'prove',
  'hand-over': 'prove',
};

/** The address of the bench for a stage; where the bench was left in the same task, it opens there. */
export function benchHref(bicycle: Bicycle, stage: Stage, place: string | null = null): string {
  return taskHref(bicycle, TASK_OF_STAGE[stage], place);
}

/** The address of the bench for a task. */
export function taskHref(bicycle: Bicycle, task: BenchTask, place: string | null = null): string {
  return `/bench?id=${encodeURIComponent(bicycle.id)}&task=${task}${place ? `&place=${place}` : ''}`;
}
