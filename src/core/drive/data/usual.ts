import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import cogSetsJson from './cogSets.json';
import hubGearsJson from './hubGears.json';

const list = z.array(z.string().check(z.regex(/^\d+(\.\d+)?$/)));

/** Sets of cogs as they are usually met, to begin from. */
export const cogSets = parseTable(
  z.strictObject({ cogs: z.number(), label: z.string(), teeth: list, ...provenance }),
  cogSetsJson,
).map((row) => ({ ...row, teeth: row.teeth.map(Number) }));

/** Gear hubs by how many gears they have, with their usual ratios. */
export const hubGears = parseTable(
  z.strictObject({ id: z.string(), label: z.string(), ratios: list, ...provenance }),
  hubGearsJson,
).map((row) => ({ ...row, ratios: row.ratios.map(Number) }));
