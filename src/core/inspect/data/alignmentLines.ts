import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import json from './alignmentLines.json';

/** The lines that are checked after a crash, each a table's own tolerance. */
export const alignmentLineRow = z.strictObject({
  id: z.enum(['string', 'fork', 'dropouts', 'head-tube', 'hanger', 'pedal-threads']),
  label: z.string(),
  place: z.string(),
  how: z.string(),
  /** What is put down, in millimetres. */
  asks: z.string(),
  withinMm: z.number(),
  /** How far steel may be bent back cold; nought where nothing is. */
  mostColdMm: z.number(),
  safety: z.boolean(),
  applies: z.nullable(z.string()),
  ...provenance,
});
export const alignmentLines = parseTable(alignmentLineRow, json);
