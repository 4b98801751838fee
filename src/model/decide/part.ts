import { z } from 'zod';
import { minorUnits, orderedRange, workMinutes } from '@/core/fields';
import { at, type Held, id, inWriting, label, text } from '../fields';
import { rows } from '../leaf';

export const job = z.strictObject({
  id,
  rule: id.nullable(),
  title: label,
  place: id,
  minutes: orderedRange(workMinutes),
  parts: orderedRange(minorUnits),
  decision: z.enum(['keep', 'drop']),
  reason: text.default(''),
  done: z.boolean().default(false),
  /** The owner's word on it, where the bicycle is a customer's. */
  approval: z.strictObject({ answer: z.enum(['yes', 'no']), words: text, at }).nullable(),
  /** Left undone in writing, by whom and when. */
  declined: inWriting.nullable().default(null),
});
export type Job = z.output<typeof job>;

/** What is done and what is left. */
export const part = { jobs: rows(z.array(job), { most: 2000, words: 'jobs', where: 'Decide' }) };

export const fresh = (): Held<typeof part> => ({ jobs: [] });
