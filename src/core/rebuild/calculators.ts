import { rebuildBolts } from './bolts';

/** The calculators of this subject. */
export const calculators = [rebuildBolts] as const;
