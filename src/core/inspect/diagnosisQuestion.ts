import * as z from 'zod/mini';
import { rule } from '../calculator';
import { knowledge } from './knowledge';

z.config({ jitless: true });

const outcomesOf = (test: string) => knowledge.tests.find((each) => each.id === test)?.outcomes ?? [];

const unknown = (what: string) => (issue: { input?: unknown }) =>
  `no ${what} is called "${String(issue.input)}"; inspect.knowledge lists them`;

export const complaintId = z.string().check(
  z.maxLength(60),
  z.refine((id) => knowledge.complaints.some((each) => each.id === id), { error: unknown('complaint') }),
);
const testId = z.string().check(
  z.maxLength(60),
  z.refine((id) => knowledge.tests.some((each) => each.id === id), { error: unknown('test') }),
);

export const faultId = z.string().check(
  z.maxLength(60),
  z.refine((id) => knowledge.faults.some((each) => each.id === id), {
    error: (issue) => `no fault is called "${String(issue.input)}"; inspect.knowledge lists them`,
  }),
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

/** What every question of the diagnosis is made of. */
export const diagnosisFields = {
  complaints: z.array(complaintId).check(z.maxLength(40)),
  results: z.array(result).check(z.maxLength(200), z.describe('a test named twice: the last counts')),
  unavailable: z._default(z.array(testId).check(z.maxLength(200)), []),
  blur: z
    ._default(share, 0)
    .check(z.describe('share of answers that may be any outcome; a result may carry one of its own')),
};
export interface DiagnosisQuestion {
  complaints: string[];
  results: { test: string; outcome: string; blur?: number | undefined }[];
  unavailable: string[];
  blur: number;
}
