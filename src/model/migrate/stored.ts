import { SCHEMA_VERSION } from '../version';

export type Raw = Record<string, unknown>;
/** Brings a record of an older version up to the present one. */
export type Raise = (record: Raw, from: number) => Raw;

/** A stored thing as a record, or null where it is none. */
export const asRecord = (stored: unknown): Raw | null =>
  typeof stored !== 'object' || stored === null || Array.isArray(stored) ? null : (stored as Raw);

/** The version of a stored thing: a whole number that some Ergasto wrote, one too new for this one, or none at all. */
export function versionOf(record: Raw, oldest: number): number | 'newer' | null {
  const version = record.schemaVersion ?? oldest;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < oldest || version > 10_000) return null;
  return version > SCHEMA_VERSION ? 'newer' : version;
}

/** The version of a stored bicycle or settings that an older Ergasto wrote, which alone need the steps that raise them; else null. */
export function olderVersion(stored: unknown): number | null {
  const record = asRecord(stored);
  const version = record && versionOf(record, 0);
  return typeof version === 'number' && version < SCHEMA_VERSION ? version : null;
}
