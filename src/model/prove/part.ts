import * as z from 'zod/mini';
import { WAYS_OUT } from '../purposes';
import { at, type Held, id, inWriting, person, text } from '../fields';
import { rows } from '../leaf';

export const proofMark = z.strictObject({
  id,
  proof: id,
  passed: z.boolean(),
  how: text,
  at,
  by: z._default(person, ''),
  /** A noise or a slow gear that is known, not unsafe, and accepted in writing. */
  accepted: z._default(z.nullable(inWriting), null),
});
export type ProofMark = z.output<typeof proofMark>;

/**
 * The end of something unsafe that no later look brings: the part is gone, or a qualified person has cleared it. It ends
 * what was seen of the check until then; what is seen later stands by itself.
 */
export const ending = z.strictObject({
  id,
  check: id,
  how: z.enum(['removed', 'cleared']),
  by: person,
  on: z.iso.date(),
  /** What the qualified person wrote: a number, a report, where it lies. */
  paper: z.string().check(z.maxLength(500)),
  at,
});

/** A finding accepted as it is, where it stops, steers or carries; never an unsafe one. It holds for what was seen until then. */
export const acceptance = z.strictObject({ id, check: id, ...inWriting.shape, at });

export const WORKED_KINDS = ['set', 'adjusted', 'off', 'renewed'] as const;

/** What was worked on when; what was signed before it is asked for again. */
export const workedOn = z.strictObject({
  id,
  place: id,
  bolt: z.nullable(id),
  /** The job that it was, where it was one: what mends ends what was unsafe, once it is looked at again. */
  job: z.nullable(id),
  kind: z.enum(WORKED_KINDS),
  at,
});
export type WorkedOn = z.output<typeof workedOn>;

/** The two-minute list, gone through again. */
export const recheck = z.strictObject({ id, at, by: person });

/** How a bicycle went out: ready, as it is, or for its parts. */
export const wayOut = z.strictObject({
  id,
  way: z.enum(WAYS_OUT),
  at,
  by: person,
  /** Who took it. */
  to: z.string().check(z.maxLength(200)),
  /** When they were told what stands open. */
  toldOn: z.nullable(z.iso.date()),
  words: text,
  /** Packed for carriage: it was ready before, and the receiver puts the rest together. */
  packed: z.boolean(),
});
export type WayOut = z.output<typeof wayOut>;

/** What was proved, ended, accepted, worked on since, and how it went out. */
export const part = {
  proofs: rows(z.array(proofMark), { most: 5000, words: 'proofs', where: 'Prove', order: 'at' }),
  endings: rows(z.array(ending), { most: 2000, words: 'things ended', where: 'Prove' }),
  acceptances: rows(z.array(acceptance), { most: 2000, words: 'things accepted', where: 'Prove' }),
  worked: rows(z.array(workedOn), {
    most: 20_000,
    words: 'things worked on',
    where: 'the record',
    latest: 'a job is work for the change that finds it undone',
  }),
  rechecks: rows(z.array(recheck), { most: 1000, words: 'two-minute lists', where: 'Prove' }),
  waysOut: rows(z.array(wayOut), { most: 500, words: 'ways out', where: 'Hand over' }),
};

export const fresh = (): Held<typeof part> => ({
  proofs: [],
  endings: [],
  acceptances: [],
  worked: [],
  rechecks: [],
  waysOut: [],
});
