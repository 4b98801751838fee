import { readWorkshopFile, type WorkshopFile } from '@/model/exchange/bundle';
import { readPassport } from '@/model/exchange/passport';
import { QUIET, type OnProgress } from './progress';
import { unzipped } from './unzip';
import { REFUSED, Refused, zipEntries, type ZipEntry } from './zipEntries';

/** The records of 500 bicycles with ten years of work take a tenth of it. */
const MOST_JSON_BYTES = 200_000_000;

export interface Parcel {
  file: Omit<WorkshopFile, 'schemaVersion'>;
  blobs: { id: string; blob: Blob }[];
}
export type Unpacked = { ok: true; parcel: Parcel } | { ok: false; why: string };

function parsed(bytes: Uint8Array): unknown {
  try {
    return JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes)) as unknown;
  } catch {
    throw new Refused('Its workshop.json is damaged, so nothing was taken.');
  }
}

async function opened(zip: Blob, onProgress: OnProgress): Promise<Parcel> {
  const entries = await zipEntries(zip);
  const byName = new Map(entries.map((entry) => [entry.name, entry]));
  const json = byName.get('workshop.json');
  if (!json) throw new Refused('There is no workshop.json in it, so it is no export of Ergasto.');
  if (json.size > MOST_JSON_BYTES) throw new Refused(REFUSED.large);
  const raw = parsed(await unzipped(zip, json));
  const count = Array.isArray((raw as { bicycles?: unknown } | null)?.bicycles)
    ? (raw as { bicycles: unknown[] }).bicycles.length
    : 0;
  const total = count + entries.length;
  const read = readWorkshopFile(raw, (done) => onProgress({ done, total }));
  if (!read.ok) throw new Refused(read.why);
  const named = new Map<ZipEntry, { id: string; type: string }>();
  for (const { id, file, type } of read.file.blobs) {
    const entry = byName.get(file);
    if (!entry) throw new Refused(`The photograph ${file} is named in it and not there, so nothing was taken.`);
    if (!/^(image\/(jpeg|png|webp)|audio\/[\w.+-]+)(;|$)/.test(type))
      throw new Refused(`What is called ${file} in it is neither a photograph nor a sound, so nothing was taken.`);
    if (named.has(entry)) throw new Refused(`The photograph ${file} is named in it twice, so nothing was taken.`);
    named.set(entry, { id, type });
  }
  const blobs: Parcel['blobs'] = [];
  for (const [i, entry] of entries.entries()) {
    const blob = named.get(entry);
    // Every file is checked, also the tables that nobody takes: what is damaged somewhere is not trusted elsewhere.
    const bytes = entry === json ? null : await unzipped(zip, entry);
    if (blob && bytes)
      blobs.push({
        id: blob.id,
        // A stored file is a piece of the zip itself, and takes no room of its own.
        blob: entry.packed
          ? new Blob([bytes as Uint8Array<ArrayBuffer>], { type: blob.type })
          : zip.slice(entry.from, entry.to, blob.type),
      });
    onProgress({ done: count + i + 1, total });
  }
  return { file: read.file, blobs };
}

/** A passport is one page with the record within it; more than this is no page of one bicycle. */
const MOST_PAGE_BYTES = 60_000_000;

/** A bicycle’s passport, read as any export is; null where a file is none. */
async function passport(page: Blob, onProgress: OnProgress): Promise<Parcel | null> {
  const head = (await page.slice(0, 200).text()).trimStart().toLowerCase();
  if (!head.startsWith('<!doctype html')) return null;
  if (page.size > MOST_PAGE_BYTES) throw new Refused(REFUSED.large);
  const raw = readPassport(await page.text());
  if (raw === null) throw new Refused('There is no record in this page, so it is no passport of a bicycle.');
  const read = readWorkshopFile(raw, (done) => onProgress({ done, total: 1 }));
  if (!read.ok) throw new Refused(read.why);
  if (read.file.blobs.length > 0) throw new Refused('A passport carries no photographs, so nothing was taken.');
  return { file: read.file, blobs: [] };
}

/** Opens an export, or a passport: everything is read and checked here, so that what comes after cannot be half right. */
export async function unpack(zip: Blob, onProgress: OnProgress = QUIET): Promise<Unpacked> {
  try {
    return { ok: true, parcel: (await passport(zip, onProgress)) ?? (await opened(zip, onProgress)) };
  } catch (error) {
    return { ok: false, why: error instanceof Refused ? error.message : REFUSED.zip };
  }
}
