import { own } from '@/core/own';
import { summary as summarySchema, summaryOf, type Summary } from '@/model/summary';
import type { Around } from './around';
import type { Changes } from './changes';
import type { Records } from './records';
import type { Shown } from './shown';

export interface FloorRows {
  /** A summary for each of these bicycles, made anew where the kept one is stale. */
  read(ids: string[]): Promise<Record<string, Summary>>;
  /** Keeps what was worked out for a row, where it is still of that revision. */
  noteDrawn(id: string, revision: number, drawn: Summary['drawn']): void;
}

/** The rows of the floor: a cache beside the records. */
export function createFloorRows(
  { database, store }: Around,
  { records, changes, shown }: { records: Records; changes: Changes; shown: Shown },
): FloorRows {
  async function readAnew(id: string, kept: Summary | undefined): Promise<Summary | null> {
    const read = await records.read(id);
    if (!read.ok) {
      shown.leaveClosed(id, read);
      return null;
    }
    const fresh = summaryOf(changes.withWaiting(read.bicycle), kept);
    if (!changes.isWaiting(id)) await database.writeSummary(id, fresh).catch(() => undefined);
    return fresh;
  }
  return {
    async read(ids) {
      const rows = (await database.readSummaries()).flatMap((row) => {
        const parsed = summarySchema.safeParse(row);
        return parsed.success ? [parsed.data] : [];
      });
      const kept = new Map(rows.map((row) => [row.id, row]));
      const summaries: [string, Summary][] = [];
      for (const id of ids) {
        const known = kept.get(id);
        const row = known && !changes.isWaiting(id) ? known : await readAnew(id, known);
        if (row) summaries.push([id, row]);
      }
      return Object.fromEntries(summaries);
    },
    noteDrawn(id, revision, drawn) {
      const row = own(store.getState().summaries, id);
      if (row?.revision !== revision || row.drawn !== null) return;
      const next = { ...row, drawn };
      store.setState(({ summaries }) => ({ summaries: { ...summaries, [id]: next } }));
      void database.writeSummary(id, next).catch(() => undefined);
    },
  };
}
