import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { atLeast } from '../numbers';
import { row, type WorkingRow } from '../verdict';
import { knowledge, type Knowledge } from './knowledge';

const SETTLED_FROM = 0.9;
/** From this share on a leading fault that throws riders keeps the bicycle off the road. */
const UNSAFE_FROM = 0.3;
const LEAST_BITS = 0.001;

const outcomesOf = (test: string) => knowledge.tests.find((each) => each.id === test)?.outcomes ?? [];

const unknown = (what: string) => (issue: { input?: unknown }) =>
  `no ${what} is called "${String(issue.input)}"; inspect.knowledge lists them`;

const complaintId = z.string().check(
  z.maxLength(60),
  z.refine((id) => knowledge.complaints.some((each) => each.id === id), { error: unknown('complaint') }),
);
const testId = z.string().check(
  z.maxLength(60),
  z.refine((id) => knowledge.tests.some((each) => each.id === id), { error: unknown('test') }),
);

const share = z.number().check(z.gte(0), z.lte(1));

const result = rule(
  z.strictObject({ test: testId, outcome: z.string().check(z.maxLength(60)), blur: z.optional(share) }),
  ['outcome'],
  ({ test, outcome }) => outcomesOf(test).length === 0 || outcomesOf(test).some((each) => each.id === outcome),
  ({ test, outcome }) =>
    `"${test}" has no outcome "${outcome}"; choose one of ${outcomesOf(test)
      .map((each) => each.id)
      .join(', ')}`,
);

const input = z.strictObject({
  complaints: z.array(complaintId).check(z.maxLength(40)),
  results: z.array(result).check(z.maxLength(200), z.describe('a test named twice: the last counts')),
  unavailable: z._default(z.array(testId).check(z.maxLength(200)), []),
  blur: z
    ._default(share, 0)
    .check(z.describe('share of answers that may be any outcome; a result may carry one of its own')),
});
type Question = z.output<typeof input>;

export interface Diagnosis {
  faults: { id: string; probability: number }[];
  next: { test: string; minutes: number; informationBits: number; bitsPerMinute: number }[];
  settled: boolean;
  /** Whether what leads throws riders and is likely enough to keep the bicycle off the road. */
  unsafe: boolean;
  verdict: 'settled' | 'keep-testing' | 'cannot-tell';
  reasons: string[];
  working: WorkingRow[];
  /** Why the first test of `next` is advised, and what the last answers did, in words. */
  why: string | null;
}

interface Tables {
  priors: Float64Array;
  complaints: Map<string, Float64Array>;
  /** For each test, for each outcome, the chances over all faults. */
  tests: Map<string, { outcomes: string[]; chances: Float64Array[] }>;
}

/** The beliefs as dense rows, so that a step is arithmetic only. */
function tabulate(known: Knowledge): Tables {
  const at = new Map(known.faults.map((fault, i) => [fault.id, i]));
  const complaints = new Map(
    known.complaints.map(({ id }) => [id, new Float64Array(known.faults.length).fill(known.complaintDefault)]),
  );
  for (const { complaint, fault, p } of known.complaintGivenFault) complaints.get(complaint)![at.get(fault)!] = p;
  const tests = new Map(
    known.tests.map((test) => [
      test.id,
      {
        outcomes: test.outcomes.map((outcome) => outcome.id),
        chances: test.outcomes.map(() => new Float64Array(known.faults.length)),
      },
    ]),
  );
  for (const { test, fault, outcome, p } of known.outcomeGivenFault) {
    const found = tests.get(test)!;
    found.chances[found.outcomes.indexOf(outcome)]![at.get(fault)!] = p;
  }
  return { priors: Float64Array.from(known.faults, (fault) => fault.prior), complaints, tests };
}

const tables = tabulate(knowledge);

function times(belief: Float64Array, by: Float64Array): Float64Array {
  const next = belief.map((p, i) => p * by[i]!);
  const sum = next.reduce((total, p) => total + p, 0);
  return next.map((p) => p / sum);
}

/** Chances of one outcome where a share of the answers may be any: p ← (1 − blur)·p + blur/outcomes. */
function blurred(likelihood: Float64Array, outcomes: number, blur: number): Float64Array {
  return blur === 0 ? likelihood : likelihood.map((p) => (1 - blur) * p + blur / outcomes);
}

function entropyBits(belief: Float64Array): number {
  return -belief.reduce((sum, p) => (p > 0 ? sum + p * Math.log2(p) : sum), 0);
}

function expectedBits(belief: Float64Array, chances: Float64Array[], blur: number): number {
  const now = entropyBits(belief);
  let then = 0;
  for (const sharp of chances) {
    const likelihood = blurred(sharp, chances.length, blur);
    const chance = belief.reduce((sum, p, i) => sum + p * likelihood[i]!, 0);
    if (chance > 0) then += chance * entropyBits(times(belief, likelihood));
  }
  return Math.max(0, now - then);
}

function labelOf(fault: string): string {
  return knowledge.faults.find((each) => each.id === fault)!.label;
}

function percent(p: number): string {
  return p > 0.995 ? 'over 99 %' : p < 0.01 ? 'under 1 %' : `${Math.round(p * 100)} %`;
}

/** Which result pushed a fault down or up most, as a sentence: "the chain is sound" is why it is out. */
function effects(results: Map<string, string>, belief: Float64Array): string[] {
  const leader = belief.indexOf(Math.max(...belief));
  const words: string[] = [];
  for (const [test, outcome] of results) {
    const { outcomes, chances } = tables.tests.get(test)!;
    const likelihood = chances[outcomes.indexOf(outcome)]!;
    const known = knowledge.tests.find((each) => each.id === test)!;
    const shown = known.outcomes.find((each) => each.id === outcome)!.label.toLowerCase();
    const ruledOut = knowledge.faults.filter((_, i) => likelihood[i]! <= 0.1).map((fault) => fault.label.toLowerCase());
    const speaksFor = likelihood[leader]! >= 0.5 && likelihood.filter((p) => p >= 0.5).length <= 6;
    if (speaksFor)
      words.push(`${known.label}: ${shown}, which speaks for ${knowledge.faults[leader]!.label.toLowerCase()}.`);
    else if (ruledOut.length > 0 && ruledOut.length <= 3)
      words.push(`${known.label}: ${shown}, which speaks against ${ruledOut.join(' and ')}.`);
  }
  return words;
}

/** Which of the leading faults a test tells apart, in words. */
function whyTest(test: string, belief: Float64Array): string {
  const { chances, outcomes } = tables.tests.get(test)!;
  const known = knowledge.tests.find((each) => each.id === test)!;
  const leaders = [...belief.keys()].filter((i) => belief[i]! > 0.02);
  const split = outcomes
    .map((outcome, o) => ({
      outcome: known.outcomes.find((each) => each.id === outcome)!.label.toLowerCase(),
      faults: leaders
        .filter((i) => chances[o]![i]! >= 0.6 && chances.every((other) => chances[o]![i]! >= other[i]!))
        .map((i) => knowledge.faults[i]!.label.toLowerCase()),
    }))
    .filter((each) => each.faults.length > 0 && each.faults.length < leaders.length)
    .sort((a, b) => a.faults.length - b.faults.length)[0];
  const minutes =
    known.minutes < 1
      ? `${Math.round(known.minutes * 60)} seconds`
      : known.minutes === 1
        ? 'a minute'
        : `${known.minutes} minutes`;
  return split
    ? `It takes ${minutes}, and "${split.outcome}" would point at ${split.faults.slice(0, 2).join(' or ')}.`
    : `It takes ${minutes} and tells the likeliest causes apart.`;
}

/**
 * From complaint to cause: one fault by Bayes' rule, tests independent given the fault, and the next test by expected
 * fall in entropy a minute. A complaint that is not named is no evidence; a test named twice counts as it came out last.
 * What was found by less than the test itself carries its doubt: p ← (1 − blur)·p + blur/outcomes.
 *
 * Units: bits, minutes, shares. Errors: complaints, tests or outcomes that inspect.knowledge does not list.
 * Source: Bayes' rule over the diagnosis tables; Shannon's entropy.
 * Example: late engagement, chain sound, cage slow to spring back → the derailleur pivot leads.
 */
function run({ complaints, results, unavailable, blur }: Question): Diagnosis {
  let belief = tables.priors;
  for (const complaint of new Set(complaints)) belief = times(belief, tables.complaints.get(complaint)!);
  const last = new Map(results.map(({ test, outcome }) => [test, outcome]));
  const trust = new Map(results.map((each) => [each.test, each.blur ?? blur]));
  for (const [test, outcome] of last) {
    const { outcomes, chances } = tables.tests.get(test)!;
    belief = times(belief, blurred(chances[outcomes.indexOf(outcome)]!, outcomes.length, trust.get(test)!));
  }
  const out = new Set([...last.keys(), ...unavailable]);
  const next = knowledge.tests
    .filter((test) => !out.has(test.id))
    .map((test) => {
      const informationBits = expectedBits(belief, tables.tests.get(test.id)!.chances, blur);
      return { test: test.id, minutes: test.minutes, informationBits, bitsPerMinute: informationBits / test.minutes };
    })
    .filter((each) => atLeast(each.informationBits, LEAST_BITS))
    .sort((a, b) => b.bitsPerMinute - a.bitsPerMinute || (a.test < b.test ? -1 : 1));
  const faults = knowledge.faults
    .map((fault, i) => ({ id: fault.id, probability: belief[i]! }))
    .sort((a, b) => b.probability - a.probability || (a.id < b.id ? -1 : 1));
  const [first, second] = faults as [(typeof faults)[0], (typeof faults)[0]];
  const settled = atLeast(first.probability, SETTLED_FROM);
  const verdict = settled ? 'settled' : next.length === 0 ? 'cannot-tell' : 'keep-testing';
  const unsafe =
    knowledge.faults.find((fault) => fault.id === first.id)!.unsafe && atLeast(first.probability, UNSAFE_FROM);
  const reasons = {
    settled: [`${labelOf(first.id)}: ${percent(first.probability)}.`],
    'keep-testing': [
      `${labelOf(first.id)} leads with ${percent(first.probability)}, then ${labelOf(second.id).toLowerCase()} with ${percent(second.probability)}.`,
    ],
    'cannot-tell': [
      `No test that is left moves the odds; ${labelOf(first.id).toLowerCase()} is likeliest with ${percent(first.probability)}.`,
    ],
  }[verdict];
  if (unsafe) reasons.push('Unsafe: not to be ridden until it is put right or ruled out.');
  reasons.push(...effects(last, belief));
  return {
    faults,
    next,
    settled,
    unsafe,
    verdict,
    reasons,
    working: [
      row('H', 'doubt left', Math.round(entropyBits(belief) * 1000) / 1000, 'bit'),
      row('P1', labelOf(first.id), Math.round(first.probability * 1000) / 10, '%'),
      row('P2', labelOf(second.id), Math.round(second.probability * 1000) / 10, '%'),
      row('s', 'settled from', SETTLED_FROM * 100, '%'),
    ],
    why: next[0] ? whyTest(next[0].test, belief) : null,
  };
}

export const inspectDiagnose = defineCalculator({
  id: 'inspect.diagnose',
  title: 'From complaint to cause',
  example: { complaints: ['creak'], results: [{ test: 'saddle-twist', outcome: 'quiet' }] },
  input,
  run,
});
