import * as z from 'zod/mini';
import { id } from '../fields';

/** How a bearing feels at a setting, from play to drag. */
export const coneFeel = z.enum(['loose', 'tick', 'smooth', 'tight']);

/** A setting that was tried: how far the cone was turned from where it stood, and how it felt there. */
export const coneTrial = z.strictObject({
  id,
  turnDeg: z.number().check(z.gte(-720), z.lte(720)),
  feel: coneFeel,
  clamped: z.boolean(),
});
