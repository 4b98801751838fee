import { bicycleRecord, SCHEMA_VERSION, workshopSettings, type Bicycle, type WorkshopSettings } from './record';

type Raw = Record<string, unknown>;

/**
 * One step from each older version to the next. Version 0 is the shape of the first trials: money of the purchase stood
 * as a bare amount and there were no photographs. Version 1 knew two kinds of brake and no gears.
 */
const STEPS: Record<number, (old: Raw) => Raw> = {
  0: ({ paid, ...old }) => ({
    ...old,
    schemaVersion: 1,
    purchase: typeof paid === 'number' ? { paid, at: old.createdAt } : null,
    photos: [],
  }),
  1: (old) => {
    const kind = (old.kind ?? {}) as Raw;
    const clock = old.clock as Raw | null | undefined;
    const minutes = Array.isArray(old.minutes) ? (old.minutes as Raw[]) : [];
    return {
      ...old,
      schemaVersion: 2,
      kind: {
        ...kind,
        brakes: kind.brakes === 'rim' ? 'caliper' : kind.brakes,
        gears: kind.chain === 'single-or-hub-gear' ? 'hub' : 'derailleur',
      },
      minutes: minutes.map((entry) => ({ ...entry, place: null })),
      // A clock that was left running is kept as it stood; the bench asks how much of it counts.
      clock: clock
        ? { ...clock, id: `clock-${String(clock.startedAt)}`, activeAt: clock.startedAt, place: null }
        : null,
      notes: [],
      deliveries: [],
      looseEnds: [],
      bench: null,
      archivedAt: null,
      conflicts: [],
      stamps: {},
      sharedAt: null,
    };
  },
};

const SETTINGS_STEPS: Record<number, (old: Raw) => Raw> = {
  1: (old) => ({ ...old, schemaVersion: 2, letterKeys: true }),
};

export type Opened =
  { ok: true; bicycle: Bicycle; migrated: boolean } | { ok: false; why: 'newer' | 'damaged'; detail: string };

function lifted(record: Raw, steps: Record<number, (old: Raw) => Raw>, from: number): Raw {
  let raised = record;
  for (let version = from; version < SCHEMA_VERSION; version++) raised = steps[version]?.(raised) ?? raised;
  return raised;
}

/** Opens a stored record of this or an older version; a newer or damaged one is refused and left as it is. */
export function openBicycle(stored: unknown): Opened {
  if (typeof stored !== 'object' || stored === null) return { ok: false, why: 'damaged', detail: 'not a record' };
  const record = stored as Raw;
  const from = typeof record.schemaVersion === 'number' ? record.schemaVersion : 0;
  if (from > SCHEMA_VERSION) return { ok: false, why: 'newer', detail: `version ${from}` };
  let raised: Raw;
  try {
    raised = lifted(record, STEPS, from);
  } catch {
    return { ok: false, why: 'damaged', detail: 'unreadable' };
  }
  const parsed = bicycleRecord.safeParse(raised);
  if (!parsed.success) {
    const [first] = parsed.error.issues;
    return { ok: false, why: 'damaged', detail: first?.path.join('.') || 'unreadable' };
  }
  return { ok: true, bicycle: parsed.data, migrated: from < SCHEMA_VERSION };
}

/** Opens stored settings of this or an older version, or gives null. */
export function openSettings(stored: unknown): WorkshopSettings | null {
  if (typeof stored !== 'object' || stored === null) return null;
  const record = stored as Raw;
  const from = typeof record.schemaVersion === 'number' ? record.schemaVersion : 1;
  const parsed = workshopSettings.safeParse(lifted(record, SETTINGS_STEPS, from));
  return parsed.success ? parsed.data : null;
}
