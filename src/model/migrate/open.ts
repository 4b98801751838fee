import { bicycleRecord, type Bicycle } from '../record';
import { SCHEMA_VERSION } from '../version';
import { momentIn, stampsInOurForm } from '../stamps';
import { asRecord, versionOf, type Raise, type Raw } from './stored';

export type Opened =
  { ok: true; bicycle: Bicycle; migrated: boolean } | { ok: false; why: 'newer' | 'damaged'; detail: string };

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
