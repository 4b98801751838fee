import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import json from './materials.json';

const materialRow = z.strictObject({
  material: z.string(),
  family: z.string(),
  /** Linear expansion, millionths to the kelvin; null where warmth and cold say nothing of a joint. */
  expansionUmPerMK: z.nullable(z.number()),
  painted: z.enum(['yes', 'no']),
  ...provenance,
});

/** Every material that a joint may be made of: those of the cleaning table, and copper alloys. */
export const materials = parseTable(materialRow, json);
export type MaterialRow = (typeof materials)[number];
