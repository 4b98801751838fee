import localforage from 'localforage';

export type WorkshopName = 'own' | 'demo';

/** A bicycle as it lies in the database: its record, and what can be taken back, which is never exported. */
export interface StoredBicycle {
  record: unknown;
  history: unknown;
}

/** Where records live. Kept small so that tests can put a database of their own in its place. */
export interface Database {
  readBicycle(id: string): Promise<StoredBicycle | null>;
  /** Record and history in one write: neither is ever there without the other. */
  writeBicycle(id: string, stored: StoredBicycle): Promise<void>;
  removeBicycle(id: string): Promise<void>;
  bicycleIds(): Promise<string[]>;
  /** Summary rows of the floor; a cache. */
  readSummaries(): Promise<unknown[]>;
  writeSummary(id: string, row: unknown): Promise<void>;
  removeSummary(id: string): Promise<void>;
  readSetting(key: string): Promise<unknown>;
  writeSetting(key: string, value: unknown): Promise<void>;
  removeSetting(key: string): Promise<void>;
  /** Photographs, their small pictures (`<id>:small`) and recorded sounds. */
  readPhoto(id: string): Promise<Blob | null>;
  writePhoto(id: string, blob: Blob): Promise<void>;
  removePhoto(id: string): Promise<void>;
  photoIds(): Promise<string[]>;
  /** Calls when the browser takes the whole database away, as clearing its data does. Gives the way to stop listening. */
  watch(gone: () => void): () => void;
}

/** The shape in the browser: older releases kept the bare record, and its history in a store of its own. */
interface Wrapped {
  schemaVersion: unknown;
  bicycle: unknown;
  history: unknown;
}

function isWrapped(stored: unknown): stored is Wrapped {
  return typeof stored === 'object' && stored !== null && 'bicycle' in stored;
}

/** The browser's database of one workshop; the demonstration has a database of its own. */
export function browserDatabase(workshop: WorkshopName): Database {
  const name = `ergasto-${workshop}`;
  const open = (storeName: string) => localforage.createInstance({ driver: localforage.INDEXEDDB, name, storeName });
  const bicycles = open('bicycles');
  const summaries = open('summaries');
  const history = open('history');
  const settings = open('settings');
  const photos = open('photos');
  return {
    async readBicycle(id) {
      const stored = await bicycles.getItem(id);
      if (stored === null || stored === undefined) return null;
      return isWrapped(stored)
        ? { record: stored.bicycle, history: stored.history }
        : { record: stored, history: await history.getItem(id) };
    },
    async writeBicycle(id, { record, history: rows }) {
      // The version stands outside too, so that an older release leaves the record closed instead of calling it damaged.
      const { schemaVersion } = record as { schemaVersion?: unknown };
      await bicycles.setItem(id, { schemaVersion, bicycle: record, history: rows } satisfies Wrapped);
    },
    async removeBicycle(id) {
      await bicycles.removeItem(id);
      await history.removeItem(id);
    },
    bicycleIds: () => bicycles.keys(),
    async readSummaries() {
      const rows: unknown[] = [];
      await summaries.iterate((row) => void rows.push(row));
      return rows;
    },
    writeSummary: async (id, row) => void (await summaries.setItem(id, row)),
    removeSummary: (id) => summaries.removeItem(id),
    readSetting: (key) => settings.getItem(key),
    writeSetting: async (key, value) => void (await settings.setItem(key, value)),
    removeSetting: (key) => settings.removeItem(key),
    readPhoto: (id) => photos.getItem<Blob>(id),
    writePhoto: async (id, blob) => void (await photos.setItem(id, blob)),
    removePhoto: (id) => photos.removeItem(id),
    photoIds: () => photos.keys(),
    watch: (gone) => watchDatabase(name, gone),
  };
}

/**
 * A connection of its own that does nothing but listen: the library's connections close quietly when the database is
 * deleted, and open an empty one in its place.
 */
function watchDatabase(name: string, gone: () => void): () => void {
  let connection: IDBDatabase | null = null;
  let stopped = false;
  const connect = () => {
    const opening = indexedDB.open(name);
    // It was not there: whoever keeps records makes it, and this one only listens.
    opening.onupgradeneeded = () => opening.transaction?.abort();
    opening.onerror = (event) => {
      event.preventDefault();
      if (!stopped) setTimeout(connect, 2000);
    };
    opening.onsuccess = () => {
      connection = opening.result;
      if (stopped) return connection.close();
      connection.onclose = () => void (stopped || (gone(), setTimeout(connect, 2000)));
      connection.onversionchange = (event) => {
        connection?.close();
        if (stopped) return;
        // Without a new version it is being deleted; with one, a store is being added.
        if (event.newVersion === null) gone();
        setTimeout(connect, 2000);
      };
    };
  };
  connect();
  return () => {
    stopped = true;
    connection?.close();
  };
}
