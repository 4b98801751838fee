import * as subjects from './subjects';
import { inOrder } from './workshop/declared';

/** All that the subjects declare, in the order of the work. */
export const SUBJECTS = inOrder(Object.values(subjects));
