import { strToU8, Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import { drawingSvg } from '@/core/drawing/svg';
import { fileName } from '@/core/fileName';
import { blobIds, FORMAT, FORMAT_VERSION, type WorkshopFile } from '@/model/exchange/bundle';
import { findingsCsv, moneyCsv, torqueCsv } from '@/model/exchange/csv';
import { stockCsv } from '@/model/exchange/stockCsv';
import type { Bicycle } from '@/model/record';
import { SCHEMA_VERSION } from '@/model/version';
import type { WorkshopSettings } from '@/model/settings/settings';
import type { StockItem } from '@/model/stock/item';
import type { Database } from '../database';
import { QUIET, type OnProgress } from './progress';

/** The small picture of a photograph lies beside it under its id and this. */
const SMALL = ':small';
/** Bytes that are gathered before they are handed to the browser, which may lay them on the disk. */
const GATHERED = 8_000_000;

function extension(type: string): string {
  if (type.includes('png')) return 'png';
  if (type.startsWith('audio')) return type.includes('mp4') ? 'm4a' : 'webm';
  return type.startsWith('image') ? 'jpg' : 'bin';
}

/** A zip that grows file by file; nothing is held twice. */
export function zipWriter() {
  let parts: Blob[] = [];
  let gathered: Uint8Array<ArrayBuffer>[] = [];
  let bytes = 0;
  let failure: Error | null = null;
  const gather = () => {
    parts = [new Blob([...parts, ...gathered])];
    gathered = [];
    bytes = 0;
  };
  const zip = new Zip((error, chunk) => {
    failure ??= error;
    gathered.push(chunk);
    bytes += chunk.length;
    if (bytes > GATHERED) gather();
  });
  return {
    /** Adds a file, given in pieces. What is packed already is only stored. */
    add(name: string, pieces: Iterable<Uint8Array>, { packed = false } = {}) {
      const file = packed ? new ZipPassThrough(name) : new ZipDeflate(name, { level: 6 });
      zip.add(file);
      for (const piece of pieces) file.push(piece);
      file.push(new Uint8Array(0), true);
    },
    text(name: string, text: string) {
      this.add(name, [strToU8(text)]);
    },
    end(): Blob {
      zip.end();
      if (failure) throw failure;
      gather();
      return new Blob(parts, { type: 'application/zip' });
    },
  };
}

/** `workshop.json` in pieces, a bicycle each, so that no text grows with the workshop. */
function* workshopJson(head: Omit<WorkshopFile, 'bicycles'>, bicycles: readonly unknown[]): Generator<Uint8Array> {
  const open = JSON.stringify(head, null, 1).replace(/\n\}$/, '');
  yield strToU8(`${open},\n "bicycles": [`);
  for (const [i, bicycle] of bicycles.entries()) yield strToU8(`${i ? ',' : ''}\n${JSON.stringify(bicycle, null, 1)}`);
  yield strToU8('\n ]\n}\n');
}

export interface PackOptions {
  scope: WorkshopFile['scope'];
  settings: WorkshopSettings | null;
  currency: string;
  at: string;
  stock?: StockItem[];
}

/**
 * Bicycles as one zip: `workshop.json`, photographs and sounds, the tables of money, findings and torque, and each
 * bicycle's drawing. Nothing of the browser's caches goes with it.
 *
 * Errors: a photograph that cannot be read is left out and counted in `missing`.
 */
export async function packBicycles(
  database: Pick<Database, 'readPhoto'>,
  bicycles: Bicycle[],
  { scope, settings, currency, at, stock = [] }: PackOptions,
  onProgress: OnProgress = QUIET,
): Promise<{ zip: Blob; missing: number }> {
  const writer = zipWriter();
  const blobs: WorkshopFile['blobs'] = [];
  const wanted = bicycles.flatMap((bicycle) => blobIds(bicycle));
  const total = wanted.length + bicycles.length + 1;
  let missing = 0;
  for (const [i, id] of wanted.entries()) {
    for (const kept of [id, `${id}${SMALL}`]) {
      const blob = await database.readPhoto(kept);
      if (!blob) {
        if (kept === id) missing++;
        continue;
      }
      const type = blob.type || 'image/jpeg';
      const file = `photos/${fileName(kept)}-${blobs.length}.${extension(type)}`;
      writer.add(file, [new Uint8Array(await blob.arrayBuffer())], { packed: true });
      blobs.push({ id: kept, file, type });
    }
    onProgress({ done: i + 1, total });
  }
  const head: Omit<WorkshopFile, 'bicycles'> = {
    format: FORMAT,
    formatVersion: FORMAT_VERSION,
    schemaVersion: SCHEMA_VERSION,
    exportedAt: at,
    scope,
    settings,
    stock,
    blobs,
  };
  const sent = scope === 'bicycles' ? bicycles.map((bicycle) => ({ ...bicycle, sharedAt: at })) : bicycles;
  writer.add('workshop.json', workshopJson(head, sent));
  writer.text('tables/money.csv', moneyCsv(bicycles, currency));
  writer.text('tables/findings.csv', findingsCsv(bicycles));
  if (stock.length) writer.text('tables/stock.csv', stockCsv(stock));
  writer.text('tables/torque.csv', torqueCsv(bicycles));
  for (const [i, bicycle] of bicycles.entries()) {
    writer.text(`drawings/${fileName(bicycle.name)}-${i + 1}.svg`, drawingSvg(bicycle.kind, bicycle.name, []));
    onProgress({ done: wanted.length + i + 1, total });
  }
  const zip = writer.end();
  onProgress({ done: total, total });
  return { zip, missing };
}

/** Records as an older release wrote them, as an export that it reads. Photographs stay where they are. */
export function packOld(
  records: unknown[],
  { settings, stock, at, version }: { settings: unknown; stock: unknown[]; at: string; version: number },
): Blob {
  const writer = zipWriter();
  const head = { format: FORMAT, formatVersion: FORMAT_VERSION, schemaVersion: version, exportedAt: at };
  writer.add(
    'workshop.json',
    workshopJson({ ...head, scope: 'workshop', settings, stock, blobs: [] } as never, records),
  );
  return writer.end();
}
