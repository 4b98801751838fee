import * as z from 'zod/mini';

z.config({ jitless: true });

/** The house rules that verdicts of how a bicycle is are read by, without the judging: every record's settings hold them. */
export const houseRules = z.strictObject({
  openSound: z._default(z.boolean(), false).check(z.describe('open and grease even what feels sound')),
  reuseBalls: z._default(z.enum(['never', 'if-bright']), 'if-bright'),
  cartridges: z._default(z.enum(['replace-when-rough', 'repack-if-balls-bright']), 'replace-when-rough'),
  pittedCup: z._default(z.enum(['renew-unit', 'run-on']), 'renew-unit'),
  taper: z._default(z.enum(['greased', 'dry']), 'greased').check(z.describe('how a square taper goes together')),
  chainRenewal: z._default(z.enum(['at-limit', 'early']), 'at-limit'),
  tyreGap: z._default(z.enum(['usual', 'wide']), 'usual').check(z.describe('room beside a tyre: 3 mm or 6 mm')),
  tyreAge: z._default(z.enum(['condition', 'age']), 'condition'),
  padToe: z._default(z.enum(['toed', 'square']), 'toed').check(z.describe('pads of rim brakes')),
  leverGrip: z._default(z.enum(['turn', 'hold']), 'turn').check(z.describe('levers on a flat bar in a crash')),
  masterCylinder: z._default(z.enum(['rebuild', 'renew']), 'renew'),
  spoiltNipple: z._default(z.enum(['one', 'all']), 'one').check(z.describe('a nipple that rounds off')),
  spokesPull: z._default(z.enum(['outside', 'inside']), 'outside').check(z.describe('pulling spokes at the flange')),
  chainLube: z._default(z.enum(['drop', 'wax']), 'drop').check(z.describe('how a chain is lubricated')),
});
