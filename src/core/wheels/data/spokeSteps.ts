import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import spokeStepsJson from './spokeSteps.json';

/** How one broken spoke is renewed, in order; `blocked` where cogs or a disc are in its way. */
export const spokeSteps = parseTable(
  z.strictObject({
    id: z.string(),
    label: z.string(),
    how: z.string(),
    stop: z.nullable(z.string()),
    needs: z.nullable(z.literal('blocked')),
    ...provenance,
  }),
  spokeStepsJson,
);
