import { workshopSettings, type WorkshopSettings } from '../settings/settings';
import { stampsInOurForm } from '../stamps';
import { asRecord, olderVersion, versionOf, type Raise } from './stored';

/** Opens stored settings, or gives null. */
export function openSettingsWith(stored: unknown, raise: Raise): WorkshopSettings | null {
  const record = asRecord(stored);
  const from = record && versionOf(record, 1);
  if (!record || typeof from !== 'number') return null;
  try {
    const { stamps, strange } = stampsInOurForm(record.stamps);
    if (strange.length > 0) return null;
    const parsed = workshopSettings.safeParse({ ...raise(record, from), stamps });
    return parsed.success ? parsed.data : null;
  } catch {
    return null;
  }
}

/** As `openSettings`, for a page: the steps from older versions are loaded where one is met. */
export async function openSettingsLater(stored: unknown): Promise<WorkshopSettings | null> {
  return openSettingsWith(
    stored,
    olderVersion(stored) === null ? (record) => record : (await import('./steps')).raiseSettings,
  );
}
