import { cablesCutList } from './cutList';
import { cablesLengths } from './lengths';

/** The calculators of this subject. */
export const calculators = [cablesCutList, cablesLengths] as const;
