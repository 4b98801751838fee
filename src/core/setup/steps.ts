import * as z from 'zod/mini';
import { houseRules } from '../bearings/gradeRules';
import { bicycleKind, endOf } from '../bicycle';
import { defineCalculator } from '../calculator';
import { holds } from '../conditions';
import { setupFigures, setupJobs, setupSteps, type SetupJobRow, type SetupStep } from './data/setupSteps';
import { setupFacts } from './facts';
import { FLUIDS, type Fluid } from './kinds';

const fluid = z._default(z.nullable(z.enum(FLUIDS)), null);
const input = z.strictObject({
  kind: z.prefault(bicycleKind, {}),
  rules: z.prefault(houseRules, {}),
  fluids: z
    .prefault(z.strictObject({ front: fluid, rear: fluid }), {})
    .check(z.describe('as it stands on each cap; null until somebody looked')),
  done: z
    ._default(z.array(z.string().check(z.maxLength(128))).check(z.maxLength(500)), [])
    .check(z.describe('steps that are done, as place/step')),
  touched: z
    ._default(z.nullable(z.array(z.string().check(z.maxLength(64))).check(z.maxLength(200))), null)
    .check(z.describe('places that somebody worked at: nothing waits for the others; null where all were')),
  facts: z
    ._default(
      z.strictObject({
        settled: z.optional(z.boolean()),
        torqued: z.optional(z.boolean()),
        trued: z.optional(z.boolean()),
        measured: z.optional(z.boolean()),
      }),
      {},
    )
    .check(z.describe('as rebuild.order has them; what is left out is true')),
});

export interface SetStep {
  id: string;
  label: string;
  how: string;
  stop: string | null;
  forget: string | null;
  /** The check of the look-over that it is read into. */
  check: string | null;
  /** What is written down for the next time. */
  figures: { id: string; label: string; unit: string; most: number }[];
  qualified: boolean;
  done: boolean;
}
export interface SetJob {
  job: string;
  label: string;
  place: string;
  /** Whether every rebuild asks for it, or only now and then. */
  asked: boolean;
  steps: SetStep[];
  done: number;
  /** What has to be done or true before it, in a sentence; null where hands can go to it. */
  waits: string | null;
}
export interface SettingUp {
  /** In workable order. */
  jobs: SetJob[];
  /** Hydraulic brakes whose fluid nobody has looked up: nothing that moves fluid is told of them. */
  asksFluid: string[];
}

type Question = z.output<typeof input>;

const fluidAt = ({ fluids }: Question, place: string): Fluid | null => {
  const end = endOf(place);
  return end && fluids[end];
};

const checkOf = ({ check }: SetupStep, place: string): string | null =>
  check === null ? null : check.length === 1 ? check[0]! : (check.find((id) => isOf(id, place)) ?? null);

/** Whether a check is of a place, by its name. Example: `locknut-front` of `brake.front`. */
function isOf(check: string, place: string): boolean {
  const where = place.split('.').at(-1)!;
  if (place === 'cables.brake') return check === 'cables';
  return check.endsWith(`-${where}`);
}

/** Steps of a job at one place: those that such a bicycle and such a house have, and none that moves a fluid nobody has named. */
function stepsAt(question: Question, job: SetupJobRow, place: string): SetupStep[] {
  const facts = setupFacts(question.kind, question.rules, place);
  return setupSteps.filter((step) => step.job === job.id && step.places.includes(place) && holds(step.facts, facts));
}

const isTold = (step: SetupStep, known: Fluid | null): boolean =>
  step.fluid === null || (known !== null && (step.fluid === 'any' || step.fluid === known));

/** Of a pair what comes before lies at the same end; the rest is of the bicycle. */
const sameEnd = (a: string, b: string): boolean => {
  const [one, other] = [endOf(a), endOf(b)];
  return one === null || other === null || one === other || a.split('.')[0] !== b.split('.')[0];
};

/** What a job waits for: another that is not done, or a fact that is not true. */
function waitsFor(
  row: SetupJobRow,
  place: string,
  jobs: readonly SetJob[],
  { facts, touched }: Question,
): string | null {
  const open = jobs.some(
    (each) =>
      each.asked &&
      (touched === null || touched.includes(each.place)) &&
      row.after?.includes(each.job) &&
      each.done < each.steps.length &&
      sameEnd(each.place, place),
  );
  return open || (row.fact !== null && facts[row.fact] === false) ? row.why : null;
}

/**
 * How a bicycle is set up, job by job in workable order: what each part asks, by the rules of the house, what is done of it, and
 * what has to come before. Mineral and glycol fluids are locked apart: no step that moves fluid is told before it is known which
 * of them is in, and then those of that one alone.
 *
 * Errors: an unknown kind or fluid. Source: the tables of setting-up, workshop consensus. Example: cranks that are not torqued keep the
 * front derailleur waiting; a hydraulic disc with mineral oil is never told of glycol.
 */
export const settingUp = defineCalculator({
  id: 'setup.steps',
  title: 'How a bicycle is set up',
  example: { kind: { brakes: 'cantilever' } },
  input,
  run(question): SettingUp {
    const done = new Set(question.done);
    const asksFluid = new Set<string>();
    const jobs: SetJob[] = [];
    for (const row of setupJobs)
      for (const place of row.places) {
        const known = fluidAt(question, place);
        const all = stepsAt(question, row, place);
        const told = all.filter((step) => isTold(step, known));
        if (known === null && all.some((step) => step.fluid !== null)) asksFluid.add(place);
        if (told.length === 0) continue;
        const steps = told.map((step): SetStep => {
          const { id, label, how, stop, forget, qualified } = step;
          const isDone = done.has(`${place}/${id}`);
          const figures = setupFigures
            .filter((each) => each.steps.includes(id))
            .map(({ id: figure, label: words, unit, most }) => ({ id: figure, label: words, unit, most }));
          return { id, label, how, stop, forget, qualified, figures, check: checkOf(step, place), done: isDone };
        });
        jobs.push({
          job: row.id,
          label: row.label,
          place,
          asked: row.asked,
          steps,
          done: steps.filter((step) => step.done).length,
          waits: waitsFor(row, place, jobs, question),
        });
      }
    return { jobs, asksFluid: [...asksFluid] };
  },
});
