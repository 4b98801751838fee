import type { Bicycle } from '@/model/record';
import type { WorkshopSettings } from '@/model/settings/settings';
import type { StockItem } from '@/model/stock/item';
import { SCHEMA_VERSION } from '@/model/version';
import type { Database } from './database';

/** What an empty workshop may be filled with. */
export interface Seed {
  bicycles: Bicycle[];
  settings: WorkshopSettings;
  stock?: StockItem[];
}

/** Fills an empty database with what it may be filled with, once. Resolves to the bicycles that are there. */
export async function seeded(database: Database, seed?: () => Seed | Promise<Seed>): Promise<string[]> {
  const ids = await database.bicycleIds();
  if (ids.length > 0) return ids;
  // Nothing is here that an older release could have written.
  await database.writeSetting('raised', SCHEMA_VERSION);
  if (!seed || (await database.readSetting('seeded')) === true) return ids;
  const { bicycles, settings, stock } = await seed();
  for (const bicycle of bicycles) await database.writeBicycle(bicycle.id, { record: bicycle, history: [] });
  await database.writeSetting('workshop', settings);
  if (stock) await database.writeSetting('stock', stock);
  await database.writeSetting('seeded', true);
  return database.bicycleIds();
}
