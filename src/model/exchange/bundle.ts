import * as z from 'zod/mini';
import { openBicycle, openSettings } from '../migrate/migrate';
import { bicycleRecord, type Bicycle } from '../record';
import { SCHEMA_VERSION } from '../version';
import { workshopSettings, type WorkshopSettings } from '../settings/settings';
import { stockItem } from '../stock/item';

/** What an export says it is. Raised when `workshop.json` itself changes its shape. */
export const FORMAT = 'ergasto-workshop';
export const FORMAT_VERSION = 1;

/** The whole of `workshop.json`: what stands in an export and is asked of an import. */
export const workshopFile = z.strictObject({
  format: z.literal(FORMAT),
  formatVersion: z.literal(FORMAT_VERSION),
  schemaVersion: z.literal(SCHEMA_VERSION),
  exportedAt: z.iso.datetime(),
  /** Of which the export is: the whole workshop, or some bicycles sent to another device. */
  scope: z.enum(['workshop', 'bicycles']),
  settings: z.nullable(workshopSettings),
  bicycles: z.array(bicycleRecord).check(z.maxLength(5000)),
  /** The drawer; exports of a single bicycle carry none. */
  stock: z._default(z.array(stockItem).check(z.maxLength(20_000)), []),
  /** Photographs and sounds that lie in `photos/`, by id. */
  blobs: z
    .array(
      z.strictObject({
        id: z.string().check(z.minLength(1), z.maxLength(80)),
        file: z.string().check(z.maxLength(120)),
        type: z.string().check(z.maxLength(80)),
      }),
    )
    .check(z.maxLength(20_000)),
});
export type WorkshopFile = z.output<typeof workshopFile>;

/** Ids of the photographs and sounds that a bicycle speaks of. */
export function blobIds(bicycle: Bicycle): string[] {
  return [
    ...bicycle.photos.map((photo) => photo.id),
    ...bicycle.notes.flatMap((note) => (note.sound ? [note.sound] : [])),
  ];
}

export type Read = { ok: true; file: Omit<WorkshopFile, 'schemaVersion'> } | { ok: false; why: string };

const envelope = z.looseObject({
  format: z.string(),
  formatVersion: z.number().check(z.multipleOf(1), z.gte(1), z.lte(10_000)),
  bicycles: z.array(z.unknown()).check(z.maxLength(5000)),
  settings: z.unknown(),
});
/** All but the bicycles, which are opened one by one. */
const surroundings = z.omit(workshopFile, { bicycles: true, schemaVersion: true, settings: true });

/** Values in one bicycle and in a whole file: far over ten years of work, and read within a few seconds. */
const MOST_VALUES = { bicycle: 400_000, file: 20_000_000 };

/** How many values a piece of JSON holds, as far as `most`. Walks without recursion, so that no depth is too deep. */
function valuesIn(json: unknown, most: number): number {
  const open: unknown[] = [json];
  let count = 0;
  while (open.length > 0 && count <= most) {
    const value = open.pop();
    count++;
    if (typeof value === 'object' && value !== null) for (const each of Object.values(value)) open.push(each);
  }
  return count;
}

const refused = (why: string): Read => ({ ok: false, why });

/** The bicycles of a file, each brought up to date, or why one cannot be read. */
function openAll(stored: unknown[], onBicycle: (done: number) => void): Bicycle[] | Read {
  const opened: Bicycle[] = [];
  const ids = new Set<string>();
  let values = 0;
  for (const [i, record] of stored.entries()) {
    const size = valuesIn(record, MOST_VALUES.bicycle);
    values += size;
    if (size > MOST_VALUES.bicycle || values > MOST_VALUES.file)
      return refused(`Bicycle ${i + 1} in it holds more than a lifetime of work, so nothing was taken.`);
    const read = openBicycle(record);
    if (!read.ok)
      return refused(
        read.why === 'newer'
          ? 'A bicycle in it was written by a newer Ergasto. Update this one first.'
          : `Bicycle ${i + 1} in it cannot be read (${read.detail}), so nothing was taken.`,
      );
    if (ids.has(read.bicycle.id)) return refused(`Bicycle ${i + 1} stands in it twice, so nothing was taken.`);
    ids.add(read.bicycle.id);
    opened.push(read.bicycle);
    onBicycle(i + 1);
  }
  return opened;
}

/**
 * Reads `workshop.json`, whole or not at all: an older record is brought up to date, a newer one, a foreign file or a row
 * that cannot be is refused in a sentence that names it.
 *
 * Example: a file of another program gives "This is no export of Ergasto."
 */
export function readWorkshopFile(json: unknown, onBicycle: (done: number) => void = () => undefined): Read {
  const loose = envelope.safeParse(json);
  if (!loose.success || loose.data.format !== FORMAT) return refused('This is no export of Ergasto.');
  const { bicycles, settings, schemaVersion: _version, ...rest } = loose.data;
  if (rest.formatVersion > FORMAT_VERSION) return refused('It was written by a newer Ergasto. Update this one first.');
  if (valuesIn({ settings, rest }, MOST_VALUES.bicycle) > MOST_VALUES.bicycle)
    return refused('It holds more than a workshop can, so nothing was taken.');
  const house: WorkshopSettings | null = settings === null || settings === undefined ? null : openSettings(settings);
  if (settings !== null && settings !== undefined && !house)
    return refused('The settings in it cannot be read, so nothing was taken.');
  const parsed = surroundings.safeParse(rest);
  if (!parsed.success)
    return refused(`It cannot be read, at “${parsed.error.issues[0]?.path.join('.')}”, so nothing was taken.`);
  const opened = openAll(bicycles, onBicycle);
  return Array.isArray(opened) ? { ok: true, file: { ...parsed.data, settings: house, bicycles: opened } } : opened;
}

/** Photographs and sounds that bicycles speak of and that are not in a file. */
export function missingBlobs({ bicycles, blobs }: Pick<WorkshopFile, 'bicycles' | 'blobs'>): string[] {
  const there = new Set(blobs.map((blob) => blob.id));
  return bicycles.flatMap((bicycle) => blobIds(bicycle)).filter((id) => !there.has(id));
}

/** The JSON Schema of `workshop.json`, as it is published. */
export function workshopJsonSchema(): unknown {
  return z.toJSONSchema(workshopFile, { io: 'input', unrepresentable: 'any' });
}
