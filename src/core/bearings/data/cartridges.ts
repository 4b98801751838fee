import { z } from 'zod';
import { parseTable, provenance } from '../../table';
import json from './cartridges.json';

export const cartridgeRow = z.strictObject({
  code: z.string(),
  series: z.union([z.string(), z.number()]).nullable(),
  boreMm: z.number(),
  odMm: z.number(),
  widthMm: z.number(),
  widthOpenMm: z.number().nullable(),
  type: z.string(),
  innerAngleDeg: z.number().nullable(),
  outerAngleDeg: z.number().nullable(),
  usualPlaces: z.string().nullable(),
  note: z.string().nullable(),
  ...provenance,
  placeConfidence: provenance.confidence.nullable(),
});
export type CartridgeRow = z.output<typeof cartridgeRow>;

export const cartridges = parseTable(cartridgeRow, json);
