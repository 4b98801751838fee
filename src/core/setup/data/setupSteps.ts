import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import { BUILD_FACTS } from '../../rebuild/data/buildOrder';
import { FLUIDS } from '../kinds';
import figuresJson from './setupFigures.json';
import jobsJson from './setupJobs.json';
import stepsJson from './setupSteps.json';

const setupStep = z.strictObject({
  id: z.string(),
  places: z.array(z.string()),
  /** What the bicycle, its brake there or the house has to be, as `brake=caliper;padToe=toed`. */
  facts: z.nullable(z.string()),
  job: z.string(),
  label: z.string(),
  how: z.string(),
  /** What must not be, in a sentence. */
  stop: z.nullable(z.string()),
  /** What is forgotten. */
  forget: z.nullable(z.string()),
  /** Checks of the look-over that the step is read into: the one of its place, or the only one. */
  check: z.nullable(z.array(z.string())),
  /** Only once the fluid is known: any, or one of them. */
  fluid: z.nullable(z.enum(['any', ...FLUIDS])),
  /** For a qualified hand. */
  qualified: z.boolean(),
  ...provenance,
});
export type SetupStep = z.output<typeof setupStep>;

/** How everything is set up, in the order of the work. */
export const setupSteps: SetupStep[] = parseTable(setupStep, stepsJson);

/** What is written down at a step, because nobody remembers it in a year. */
export const setupFigures = parseTable(
  z.strictObject({
    id: z.string(),
    steps: z.array(z.string()),
    label: z.string(),
    unit: z.string(),
    most: z.number(),
    ...provenance,
  }),
  figuresJson,
);

/** What the steps are of, in workable order: what every rebuild asks for, and what has to be done or true before it. */
export const setupJobs = parseTable(
  z.strictObject({
    id: z.string(),
    label: z.string(),
    places: z.array(z.string()),
    /** Whether every rebuild asks for it, or only now and then. */
    asked: z.boolean(),
    after: z.nullable(z.array(z.string())),
    fact: z.nullable(z.enum(BUILD_FACTS)),
    why: z.nullable(z.string()),
    ...provenance,
  }),
  jobsJson,
);
export type SetupJobRow = (typeof setupJobs)[number];
