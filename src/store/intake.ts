import { mergeBicycles } from '@/model/merge';
import { openBicycle } from '@/model/migrate/migrate';
import { same } from '@/model/same';
import type { Bicycle } from '@/model/record';
import type { WorkshopSettings } from '@/model/settings/settings';
import type { StockItem } from '@/model/stock/item';
import { mergeSettings } from '@/model/settings/settingLeaves';
import { summaryOf } from '@/model/summaryOf';
import { settingsIn } from './archive/preview';
import { QUIET, type OnProgress } from './archive/progress';
import type { Parcel } from './archive/read';
import type { Database } from './database';
import { createRecords, isSameWriting } from './records';
import { own } from '@/core/own';
import { INTAKE_LOCK, lockOf, type Surroundings } from './surroundings';
import { INTAKE, intakeOf, readBefore, readIntake, type Before, type Intake } from './unfinished';
import { readStock } from './stockRows';

export type Around = Pick<Surroundings, 'locked' | 'channel' | 'keepBefore'> & { database: Database };

/** Another file lies there half taken in: what it needs to go on or back must not be written over. */
export class StillUnfinished extends Error {}

/** Photographs first, which nobody sees yet; what is here already stays. */
async function takePhotos(database: Database, { blobs }: Parcel): Promise<void> {
  const here = new Set(await database.photoIds());
  for (const { id, blob } of blobs) if (!here.has(id)) await database.writePhoto(id, blob);
}

/** One bicycle, merged into the one that is here; how it stood before is kept until all are in. */
async function takeBicycle({ database, locked }: Around, intake: Intake, arriving: Bicycle): Promise<void> {
  const records = createRecords(database);
  await locked(lockOf(arriving.id), async () => {
    const read = await records.read(arriving.id);
    // What is closed here stays as it is: nobody can say what a merge with it would mean.
    if (!read.ok && read.why !== 'absent') return;
    const before = await database.readBicycle(arriving.id);
    const after = read.ok ? mergeBicycles(read.bicycle, arriving) : arriving;
    const { schemaVersion, revision, updatedAt, sharedAt, recent } = after;
    const earlier = await readBefore(database, intake, arriving.id);
    const row: Before = {
      of: intake.at,
      before: earlier ? earlier.before : before,
      wrote: { schemaVersion, revision, updatedAt, sharedAt, recent },
    };
    await database.writeSetting(intakeOf(arriving.id), row);
    await records.write(after, read.ok ? read.history : [], { old: read.ok ? read.old : null, checked: false });
    await database.writeSummary(arriving.id, summaryOf(after)).catch(() => undefined);
  });
}

/** Rows of the drawer that are newer in the parcel, or not here at all. */
function newerRows(rows: Record<string, StockItem>, arriving: StockItem[]): StockItem[] {
  return arriving.filter((item) => {
    const here = own(rows, item.id);
    return !here || here.at < item.at;
  });
}

async function takeStock({ database, locked }: Around, arriving: StockItem[]): Promise<void> {
  if (arriving.length === 0) return;
  await locked('stock', async () => {
    const rows = await readStock(database);
    for (const item of newerRows(rows, arriving)) rows[item.id] = item;
    await database.writeSetting('stock', Object.values(rows));
  });
}

async function takeBackStock({ database, locked }: Around, { stock }: Intake): Promise<void> {
  if (stock.length === 0) return;
  await locked('stock', async () => {
    const rows = await readStock(database);
    for (const { id, at, before } of stock) {
      // What was changed since is another person's entry, and stays.
      if (own(rows, id)?.at !== at) continue;
      if (before) rows[id] = before;
      else delete rows[id];
    }
    await database.writeSetting('stock', Object.values(rows));
  });
}

async function takeSettings({ database, locked }: Around, arriving: WorkshopSettings | null): Promise<void> {
  if (!arriving) return;
  await locked('settings', async () => {
    const { settings } = mergeSettings(await settingsIn(database), arriving);
    await database.writeSetting('workshop', settings);
  });
}

async function takeBackSettings({ database, locked }: Around, { settings }: Intake): Promise<void> {
  if (!settings) return;
  await locked('settings', async () => {
    if (!same(await database.readSetting('workshop'), settings.after)) return;
    if (settings.before) await database.writeSetting('workshop', settings.before);
    else await database.removeSetting('workshop');
  });
}

/** The file goes first: what is left of the rest counts for nothing without it. */
async function end(database: Database, ids: string[]): Promise<void> {
  await database.removeSetting(INTAKE);
  for (const id of ids) await database.removeSetting(intakeOf(id)).catch(() => undefined);
}

async function goOn(around: Around, intake: Intake, parcel: Parcel, onProgress: OnProgress): Promise<void> {
  const { database } = around;
  await takePhotos(database, parcel);
  for (const [i, arriving] of parcel.file.bicycles.entries()) {
    await takeBicycle(around, intake, arriving);
    onProgress({ done: i + 1, total: intake.ids.length });
  }
  await takeStock(around, parcel.file.stock);
  await takeSettings(around, parcel.file.settings);
  await end(database, intake.ids);
}

/** Puts everything back as it stood before; a bicycle that was changed by hand since stays, and is counted. */
async function goBack(around: Around, kept: Intake): Promise<{ stayed: number }> {
  const { database, locked } = around;
  let stayed = 0;
  for (const id of kept.ids) {
    const row = await readBefore(database, kept, id);
    if (!row) continue;
    await locked(lockOf(id), async () => {
      const now = await database.readBicycle(id);
      const untouched = now !== null && isSameWriting(now.record, row.wrote);
      if (!untouched && !same(now?.record ?? null, row.before?.record ?? null)) {
        stayed++;
        return;
      }
      if (row.before === null) {
        await database.removeBicycle(id);
        await database.removeSummary(id).catch(() => undefined);
      } else {
        await database.writeBicycle(id, row.before);
        const opened = openBicycle(row.before.record);
        if (opened.ok) await database.writeSummary(id, summaryOf(opened.bicycle)).catch(() => undefined);
      }
    });
  }
  if (stayed === 0) for (const id of kept.photos) await database.removePhoto(id).catch(() => undefined);
  await takeBackStock(around, kept);
  await takeBackSettings(around, kept);
  await end(database, kept.ids);
  return { stayed };
}

/**
 * Takes a parcel in, all of it or nothing. The file lies in the database until everything is written, so that a page that
 * dies half way leaves what is needed to finish or to take all back.
 *
 * Errors: `StillUnfinished` while another file is half taken in; rejects with the cause when something could not be written; then
 * nothing has changed.
 */
export async function takeIn(
  around: Around,
  zip: Blob,
  parcel: Parcel,
  at: string,
  onProgress: OnProgress = QUIET,
): Promise<void> {
  const { database } = around;
  await around.keepBefore(at);
  await around.locked(INTAKE_LOCK, async () => {
    if (await readIntake(database)) throw new StillUnfinished();
    const here = new Set(await database.photoIds());
    const rows = await readStock(database);
    const settings = await settingsIn(database);
    const kept: Intake = {
      at,
      zip,
      ids: parcel.file.bicycles.map((bicycle) => bicycle.id),
      photos: parcel.blobs.map(({ id }) => id).filter((id) => !here.has(id)),
      stock: newerRows(rows, parcel.file.stock).map(({ id, at: changed }) => ({
        id,
        at: changed,
        before: own(rows, id) ?? null,
      })),
      settings: parcel.file.settings
        ? {
            before: (await database.readSetting('workshop')) ?? null,
            after: mergeSettings(settings, parcel.file.settings).settings,
          }
        : null,
    };
    await database.writeSetting(INTAKE, kept);
    try {
      await goOn(around, kept, parcel, onProgress);
    } catch (error) {
      await goBack(around, kept);
      throw error;
    } finally {
      around.channel.post({ kind: 'all' });
    }
  });
}

/** Finishes what a page that died had begun. Resolves to false where there is nothing left to finish. */
export async function finishIntake(
  around: Around,
  open: (zip: Blob) => Promise<Parcel>,
  onProgress: OnProgress = QUIET,
): Promise<boolean> {
  return around.locked(INTAKE_LOCK, async () => {
    const kept = await readIntake(around.database);
    if (!kept) return false;
    await goOn(around, kept, await open(kept.zip), onProgress);
    around.channel.post({ kind: 'all' });
    return true;
  });
}

/** Takes back what a page that died had begun; what was changed by hand since stays, and is counted. */
export async function takeBackIntake(around: Around): Promise<{ stayed: number }> {
  return around.locked(INTAKE_LOCK, async () => {
    const kept = await readIntake(around.database);
    const told = kept ? await goBack(around, kept) : { stayed: 0 };
    around.channel.post({ kind: 'all' });
    return told;
  });
}
