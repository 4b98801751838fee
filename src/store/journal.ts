import { z } from 'zod';
import { envelope, type Envelope } from '@/model/commands';
import { stockItem } from '@/model/stock/item';

/** The part of localStorage that the journal uses. */
export type JournalStorage = Pick<Storage, 'getItem' | 'setItem' | 'removeItem' | 'key' | 'length'>;

/** Rows on their way into the drawer. */
const stockEntry = z.strictObject({ id: z.string().min(1).max(64), at: z.string(), stock: z.array(stockItem) });
export type StockEntry = z.output<typeof stockEntry>;
export type Entry = Envelope | StockEntry;

export interface Journal {
  /** Synchronous, so that a tab that closes in the next instant has still written it. */
  add(entry: Entry): void;
  clear(id: string): void;
  pending(): Entry[];
}

const numbered = z.looseObject({ n: z.number(), entry: z.unknown() });

function entryOf(stored: unknown): { n: number; entry: Entry } | null {
  const outer = numbered.safeParse(stored);
  const [n, bare] = outer.success ? [outer.data.n, outer.data.entry] : [0, stored];
  const change = envelope.safeParse(bare);
  if (change.success) return { n, entry: change.data };
  const stock = stockEntry.safeParse(bare);
  return stock.success ? { n, entry: stock.data } : null;
}

/**
 * Changes that have not reached the database yet, oldest first; those of one millisecond in the order in which they were
 * made. A damaged entry, or one of a newer Ergasto, is left where it is and passed over.
 */
export function createJournal(storage: JournalStorage, workshop: string): Journal {
  const prefix = `ergasto:${workshop}:journal:`;
  let last: number | null = null;
  function stored(): { n: number; entry: Entry }[] {
    const found: { n: number; entry: Entry }[] = [];
    for (let i = 0; i < storage.length; i++) {
      const key = storage.key(i);
      if (!key?.startsWith(prefix)) continue;
      try {
        const read = entryOf(JSON.parse(storage.getItem(key) ?? ''));
        if (read) found.push(read);
      } catch {
        continue;
      }
    }
    return found;
  }
  return {
    add(entry) {
      last = (last ?? Math.max(0, ...stored().map(({ n }) => n))) + 1;
      storage.setItem(prefix + entry.id, JSON.stringify({ n: last, entry }));
    },
    clear: (id) => storage.removeItem(prefix + id),
    pending: () =>
      stored()
        .sort((a, b) => (a.entry.at === b.entry.at ? a.n - b.n : a.entry.at < b.entry.at ? -1 : 1))
        .map(({ entry }) => entry),
  };
}
