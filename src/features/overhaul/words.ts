import type { Grade } from '@/core/bearings/grade';

/** A verdict on a bearing, as the bench says it. */
export const VERDICT_WORDS: Record<Grade['verdict'], string> = {
  leave: 'Leave it',
  adjust: 'Adjust it',
  repack: 'Clean and grease it again',
  'renew-balls': 'New balls',
  'renew-cone': 'New cone and balls',
  'renew-cartridge': 'New cartridge',
  'renew-unit': 'New unit',
  'run-on': 'Run on, set at the tightest spot',
  'look-inside': 'Look inside',
};

/** What was said, or null where it is not known. */
export function known<T extends string>(value: T): Exclude<T, 'unknown'> | null {
  return value === 'unknown' ? null : (value as Exclude<T, 'unknown'>);
}
