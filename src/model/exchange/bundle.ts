import { z } from 'zod';
import { openBicycle, openSettings } from '../migrate';
import {
  bicycleRecord,
  SCHEMA_VERSION,
  stockItem,
  workshopSettings,
  type Bicycle,
  type WorkshopSettings,
} from '../record';

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
  settings: workshopSettings.nullable(),
  bicycles: z.array(bicycleRecord).max(5000),
  /** The drawer; exports of a single bicycle carry none. */
  stock: z.array(stockItem).max(20_000).default([]),
  /** Photographs and sounds that lie in `photos/`, by id. */
  blobs: z.array(
    z.strictObject({ id: z.string().min(1).max(80), file: z.string().max(120), type: z.string().max(80) }),
  ),
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
  formatVersion: z.number(),
  bicycles: z.array(z.unknown()).max(5000),
  settings: z.unknown(),
});

/**
 * Reads `workshop.json`, whole or not at all: an older record is brought up to date, a newer one, a foreign file or a row
 * that cannot be is refused in a sentence that names it.
 *
 * Example: a file of another program gives "This is no export of Ergasto."
 */
export function readWorkshopFile(json: unknown): Read {
  const loose = envelope.safeParse(json);
  if (!loose.success || loose.data.format !== FORMAT) return { ok: false, why: 'This is no export of Ergasto.' };
  const { formatVersion, bicycles, settings, ...rest } = loose.data;
  if (formatVersion > FORMAT_VERSION)
    return { ok: false, why: 'It was written by a newer Ergasto. Update this one first.' };
  const opened: Bicycle[] = [];
  const names = new Set<string>();
  for (const [i, stored] of bicycles.entries()) {
    const read = openBicycle(stored);
    if (!read.ok)
      return {
        ok: false,
        why:
          read.why === 'newer'
            ? 'A bicycle in it was written by a newer Ergasto. Update this one first.'
            : `Bicycle ${i + 1} in it cannot be read (${read.detail}), so nothing was taken.`,
      };
    if (names.has(read.bicycle.id))
      return { ok: false, why: `Bicycle ${i + 1} stands in it twice, so nothing was taken.` };
    names.add(read.bicycle.id);
    opened.push(read.bicycle);
  }
  const house: WorkshopSettings | null = settings === null ? null : openSettings(settings);
  if (settings !== null && !house)
    return { ok: false, why: 'The settings in it cannot be read, so nothing was taken.' };
  const parsed = workshopFile.safeParse({
    ...rest,
    format: FORMAT,
    formatVersion,
    schemaVersion: SCHEMA_VERSION,
    bicycles: opened,
    settings: house,
  });
  if (!parsed.success) {
    const [first] = parsed.error.issues;
    return { ok: false, why: `It cannot be read, at “${first?.path.join('.')}”, so nothing was taken.` };
  }
  const dangling = parsed.data.bicycles
    .flatMap((bicycle) => blobIds(bicycle))
    .filter((id) => !parsed.data.blobs.some((blob) => blob.id === id));
  // A photograph may lie on another device; a sent bicycle says so. A whole workshop must be whole.
  if (dangling.length > 0 && parsed.data.scope === 'workshop' && parsed.data.blobs.length > 0)
    return { ok: false, why: `${dangling.length} photographs that it speaks of are not in it, so nothing was taken.` };
  return { ok: true, file: parsed.data };
}

/** The JSON Schema of `workshop.json`, as it is published. */
export function workshopJsonSchema(): unknown {
  return z.toJSONSchema(workshopFile, { io: 'input', unrepresentable: 'any' });
}
