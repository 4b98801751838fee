import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import cogSetsJson from './cogSets.json';
import hubGearsJson from './hubGears.json';

const numbers = z.pipe(
  z.array(z.string()),
  z.transform((list: string[]) => list.map(Number)),
);

/** Sets of cogs as they are usually met, to begin from. */
export const cogSets = parseTable(
  z.strictObject({ cogs: z.number(), label: z.string(), teeth: numbers, ...provenance }),
  cogSetsJson,
);

/** Gear hubs by how many gears they have, with their usual ratios. */
export const hubGears = parseTable(
  z.strictObject({ id: z.string(), label: z.string(), ratios: numbers, ...provenance }),
  hubGearsJson,
);
