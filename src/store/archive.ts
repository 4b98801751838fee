import { strFromU8, strToU8, unzip, zip, type AsyncZippable, type Unzipped } from 'fflate';
import { fileName } from '@/core/fileName';
import { drawingSvg } from '@/core/drawing/svg';
import { blobIds, FORMAT, FORMAT_VERSION, readWorkshopFile, type WorkshopFile } from '@/model/exchange/bundle';
import { findingsCsv, moneyCsv, torqueCsv } from '@/model/exchange/csv';
import { stockCsv } from '@/model/exchange/stockCsv';
import { compareCopies } from '@/model/merge';
import { SCHEMA_VERSION, type Bicycle, type StockItem, type WorkshopSettings } from '@/model/record';
import type { Database } from './database';
import { crc32, zipSums } from './zipSums';
import type { Workshop } from './workshop';

const MOST_FILES = 20_000;
const MOST_BYTES = 1_500_000_000;
/** A file that grows by more than this when it is unpacked is no photograph and no record. */
const MOST_GROWTH = 300;
const SMALL = ':small';

function extension(type: string): string {
  if (type.includes('png')) return 'png';
  if (type.startsWith('audio')) return type.includes('mp4') ? 'm4a' : 'webm';
  return type.startsWith('image') ? 'jpg' : 'bin';
}

function zipped(files: AsyncZippable): Promise<Uint8Array> {
  return new Promise((resolve, reject) =>
    zip(files, { level: 6 }, (error, data) => (error ? reject(error) : resolve(data))),
  );
}

/**
 * Bicycles as one zip: `workshop.json`, photographs and sounds, the tables of money, findings and torque, and each
 * bicycle's drawing. Nothing of the browser's caches goes with it.
 *
 * Errors: a blob that cannot be read is left out and said so in `missing`.
 */
export async function packBicycles(
  database: Pick<Database, 'readPhoto'>,
  bicycles: Bicycle[],
  {
    scope,
    settings,
    currency,
    at,
    stock = [],
  }: {
    scope: WorkshopFile['scope'];
    settings: WorkshopSettings | null;
    currency: string;
    at: string;
    stock?: StockItem[];
  },
): Promise<{ zip: Uint8Array; missing: number }> {
  const files: AsyncZippable = {};
  const blobs: WorkshopFile['blobs'] = [];
  let missing = 0;
  for (const bicycle of bicycles)
    for (const id of blobIds(bicycle))
      for (const kept of [id, `${id}${SMALL}`]) {
        const blob = await database.readPhoto(kept);
        if (!blob) {
          if (kept === id) missing++;
          continue;
        }
        const type = blob.type || 'image/jpeg';
        const file = `photos/${fileName(kept)}-${blobs.length}.${extension(type)}`;
        // A photograph is packed already; packing it again costs time and saves nothing.
        files[file] = [new Uint8Array(await blob.arrayBuffer()), { level: 0 }];
        blobs.push({ id: kept, file, type });
      }
  const file: WorkshopFile = {
    format: FORMAT,
    formatVersion: FORMAT_VERSION,
    schemaVersion: SCHEMA_VERSION,
    exportedAt: at,
    scope,
    settings,
    bicycles: scope === 'bicycles' ? bicycles.map((bicycle) => ({ ...bicycle, sharedAt: at })) : bicycles,
    stock,
    blobs,
  };
  files['workshop.json'] = strToU8(JSON.stringify(file, null, 1));
  files['tables/money.csv'] = strToU8(moneyCsv(bicycles, currency));
  files['tables/findings.csv'] = strToU8(findingsCsv(bicycles));
  if (stock.length) files['tables/stock.csv'] = strToU8(stockCsv(stock));
  files['tables/torque.csv'] = strToU8(torqueCsv(bicycles));
  bicycles.forEach((bicycle, i) => {
    files[`drawings/${fileName(bicycle.name)}-${i + 1}.svg`] = strToU8(drawingSvg(bicycle.kind, bicycle.name, []));
  });
  return { zip: await zipped(files), missing };
}

export interface Parcel {
  file: Omit<WorkshopFile, 'schemaVersion'>;
  blobs: { id: string; blob: Blob }[];
}
export type Unpacked = { ok: true; parcel: Parcel } | { ok: false; why: string };

const REFUSED = {
  zip: 'This file cannot be opened: it is damaged, cut off, or no zip.',
  large: 'This file unpacks to more than a workshop can hold, so it was refused.',
  path: 'This file holds names that lead out of its folder, so it was refused.',
  missing: 'There is no workshop.json in it, so it is no export of Ergasto.',
  json: 'Its workshop.json is damaged, so nothing was taken.',
} as const;

/** Unpacks with every bound checked before a byte is unpacked. */
function unzipped(data: Uint8Array): Promise<Unzipped> {
  let files = 0;
  let bytes = 0;
  let refusal: string | null = null;
  return new Promise((resolve, reject) => {
    unzip(
      data,
      {
        filter: ({ name, originalSize, size }) => {
          files++;
          bytes += originalSize;
          if (/(^|\/)\.\.(\/|$)|^\/|^[a-z]:|\\|\0/i.test(name)) refusal ??= REFUSED.path;
          if (files > MOST_FILES || bytes > MOST_BYTES || originalSize > MOST_GROWTH * Math.max(size, 1000))
            refusal ??= REFUSED.large;
          return refusal === null && !name.endsWith('/');
        },
      },
      (error, found) =>
        refusal ? reject(new Error(refusal)) : error ? reject(new Error(REFUSED.zip)) : resolve(found),
    );
  });
}

/** Opens an export: everything is read and checked here, so that what comes after cannot be half right. */
export async function unpack(data: Uint8Array): Promise<Unpacked> {
  let files: Unzipped;
  try {
    files = await unzipped(data);
  } catch (error) {
    const words = error instanceof Error ? error.message : '';
    return { ok: false, why: Object.values<string>(REFUSED).includes(words) ? words : REFUSED.zip };
  }
  const sums = zipSums(data);
  if (!sums || Object.entries(files).some(([name, bytes]) => crc32(bytes) !== sums.get(name)))
    return { ok: false, why: REFUSED.zip };
  const json = files['workshop.json'];
  if (!json) return { ok: false, why: REFUSED.missing };
  let parsed: unknown;
  try {
    parsed = JSON.parse(strFromU8(json));
  } catch {
    return { ok: false, why: REFUSED.json };
  }
  const read = readWorkshopFile(parsed);
  if (!read.ok) return read;
  const blobs: Parcel['blobs'] = [];
  for (const { id, file, type } of read.file.blobs) {
    const bytes = files[file];
    if (!bytes) return { ok: false, why: `The photograph ${file} is named in it and not there, so nothing was taken.` };
    if (!/^(image\/(jpeg|png|webp)|audio\/[\w.+-]+)/.test(type))
      return { ok: false, why: `${file} is neither a photograph nor a sound, so nothing was taken.` };
    blobs.push({ id, blob: new Blob([bytes], { type }) });
  }
  return { ok: true, parcel: { file: read.file, blobs } };
}

export interface Preview {
  fresh: string[];
  newerThere: string[];
  newerHere: string[];
  both: string[];
  same: string[];
}

/** What would come of taking a parcel in, by the names of its bicycles. Changes nothing. */
export async function preview(workshop: Workshop, parcel: Parcel): Promise<Preview> {
  const found: Preview = { fresh: [], newerThere: [], newerHere: [], both: [], same: [] };
  const list = {
    new: found.fresh,
    newer: found.newerThere,
    older: found.newerHere,
    both: found.both,
    same: found.same,
  };
  for (const arriving of parcel.file.bicycles) {
    const here = workshop.store.getState().summaries[arriving.id] ? await workshop.open(arriving.id) : null;
    list[compareCopies(here ?? undefined, arriving)].push(arriving.name);
  }
  return found;
}

/** The preview in a sentence. Example: "3 bicycles new, 1 newer here, 1 newer there." */
export function previewWords({ fresh, newerThere, newerHere, both, same }: Preview): string {
  const part = (count: number, words: string) => (count > 0 ? [`${count} ${words}`] : []);
  const parts = [
    ...part(fresh.length, fresh.length === 1 ? 'bicycle new' : 'bicycles new'),
    ...part(newerThere.length, 'newer there'),
    ...part(newerHere.length, 'newer here'),
    ...part(both.length, 'changed in both'),
    ...part(same.length, 'the same'),
  ];
  return parts.length === 0 ? 'There is no bicycle in it.' : `${parts.join(', ')}.`;
}

/**
 * Takes a parcel in, all of it or nothing: photographs first, which nobody sees yet, then every record; when one cannot be
 * written, those that were are put back as they stood and the photographs taken away.
 *
 * Errors: rejects with the cause when something could not be written; then nothing has changed.
 */
export async function takeIn(workshop: Workshop, { file, blobs }: Parcel): Promise<void> {
  const { database } = workshop;
  const added: string[] = [];
  const before = new Map<string, unknown>();
  try {
    for (const { id, blob } of blobs) {
      if (await database.readPhoto(id)) continue;
      await database.writePhoto(id, blob);
      added.push(id);
    }
    for (const arriving of file.bicycles) {
      before.set(arriving.id, (await database.readBicycle(arriving.id)) ?? null);
      await workshop.takeIn(arriving);
    }
    const here = workshop.store.getState().stock;
    const newer = file.stock.filter((item) => !here[item.id] || here[item.id]!.at < item.at);
    if (newer.length && !(await workshop.putStock(newer))) throw new Error('the drawer could not be written');
  } catch (error) {
    for (const [id, stored] of before) await workshop.putBack(id, stored);
    for (const id of added) await database.removePhoto(id).catch(() => undefined);
    throw error;
  }
}
