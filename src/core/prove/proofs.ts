import * as z from 'zod/mini';
import { appliesTo, bicycleKind, type BicycleKind } from '../bicycle';
import { defineCalculator } from '../calculator';
import { parseTable } from '../table';
import json from './proofs.json';

z.config({ jitless: true });

const proofRow = z.strictObject({
  id: z.string(),
  label: z.string(),
  how: z.string(),
  place: z.string(),
  /** Done at the stand, or on a short ride. */
  kind: z.enum(['stand', 'ride']),
  /** Whether the bicycle may not go out ready without it; the rest is of quality. */
  safety: z.boolean(),
  /** Brakes and steering: signed by another person where the house rule asks. */
  second: z.boolean(),
  applies: z.nullable(z.string()),
  /** Places that it was signed for: work on one of them reopens it. */
  leansOn: z.array(z.string()),
});
export type Proof = z.output<typeof proofRow>;

/** Everything that may be proved before a bicycle goes out: at the stand first, then on the road, safety before quality. */
export const proofs: Proof[] = parseTable(proofRow, json);

/** The proofs of this bicycle. Example: one without gears is not asked whether it shifts well. */
export function proofsFor(kind: BicycleKind): Proof[] {
  return proofs.filter((proof) => appliesTo(kind, proof.applies));
}

/**
 * The proofs of a bicycle, each with how it is made and what it leans on.
 *
 * Errors: an unknown kind. Source: the table of proofs. Example: one without gears is not asked whether it shifts well.
 */
export const proveProofs = defineCalculator({
  id: 'prove.proofs',
  title: 'The proofs of this bicycle',
  example: { kind: { gears: 'single' } },
  input: z.strictObject({ kind: z.prefault(bicycleKind, {}) }),
  run: ({ kind }): { proofs: Proof[] } => ({ proofs: proofsFor(kind) }),
});
