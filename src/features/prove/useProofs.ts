'use client';
import type { BicycleKind } from '@/core/bicycle';
import type { Proof } from '@/core/prove/proofs';
import { useReckon } from '../workshop/useReckon';

/** The proofs of a bicycle; null until they are there. */
export function useProofs(kind: BicycleKind): Proof[] | null {
  return useReckon('prove.proofs', { kind }).output?.proofs ?? null;
}
