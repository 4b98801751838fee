import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import preparationsJson from './preparations.json';

/** What is done to a seat before a part goes in: how, where it stops, and whether it is for a qualified hand. */
export const preparationRows = parseTable(
  z.strictObject({
    place: z.string(),
    needs: z.nullable(z.enum(['facing', 'press'])),
    title: z.string(),
    how: z.string(),
    stop: z.string(),
    qualified: z.boolean(),
    when: z.nullable(z.string()),
    ...provenance,
  }),
  preparationsJson,
);
