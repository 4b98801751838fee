import { z } from 'zod';
import frontHubJson from './frontHub.json';

z.config({ jitless: true });

const side = z.enum(['left', 'right']).nullable();
const assembly = z.strictObject({
  place: z.string(),
  title: z.string(),
  parts: z.array(
    z.strictObject({ id: z.string(), label: z.string(), side, materials: z.array(z.string()), facing: z.string() }),
  ),
  steps: z.array(
    z.strictObject({
      id: z.string(),
      title: z.string(),
      tool: z.string(),
      turn: z.strictObject({ fastener: z.string(), side, nuttedOnly: z.boolean().optional() }).nullable(),
      takes: z.array(z.string()),
      photo: z.boolean(),
      count: side,
      forget: z.string(),
    }),
  ),
  ballSet: z.strictObject({ place: z.string(), side: z.string(), fractionIn: z.string() }),
  stuck: z.string(),
});
export type Assembly = z.output<typeof assembly>;

/** How a cup-and-cone front hub comes apart: its parts in the order of the axle, its steps in the order of the work. */
export const frontHub: Assembly = assembly.parse(frontHubJson);
