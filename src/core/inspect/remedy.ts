import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import type { Range } from '../fields';
import { diagnosisFaults } from './data/diagnosis';

const input = z.strictObject({
  fault: z.string().check(
    z.maxLength(60),
    z.refine((id) => diagnosisFaults.some((each) => each.id === id), {
      error: (issue) => `no fault is called "${String(issue.input)}"; inspect.knowledge lists them`,
    }),
  ),
});

export interface Remedy {
  title: string;
  place: string;
  minutes: Range;
  parts: Range;
}

/**
 * What puts a fault of the diagnosis right: the job, its minutes and its parts.
 *
 * Units: minutes, minor units. Errors: a fault that inspect.knowledge does not list. Source: the table of faults.
 * Example: `pawls` → "Open, clean and grease the freehub, or renew it".
 */
function run({ fault }: z.output<typeof input>): Remedy {
  const row = diagnosisFaults.find((each) => each.id === fault)!;
  return {
    title: row.fix,
    place: row.place,
    minutes: { low: row.minutesLow, likely: row.minutesLikely, high: row.minutesHigh },
    parts: { low: row.partsLowMinor, likely: row.partsLikelyMinor, high: row.partsHighMinor },
  };
}

export const inspectRemedy = defineCalculator({
  id: 'inspect.remedy',
  title: 'What puts a fault right',
  example: { fault: 'pawls' },
  input,
  run,
});
