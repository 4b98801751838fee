import { z } from 'zod';
import { parseTable, provenance } from '../../table';
import json from './axleThreads.json';

export const axleThreadRow = z.strictObject({
  rowType: z.enum(['thread', 'thru_axle', 'old_width']),
  place: z.string(),
  axleType: z.string().nullable(),
  threadName: z.string().nullable(),
  majorDiameterIn: z.number().nullable(),
  majorDiameterMm: z.number().nullable(),
  pitchMm: z.number().nullable(),
  tpi: z.number().nullable(),
  coneWrenchMinMm: z.number().nullable(),
  coneWrenchMaxMm: z.number().nullable(),
  locknutWrenchMinMm: z.number().nullable(),
  locknutWrenchMaxMm: z.number().nullable(),
  axleNutWrenchMinMm: z.number().nullable(),
  axleNutWrenchMaxMm: z.number().nullable(),
  oldMm: z.number().nullable(),
  eraFrom: z.number().nullable(),
  eraTo: z.number().nullable(),
  note: z.string().nullable(),
  ...provenance,
});
export type AxleThreadRow = z.output<typeof axleThreadRow>;

export const axleThreads = parseTable(axleThreadRow, json);
