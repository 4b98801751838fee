import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import json from './readings.json';

const proofReading = z.strictObject({
  id: z.string(),
  proof: z.string(),
  /** What it is read at: readings of one thing stand in one row. */
  group: z.string(),
  label: z.string(),
  unit: z.string(),
  /** Where it stands on the record: a check of the look-over, a bearing, a mark on the part, or here alone. */
  from: z.enum(['check', 'bearing', 'mark', 'own']),
  /** The check or bearing that knows it before. */
  ref: z.nullable(z.string()),
  place: z.string(),
  least: z.nullable(z.number()),
  most: z.nullable(z.number()),
  /** The readings that are its limits, where a part bears its own mark. */
  leastOf: z.nullable(z.string()),
  mostOf: z.nullable(z.string()),
  canBeLeast: z.number(),
  canBeMost: z.number(),
  ...provenance,
});
export type ReadingRow = z.output<typeof proofReading>;

/** What may be read for a proof, in the order in which it is told. */
export const readingRows: ReadingRow[] = parseTable(proofReading, json);
