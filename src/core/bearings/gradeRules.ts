import * as z from 'zod/mini';

z.config({ jitless: true });

/** The house rules that a bearing is graded by, without the grading: every record's settings hold them. */
export const houseRules = z.strictObject({
  openSound: z._default(z.boolean(), false).check(z.describe('open and grease even what feels sound')),
  reuseBalls: z._default(z.enum(['never', 'if-bright']), 'if-bright'),
  cartridges: z._default(z.enum(['replace-when-rough', 'repack-if-balls-bright']), 'replace-when-rough'),
  pittedCup: z._default(z.enum(['renew-unit', 'run-on']), 'renew-unit'),
});
