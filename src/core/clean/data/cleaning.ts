import { z } from 'zod';
import { parseTable, provenance } from '../../table';
import json from './cleaning.json';

export const cleaningRow = z.strictObject({
  process: z.string(),
  material: z.string(),
  verdict: z.enum(['good', 'caution', 'never']),
  maxMinutes: z.number().nullable(),
  maxTempC: z.number().nullable(),
  note: z.string().nullable(),
  hazard: z.string().nullable(),
  ppe: z.string().nullable(),
  ...provenance,
  limitsConfidence: provenance.confidence.nullable(),
});

export const cleaning = parseTable(cleaningRow, json);
