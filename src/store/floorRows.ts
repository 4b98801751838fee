import { own } from '@/core/own';
import { summary as summarySchema, type Summary } from '@/model/summary';
import type { Around } from './around';
import type { Hidden } from './hidden';
import type { Whole } from './whole';

export interface FloorRows {
  /** A summary for each of these bicycles, made anew where the kept one is stale. */
  read(ids: string[]): Promise<Record<string, Summary>>;
  /** Keeps what was worked out for a row, where it is still of that revision. */
  noteDrawn(id: string, revision: number, drawn: Summary['drawn']): void;
}

const AT_ONCE = 30;
const breath = () => new Promise<void>((resolve) => setTimeout(resolve));

/** The rows of the floor: a cache beside the records. `whole` is asked for where a row is stale, `isWaiting` told of changes that are not written. */
export function createFloorRows(
  { database, store }: Around,
  { whole, isWaiting, leaveClosed }: { whole(): Promise<Whole>; isWaiting(id: string): boolean } & Hidden,
): FloorRows {
  async function readAnew(id: string, kept: Summary | undefined): Promise<Summary | null> {
    const { records, changes, summaryOf } = await whole();
    const read = await records.read(id, 'glance');
    if (!read.ok) {
      leaveClosed(id, read);
      return null;
    }
    const fresh = summaryOf(changes.withWaiting(read.bicycle), kept);
    if (!changes.isWaiting(id)) await database.writeSummary(id, fresh).catch(() => undefined);
    return fresh;
  }
  return {
    async read(ids) {
      const kept = new Map<string, Summary>();
      for (const [i, row] of (await database.readSummaries()).entries()) {
        // A long floor is checked in pieces, so that the page answers meanwhile.
        if (i > 0 && i % AT_ONCE === 0) await breath();
        const parsed = summarySchema.safeParse(row);
        if (parsed.success) kept.set(parsed.data.id, parsed.data);
      }
      const summaries: [string, Summary][] = [];
      for (const id of ids) {
        const known = kept.get(id);
        const row = known && !isWaiting(id) ? known : await readAnew(id, known);
        if (row) summaries.push([id, row]);
      }
      return Object.fromEntries(summaries);
    },
    noteDrawn(id, revision, drawn) {
      const row = own(store.getState().summaries, id);
      if (row?.revision !== revision) return;
      const next = { ...row, drawn };
      store.setState(({ summaries }) => ({ summaries: { ...summaries, [id]: next } }));
      void database.writeSummary(id, next).catch(() => undefined);
    },
  };
}
