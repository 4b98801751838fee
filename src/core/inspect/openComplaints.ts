import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { conclude } from './conclude';
import { inspectDiagnose } from './diagnose';
import { faultId } from './diagnosisQuestion';
import { singleFaults } from './hypotheses';
import { besides } from './twoFaults';
import { knowledge } from './knowledge';

const input = z.strictObject({
  complaints: z
    .array(
      z.strictObject({
        id: z.string().check(z.maxLength(64)),
        question: inspectDiagnose.input,
        told: z.optional(inspectDiagnose.input),
        known: z
          ._default(z.array(faultId).check(z.maxLength(6)), [])
          .check(z.describe('found and mended while it stayed')),
      }),
    )
    .check(z.maxLength(40)),
});

export interface OpenComplaints {
  open: { id: string; said: string; fault: string; leads: string; probability: number; unsafe: boolean }[];
}

/**
 * What stands open of what the rider said: the fault that leads each complaint, and whether it is one that throws riders.
 *
 * What was found and mended while the complaint stayed is `known`: the rest is weighed beside it, and `none` may lead.
 *
 * `told` is the complaint with the tests that were made for it and nothing else: what was found to be in order before the rider
 * spoke does not make an unsafe complaint safe, only a test for it does.
 *
 * Units: shares. Errors: those of `inspect.diagnose`. Source: `inspect.diagnose`.
 * Example: "slips on starting off", not settled → the pawls lead, unsafe.
 */
function run({ complaints }: z.output<typeof input>): OpenComplaints {
  return {
    open: complaints.map(({ id, question, told, known }) => {
      const hypotheses = known.length === 0 ? singleFaults : besides(known, question.complaints);
      const { faults, unsafe } = conclude(hypotheses, question);
      const [first] = faults;
      const fault = hypotheses.faults.find((each) => each.id === first!.id)!;
      return {
        id,
        said: question.complaints.map((each) => knowledge.complaints.find((one) => one.id === each)!.label).join('; '),
        fault: fault.id,
        leads: fault.label,
        probability: first!.probability,
        // What throws riders is over when the complaint is closed, and not when somebody says that it was mended.
        unsafe:
          unsafe ||
          known.some((each) => knowledge.faults.some((row) => row.id === each && row.unsafe)) ||
          (told !== undefined && conclude(hypotheses, told).unsafe),
      };
    }),
  };
}

export const inspectOpenComplaints = defineCalculator({
  id: 'inspect.openComplaints',
  title: 'Complaints that stand open',
  example: { complaints: [{ id: 'c1', question: { complaints: ['creak'], results: [] } }] },
  input,
  run,
});
