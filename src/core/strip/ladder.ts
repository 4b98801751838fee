import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { materials } from './data/materials';
import { stuckJoints } from './data/stuckJoints';
import { stuckSteps } from './data/stuckSteps';

/**
 * The rungs that `strip.stuck` chooses from, gentle first: minutes by hand, soak, the chance that the joint comes free at
 * it once the gentler ones have failed, cost, the chance of harm and to which of the two, and the materials it is never
 * used on and the joints that it is for; every material that a joint may be of; what parts are usually held by and made of.
 * Source: workshop consensus, rules of thumb. Example: `{}` → the steps, "penetrant" among them.
 */
export const stripLadder = defineCalculator({
  id: 'strip.ladder',
  title: 'What frees a stuck part',
  example: {},
  input: z.strictObject({}),
  run: () => ({
    steps: stuckSteps.map(({ cautions, ...step }) => ({ ...step, cautions: [cautions] })),
    materials: materials.map((row) => row.material),
    joints: stuckJoints,
  }),
});
