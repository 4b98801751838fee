import { z } from 'zod';
import { evidence } from '@/core/inspect/evidence';
import { SEEN_AS } from '@/core/inspect/seenAs';
import { at, type Held, id, text } from '../fields';
import { append, rows, value } from '../leaf';

export const observation = z.strictObject({
  id,
  check: id,
  at,
  evidence,
  /** How far the bicycle was when it was seen. */
  seenAs: z.enum(SEEN_AS),
  note: text.default(''),
  withdrawn: z.boolean().default(false),
});
export type Observation = z.output<typeof observation>;

/** A rider's complaint and the tests made to find its cause. */
export const complaint = z.strictObject({
  id,
  complaints: z.array(id).min(1).max(10),
  results: z.array(z.strictObject({ test: id, outcome: id, at })).max(200),
  unavailable: z.array(id).max(200),
  closedAt: at.nullable(),
});
export type Complaint = z.output<typeof complaint>;

/** What was seen and what the rider says. */
export const part = {
  /** How far it is, for what is seen from now on. */
  seenAs: value(z.enum(SEEN_AS), { words: 'how far it is' }),
  observations: append(z.array(observation), { most: 20_000, words: 'findings', where: 'Look over', order: 'at' }),
  complaints: rows(z.array(complaint), { most: 200, words: 'complaints', where: 'Look over' }),
};

export const fresh = (): Held<typeof part> => ({ seenAs: 'bought', observations: [], complaints: [] });
