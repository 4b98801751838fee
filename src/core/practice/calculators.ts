import { practiceLevels } from './levels';

/** The calculators of this subject. */
export const calculators = [practiceLevels] as const;
