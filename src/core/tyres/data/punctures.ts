import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import { FOUND } from '../puncture';
import puncturesJson from './punctures.json';

/** What makes a hole in a tube: by what the hole is like and where it is; where to look, and what mends it. */
export const punctures = parseTable(
  z.strictObject({
    id: z.string(),
    label: z.string(),
    holes: z.array(z.string()),
    side: z.array(z.string()),
    found: z.enum(FOUND),
    look: z.string(),
    cure: z.string(),
    again: z.nullable(z.string()),
    ...provenance,
  }),
  puncturesJson,
);
