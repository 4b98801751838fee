import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import json from './cleaning.json';

export const cleaningRow = z.strictObject({
  process: z.string(),
  material: z.string(),
  verdict: z.enum(['good', 'caution', 'never']),
  maxMinutes: z.nullable(z.number()),
  maxTempC: z.nullable(z.number()),
  note: z.nullable(z.string()),
  hazard: z.nullable(z.string()),
  ppe: z.nullable(z.string()),
  ...provenance,
  limitsConfidence: z.nullable(provenance.confidence),
});

export const cleaning = parseTable(cleaningRow, json);
