import { atLeast } from '../numbers';
import { row, type WorkingRow } from '../verdict';
import type { DiagnosisQuestion } from './diagnosisQuestion';
import type { Hypotheses } from './hypotheses';
import { knowledge } from './knowledge';

const SETTLED_FROM = 0.9;
/** Where answers may be misread no number of them reaches as far, and less is settled. */
const SETTLED_FROM_BLURRED = 0.8;
/** From this share on a leading fault that throws riders keeps the bicycle off the road. */
const UNSAFE_FROM = 0.3;
const LEAST_BITS = 0.001;
/** Under this a test takes longer than what it tells is worth: without it half the minutes go into the last hundredth. */
const WORTH_BITS_PER_MINUTE = 0.004;
/** Where answers may be misread a slow test tells less than it promises, and testing ends sooner. */
const WORTH_BLURRED = 0.008;

export interface Diagnosis {
  faults: { id: string; probability: number }[];
  next: { test: string; minutes: number; informationBits: number; bitsPerMinute: number }[];
  settled: boolean;
  /** Nothing that is left tells enough for the minutes that it takes: what leads is the answer, with its doubt. */
  enough: boolean;
  /** Whether what leads throws riders and is likely enough to keep the bicycle off the road. */
  unsafe: boolean;
  verdict: 'settled' | 'keep-testing' | 'cannot-tell';
  reasons: string[];
  working: WorkingRow[];
  /** Why the first test of `next` is advised, and what the last answers did, in words. */
  why: string | null;
}

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

function percent(p: number): string {
  return p > 0.995 ? 'over 99 %' : p < 0.01 ? 'under 1 %' : `${Math.round(p * 100)} %`;
}

/** Which result pushed a fault down or up most, as a sentence: "the chain is sound" is why it is out. */
function effects({ faults, tests }: Hypotheses, results: Map<string, string>, belief: Float64Array): string[] {
  const leader = belief.indexOf(Math.max(...belief));
  const words: string[] = [];
  for (const [test, outcome] of results) {
    const { outcomes, chances } = tests.get(test)!;
    const likelihood = chances[outcomes.indexOf(outcome)]!;
    const known = knowledge.tests.find((each) => each.id === test)!;
    const shown = known.outcomes.find((each) => each.id === outcome)!.label.toLowerCase();
    const ruledOut = faults.filter((_, i) => likelihood[i]! <= 0.1).map((fault) => fault.label.toLowerCase());
    const speaksFor = likelihood[leader]! >= 0.5 && likelihood.filter((p) => p >= 0.5).length <= 6;
    if (speaksFor) words.push(`${known.label}: ${shown}, which speaks for ${faults[leader]!.label.toLowerCase()}.`);
    else if (ruledOut.length > 0 && ruledOut.length <= 3)
      words.push(`${known.label}: ${shown}, which speaks against ${ruledOut.join(' and ')}.`);
  }
  return words;
}

/** Which of the leading faults a test tells apart, in words. */
function whyTest({ faults, tests }: Hypotheses, test: string, belief: Float64Array): string {
  const { chances, outcomes } = tests.get(test)!;
  const known = knowledge.tests.find((each) => each.id === test)!;
  const leaders = [...belief.keys()].filter((i) => belief[i]! > 0.02);
  const split = outcomes
    .map((outcome, o) => ({
      outcome: known.outcomes.find((each) => each.id === outcome)!.label.toLowerCase(),
      faults: leaders
        .filter((i) => chances[o]![i]! >= 0.6 && chances.every((other) => chances[o]![i]! >= other[i]!))
        .map((i) => faults[i]!.label.toLowerCase()),
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

/** What the complaints and results say of the hypotheses: the odds, the next test by its bits a minute, and why. */
export function conclude(of: Hypotheses, { complaints, results, unavailable, blur }: DiagnosisQuestion): Diagnosis {
  let belief = of.priors;
  for (const complaint of new Set(complaints)) belief = times(belief, of.complaints.get(complaint)!);
  const last = new Map(results.map(({ test, outcome }) => [test, outcome]));
  const trust = new Map(results.map((each) => [each.test, each.blur ?? blur]));
  for (const [test, outcome] of last) {
    const { outcomes, chances } = of.tests.get(test)!;
    belief = times(belief, blurred(chances[outcomes.indexOf(outcome)]!, outcomes.length, trust.get(test)!));
  }
  const out = new Set([...last.keys(), ...unavailable]);
  const next = knowledge.tests
    .filter((test) => !out.has(test.id))
    .map((test) => {
      const informationBits = expectedBits(belief, of.tests.get(test.id)!.chances, blur);
      return { test: test.id, minutes: test.minutes, informationBits, bitsPerMinute: informationBits / test.minutes };
    })
    .filter((each) => atLeast(each.informationBits, LEAST_BITS))
    .sort((a, b) => b.bitsPerMinute - a.bitsPerMinute || (a.test < b.test ? -1 : 1));
  const labelOf = (id: string) => of.faults.find((each) => each.id === id)!.label;
  const faults = of.faults
    .map((fault, i) => ({ id: fault.id, probability: belief[i]! }))
    .sort((a, b) => b.probability - a.probability || (a.id < b.id ? -1 : 1));
  const [first, second] = faults as [(typeof faults)[0], (typeof faults)[0]];
  const settledFrom = blur > 0 ? SETTLED_FROM_BLURRED : SETTLED_FROM;
  const settled = atLeast(first.probability, settledFrom);
  const verdict = settled ? 'settled' : next.length === 0 ? 'cannot-tell' : 'keep-testing';
  const worth = blur > 0 ? WORTH_BLURRED : WORTH_BITS_PER_MINUTE;
  const enough = settled || next.every((each) => !atLeast(each.bitsPerMinute, worth));
  const unsafe = of.faults.find((fault) => fault.id === first.id)!.unsafe && atLeast(first.probability, UNSAFE_FROM);
  const reasons = {
    settled: [`${labelOf(first.id)}: ${percent(first.probability)}.`],
    'keep-testing': [
      `${labelOf(first.id)} leads with ${percent(first.probability)}, then ${labelOf(second.id).toLowerCase()} with ${percent(second.probability)}.`,
    ],
    'cannot-tell': [
      `No test that is left moves the odds; ${labelOf(first.id).toLowerCase()} is likeliest with ${percent(first.probability)}.`,
    ],
  }[verdict];
  if (verdict === 'keep-testing' && enough)
    reasons.push('What is left to test takes long and tells little: what leads is the answer, with its doubt.');
  if (unsafe) reasons.push('Unsafe: not to be ridden until it is put right or ruled out.');
  reasons.push(...effects(of, last, belief));
  return {
    faults,
    next,
    settled,
    enough,
    unsafe,
    verdict,
    reasons,
    working: [
      row('H', 'doubt left', Math.round(entropyBits(belief) * 1000) / 1000, 'bit'),
      row('P1', labelOf(first.id), Math.round(first.probability * 1000) / 10, '%'),
      row('P2', labelOf(second.id), Math.round(second.probability * 1000) / 10, '%'),
      row('s', 'settled from', settledFrom * 100, '%'),
    ],
    why: next[0] ? whyTest(of, next[0].test, belief) : null,
  };
}
