import type { WorkshopSettings } from '../settings/settings';
import { openBicycleWith, type Opened } from './open';
import { openSettingsWith } from './openSettings';
import { raiseBicycle, raiseSettings } from './steps';

/** Opens a stored record of this or an older version; a newer or damaged one is refused and left as it is. */
export function openBicycle(stored: unknown): Opened {
  return openBicycleWith(stored, raiseBicycle);
}

/** Opens stored settings of this or an older version, or gives null. */
export function openSettings(stored: unknown): WorkshopSettings | null {
  return openSettingsWith(stored, raiseSettings);
}
