import { brakesStop } from './stop';

/** The calculators of this subject. */
export const calculators = [brakesStop] as const;
