import * as z from 'zod/mini';
import { appliesTo, bicycleKind, type BicycleKind } from '../bicycle';
import { defineCalculator } from '../calculator';
import { proofs, type Proof } from './data/proofs';

z.config({ jitless: true });

export type { Proof };

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
