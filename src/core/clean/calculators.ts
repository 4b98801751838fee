import { cleanFinish } from './finish';
import { cleanOptions } from './options';
import { cleanPlan } from './plan';

/** The calculators of this subject. */
export const calculators = [cleanOptions, cleanPlan, cleanFinish] as const;
