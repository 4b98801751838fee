import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import json from './soilProcess.json';

export const soilProcessRow = z.strictObject({
  soil: z.enum(['oil', 'old-grease', 'mud', 'rust']),
  process: z.string(),
  preference: z.number(),
  minMinutes: z.number(),
  where: z.enum(['bath', 'hand']),
  ...provenance,
});

export const soilProcesses = parseTable(soilProcessRow, json);
