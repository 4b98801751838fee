import { overfull } from '@/model/bounds';
import { missingBlobs } from '@/model/exchange/bundle';
import { compareCopies, mergeBicycles } from '@/model/merge';
import { openSettings } from '@/model/migrate/migrate';
import type { WorkshopSettings } from '@/model/settings/settings';
import { mergeSettings, type SettingChange } from '@/model/settings/settingLeaves';
import { USUAL_SETTINGS } from '@/model/settings/usual';
import type { Database } from '../database';
import { createRecords } from '../records';
import { QUIET, type OnProgress } from './progress';
import type { Parcel } from './read';

export interface Preview {
  fresh: string[];
  newerThere: string[];
  newerHere: string[];
  both: string[];
  same: string[];
  /** Bicycles that are closed here, and so stay as they are. */
  closed: string[];
  /** Lists that would grow beyond what can be worked with, with the way out. */
  overfull: string[];
  settings: SettingChange[];
  /** Photographs and sounds that are spoken of and neither in the file nor here. */
  missing: number;
  packedAt: string;
  bicycles: number;
}

/** The settings of a workshop, or the usual ones where it has none. */
export async function settingsIn(database: Pick<Database, 'readSetting'>): Promise<WorkshopSettings> {
  return openSettings(await database.readSetting('workshop')) ?? USUAL_SETTINGS;
}

/** What would come of taking a parcel in, by the names of its bicycles. Changes nothing. */
export async function preview(database: Database, { file }: Parcel, onProgress: OnProgress = QUIET): Promise<Preview> {
  const records = createRecords(database);
  const photos = new Set(await database.photoIds());
  const found: Preview = {
    fresh: [],
    newerThere: [],
    newerHere: [],
    both: [],
    same: [],
    closed: [],
    overfull: [],
    settings: file.settings ? mergeSettings(await settingsIn(database), file.settings).changes : [],
    missing: missingBlobs(file).filter((id) => !photos.has(id)).length,
    packedAt: file.exportedAt,
    bicycles: file.bicycles.length,
  };
  const list = {
    new: found.fresh,
    newer: found.newerThere,
    older: found.newerHere,
    both: found.both,
    same: found.same,
  };
  for (const [i, arriving] of file.bicycles.entries()) {
    const here = await records.read(arriving.id);
    if (!here.ok && here.why !== 'absent') found.closed.push(arriving.name);
    else {
      list[compareCopies(here.ok ? here.bicycle : undefined, arriving)].push(arriving.name);
      const after = here.ok ? mergeBicycles(here.bicycle, arriving) : arriving;
      found.overfull.push(...overfull(after).map(({ words }) => `${arriving.name} would hold ${words}`));
    }
    onProgress({ done: i + 1, total: file.bicycles.length });
  }
  return found;
}
