import { HOUSE_RULES } from '@/core/houseRules';

/** Headings of the page of house rules, each with what is set under it. */
export const SETTING_SECTIONS = {
  money: { title: 'Money and hours', words: 'currency hour wage customer pays' },
  stale: { title: 'A price is stale', words: 'days season' },
  people: { title: 'Who works here', words: 'name hands person' },
  baths: { title: 'Baths', words: 'tub ultrasonic vinegar solvent temperature' },
  meter: { title: 'Tension meter', words: 'spokes calibration table' },
  workshop: { title: 'The workshop', words: 'name letter keys single' },
} as const;
export type SettingSection = keyof typeof SETTING_SECTIONS;

/** Everything that can be set, and where on its page it stands. */
export const settingWays = (): { id: string; title: string; words: string }[] => [
  ...HOUSE_RULES.map(({ key, title, options }) => ({
    id: key,
    title,
    words: options.map(({ label }) => label).join(' '),
  })),
  ...Object.entries(SETTING_SECTIONS).map(([id, { title, words }]) => ({ id, title, words })),
];
