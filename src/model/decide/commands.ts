import * as z from 'zod/mini';
import { defineCommand, put, remove, rowOf, work } from '../command';
import { id, inWriting } from '../fields';
import type { Bicycle } from '../record';
import { job } from './part';

const titleOf = (before: Bicycle, row: string) => rowOf(before.jobs, row)?.title ?? 'a job';

export const commands = [
  defineCommand({
    type: 'decideJob',
    schema: { job },
    apply: (bicycle, step) => put(bicycle.jobs, step.job),
    words: (step) => `${step.job.decision === 'keep' ? 'kept' : 'dropped'}: ${step.job.title}`,
  }),
  defineCommand({
    type: 'removeJob',
    schema: { job: id },
    apply: (bicycle, step) => remove(bicycle.jobs, step.job),
    words: (step, before) => `removed: ${titleOf(before, step.job)}`,
  }),
  defineCommand({
    type: 'approveJob',
    schema: { job: id, approval: job.shape.approval },
    apply(bicycle, { job: row, approval }) {
      const found = rowOf(bicycle.jobs, row);
      if (found) found.approval = approval;
    },
    words({ job: row, approval }, before) {
      const answer = approval ? (approval.answer === 'yes' ? 'approved' : 'declined') : 'not answered';
      return `${answer}: ${titleOf(before, row)}`;
    },
  }),
  defineCommand({
    type: 'finishJob',
    schema: { job: id, done: z.boolean() },
    apply(bicycle, { job: row, done }) {
      const found = rowOf(bicycle.jobs, row);
      if (found) found.done = done;
    },
    words: ({ job: row, done }, before) => `${done ? 'done' : 'not done'}: ${titleOf(before, row)}`,
    work({ job: row, done }, before) {
      const found = rowOf(before.jobs, row);
      if (!done || !found || found.done) return [];
      return [work(found.place, found.parts.high > 0 ? 'renewed' : 'adjusted', { job: found.id })];
    },
  }),
  /** A needed job left undone in writing; null takes the word back. */
  defineCommand({
    type: 'declineJob',
    schema: { job, declined: z.nullable(inWriting) },
    apply(bicycle, { job: row, declined }) {
      const known = rowOf(bicycle.jobs, row.id) ?? row;
      put(bicycle.jobs, { ...known, decision: declined ? 'drop' : known.decision, declined });
    },
    words: ({ job: row, declined }) => `${declined ? 'declined' : 'not declined'}: ${row.title}`,
  }),
] as const;
