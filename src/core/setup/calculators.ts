import { settingUp } from './steps';

/** The calculators of this subject. */
export const calculators = [settingUp] as const;
