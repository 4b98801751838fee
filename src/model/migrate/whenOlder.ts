import type { WorkshopSettings } from '../settings/settings';
import { isOlder, openBicycleWith, openSettingsWith, type Opened, type Raw } from './open';

const asItIs = (record: Raw) => record;

/** As `openBicycle`, for a page: the steps from older versions are loaded where one is met. */
export async function openBicycleLater(stored: unknown): Promise<Opened> {
  return openBicycleWith(stored, isOlder(stored) ? (await import('./steps')).raiseBicycle : asItIs);
}

/** As `openSettings`, for a page. */
export async function openSettingsLater(stored: unknown): Promise<WorkshopSettings | null> {
  return openSettingsWith(stored, isOlder(stored) ? (await import('./steps')).raiseSettings : asItIs);
}
