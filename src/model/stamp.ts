import * as z from 'zod/mini';
import { OURS } from './stamps';

/** When, and by which change: a moment to the millisecond, so that stamps sort as text, and the change's id. */
export const stamp = z.string().check(z.regex(OURS));
