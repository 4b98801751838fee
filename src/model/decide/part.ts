import * as z from 'zod/mini';
import { minorUnits, orderedRange, workMinutes } from '@/core/fields';
import { at, type Held, id, inWriting, label, text } from '../fields';
import { rows } from '../leaf';

export const job = z.strictObject({
  id,
  rule: z.nullable(id),
  title: label,
  place: id,
  minutes: orderedRange(workMinutes),
  parts: orderedRange(minorUnits),
  decision: z.enum(['keep', 'drop']),
  reason: z._default(text, ''),
  done: z._default(z.boolean(), false),
  /** The owner's word on it, where the bicycle is a customer's. */
  approval: z.nullable(z.strictObject({ answer: z.enum(['yes', 'no']), words: text, at })),
  /** Left undone in writing, by whom and when. */
  declined: z._default(z.nullable(inWriting), null),
});
export type Job = z.output<typeof job>;

/** What is done and what is left. */
export const part = { jobs: rows(z.array(job), { most: 2000, words: 'jobs', where: 'Decide' }) };

export const fresh = (): Held<typeof part> => ({ jobs: [] });
