import { z } from 'zod';

z.config({ jitless: true });

/** The house rules that a bearing is graded by, without the grading: every record's settings hold them. */
export const houseRules = z.strictObject({
  openSound: z.boolean().default(false).describe('open and grease even what feels sound'),
  reuseBalls: z.enum(['never', 'if-bright']).default('if-bright'),
  cartridges: z.enum(['replace-when-rough', 'repack-if-balls-bright']).default('replace-when-rough'),
  pittedCup: z.enum(['renew-unit', 'run-on']).default('renew-unit'),
});
