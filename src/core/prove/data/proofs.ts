import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import json from './proofs.json';

const proofRow = z.strictObject({
  id: z.string(),
  label: z.string(),
  how: z.string(),
  place: z.string(),
  /** Done at the stand, or on a short ride. */
  kind: z.enum(['stand', 'ride']),
  /** Where one stands for it: on the stand, on the ground, on the road, in that order. */
  where: z.enum(['stand', 'ground', 'road']),
  /** Whether the bicycle may not go out ready without it; the rest is of quality. */
  safety: z.boolean(),
  /** Brakes and steering: signed by another person where the house rule asks. */
  second: z.boolean(),
  applies: z.nullable(z.string()),
  /** Places that it was signed for: work on one of them reopens it. */
  leansOn: z.array(z.string()),
  ...provenance,
});
export type Proof = z.output<typeof proofRow>;

/** Everything that may be proved before a bicycle goes out, in the order in which it is done. */
export const proofs: Proof[] = parseTable(proofRow, json);
