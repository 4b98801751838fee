import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import bodiesJson from './bodies.json';
import chainsJson from './chains.json';

const counts = z.nullable(z.array(z.string().check(z.regex(/^\d+$/))));
const numbers = (list: string[] | null) => (list ?? []).map(Number);

/** Chains by how many cogs they are made for, and what they run on besides. */
export const chains = parseTable(
  z.strictObject({
    id: z.string(),
    label: z.string(),
    works: counts,
    marginal: counts,
    words: z.nullable(z.string()),
    ...provenance,
  }),
  chainsJson,
).map((row) => ({ ...row, works: numbers(row.works), marginal: numbers(row.marginal) }));

/** What cogs are held by, how many go on as they are or with a spacer, and how small the smallest may be. */
export const bodies = parseTable(
  z.strictObject({
    id: z.string(),
    label: z.string(),
    works: counts,
    spacer: counts,
    smallestCog: z.number(),
    words: z.nullable(z.string()),
    ...provenance,
  }),
  bodiesJson,
).map((row) => ({ ...row, works: numbers(row.works), spacer: numbers(row.spacer) }));
