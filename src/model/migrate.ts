import { bicycleRecord, SCHEMA_VERSION, type Bicycle } from './record';

type Raw = Record<string, unknown>;

/**
 * One step from each older version to the next. Version 0 is the shape of the first trials: money of the purchase stood
 * as a bare amount and there were no photographs.
 */
const STEPS: Record<number, (old: Raw) => Raw> = {
  0: ({ paid, ...old }) => ({
    ...old,
    schemaVersion: 1,
    purchase: typeof paid === 'number' ? { paid, at: old.createdAt } : null,
    photos: [],
  }),
};

export type Opened =
  { ok: true; bicycle: Bicycle; migrated: boolean } | { ok: false; why: 'newer' | 'damaged'; detail: string };

/** Opens a stored record of this or an older version; a newer or damaged one is refused and left as it is. */
export function openBicycle(stored: unknown): Opened {
  if (typeof stored !== 'object' || stored === null) return { ok: false, why: 'damaged', detail: 'not a record' };
  let record = stored as Raw;
  const from = typeof record.schemaVersion === 'number' ? record.schemaVersion : 0;
  if (from > SCHEMA_VERSION) return { ok: false, why: 'newer', detail: `version ${from}` };
  for (let version = from; version < SCHEMA_VERSION; version++) record = STEPS[version]!(record);
  const parsed = bicycleRecord.safeParse(record);
  if (!parsed.success) {
    const [first] = parsed.error.issues;
    return { ok: false, why: 'damaged', detail: first ? `${first.path.join('.')}: ${first.message}` : 'unreadable' };
  }
  return { ok: true, bicycle: parsed.data, migrated: from < SCHEMA_VERSION };
}
