import type { Database } from '@/store/database';
import { createJournal, type JournalStorage } from '@/store/journal';
import { createWorkshop, type StoreMessage, type Surroundings } from '@/store/workshop';

/** A record as a database hands it out: never the same object twice. */
function copied<T>(value: T): T {
  return JSON.parse(JSON.stringify(value)) as T;
}

function memoryDatabase(): Database & { records: Map<string, unknown>; full: boolean } {
  const records = new Map<string, unknown>();
  const settings = new Map<string, unknown>();
  const database = {
    records,
    full: false,
    readBicycle: (id: string) => Promise.resolve(copied(records.get(id) ?? null)),
    writeBicycle(id: string, record: unknown) {
      if (database.full) return Promise.reject(new Error('QuotaExceededError'));
      records.set(id, copied(record));
      return Promise.resolve();
    },
    removeBicycle: (id: string) => Promise.resolve(void records.delete(id)),
    bicycleIds: () => Promise.resolve([...records.keys()]),
    readSetting: (key: string) => Promise.resolve(settings.get(key) ?? null),
    writeSetting: (key: string, value: unknown) => Promise.resolve(void settings.set(key, value)),
    readPhoto: () => Promise.resolve(null),
    writePhoto: () => Promise.resolve(),
    removePhoto: () => Promise.resolve(),
  };
  return database;
}

function memoryStorage(): JournalStorage {
  const kept = new Map<string, string>();
  return {
    getItem: (key) => kept.get(key) ?? null,
    setItem: (key, value) => void kept.set(key, value),
    removeItem: (key) => void kept.delete(key),
    key: (i) => [...kept.keys()][i] ?? null,
    get length() {
      return kept.size;
    },
  };
}

/** Several tabs of one browser: one database, one storage, one lock manager, one channel. */
export function memoryBrowser() {
  const database = memoryDatabase();
  const storage = memoryStorage();
  const listeners: { tab: number; heard(message: StoreMessage): void }[] = [];
  const tails = new Map<string, Promise<unknown>>();
  let ids = 0;
  const tab = (number: number) => {
    const around: Surroundings = {
      database,
      journal: createJournal(storage, 'test'),
      channel: {
        post: (message) => listeners.filter((l) => l.tab !== number).forEach((l) => l.heard(message)),
        listen(heard) {
          const entry = { tab: number, heard };
          listeners.push(entry);
          return () => void listeners.splice(listeners.indexOf(entry), 1);
        },
      },
      locked(name, work) {
        const before = tails.get(name) ?? Promise.resolve();
        const mine = before.then(work, work);
        tails.set(
          name,
          mine.catch(() => undefined),
        );
        return mine;
      },
      now: () => '2026-11-25T10:00:00.000Z',
      newId: () => `id${ids++}`,
    };
    return createWorkshop(around);
  };
  return { database, storage, tab };
}
