import type { Database } from '@/store/database';
import { createJournal, type JournalStorage } from '@/store/journal';
import { createWorkshop, type StoreMessage, type Surroundings } from '@/store/workshop';

/** A record as a database hands it out: never the same object twice. */
function copied<T>(value: T): T {
  return value === undefined ? value : (JSON.parse(JSON.stringify(value)) as T);
}

function memoryDatabase() {
  const records = new Map<string, unknown>();
  const summaries = new Map<string, unknown>();
  const histories = new Map<string, unknown>();
  const settings = new Map<string, unknown>();
  const photos = new Map<string, Blob>();
  const put = (map: Map<string, unknown>) => (key: string, value: unknown) => {
    if (database.full) return Promise.reject(new Error('QuotaExceededError'));
    map.set(key, copied(value));
    return Promise.resolve();
  };
  const get = (map: Map<string, unknown>) => (key: string) => Promise.resolve(copied(map.get(key) ?? null));
  const drop = (map: Map<string, unknown>) => (key: string) => Promise.resolve(void map.delete(key));
  const database = {
    records,
    photos,
    settings,
    full: false,
    readBicycle: get(records),
    writeBicycle: put(records),
    removeBicycle: drop(records),
    bicycleIds: () => Promise.resolve([...records.keys()]),
    readSummaries: () => Promise.resolve([...summaries.values()].map(copied)),
    writeSummary: put(summaries),
    removeSummary: drop(summaries),
    readHistory: get(histories),
    writeHistory: put(histories),
    readSetting: get(settings),
    writeSetting: put(settings),
    removeSetting: drop(settings),
    readPhoto: (id: string) => Promise.resolve(photos.get(id) ?? null),
    writePhoto(id: string, blob: Blob) {
      if (database.full) return Promise.reject(new Error('QuotaExceededError'));
      photos.set(id, blob);
      return Promise.resolve();
    },
    removePhoto: (id: string) => Promise.resolve(void photos.delete(id)),
  } satisfies Database & Record<string, unknown>;
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

/** A database seen by a tab that dies at one of its writes: from then on nothing it asks for happens. */
function mortal(database: Database, writesToLive: number): Database {
  let left = writesToLive;
  const dead = () => left <= 0;
  return Object.fromEntries(
    Object.entries(database).map(([name, method]) => [
      name,
      typeof method === 'function' && /^(write|read|remove|bicycle)/.test(name)
        ? (...args: unknown[]) => {
            if (dead()) return Promise.reject(new Error('the tab is gone'));
            if (/^(write|remove)/.test(name) && --left === 0) return Promise.reject(new Error('the tab dies here'));
            // Looked up now, so that a test may put a failure in its place.
            return (database as unknown as Record<string, (...all: unknown[]) => unknown>)[name]!(...args);
          }
        : method,
    ]),
  ) as unknown as Database;
}

/** Several tabs of one browser: one database, one storage, one lock manager, one channel. */
export function memoryBrowser() {
  const database = memoryDatabase();
  const storage = memoryStorage();
  const listeners: { tab: number; heard(message: StoreMessage): void }[] = [];
  const tails = new Map<string, Promise<unknown>>();
  let ids = 0;
  let clock = Date.parse('2026-11-25T10:00:00.000Z');
  const tab = (number: number, writesToLive = Infinity) => {
    const around: Surroundings = {
      database: mortal(database, writesToLive),
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
      now: () => new Date((clock += 1)).toISOString(),
      newId: () => `id${String(ids++).padStart(5, '0')}`,
    };
    return createWorkshop(around);
  };
  return { database, storage, tab };
}
