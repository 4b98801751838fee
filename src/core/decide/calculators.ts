import { decideJobs } from './jobs';
import { decideWeigh } from './weigh';

/** The calculators of this subject. */
export const calculators = [decideJobs, decideWeigh] as const;
