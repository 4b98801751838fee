import { proveReady } from './ready';

/** The calculators of this subject. */
export const calculators = [proveReady] as const;
