import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { complaintLinks, diagnosisComplaints, diagnosisFaults, diagnosisTests, outcomeLinks } from './data/diagnosis';

/** A complaint that a fault is not known for is still made now and then. */
const COMPLAINT_DEFAULT = 0.01;

/** Legs, saddle, brakes, bars: what is changed on the road to place a noise. */
const NOISE_TESTS = ['noise-coast', 'standing', 'noise-brake', 'noise-bars'];

export interface KnownTest {
  id: string;
  label: string;
  place: string;
  minutes: number;
  how: string;
  outcomes: { id: string; label: string }[];
}

export interface Knowledge {
  complaints: { id: string; label: string }[];
  faults: { id: string; label: string; place: string; prior: number; unsafe: boolean }[];
  tests: KnownTest[];
  complaintGivenFault: { complaint: string; fault: string; p: number }[];
  complaintDefault: number;
  /** What is heard on the road, and the tests that place it by what changes it. */
  noises: { complaints: string[]; tests: string[] };
  outcomeGivenFault: { test: string; fault: string; outcome: string; p: number }[];
}

function chances(text: string): number[] {
  return text.split('|').map(Number);
}

function build(): Knowledge {
  const whole = diagnosisFaults.reduce((sum, fault) => sum + fault.weight, 0);
  const tests = diagnosisTests.map(({ id, label, place, minutes, how, outcomes }) => ({
    id,
    label,
    place,
    minutes,
    how,
    outcomes: outcomes.split('|').map((pair) => {
      const at = pair.indexOf(':');
      return { id: pair.slice(0, at), label: pair.slice(at + 1) };
    }),
  }));
  const linked = new Map(outcomeLinks.map((link) => [`${link.test} ${link.fault}`, chances(link.chances)]));
  const usual = new Map(diagnosisTests.map((test) => [test.id, chances(test.usual)]));
  return {
    complaints: diagnosisComplaints.map(({ id, label }) => ({ id, label })),
    faults: diagnosisFaults.map(({ id, label, place, weight, unsafe }) => ({
      id,
      label,
      place,
      prior: weight / whole,
      unsafe: unsafe === 'yes',
    })),
    tests,
    complaintGivenFault: complaintLinks.map(({ complaint, fault, p }) => ({ complaint, fault, p })),
    complaintDefault: COMPLAINT_DEFAULT,
    noises: {
      complaints: diagnosisComplaints.flatMap(({ id, noise }) => (noise ? [id] : [])),
      tests: NOISE_TESTS,
    },
    outcomeGivenFault: tests.flatMap((test) =>
      diagnosisFaults.flatMap((fault) => {
        const each = linked.get(`${test.id} ${fault.id}`) ?? usual.get(test.id)!;
        return test.outcomes.map((outcome, i) => ({
          test: test.id,
          fault: fault.id,
          outcome: outcome.id,
          p: each[i]!,
        }));
      }),
    ),
  };
}

/** All that the diagnosis believes, made once from its tables. */
export const knowledge: Knowledge = build();

/**
 * All that the diagnosis believes: complaints, faults with how often they are met, tests with what they take, and the
 * chances that tie them. Priors and the outcomes of a test for a fault sum to one.
 *
 * Units: minutes, shares. Errors: none. Source: the five diagnosis tables, workshop consensus.
 * Example: `{}` gives every table as the diagnosis reads it.
 */
export const inspectKnowledge = defineCalculator({
  id: 'inspect.knowledge',
  title: 'What the diagnosis believes',
  example: {},
  input: z.strictObject({}),
  run: () => knowledge,
});
