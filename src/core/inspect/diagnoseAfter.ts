import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { conclude, type Diagnosis } from './conclude';
import { complaintId, diagnosisFields, faultId } from './diagnosisQuestion';
import { besides } from './twoFaults';

const input = z.strictObject({
  ...diagnosisFields,
  still: z
    ._default(z.array(complaintId).check(z.maxLength(40)), [])
    .check(z.describe('complaints that stayed once the known faults were mended: these explain them no more')),
  known: z
    .array(faultId)
    .check(z.minLength(1), z.maxLength(6), z.describe('faults that are there, or were when the tests were made')),
});

/**
 * A second cause, after the first is known or mended: the odds of the other faults, and of `none`: nothing else is wrong,
 * at even odds before anything is heard. What is complained of or seen may come of a known fault, of the other one, or
 * shows anyhow: a complaint by the noisy-or 1 − (1 − p)(1 − q)/(1 − leak); the usual outcome of a test where neither brings
 * a sign, p₀·q₀/u₀, the signs sharing the rest by what each cause brings on top of the usual. So what the known faults
 * explain wholly says nothing of another, and what they leave open does. A complaint that stayed after they were mended
 * (`still`) is explained by none of them.
 *
 * Units: bits, minutes, shares. Errors: ids that inspect.knowledge does not list, no known fault. Source: Bayes' rule and
 * the noisy-or over the diagnosis tables. Example: it skips, the chain is worn → nothing else leads.
 */
export const inspectDiagnoseAfter = defineCalculator({
  id: 'inspect.diagnoseAfter',
  title: 'A second cause, after the first',
  example: {
    complaints: ['skips'],
    results: [{ test: 'chain-gauge', outcome: 'worn' }],
    known: ['chain-worn'],
  },
  input,
  run: ({ known, still, ...question }): Diagnosis => conclude(besides([...new Set(known)], still), question),
});
