import { z } from 'zod';
import { defineCalculator } from '../calculator';
import { minorUnits } from '../fields';
import { atLeast, roundHalfUp, roundTo } from '../numbers';
import { materials } from './data/materials';
import { stuckSteps, type StuckStep } from './data/stuckSteps';
import { whyNever } from './whyNever';

/** What leaving it stuck costs at least, as a share of what is round it: the joint can never be used or serviced again. */
export const LEAVING_SHARE = 0.25;

const byStep = new Map(stuckSteps.map((step) => [step.id, step]));
const material = z.enum(materials.map((row) => row.material));

const input = z.strictObject({
  part: z.string().min(1).max(120).describe('what is stuck, in words'),
  partMaterial: material,
  aroundMaterial: material,
  paintMatters: z.boolean().describe('whether the paint near it is to be kept'),
  partValue: minorUnits,
  aroundValue: minorUnits,
  ratePerHour: minorUnits,
  tried: z
    .array(
      z.strictObject({ step: z.enum(stuckSteps.map((step) => step.id)), soakMinutes: z.number().min(0).max(100_000) }),
    )
    .max(60)
    .describe('what was tried without success, oldest first'),
});
type Joint = z.output<typeof input>;
export type StuckInput = z.input<typeof input>;

interface Rung {
  step: StuckStep;
  /** What is left of its soak. */
  soakMinutes: number;
  chance: number;
  /** Time, material and expected harm, in minor units, not rounded. */
  cost: number;
}

export interface LadderRung {
  step: string;
  label: string;
  grade: number;
  state: 'tried' | 'next' | 'later' | 'not worth it' | 'never';
  /** Why never, or null. */
  why: string | null;
  chance: number;
  minutes: number;
  soakMinutes: number;
}

export interface Stuck {
  next: {
    step: string;
    label: string;
    minutes: number;
    soakMinutes: number;
    how: string;
    cautions: string[];
  } | null;
  order: string[];
  expectedCost: number;
  stop: boolean;
  chanceFree: number;
  reasons: string[];
  rungs: LadderRung[];
  working: { symbol: string; meaning: string; value: number; unit: string }[];
}

function lossOf(step: StuckStep, { partValue, aroundValue }: Joint): number {
  const harmed = step.damages === 'part' ? partValue : step.damages === 'around' ? aroundValue : 0;
  const given = step.when === 'part-cheaper' || step.when === 'around-cheaper' ? Math.min(partValue, aroundValue) : 0;
  return given + step.damageChance * harmed;
}

/** What is left to try: a soak that was cut short is gone on with, the rest of its chance with it, unless it was wiped off. */
function rungsLeft(joint: Joint): Rung[] {
  return stuckSteps.flatMap((step): Rung[] => {
    if (whyNever(step, joint)) return [];
    const tries = joint.tried.filter((each) => each.step === step.id);
    const soaked = tries.reduce((sum, each) => sum + each.soakMinutes, 0);
    const left = step.soakMinutes - soaked;
    const ended = joint.tried.some((each) => byStep.get(each.step)!.afterStep === step.id);
    if (tries.length > 0 && (step.soakMinutes === 0 || left <= 0 || ended)) return [];
    const share = step.soakMinutes === 0 ? 1 : left / step.soakMinutes;
    return [
      {
        step,
        soakMinutes: Math.max(0, left),
        chance: step.chance * share,
        cost: (step.minutes / 60) * joint.ratePerHour + step.costMinor * share + lossOf(step, joint),
      },
    ];
  });
}

/**
 * Gentle before destructive; among rungs of one grade the one with the most chance for its cost first, which is the
 * cheapest order of independent tries (an exchange of two neighbours shows it); what has to come before comes before.
 */
export function inOrder(rungs: Rung[]): Rung[] {
  const waiting = [...rungs].sort(
    (a, b) => a.step.grade - b.step.grade || a.cost * b.chance - b.cost * a.chance || (a.step.id < b.step.id ? -1 : 1),
  );
  const placed: Rung[] = [];
  while (waiting.length > 0) {
    const ready = waiting.findIndex(({ step }) => !waiting.some((other) => other.step.id === step.afterStep));
    placed.push(...waiting.splice(Math.max(0, ready), 1));
  }
  return placed;
}

/** Cheapest way on from a place in the order: try, pass over, or leave it. */
function planFrom(rungs: Rung[], leaving: number, done: ReadonlySet<string>) {
  const known = new Map<string, { cost: number; order: string[] }>();
  const needed = new Set(stuckSteps.map((step) => step.afterStep));
  // Fresh penetrant undoes an earlier wipe.
  const doneToo = (before: ReadonlySet<string>, id: string) =>
    new Set([...[...before].filter((each) => byStep.get(each)?.afterStep !== id), id]);
  const best = (at: number, before: ReadonlySet<string>): { cost: number; order: string[] } => {
    const rung = rungs[at];
    if (!rung) return { cost: leaving, order: [] };
    const key = `${at}:${[...before].sort().join()}`;
    const found = known.get(key);
    if (found) return found;
    const { id, afterStep } = rung.step;
    let choice = best(at + 1, before);
    if (atLeast(choice.cost, leaving)) choice = { cost: leaving, order: [] };
    if (afterStep === null || before.has(afterStep)) {
      const then = best(at + 1, needed.has(id) ? doneToo(before, id) : before);
      const cost = rung.cost + (1 - rung.chance) * then.cost;
      if (cost < choice.cost - 1e-9) choice = { cost, order: [id, ...then.order] };
    }
    known.set(key, choice);
    return choice;
  };
  return best(0, done);
}

/** Steps that count as done before a later one: what has to follow another counts only where it came after it. */
function doneBefore({ tried }: Joint): Set<string> {
  const last = (id: string) => tried.findLastIndex((each) => each.step === id);
  return new Set(
    tried
      .map((each) => each.step)
      .filter((id) => {
        const after = byStep.get(id)!.afterStep;
        return after === null || (last(after) >= 0 && last(id) > last(after));
      }),
  );
}

/**
 * What to try next on a stuck part, and when to stop.
 *
 * A rung costs minutes·rate/60 + material + expected harm; it frees with its chance, given that the gentler ones failed.
 * The order runs from gentle to destructive, within a grade by chance per cost; V = min(leave, pass over, cost +
 * (1 − chance)·V of the rest) is reckoned backwards, and what does not lower V is left out. Leaving it costs the cheaper of
 * the two, or a quarter of what is round it, whichever is more. Soaking costs no hands and no money.
 *
 * Units: money in minor units, minutes. Errors: a material or step that no table has. Source: the ladder's table, rules of
 * thumb. Never a step that is forbidden for either material: no warmth near carbon or where it would tighten the joint, no
 * flame before penetrant is wiped and aired or near paint to keep, no ammonia near brass or bronze.
 * Example: an aluminium post in a steel frame is cooled, never heated.
 */
function run(joint: Joint): Stuck {
  const rungs = inOrder(rungsLeft({ ...joint, tried: stillTold(joint) }));
  const cheaper = Math.min(joint.partValue, joint.aroundValue);
  const leaving = Math.max(cheaper, LEAVING_SHARE * joint.aroundValue);
  const plan = planFrom(rungs, leaving, doneBefore(joint));
  const byId = new Map(rungs.map((rung) => [rung.step.id, rung]));
  const chosen = plan.order.map((id) => byId.get(id)!);
  const first = chosen[0];
  const chanceFree = 1 - chosen.reduce((stuck, rung) => stuck * (1 - rung.chance), 1);
  const stop = first === undefined;
  return {
    next: first
      ? {
          step: first.step.id,
          label: first.step.label,
          minutes: first.step.minutes,
          soakMinutes: first.soakMinutes,
          how: first.step.how,
          cautions: [first.step.cautions],
        }
      : null,
    order: plan.order,
    expectedCost: roundHalfUp(plan.cost),
    stop,
    chanceFree: roundTo(chanceFree, 6),
    reasons: reasonsFor(joint, first, stop, rungs.length, chanceFree),
    rungs: picture(joint, rungs, plan.order),
    working: [
      { symbol: 'L', meaning: 'what leaving it as it is costs', value: roundHalfUp(leaving), unit: 'minor units' },
      { symbol: 'V', meaning: 'expected cost of the best way on', value: roundHalfUp(plan.cost), unit: 'minor units' },
      ...chosen.map((rung) => ({
        symbol: `c(${rung.step.id})`,
        meaning: `${rung.step.label}: time, material and expected harm, at a chance of ${roundTo(rung.chance, 3)}`,
        value: roundHalfUp(rung.cost),
        unit: 'minor units',
      })),
    ],
  };
}

/** What was done before the step that it has to follow has to be done again, if nothing destroys by it. */
function stillTold(joint: Joint): Joint['tried'] {
  const done = doneBefore(joint);
  return joint.tried.filter(({ step }) => done.has(step) || byStep.get(step)!.damageChance > 0);
}

function reasonsFor(joint: Joint, first: Rung | undefined, stop: boolean, left: number, chanceFree: number): string[] {
  const broken = [...new Set(joint.tried.map((each) => each.step))]
    .map((id) => byStep.get(id)!)
    .flatMap((step) => {
      const why = whyNever(step, joint);
      return why ? [`${step.label} was tried and should not have been: ${why}. Look for harm before going on.`] : [];
    });
  if (!stop) {
    const gone = first!.soakMinutes < first!.step.soakMinutes && first!.soakMinutes > 0;
    return [
      gone
        ? `Let it soak on: ${first!.soakMinutes} of ${first!.step.soakMinutes} minutes are still to go.`
        : `${first!.step.label}: the gentlest that still pays.`,
      `By everything that pays it comes free in ${Math.round(chanceFree * 100)} of 100.`,
      ...broken,
    ];
  }
  return [
    left === 0
      ? 'Nothing is left that these materials allow: leave it, or have someone qualified look at it.'
      : joint.partValue <= joint.aroundValue
        ? 'Stop: going on costs more than leaving it or giving the part up.'
        : 'Stop: going on costs more than leaving it or giving up what is round it.',
    ...broken,
  ];
}

function picture(joint: Joint, left: Rung[], order: string[]): LadderRung[] {
  const open = new Map(left.map((rung) => [rung.step.id, rung]));
  return stuckSteps.map((step) => {
    const why = whyNever(step, joint);
    const rung = open.get(step.id);
    const state: LadderRung['state'] = why
      ? 'never'
      : !rung
        ? 'tried'
        : order[0] === step.id
          ? 'next'
          : order.includes(step.id)
            ? 'later'
            : 'not worth it';
    return {
      step: step.id,
      label: step.label,
      grade: step.grade,
      state,
      why,
      chance: roundTo(rung?.chance ?? step.chance, 4),
      minutes: step.minutes,
      soakMinutes: rung?.soakMinutes ?? step.soakMinutes,
    };
  });
}

export const stripStuck = defineCalculator({
  id: 'strip.stuck',
  title: 'A stuck part: what next',
  example: {
    part: 'Seat post',
    partMaterial: 'bare aluminium',
    aroundMaterial: 'plain steel',
    paintMatters: true,
    partValue: 1500,
    aroundValue: 12000,
    ratePerHour: 1500,
    tried: [{ step: 'penetrant', soakMinutes: 60 }],
  },
  input,
  run,
});
