import type { Database, StoredBicycle } from '@/store/database';
import { keepBefore } from '@/store/keepBefore';
import { createJournal, type JournalStorage } from '@/store/journal';
import { createWorkshop, type StoreMessage, type Surroundings } from '@/store/workshop';

/** A record as a database hands it out: never the same object twice. */
function copied<T>(value: T): T {
  if (value === undefined) return value;
  // A file is handed out as it is; what lies beside one is little.
  if (Object.values(value ?? {}).some((each) => each instanceof Blob)) return { ...value };
  return JSON.parse(JSON.stringify(value)) as T;
}

function memoryDatabase() {
  const records = new Map<string, unknown>();
  const summaries = new Map<string, unknown>();
  const histories = new Map<string, unknown>();
  const settings = new Map<string, unknown>();
  const photos = new Map<string, Blob>();
  const watchers = new Set<() => void>();
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
    histories,
    full: false,
    async readBicycle(id: string) {
      const record = await get(records)(id);
      return record === null ? null : { record, history: await get(histories)(id) };
    },
    async writeBicycle(id: string, stored: StoredBicycle) {
      await put(records)(id, stored.record);
      await put(histories)(id, stored.history);
    },
    async removeBicycle(id: string) {
      await drop(records)(id);
      await drop(histories)(id);
    },
    bicycleIds: () => Promise.resolve([...records.keys()]),
    readSummaries: () => Promise.resolve([...summaries.values()].map(copied)),
    writeSummary: put(summaries),
    removeSummary: drop(summaries),
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
    photoIds: () => Promise.resolve([...photos.keys()]),
    watch(gone: () => void) {
      watchers.add(gone);
      return () => void watchers.delete(gone);
    },
    /** The browser takes everything away, as clearing its data does. */
    takeAway() {
      for (const map of [records, summaries, histories, settings, photos]) map.clear();
      watchers.forEach((gone) => gone());
    },
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
      typeof method === 'function' && /^(write|read|remove|bicycle|photo)/.test(name)
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

/** Several tabs of one browser: one database, one storage, one lock manager, one channel; what it makes ids of. */
export function memoryBrowser(called = 'id') {
  const database = memoryDatabase();
  const storage = memoryStorage();
  const listeners: { tab: number; heard(message: StoreMessage): void }[] = [];
  const tails = new Map<string, Promise<unknown>>();
  let ids = 0;
  let clock = Date.parse('2026-11-25T10:00:00.000Z');
  const held = new Set<string>();
  const around = (number: number, writesToLive = Infinity): Surroundings => {
    const mine = mortal(database, writesToLive);
    const locked: Surroundings['locked'] = (name, work) => {
      const before = tails.get(name) ?? Promise.resolve();
      const holding = async () => {
        held.add(name);
        try {
          return await work();
        } finally {
          held.delete(name);
        }
      };
      const next = before.then(holding, holding);
      tails.set(
        name,
        next.catch(() => undefined),
      );
      return next;
    };
    return {
      database: mine,
      keepBefore: (at) => keepBefore({ database: mine, locked }, at),
      isLocked: (name) => Promise.resolve(held.has(name)),
      journal: createJournal(storage, 'test'),
      channel: {
        post: (message) => listeners.filter((l) => l.tab !== number).forEach((l) => l.heard(message)),
        listen(heard) {
          const entry = { tab: number, heard };
          listeners.push(entry);
          return () => void listeners.splice(listeners.indexOf(entry), 1);
        },
      },
      locked,
      now: () => new Date((clock += 1)).toISOString(),
      newId: () => `${called}${String(ids++).padStart(5, '0')}`,
    };
  };
  const tab = (number: number, writesToLive = Infinity, patienceMs?: number) =>
    createWorkshop(around(number, writesToLive), patienceMs);
  return { database, storage, tab, around };
}
