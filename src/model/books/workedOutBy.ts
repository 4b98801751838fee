import type { WorkshopSettings } from '../settings/settings';
import type { Summary } from '../summary';

/**
 * What a row of the floor is worked out by beside its own record: the day, the last change of a setting, and where lessons are used how much
 * there was to learn from. Another one, and it is worked out anew. Example: a new wage → another.
 */
export function workedOutBy(
  { stamps, learnt }: Pick<WorkshopSettings, 'stamps' | 'learnt'>,
  summaries: Record<string, Summary>,
  today: string,
): string {
  const latest = Object.entries(stamps).reduce(
    (last, [leaf, stamp]) => (leaf.startsWith('practice/') || stamp <= last ? last : stamp),
    '',
  );
  if (!Object.values(learnt).includes('yes')) return `${today} ${latest}`;
  const all = Object.values(summaries);
  const sales = all.reduce((sum, { books, revision }) => sum + (books ? revision + 1 : 0), 0);
  const looks = all.reduce((sum, { door }) => sum + Object.keys(door).length, 0);
  return `${today} ${latest} ${sales} ${looks}`;
}
