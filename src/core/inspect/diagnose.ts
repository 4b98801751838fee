import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { conclude, type Diagnosis } from './conclude';
import { diagnosisFields } from './diagnosisQuestion';
import { singleFaults } from './hypotheses';

/**
 * From complaint to cause: one fault by Bayes' rule, tests independent given the fault, and the next test by expected
 * fall in entropy a minute. A complaint that is not named is no evidence; a test named twice counts as it came out last.
 * What was found by less than the test itself carries its doubt: p ← (1 − blur)·p + blur/outcomes.
 *
 * Units: bits, minutes, shares. Errors: complaints, tests or outcomes that inspect.knowledge does not list.
 * Source: Bayes' rule over the diagnosis tables; Shannon's entropy.
 * Example: late engagement, chain sound, cage slow to spring back → the derailleur pivot leads.
 */
export const inspectDiagnose = defineCalculator({
  id: 'inspect.diagnose',
  title: 'From complaint to cause',
  example: { complaints: ['creak'], results: [{ test: 'saddle-twist', outcome: 'quiet' }] },
  input: z.strictObject(diagnosisFields),
  run: (question): Diagnosis => conclude(singleFaults, question),
});
