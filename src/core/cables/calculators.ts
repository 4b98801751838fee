import { cablesCutList } from './cutList';

/** The calculators of this subject. */
export const calculators = [cablesCutList] as const;
