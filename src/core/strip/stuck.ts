import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { minorUnits } from '../fields';
import { atLeast, roundHalfUp, roundTo } from '../numbers';
import { materials } from './data/materials';
import { JOINTS } from './data/stuckJoints';
import { stuckSteps, type StuckStep } from './data/stuckSteps';
import { whyNever } from './whyNever';

/** What leaving it stuck costs at least, as a share of what is round it: the joint can never be used or serviced again. */
export const LEAVING_SHARE = 0.25;

const byStep = new Map(stuckSteps.map((step) => [step.id, step]));
const material = z.enum(materials.map((row) => row.material));

const input = z.strictObject({
  part: z.string().check(z.minLength(1), z.maxLength(120), z.describe('what is stuck, in words')),
  partMaterial: material,
  aroundMaterial: material,
  paintMatters: z.boolean().check(z.describe('whether the paint near it is to be kept')),
  partValue: minorUnits,
  aroundValue: minorUnits,
  ratePerHour: minorUnits,
  tried: z
    .array(
      z.strictObject({
        step: z.enum(stuckSteps.map((step) => step.id)),
        soakMinutes: z.number().check(z.gte(0), z.lte(100_000)),
      }),
    )
    .check(z.maxLength(60), z.describe('what was tried without success, oldest first')),
  joint: z
    ._default(z.nullable(z.enum(JOINTS)), null)
    .check(z.describe('how it is held; null: as the words of the part tell')),
});
type Question = z.output<typeof input>;
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

function lossOf(step: StuckStep, { partValue, aroundValue }: Question): number {
  const harmed = step.damages === 'part' ? partValue : step.damages === 'around' ? aroundValue : 0;
  const given = step.when === 'part-cheaper' || step.when === 'around-cheaper' ? Math.min(partValue, aroundValue) : 0;
  return given + step.damageChance * harmed;
}

/** What is left to try: a soak that was cut short is gone on with, the rest of its chance with it, unless it was wiped off. */
function rungsLeft(question: Question): Rung[] {
  return stuckSteps.flatMap((step): Rung[] => {
    if (whyNever(step, question)) return [];
    const tries = question.tried.filter((each) => each.step === step.id);
    const soaked = tries.reduce((sum, each) => sum + each.soakMinutes, 0);
    const left = step.soakMinutes - soaked;
    const wiped = step.penetrant === 'wets' && lastOf(question, 'dries') > lastTry(question, step.id);
    if (tries.length > 0 && (step.soakMinutes === 0 || left <= 0 || wiped)) return [];
    const share = step.soakMinutes === 0 ? 1 : left / step.soakMinutes;
    return [
      {
        step,
        soakMinutes: Math.max(0, left),
        chance: step.chance * share,
        cost: (step.minutes / 60) * question.ratePerHour + step.costMinor * share + lossOf(step, question),
      },
    ];
  });
}

const lastTry = ({ tried }: Question, id: string) => tried.findLastIndex((each) => each.step === id);
/** When a step of this sort was tried last; −1 where none was. */
const lastOf = ({ tried }: Question, sort: NonNullable<StuckStep['penetrant']>) =>
  tried.findLastIndex((each) => byStep.get(each.step)!.penetrant === sort);
/** Whether penetrant is at the joint and was not wiped off since. */
const isWet = (question: Question) => lastOf(question, 'wets') > lastOf(question, 'dries');

/** Whether a rung has to wait for another one that is still to come: what it follows, and what is hot for the wiping. */
const waitsFor = ({ step }: Rung, other: Rung) =>
  other.step.id === step.afterStep || (step.penetrant === 'hot' && other.step.penetrant === 'dries');

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
    const ready = waiting.findIndex((rung) => !waiting.some((other) => waitsFor(rung, other)));
    placed.push(...waiting.splice(Math.max(0, ready), 1));
  }
  return placed;
}

/** Cheapest way on from a place in the order: try, pass over, or leave it. Nothing hot while penetrant is there. */
function planFrom(rungs: Rung[], leaving: number, done: ReadonlySet<string>, wetNow: boolean) {
  const known = new Map<string, { cost: number; order: string[] }>();
  const needed = new Set(stuckSteps.map((step) => step.afterStep));
  const best = (at: number, before: ReadonlySet<string>, wet: boolean): { cost: number; order: string[] } => {
    const rung = rungs[at];
    if (!rung) return { cost: leaving, order: [] };
    const key = `${at}:${wet}:${[...before].sort().join()}`;
    const found = known.get(key);
    if (found) return found;
    const { id, afterStep, penetrant } = rung.step;
    let choice = best(at + 1, before, wet);
    if (atLeast(choice.cost, leaving)) choice = { cost: leaving, order: [] };
    const open =
      (afterStep === null || before.has(afterStep)) && (penetrant !== 'hot' || !wet) && (penetrant !== 'dries' || wet);
    if (open) {
      const then = best(
        at + 1,
        needed.has(id) ? new Set([...before, id]) : before,
        penetrant === 'wets' || (wet && penetrant !== 'dries'),
      );
      const cost = rung.cost + (1 - rung.chance) * then.cost;
      if (cost < choice.cost - 1e-9) choice = { cost, order: [id, ...then.order] };
    }
    known.set(key, choice);
    return choice;
  };
  return best(0, done, wetNow);
}

/** Steps that count as done before a later one: what has to follow another counts only where it came after it. */
function doneBefore(question: Question): Set<string> {
  return new Set(
    question.tried
      .map((each) => each.step)
      .filter((id) => {
        const { afterStep, penetrant } = byStep.get(id)!;
        if (penetrant === 'dries') return !isWet(question) && lastOf(question, 'wets') >= 0;
        return (
          afterStep === null ||
          (lastTry(question, afterStep) >= 0 && lastTry(question, id) > lastTry(question, afterStep))
        );
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
 * A rung is for joints of its own: nothing is slotted, drilled, extracted or tightened first that has no thread, a cotter is
 * pressed first, a quill gets its oil from below too. Nothing hot follows penetrant before it is wiped off and aired.
 *
 * Units: money in minor units, minutes. Errors: a material or step that no table has. Source: the ladder's table, rules of
 * thumb. Never a step that is forbidden for either material: no warmth near carbon or where it would tighten the question, no
 * flame before penetrant is wiped and aired or near paint to keep, no ammonia near brass or bronze.
 * Example: an aluminium post in a steel frame is cooled, never heated.
 */
function run(question: Question): Stuck {
  const rungs = inOrder(rungsLeft({ ...question, tried: stillTold(question) }));
  const cheaper = Math.min(question.partValue, question.aroundValue);
  const leaving = Math.max(cheaper, LEAVING_SHARE * question.aroundValue);
  const plan = planFrom(rungs, leaving, doneBefore(question), isWet(question));
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
    reasons: reasonsFor(question, first, stop, rungs.length, chanceFree),
    rungs: picture(question, rungs, plan.order),
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
function stillTold(question: Question): Question['tried'] {
  const done = doneBefore(question);
  return question.tried.filter(({ step }) => done.has(step) || byStep.get(step)!.damageChance > 0);
}

function reasonsFor(
  question: Question,
  first: Rung | undefined,
  stop: boolean,
  left: number,
  chanceFree: number,
): string[] {
  const broken = [...new Set(question.tried.map((each) => each.step))]
    .map((id) => byStep.get(id)!)
    .flatMap((step) => {
      const why = whyNever(step, question);
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
      : question.partValue <= question.aroundValue
        ? 'Stop: going on costs more than leaving it or giving the part up.'
        : 'Stop: going on costs more than leaving it or giving up what is round it.',
    ...broken,
  ];
}

function picture(question: Question, left: Rung[], order: string[]): LadderRung[] {
  const open = new Map(left.map((rung) => [rung.step.id, rung]));
  return stuckSteps.map((step) => {
    const why = whyNever(step, question);
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
