import { stockItem, type StockItem } from '@/model/stock/item';
import type { Database } from './database';

/** The drawer as it is written; a row that cannot be read is left where it lies. */
export async function readStock(database: Pick<Database, 'readSetting'>): Promise<Record<string, StockItem>> {
  const stored = await database.readSetting('stock');
  const rows = Array.isArray(stored) ? stored : [];
  return Object.fromEntries(
    rows.flatMap((row) => {
      const parsed = stockItem.safeParse(row);
      return parsed.success ? [[parsed.data.id, parsed.data]] : [];
    }),
  );
}
