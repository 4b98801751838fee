import { proveEvidence } from './evidence';
import { proveProofs } from './proofs';
import { proveReady } from './ready';

/** The calculators of this subject. */
export const calculators = [proveReady, proveProofs, proveEvidence] as const;
