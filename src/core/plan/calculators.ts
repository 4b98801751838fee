import { planPromise } from './promise';
import { planSessions } from './sessions';

/** The calculators of this subject. */
export const calculators = [planSessions, planPromise] as const;
