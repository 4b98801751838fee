import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import json from './afterwards.json';

const rows = parseTable(
  z.strictObject({
    material: z.string(),
    /** What keeps it once it is clean: oil on what rusts bare, wax on a coat, nothing at all where a brake works. */
    then: z.enum(['oil', 'wax', 'brake', 'nothing']),
    /** Soils that have finished it: it is renewed and not cleaned. */
    doneBySoils: z.nullable(z.string()),
    why: z.nullable(z.string()),
    ...provenance,
  }),
  json,
);

/** What follows the washing of a material. */
export const afterwards = new Map(
  rows.map((row) => [row.material, { ...row, doneBySoils: row.doneBySoils?.split('|') ?? [] }]),
);
