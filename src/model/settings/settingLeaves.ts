import { produce } from 'immer';
import { own } from '@/core/own';
import { USUAL_SETTINGS } from './usual';
import { putLeaves } from '../leafChanges';
import type { LeafKey } from '../leafKey';
import { leavesIn, leafTree } from '../leafTree';
import { same } from '../same';
import { workshopSettings, type WorkshopSettings } from './settings';
import { stampOf } from '../stamps';

const tree = leafTree(workshopSettings);

/** Every setting with its value, by its leaf. Example: `rules/openSound` → false. */
export const settingLeaves = (settings: WorkshopSettings): Map<LeafKey, unknown> => leavesIn(tree, settings);

const withSetting = (settings: WorkshopSettings, leaf: LeafKey, value: unknown): WorkshopSettings =>
  produce(settings, (draft) => putLeaves(tree, draft, [[leaf, value]]));

/** The settings after a change, with a stamp on each one that it touched. */
export function changedSettings(
  before: WorkshopSettings,
  changes: Partial<WorkshopSettings>,
  at: string,
  id: string,
): WorkshopSettings {
  const after = { ...before, ...changes, stamps: before.stamps };
  const was = settingLeaves(before);
  const touched = [...settingLeaves(after)].filter(([leaf, value]) => !was.has(leaf) || !same(was.get(leaf), value));
  if (touched.length === 0) return before;
  const stamp = stampOf(at, id);
  return { ...after, stamps: { ...before.stamps, ...Object.fromEntries(touched.map(([leaf]) => [leaf, stamp])) } };
}

export interface SettingChange {
  leaf: string;
  from: unknown;
  to: unknown;
}

const usual = settingLeaves(USUAL_SETTINGS);

/**
 * Settings of two devices as one, setting by setting: the later change stands. What was never set is older than anything
 * that was, so that an older copy turns nothing back; where neither says when, what is set here stays.
 *
 * Example: the currency changed here yesterday, an export of last week: the currency of yesterday stands.
 */
export function mergeSettings(
  here: WorkshopSettings,
  there: WorkshopSettings,
): { settings: WorkshopSettings; changes: SettingChange[] } {
  const mine = settingLeaves(here);
  let merged = here;
  const changes: SettingChange[] = [];
  for (const [leaf, value] of settingLeaves(there)) {
    const stamp = own(there.stamps, leaf) ?? '';
    const mineSince = own(here.stamps, leaf) ?? '';
    const from = mine.get(leaf);
    if (same(from, value)) {
      if (stamp > mineSince) merged = { ...merged, stamps: { ...merged.stamps, [leaf]: stamp } };
      continue;
    }
    const untouched = mineSince === '' && (!mine.has(leaf) || same(from, usual.get(leaf)));
    const theirs = stamp === mineSince ? untouched : stamp > mineSince;
    if (!theirs) continue;
    merged = withSetting(merged, leaf, value);
    if (stamp) merged = { ...merged, stamps: { ...merged.stamps, [leaf]: stamp } };
    changes.push({ leaf, from, to: value });
  }
  return { settings: merged, changes };
}
