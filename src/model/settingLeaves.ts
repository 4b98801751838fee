import { HOUSE_RULES } from '@/core/houseRules';
import { USUAL_SETTINGS } from './fresh';
import { same } from './leaves';
import type { WorkshopSettings } from './record';
import { stampOf } from './stamps';

/** Settings that change as one; house rules and levels of the practice room are leaves each. */
const PLAIN = [
  'name',
  'currency',
  'labourPerHour',
  'customerPerHour',
  'school',
  'letterKeys',
  'frontBrakeHand',
  'baths',
] as const;

/** Every setting with its value, by its leaf. Example: `rules/openSound` → false. */
export function settingLeaves(settings: WorkshopSettings): Map<string, unknown> {
  return new Map<string, unknown>([
    ...PLAIN.map((key): [string, unknown] => [key, settings[key]]),
    ...Object.entries(settings.rules).map(([key, value]): [string, unknown] => [`rules/${key}`, value]),
    ...Object.entries(settings.practice).map(([level, rounds]): [string, unknown] => [`practice/${level}`, rounds]),
  ]);
}

function withSetting(settings: WorkshopSettings, leaf: string, value: unknown): WorkshopSettings {
  const [head, ...rest] = leaf.split('/');
  if (head === 'rules' || head === 'practice')
    return { ...settings, [head]: { ...settings[head], [rest.join('/')]: value } };
  return { ...settings, [leaf]: value };
}

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
    const stamp = there.stamps[leaf] ?? '';
    const own = here.stamps[leaf] ?? '';
    const from = mine.get(leaf);
    if (same(from, value)) {
      if (stamp > own) merged = { ...merged, stamps: { ...merged.stamps, [leaf]: stamp } };
      continue;
    }
    const untouched = own === '' && (!mine.has(leaf) || same(from, usual.get(leaf)));
    const theirs = stamp === own ? untouched : stamp > own;
    if (!theirs) continue;
    merged = withSetting(merged, leaf, value);
    if (stamp) merged = { ...merged, stamps: { ...merged.stamps, [leaf]: stamp } };
    changes.push({ leaf, from, to: value });
  }
  return { settings: merged, changes };
}

const NAMES: Record<string, string> = {
  name: 'the workshop’s name',
  currency: 'currency',
  labourPerHour: 'your own hour',
  customerPerHour: 'a customer’s hour',
  letterKeys: 'single-letter keys',
  baths: 'baths',
};

function valueWords(value: unknown): string {
  if (value === undefined) return 'nothing';
  if (value === true) return 'yes';
  if (value === false) return 'no';
  if (Array.isArray(value)) return `${value.length}`;
  if (typeof value === 'object' && value !== null) return 'other rounds';
  if (typeof value === 'number') return String(value);
  return typeof value === 'string' && value !== '' ? value.replaceAll('-', ' ') : 'nothing';
}

/** What a setting is called, with what it was and would be. Example: "currency: EUR → GBP". Money is told as it is written. */
export function settingWords({ leaf, from, to }: SettingChange, money: (minor: number) => string): string {
  const [head, ...rest] = leaf.split('/');
  if (head === 'practice') return `practice room, ${rest.join(' ')}`;
  const rule = HOUSE_RULES.find((row) => row.key === (head === 'rules' ? rest.join('/') : leaf));
  const name = rule?.title.toLowerCase() ?? NAMES[leaf] ?? leaf;
  const shown = (value: unknown) =>
    /PerHour$/.test(leaf) && typeof value === 'number' ? money(value) : valueWords(value);
  return `${name}: ${shown(from)} → ${shown(to)}`;
}
