import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import { BRAKE_JOBS, FLUIDS, SET_BRAKES } from '../setupKinds';
import json from './setupSteps.json';

const setupStep = z.strictObject({
  id: z.string(),
  brakes: z.array(z.enum(SET_BRAKES)),
  job: z.enum(BRAKE_JOBS),
  label: z.string(),
  how: z.string(),
  /** What must not be, in a sentence. */
  stop: z.nullable(z.string()),
  /** The house rule that asks for it, as `padToe=toed`. */
  rule: z.nullable(z.string()),
  /** Only once the fluid is known: any, or one of them. */
  fluid: z.nullable(z.enum(['any', ...FLUIDS])),
  /** For a qualified hand. */
  qualified: z.boolean(),
  ...provenance,
});
export type SetupStep = z.output<typeof setupStep>;

/** How each kind of brake is set up, in the order of the work. */
export const setupSteps: SetupStep[] = parseTable(setupStep, json);
