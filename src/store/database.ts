import localforage from 'localforage';

export type WorkshopName = 'own' | 'demo';

/** Where records live. Kept small so that tests can put a database of their own in its place. */
export interface Database {
  readBicycle(id: string): Promise<unknown>;
  writeBicycle(id: string, record: unknown): Promise<void>;
  removeBicycle(id: string): Promise<void>;
  bicycleIds(): Promise<string[]>;
  readSetting(key: string): Promise<unknown>;
  writeSetting(key: string, value: unknown): Promise<void>;
  readPhoto(id: string): Promise<Blob | null>;
  writePhoto(id: string, blob: Blob): Promise<void>;
  removePhoto(id: string): Promise<void>;
}

/** The browser's database of one workshop; the demonstration has a database of its own. */
export function browserDatabase(workshop: WorkshopName): Database {
  const open = (storeName: string) =>
    localforage.createInstance({ driver: localforage.INDEXEDDB, name: `ergasto-${workshop}`, storeName });
  const bicycles = open('bicycles');
  const settings = open('settings');
  const photos = open('photos');
  return {
    readBicycle: (id) => bicycles.getItem(id),
    writeBicycle: async (id, record) => void (await bicycles.setItem(id, record)),
    removeBicycle: (id) => bicycles.removeItem(id),
    bicycleIds: () => bicycles.keys(),
    readSetting: (key) => settings.getItem(key),
    writeSetting: async (key, value) => void (await settings.setItem(key, value)),
    readPhoto: (id) => photos.getItem<Blob>(id),
    writePhoto: async (id, blob) => void (await photos.setItem(id, blob)),
    removePhoto: (id) => photos.removeItem(id),
  };
}
