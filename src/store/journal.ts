import * as z from 'zod/mini';
import type { Envelope } from '@/model/commands';
import { stockItem } from '@/model/stock/item';

/** The part of localStorage that the journal uses. */
export type JournalStorage = Pick<Storage, 'getItem' | 'setItem' | 'removeItem' | 'key' | 'length'>;

/** Rows on their way into the drawer. */
const stockEntry = z.strictObject({
  id: z.string().check(z.minLength(1), z.maxLength(64)),
  at: z.string(),
  stock: z.array(stockItem),
});
export type StockEntry = z.output<typeof stockEntry>;
export type Entry = Envelope | StockEntry;

export interface Journal {
  /** Synchronous, so that a tab that closes in the next instant has still written it. */
  add(entry: Entry): void;
  clear(id: string): void;
  pending(): Promise<Entry[]>;
}

const numbered = z.looseObject({ n: z.number(), entry: z.unknown() });

const sent = z.looseObject({ command: z.looseObject({ type: z.string() }) });

/** A change as today reads it, or null where it cannot: what an older release left, and what speaks of leaves by their names, is brought along first. */
async function changeOf(entry: z.output<typeof sent>): Promise<Envelope | null> {
  const { envelope } = await import('@/model/commands');
  const asItIs = envelope.safeParse(entry);
  if (asItIs.success && entry.command.type !== 'amend') return asItIs.data;
  const [{ presentCommand }, { commandOfTen }, { commandOfThirteen }] = await Promise.all([
    import('@/model/migrate/nine'),
    import('@/model/migrate/ten'),
    import('@/model/migrate/thirteen'),
  ]);
  const present = envelope.safeParse({
    ...entry,
    command: commandOfThirteen(commandOfTen(presentCommand(entry.command), entry.at)),
  });
  return present.success ? present.data : null;
}

/** The entry of a stored text, or null where it is none of ours. */
async function entryOf(entry: unknown): Promise<Entry | null> {
  const change = sent.safeParse(entry);
  if (change.success) return changeOf(change.data);
  const stock = stockEntry.safeParse(entry);
  return stock.success ? stock.data : null;
}

/** What lies under a key, with its number; entries of the first releases had none. */
function numberedIn(text: string | null): { n: number; entry: unknown } | null {
  try {
    const stored: unknown = JSON.parse(text ?? '');
    const outer = numbered.safeParse(stored);
    return outer.success ? { n: outer.data.n, entry: outer.data.entry } : { n: 0, entry: stored };
  } catch {
    return null;
  }
}

/**
 * Changes that have not reached the database yet, oldest first; those of one millisecond in the order in which they were
 * made. A damaged entry, or one of a newer Ergasto, is left where it is and passed over.
 */
export function createJournal(storage: JournalStorage, workshop: string): Journal {
  const prefix = `ergasto:${workshop}:journal:`;
  let last: number | null = null;
  function stored() {
    const found: { n: number; entry: unknown }[] = [];
    for (let i = 0; i < storage.length; i++) {
      const key = storage.key(i);
      const read = key?.startsWith(prefix) ? numberedIn(storage.getItem(key)) : null;
      if (read) found.push(read);
    }
    return found;
  }
  return {
    add(entry) {
      last = (last ?? Math.max(0, ...stored().map(({ n }) => n))) + 1;
      storage.setItem(prefix + entry.id, JSON.stringify({ n: last, entry }));
    },
    clear: (id) => storage.removeItem(prefix + id),
    async pending() {
      const read = await Promise.all(stored().map(async ({ n, entry }) => ({ n, entry: await entryOf(entry) })));
      return read
        .flatMap(({ n, entry }) => (entry ? [{ n, entry }] : []))
        .sort((a, b) => (a.entry.at === b.entry.at ? a.n - b.n : a.entry.at < b.entry.at ? -1 : 1))
        .map(({ entry }) => entry);
    },
  };
}
