import * as z from 'zod/mini';
import type { Bicycle } from '@/model/record';
import { stockItem } from '@/model/stock/item';
import type { Database, StoredBicycle } from './database';
import type { Unfinished } from './state';

/** The setting under which a file lies while it is taken in. */
export const INTAKE = 'intake';
/** How one bicycle stood before it was taken in, and what was written of it. */
export const intakeOf = (id: string) => `intake:${id}`;

/** What is being taken in: the file itself, and everything that is needed to go on or to go back. */
export const intake = z.object({
  at: z.string(),
  zip: z.custom<Blob>((value) => value instanceof Blob),
  ids: z.array(z.string()),
  /** Photographs that were not here before. */
  photos: z.array(z.string()),
  /** Rows that go into the drawer: when the arriving one was changed, and what lay there before. */
  stock: z.array(z.object({ id: z.string(), at: z.string(), before: z.nullable(stockItem) })),
  settings: z.nullable(z.object({ before: z.unknown(), after: z.unknown() })),
});
export type Intake = z.output<typeof intake>;

export async function readIntake(database: Pick<Database, 'readSetting'>): Promise<Intake | null> {
  const parsed = intake.safeParse(await database.readSetting(INTAKE));
  return parsed.success ? parsed.data : null;
}

/** The mark of a writing, to tell whether somebody has changed the record since. */
export type Mark = Pick<Bicycle, 'schemaVersion' | 'revision' | 'updatedAt' | 'sharedAt' | 'recent'>;

export interface Before {
  /** Which taking in it belongs to: a row that an earlier one left behind counts for nothing. */
  of: string;
  before: StoredBicycle | null;
  wrote: Mark;
}

/** How a bicycle stood before this taking in wrote it; null where it has not been written. */
export async function readBefore(
  database: Pick<Database, 'readSetting'>,
  { at }: Intake,
  id: string,
): Promise<Before | null> {
  const row = (await database.readSetting(intakeOf(id))) as Before | null;
  return row?.of === at ? row : null;
}

/** A file that was being taken in when a page died: how many of its bicycles were written. Null where there is none. */
export async function readUnfinished(database: Pick<Database, 'readSetting'>): Promise<Unfinished | null> {
  const kept = await readIntake(database);
  if (!kept) return null;
  let done = 0;
  for (const id of kept.ids) if (await readBefore(database, kept, id)) done++;
  return { at: kept.at, done, total: kept.ids.length };
}
