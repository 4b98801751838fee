import { own } from '@/core/own';
import { stockItem, type StockItem } from '@/model/stock/item';
import type { Around } from './around';
import type { StockEntry } from './journal';
import { readStock } from './stockRows';
import { CANNOT_BE_KEPT, NOT_WRITTEN } from './troubleWords';

export interface Drawer {
  read(): Promise<void>;
  /** Writes rows that an earlier page left in the journal. */
  takeOver(entry: StockEntry): void;
  /** Puts rows into the drawer, or newer versions of them. Resolves to whether they were written. */
  put(items: StockItem[]): Promise<boolean>;
}

/** The drawer: rows go to the journal first, then under a lock over what stands in the database. */
export function createDrawer(around: Around, countChange: () => Promise<void>): Drawer {
  const { database, store, channel, journal, locked, now, newId, tell, enqueue } = around;
  async function write(entry: StockEntry): Promise<void> {
    await locked('stock', async () => {
      // Read again, so that what another tab put there meanwhile stays.
      const rows = await readStock(database);
      for (const item of entry.stock) {
        const kept = own(rows, item.id);
        if (!kept || kept.at <= item.at) rows[item.id] = item;
      }
      await database.writeSetting('stock', Object.values(rows));
      store.setState({ stock: rows });
    });
    journal.clear(entry.id);
    tell('stock', null);
    channel.post({ kind: 'stock' });
  }
  return {
    async read() {
      store.setState({ stock: await readStock(database) });
    },
    takeOver: (entry) => void enqueue(() => write(entry)),
    async put(items) {
      const entry: StockEntry = { id: newId(), at: now(), stock: items };
      if (!items.every((item) => stockItem.safeParse(item).success)) {
        tell('refused', CANNOT_BE_KEPT);
        return false;
      }
      try {
        journal.add(entry);
      } catch {
        tell('write', NOT_WRITTEN);
      }
      try {
        await write(entry);
        await countChange();
        return true;
      } catch {
        // Whoever put it there does it again: kept here as well, it would be there twice.
        journal.clear(entry.id);
        tell('stock', 'The browser would not write the drawer. Free some space, then do it again.');
        return false;
      }
    },
  };
}
