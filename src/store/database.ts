import localforage from 'localforage';

export type WorkshopName = 'own' | 'demo';

/** Where records live. Kept small so that tests can put a database of their own in its place. */
export interface Database {
  readBicycle(id: string): Promise<unknown>;
  writeBicycle(id: string, record: unknown): Promise<void>;
  removeBicycle(id: string): Promise<void>;
  bicycleIds(): Promise<string[]>;
  /** Summary rows of the floor; a cache. */
  readSummaries(): Promise<unknown[]>;
  writeSummary(id: string, row: unknown): Promise<void>;
  removeSummary(id: string): Promise<void>;
  /** What can be taken back, a list a bicycle. */
  readHistory(id: string): Promise<unknown>;
  writeHistory(id: string, rows: unknown): Promise<void>;
  readSetting(key: string): Promise<unknown>;
  writeSetting(key: string, value: unknown): Promise<void>;
  removeSetting(key: string): Promise<void>;
  /** Photographs, their small pictures (`<id>:small`) and recorded sounds. */
  readPhoto(id: string): Promise<Blob | null>;
  writePhoto(id: string, blob: Blob): Promise<void>;
  removePhoto(id: string): Promise<void>;
}

/** The browser's database of one workshop; the demonstration has a database of its own. */
export function browserDatabase(workshop: WorkshopName): Database {
  const open = (storeName: string) =>
    localforage.createInstance({ driver: localforage.INDEXEDDB, name: `ergasto-${workshop}`, storeName });
  const bicycles = open('bicycles');
  const summaries = open('summaries');
  const history = open('history');
  const settings = open('settings');
  const photos = open('photos');
  return {
    readBicycle: (id) => bicycles.getItem(id),
    writeBicycle: async (id, record) => void (await bicycles.setItem(id, record)),
    removeBicycle: (id) => bicycles.removeItem(id),
    bicycleIds: () => bicycles.keys(),
    async readSummaries() {
      const rows: unknown[] = [];
      await summaries.iterate((row) => void rows.push(row));
      return rows;
    },
    writeSummary: async (id, row) => void (await summaries.setItem(id, row)),
    removeSummary: (id) => summaries.removeItem(id),
    readHistory: (id) => history.getItem(id),
    writeHistory: async (id, rows) => void (await history.setItem(id, rows)),
    readSetting: (key) => settings.getItem(key),
    writeSetting: async (key, value) => void (await settings.setItem(key, value)),
    removeSetting: (key) => settings.removeItem(key),
    readPhoto: (id) => photos.getItem<Blob>(id),
    writePhoto: async (id, blob) => void (await photos.setItem(id, blob)),
    removePhoto: (id) => photos.removeItem(id),
  };
}
