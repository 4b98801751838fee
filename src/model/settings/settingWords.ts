import { HOUSE_RULES } from '@/core/houseRules';
import { own } from '@/core/own';
import type { SettingChange } from './settingLeaves';

const NAMES: Record<string, string> = {
  name: 'the workshop’s name',
  currency: 'currency',
  labourPerHour: 'your own hour',
  customerPerHour: 'a customer’s hour',
  letterKeys: 'single-letter keys',
  baths: 'baths',
  tensionMeter: 'table of the tension meter',
  people: 'who works here',
  week: 'the usual week',
  ownSessions: 'sessions of their own days',
  busy: 'times that a calendar says are taken',
  stands: 'stands',
  'stalePrice/inSeasonDays': 'days until a price is stale, in season',
  'stalePrice/outOfSeasonDays': 'days until a price is stale, out of season',
  'stalePrice/fromMonth': 'season from month',
  'stalePrice/toMonth': 'season to month',
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

/** What a setting is called. Example: `customerPerHour` → "a customer’s hour"; `week/x` → "the usual week". */
export function settingName(leaf: string): string {
  const [head, ...rest] = leaf.split('/') as [string, ...string[]];
  if (head === 'learnt') return `learnt of ${rest.join(' ').replace(':', ', ')}`;
  const rule = HOUSE_RULES.find((row) => row.key === (head === 'rules' ? rest.join('/') : leaf));
  return rule?.title.toLowerCase() ?? own(NAMES, leaf) ?? own(NAMES, head) ?? leaf;
}

/** The value of a setting in words; money as it is written. */
export const settingValue = (leaf: string, value: unknown, money: (minor: number) => string): string =>
  /PerHour$/.test(leaf) && typeof value === 'number' ? money(value) : valueWords(value);

/** What a setting is called, with what it was and would be. Example: "currency: EUR → GBP". Money is told as it is written. */
export function settingWords({ leaf, from, to }: SettingChange, money: (minor: number) => string): string {
  const [head, ...rest] = leaf.split('/');
  if (head === 'pins') return `plan, ${rest.join('/')}: ${valueWords(from)} → ${valueWords(to)}`;
  if (head === 'cancelled') return `session ${rest.join(' ')} cancelled: ${valueWords(from)} → ${valueWords(to)}`;
  if (head === 'practice') return `practice room, ${rest.join(' ')}`;
  return `${settingName(leaf)}: ${settingValue(leaf, from, money)} → ${settingValue(leaf, to, money)}`;
}
