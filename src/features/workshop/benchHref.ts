import type { BenchTask } from '@/model/work/part';

/** The address of the bench for a task; where the bench was left in the same task, it opens there. */
export function benchHref(bicycleId: string, task: BenchTask, place: string | null = null): string {
  return `/bench?id=${encodeURIComponent(bicycleId)}&task=${task}${place ? `&place=${place}` : ''}`;
}
