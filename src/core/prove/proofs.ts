import { z } from 'zod';
import json from './proofs.json';

z.config({ jitless: true });

const proofRow = z.strictObject({
  id: z.string(),
  label: z.string(),
  how: z.string(),
  place: z.string(),
  safetyCritical: z.boolean(),
});
export type Proof = z.output<typeof proofRow>;

/** What is proved before a bicycle goes out. */
export const proofs: Proof[] = z.array(proofRow).parse(json);
