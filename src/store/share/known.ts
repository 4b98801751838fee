import { holds, snapshot as snapshotSchema } from '@/model/share/change';
import type { Replica } from '@/model/share/replica';
import * as z from 'zod/mini';
import type { Database } from '../database';

/** Which batches are known, and of which records; what is known of each lies beside it, so that a change writes no more than its own. */
const KNOWN = 'share:known';
const knownOf = (record: string) => `share:of:${record}`;
const known = z.strictObject({ holds, records: z.array(z.string()) });

/** Every writer that this browser has heard of. */
export async function writersKnown(database: Pick<Database, 'readSetting'>): Promise<Set<string>> {
  const kept = known.safeParse(await database.readSetting(KNOWN));
  return new Set(kept.success ? Object.keys(kept.data.holds) : []);
}

/** What this browser keeps of the folder. `changed` are the records of which more is known than is kept. */
export function createKnown(database: Pick<Database, 'readSetting' | 'writeSetting'>, replica: Replica) {
  const changed = new Set<string>();
  return {
    changed,
    async read(): Promise<void> {
      const kept = known.safeParse(await database.readSetting(KNOWN));
      if (!kept.success) return;
      const leaves: unknown[] = [];
      for (const record of kept.data.records)
        leaves.push(...(((await database.readSetting(knownOf(record))) as unknown[] | null) ?? []));
      const whole = snapshotSchema.safeParse({
        kind: 'snapshot',
        writer: replica.writer,
        number: 1,
        holds: kept.data.holds,
        leaves,
      });
      if (whole.success) replica.take(whole.data);
    },
    /** What is known of each record goes before the list of batches: one that is known and not listed is taken in once more, which changes nothing. */
    async keep(): Promise<void> {
      if (changed.size === 0) return;
      for (const record of changed) await database.writeSetting(knownOf(record), replica.toldOf(record));
      changed.clear();
      await database.writeSetting(KNOWN, { holds: replica.holds(), records: replica.recordNames() });
    },
  };
}
