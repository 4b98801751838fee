import { bicycleRecord, SCHEMA_VERSION, type Bicycle } from '../record';
import { workshopSettings, type WorkshopSettings } from '../settings/settings';
import { momentIn, stampsInOurForm } from '../stamps';

export type Raw = Record<string, unknown>;
/** Brings a record of an older version up to the present one. */
type Raise = (record: Raw, from: number) => Raw;

export type Opened =
  { ok: true; bicycle: Bicycle; migrated: boolean } | { ok: false; why: 'newer' | 'damaged'; detail: string };

const asRecord = (stored: unknown): Raw | null =>
  typeof stored !== 'object' || stored === null || Array.isArray(stored) ? null : (stored as Raw);

/** The version of a stored thing: a whole number that some Ergasto wrote, one too new for this one, or none at all. */
function versionOf(record: Raw, oldest: number): number | 'newer' | null {
  const version = record.schemaVersion ?? oldest;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < oldest || version > 10_000) return null;
  return version > SCHEMA_VERSION ? 'newer' : version;
}

/** The version of a stored bicycle or settings that an older Ergasto wrote, which alone need the steps that raise them; else null. */
export function olderVersion(stored: unknown): number | null {
  const record = asRecord(stored);
  const version = record && versionOf(record, 0);
  return typeof version === 'number' && version < SCHEMA_VERSION ? version : null;
}

/** A record with its moments and stamps in the one form that sorts as text; null where one names no moment. */
function inOurForm(record: Raw): Raw | null {
  const { stamps, strange } = stampsInOurForm(record.stamps);
  if (strange.length > 0) return null;
  const moment = (key: string) => {
    const value = record[key];
    return { [key]: typeof value === 'string' ? (momentIn(value) ?? value) : value };
  };
  return { ...record, ...moment('createdAt'), ...moment('updatedAt'), ...moment('sharedAt'), stamps };
}

/** Opens a stored record; a newer or damaged one is refused and left as it is. */
export function openBicycleWith(stored: unknown, raise: Raise): Opened {
  const damaged = (detail: string): Opened => ({ ok: false, why: 'damaged', detail });
  const record = asRecord(stored);
  if (!record) return damaged('not a record');
  const from = versionOf(record, 0);
  if (from === null) return damaged('schemaVersion');
  if (from === 'newer') return { ok: false, why: 'newer', detail: `version ${String(record.schemaVersion)}` };
  let raised: Raw | null;
  try {
    raised = inOurForm(raise(record, from));
  } catch {
    return damaged('unreadable');
  }
  if (raised === null) return damaged('stamps');
  const parsed = bicycleRecord.safeParse(raised);
  if (!parsed.success) return damaged(parsed.error.issues[0]?.path.join('.') || 'unreadable');
  return { ok: true, bicycle: parsed.data, migrated: from < SCHEMA_VERSION };
}

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
