import * as Comlink from 'comlink';
import { packBicycles, type PackOptions } from './archive/pack';
import { preview, settingsIn, type Preview } from './archive/preview';
import type { OnProgress } from './archive/progress';
import { unpack, type Parcel } from './archive/read';
import { browserChannel, browserLocks } from './browserTabs';
import { browserDatabase, type WorkshopName } from './database';
import { finishIntake, takeBackIntake, takeIn, type Around } from './intake';
import { keepBefore } from './keepBefore';
import { createRecords } from './records';
import { readStock } from './stockRows';

function aroundOf(name: WorkshopName): Around {
  const database = browserDatabase(name);
  const { locked } = browserLocks(name);
  return {
    database,
    locked,
    channel: browserChannel(name),
    keepBefore: (at) => keepBefore({ database, locked }, at),
  };
}

/** What was looked at last, until it is taken in or the worker is ended. */
let waiting: { zip: Blob; parcel: Parcel } | null = null;

async function open(zip: Blob, onProgress: OnProgress): Promise<Parcel> {
  const read = await unpack(zip, onProgress);
  if (!read.ok) throw new Error(read.why);
  return read.parcel;
}

const api = {
  /** All bicycles of a workshop, or some of them, as one zip. */
  async pack(
    name: WorkshopName,
    { ids, scope, at }: { ids: string[] | null; scope: PackOptions['scope']; at: string },
    onProgress: OnProgress,
  ): Promise<{ zip: Blob; missing: number; left: number }> {
    const database = browserDatabase(name);
    const records = createRecords(database);
    const settings = await settingsIn(database);
    const bicycles = [];
    let left = 0;
    for (const id of ids ?? (await database.bicycleIds())) {
      const read = await records.read(id);
      if (read.ok) bicycles.push(read.bicycle);
      else left++;
    }
    const whole = scope === 'workshop';
    const packed = await packBicycles(
      database,
      bicycles,
      {
        scope,
        at,
        settings: whole ? settings : null,
        currency: settings.currency,
        stock: whole ? Object.values(await readStock(database)) : [],
      },
      onProgress,
    );
    return { ...packed, left };
  },
  /** Reads a file whole and tells what would come of it; changes nothing. */
  async look(
    name: WorkshopName,
    zip: Blob,
    onProgress: OnProgress,
  ): Promise<{ ok: true; seen: Preview } | { ok: false; why: string }> {
    waiting = null;
    const read = await unpack(zip, onProgress);
    if (!read.ok) return read;
    waiting = { zip, parcel: read.parcel };
    return { ok: true, seen: await preview(browserDatabase(name), read.parcel, onProgress) };
  },
  /** Takes in what was looked at last. */
  async take(name: WorkshopName, at: string, onProgress: OnProgress): Promise<void> {
    if (!waiting) throw new Error('nothing was looked at');
    await takeIn(aroundOf(name), waiting.zip, waiting.parcel, at, onProgress);
    waiting = null;
  },
  finish: (name: WorkshopName, onProgress: OnProgress): Promise<boolean> =>
    finishIntake(aroundOf(name), (zip) => open(zip, onProgress), onProgress),
  takeBack: (name: WorkshopName): Promise<{ stayed: number }> => takeBackIntake(aroundOf(name)),
  keepBefore: (name: WorkshopName, at: string): Promise<void> => aroundOf(name).keepBefore(at),
};
export type RecordsApi = typeof api;

Comlink.expose(api);
