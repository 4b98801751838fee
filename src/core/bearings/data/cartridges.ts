import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import json from './cartridges.json';

export const cartridgeRow = z.strictObject({
  code: z.string(),
  series: z.nullable(z.union([z.string(), z.number()])),
  boreMm: z.number(),
  odMm: z.number(),
  widthMm: z.number(),
  widthOpenMm: z.nullable(z.number()),
  type: z.string(),
  innerAngleDeg: z.nullable(z.number()),
  outerAngleDeg: z.nullable(z.number()),
  usualPlaces: z.nullable(z.string()),
  note: z.nullable(z.string()),
  ...provenance,
  placeConfidence: z.nullable(provenance.confidence),
});
export type CartridgeRow = z.output<typeof cartridgeRow>;

export const cartridges = parseTable(cartridgeRow, json);
