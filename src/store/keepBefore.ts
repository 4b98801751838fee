import { SCHEMA_VERSION } from '@/model/version';
import { packOld } from './archive/pack';
import type { Database } from './database';
import { KEPT_BEFORE, type KeptBefore } from './keptBefore';

type Versioned = { schemaVersion?: unknown } | null | undefined;
const versionOf = (stored: unknown) => {
  const version = (stored as Versioned)?.schemaVersion;
  return typeof version === 'number' ? version : 0;
};

/**
 * Before anything is raised to this version: all records, old ones as they stand, as an export that the release which wrote
 * them reads. Done once; nothing where there is nothing old.
 *
 * Errors: what the database says when it would not write; then it is tried again at the next start.
 */
export async function keepBefore(
  { database, locked }: { database: Database; locked<T>(name: string, work: () => Promise<T>): Promise<T> },
  at: string,
): Promise<void> {
  if ((await database.readSetting('raised')) === SCHEMA_VERSION) return;
  await locked('raise', async () => {
    if ((await database.readSetting('raised')) === SCHEMA_VERSION) return;
    const records: unknown[] = [];
    for (const id of await database.bicycleIds()) records.push((await database.readBicycle(id))?.record);
    const old = records.filter((record) => versionOf(record) < SCHEMA_VERSION);
    if (old.length > 0) {
      const settings = (await database.readSetting('workshop')) ?? null;
      const stock = await database.readSetting('stock');
      const version = Math.max(...old.map(versionOf));
      const kept: KeptBefore = {
        at,
        version,
        bicycles: old.length,
        zip: packOld(old, {
          settings: versionOf(settings) <= version ? settings : null,
          stock: Array.isArray(stock) ? (stock as unknown[]) : [],
          at,
          version,
        }),
      };
      await database.writeSetting(KEPT_BEFORE, kept);
    }
    await database.writeSetting('raised', SCHEMA_VERSION);
  });
}
