import * as z from 'zod/mini';
import { historyRow, type HistoryRow } from '@/model/history';
import { historyLater, openBicycleLater } from '@/model/migrate/whenOlder';
import { bicycleRecord, type Bicycle } from '@/model/record';
import { SCHEMA_VERSION } from '@/model/version';
import type { Database, StoredBicycle } from './database';

export type ReadRecord =
  | {
      ok: true;
      bicycle: Bicycle;
      history: HistoryRow[];
      /** The older record that this one was raised from, as it was stored. */
      old: unknown;
      /** Nobody has written it since it was read or written here. */
      known: boolean;
    }
  | { ok: false; why: 'absent' | 'newer' | 'damaged'; detail: string };

/** A record that could not be opened again, and so was not written. */
export class Unfit extends Error {}

/** Whether a stored record is the very writing that is known; every change leaves another revision and command. */
export function isSameWriting(
  stored: unknown,
  known: Pick<Bicycle, 'schemaVersion' | 'revision' | 'updatedAt' | 'sharedAt' | 'recent'>,
): boolean {
  const record = (stored ?? {}) as Partial<Bicycle>;
  return (
    record.schemaVersion === known.schemaVersion &&
    record.revision === known.revision &&
    record.updatedAt === known.updatedAt &&
    record.sharedAt === known.sharedAt &&
    record.recent?.length === known.recent.length &&
    record.recent.at(-1) === known.recent.at(-1)
  );
}

function openHistory(stored: unknown): HistoryRow[] {
  const parsed = z.array(historyRow).safeParse(stored ?? []);
  return parsed.success ? parsed.data : [];
}

export interface Records {
  /** Reads a bicycle. What is only glanced at is not kept for the next reading. */
  read(id: string, glance?: 'glance'): Promise<ReadRecord>;
  /**
   * Writes a record with its history. It is checked first unless it is `checked` already; an older record that it was raised
   * from is kept beside it until the new one has been read back.
   *
   * Errors: `Unfit` when it could not be opened again; whatever the database says.
   */
  write(bicycle: Bicycle, history: HistoryRow[], from: { old: unknown; checked: boolean }): Promise<void>;
}

/** Bicycles in a database: read and brought up to date, checked and written. */
export function createRecords(database: Database): Records {
  /** As last read or written here: what nobody has written since need not be checked again. */
  const proven = new Map<string, { bicycle: Bicycle; history: HistoryRow[] }>();
  return {
    async read(id, glance) {
      const stored = await database.readBicycle(id);
      if (stored === null) return { ok: false, why: 'absent', detail: '' };
      const same = proven.get(id);
      if (same && isSameWriting(stored.record, same.bicycle)) return { ok: true, ...same, old: null, known: true };
      const opened = await openBicycleLater(stored.record);
      if (!opened.ok) return opened;
      const history = openHistory(await historyLater(stored.history, stored.record));
      if (!opened.migrated && !glance) proven.set(id, { bicycle: opened.bicycle, history });
      return {
        ok: true,
        bicycle: opened.bicycle,
        history,
        old: opened.migrated ? stored.record : null,
        known: false,
      };
    },
    async write(bicycle, history, { old, checked }) {
      if (!checked && !bicycleRecord.safeParse(bicycle).success) throw new Unfit(bicycle.id);
      const aside = `before-${SCHEMA_VERSION}:${bicycle.id}`;
      if (old !== null) await database.writeSetting(aside, old);
      const stored: StoredBicycle = { record: bicycle, history };
      await database.writeBicycle(bicycle.id, stored);
      proven.set(bicycle.id, { bicycle, history });
      if (old === null) return;
      const again = await openBicycleLater((await database.readBicycle(bicycle.id))?.record);
      if (again.ok && !again.migrated) await database.removeSetting(aside);
    },
  };
}
