import { planPromise } from './promise';
import { planSessions } from './sessions';
import { planTasks } from './tasks';

/** The calculators of this subject. */
export const calculators = [planSessions, planPromise, planTasks] as const;
