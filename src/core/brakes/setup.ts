import * as z from 'zod/mini';
import { houseRules } from '../bearings/gradeRules';
import { bicycleKind } from '../bicycle';
import { defineCalculator } from '../calculator';
import { setupSteps, type SetupStep } from './data/setupSteps';
import { BRAKE_JOBS, FLUIDS, setBrakeOf, type BrakeJob, type SetBrake } from './setupKinds';

const input = z.strictObject({
  kind: z.prefault(bicycleKind, {}),
  end: z.enum(['front', 'rear']),
  rules: z.prefault(houseRules, {}),
  fluid: z
    ._default(z.nullable(z.enum(FLUIDS)), null)
    .check(z.describe('as it stands on the cap; null until somebody looked')),
});

export interface BrakeSetup {
  brake: SetBrake;
  jobs: {
    job: BrakeJob;
    steps: Pick<SetupStep, 'id' | 'label' | 'how' | 'stop' | 'qualified'>[];
  }[];
  /** Nothing that moves fluid is told before it is known which it is. */
  asksFluid: boolean;
}

/** Whether the house asks for a step: drop levers always hold, whatever the rule says of flat bars. */
function isAsked(step: SetupStep, { kind, rules }: z.output<typeof input>): boolean {
  if (step.rule === null) return true;
  const [key, value] = step.rule.split('=') as [keyof typeof rules, string];
  if (key === 'leverGrip' && kind.bars === 'drop') return value === 'hold';
  return rules[key] === value;
}

function setUp(question: z.output<typeof input>): BrakeSetup {
  const { kind, end, fluid } = question;
  const brake = setBrakeOf(kind, end);
  const here = setupSteps.filter((step) => step.brakes.includes(brake) && isAsked(step, question));
  const told = here.filter(
    (step) => step.fluid === null || (fluid !== null && (step.fluid === 'any' || step.fluid === fluid)),
  );
  return {
    brake,
    asksFluid: fluid === null && here.some((step) => step.fluid !== null),
    jobs: BRAKE_JOBS.flatMap((job) => {
      const steps = told
        .filter((step) => step.job === job)
        .map(({ id, label, how, stop, qualified }) => ({ id, label, how, stop, qualified }));
      return steps.length === 0 ? [] : [{ job, steps }];
    }),
  };
}

/**
 * How the brake of one end is set up, job by job: what its kind asks, by the rules of the house. Mineral and glycol fluids are
 * locked apart: no step that moves fluid is told before it is known which of them is in, and then those of that one alone.
 *
 * Errors: an unknown kind or fluid. Source: the table of setting-up, workshop consensus. Example: a hydraulic disc with mineral oil is bled
 * with mineral oil; glycol is not mentioned but as what must never come near.
 */
export const brakesSetup = defineCalculator({
  id: 'brakes.setup',
  title: 'How a brake is set up',
  example: { kind: { brakes: 'cantilever' }, end: 'front' },
  input,
  run: setUp,
});

/**
 * The same for both ends at once, for what is told of a bicycle as a whole.
 *
 * Errors: those of `brakes.setup`. Source: `brakes.setup`. Example: `{}` → a side pull in front and behind.
 */
export const brakesSetups = defineCalculator({
  id: 'brakes.setups',
  title: 'How both brakes are set up',
  example: {},
  input: z.strictObject({
    kind: z.prefault(bicycleKind, {}),
    rules: z.prefault(houseRules, {}),
    fluids: z.prefault(
      z.strictObject({
        front: z._default(z.nullable(z.enum(FLUIDS)), null),
        rear: z._default(z.nullable(z.enum(FLUIDS)), null),
      }),
      {},
    ),
  }),
  run: ({ kind, rules, fluids }): { front: BrakeSetup; rear: BrakeSetup } => ({
    front: setUp({ kind, rules, end: 'front', fluid: fluids.front }),
    rear: setUp({ kind, rules, end: 'rear', fluid: fluids.rear }),
  }),
});
