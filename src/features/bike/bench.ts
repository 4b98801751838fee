import type { BenchTask, Bicycle, Stage } from '@/model/record';

const TASK_OF_STAGE: Record<Stage, BenchTask> = {
  buy: 'look-over',
  'look-over': 'look-over',
  decide: 'jobs',
  strip: 'strip',
  clean: 'put-back',
  overhaul: 'put-back',
  rebuild: 'torque',
  prove: 'prove',
  'hand-over': 'prove',
};

/** The address of the bench for a stage; where the bench was left in the same task, it opens there. */
export function benchHref(bicycle: Bicycle, stage: Stage, place: string | null = null): string {
  return `/bench?id=${encodeURIComponent(bicycle.id)}&task=${TASK_OF_STAGE[stage]}${place ? `&place=${place}` : ''}`;
}
