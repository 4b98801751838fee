import type { AssemblyStep } from '@/core/strip/tray';
import type { Bicycle } from '../record';

/** What a step waits for that nobody has read yet. */
export const UNREAD_WORDS = 'Read it first, with the caliper and the thread gauge.';

/** Whether a step tells what a part is, and neither a reading nor the bicycle says so yet. */
export function isUnread(
  { kind, identified }: Pick<Bicycle, 'kind' | 'identified'>,
  place: string,
  { reads }: Pick<AssemblyStep, 'reads'>,
): boolean {
  if (reads === null) return false;
  const isSaid = reads === 'bottom-bracket' && kind.bottomBracket !== null;
  return !isSaid && !identified.some((row) => row.kind === reads && row.place === place);
}
