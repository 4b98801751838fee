import type { HouseRule } from '@/core/houseRules';
import type { WorkshopSettings } from './settings';

/** The answer of a house rule that is in force, as the rules tell it. */
export function ruleValue(settings: WorkshopSettings, key: HouseRule['key']): string {
  switch (key) {
    case 'openSound':
      return settings.rules.openSound ? 'yes' : 'no';
    case 'secondEyes':
      return settings.secondEyes ? 'yes' : 'no';
    case 'school':
    case 'frontBrakeHand':
    case 'wrenchEverywhere':
      return settings[key];
    default:
      return settings.rules[key];
  }
}

/** What changes in the settings when a house rule is answered otherwise. */
export function changedRule(
  settings: WorkshopSettings,
  key: HouseRule['key'],
  value: string,
): Partial<WorkshopSettings> {
  switch (key) {
    case 'openSound':
      return { rules: { ...settings.rules, openSound: value === 'yes' } };
    case 'school':
      return { school: value as WorkshopSettings['school'] };
    case 'secondEyes':
      return { secondEyes: value === 'yes' };
    case 'wrenchEverywhere':
      return { wrenchEverywhere: value as WorkshopSettings['wrenchEverywhere'] };
    case 'frontBrakeHand':
      return { frontBrakeHand: value as WorkshopSettings['frontBrakeHand'] };
    default:
      return { rules: { ...settings.rules, [key]: value } };
  }
}
