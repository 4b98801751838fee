'use client';
import type { ProofEvidence } from '@/core/prove/evidence';
import { evidenceInput } from '@/model/prove/readings';
import type { Bicycle } from '@/model/record';
import { useReckon } from '../workshop/useReckon';

/** What was read for the proofs, judged; null until it is reckoned. */
export function useEvidence(bicycle: Bicycle): ProofEvidence | null {
  return useReckon('prove.evidence', evidenceInput(bicycle)).output;
}
