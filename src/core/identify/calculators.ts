import { identifyMatch } from './match';
import { identifyTables } from './tables';

/** The calculators of this subject. */
export const calculators = [identifyMatch, identifyTables] as const;
