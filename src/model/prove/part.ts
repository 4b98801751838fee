import * as z from 'zod/mini';
import { SHIFTS_SAID } from '@/core/prove/shifting';
import { measuredStop } from '@/core/brakes/measuredStop';
import { WAYS_OUT } from '../purposes';
import { at, type Held, id, inWriting, person, text } from '../fields';
import { fields, rows } from '../leaf';

export const proofMark = z.strictObject({
  id,
  proof: id,
  passed: z.boolean(),
  how: text,
  at,
  by: z._default(person, ''),
  /** A noise or a slow gear that is known, not unsafe, and accepted in writing. */
  accepted: z._default(z.nullable(inWriting), null),
  /** What whoever tried it wrote beside it. */
  note: z._default(text, ''),
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

/** What was read for a proof: how long a wheel spins, how far a lever travels, the pressure of a tyre. */
export const proofReading = z.strictObject({
  id,
  reading: id,
  when: z.enum(['before', 'after']),
  value: z.number().check(z.gte(0), z.lte(10_000)),
  at,
  by: person,
});
export type ProofReading = z.output<typeof proofReading>;

/** A stop that was measured: from a speed, over a distance. Evidence, and never asked for. */
export const stop = z.strictObject({ id, ...measuredStop.shape, at, by: person });
export type Stop = z.output<typeof stop>;

/** How one gear took under load: by ring, cog and the way that it was reached. */
export const shift = z.strictObject({ said: z.enum(SHIFTS_SAID), at, by: person });
export type Shift = z.output<typeof shift>;

export const SECOND_LOOKS = ['ten-minutes', 'fifty-km', 'sealant'] as const;
/** The look after ten minutes of riding, and the one after fifty kilometres: when it is due, and when it was done. */
export const secondLook = z.strictObject({
  id,
  of: z.enum(SECOND_LOOKS),
  dueOn: z.iso.date(),
  doneAt: z.nullable(at),
  by: person,
  words: text,
  at,
});
export type SecondLook = z.output<typeof secondLook>;

/**
 * The proof as a person signed it: every line of it in words, what was left and accepted, and a sum over all of that. What
 * the record says later is held against these lines.
 */
export const signedProof = z.strictObject({
  id,
  at,
  by: person,
  way: z.enum(WAYS_OUT),
  /** What was left as it is. */
  left: text,
  /** Who took in writing what is known, where something was. */
  accepted: z.nullable(inWriting),
  /** What a qualified person decided, and who. */
  qualified: text,
  lines: z
    .array(z.strictObject({ id: z.string().check(z.maxLength(120)), words: z.string().check(z.maxLength(600)) }))
    .check(z.maxLength(1000)),
  sum: z.string().check(z.regex(/^[0-9a-f]{64}$/)),
});
export type SignedProof = z.output<typeof signedProof>;

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
  proofReadings: rows(z.array(proofReading), { most: 3000, words: 'readings', where: 'Prove', order: 'at' }),
  stops: rows(z.array(stop), { most: 500, words: 'stops', where: 'Prove', order: 'at' }),
  shifts: fields(z.record(id, shift), { words: 'how a gear took' }),
  secondLooks: rows(z.array(secondLook), { most: 200, words: 'second looks', where: 'Prove', order: 'at' }),
  signed: rows(z.array(signedProof), { most: 50, words: 'signed proofs', where: 'Prove', order: 'at' }),
};

export const fresh = (): Held<typeof part> => ({
  proofs: [],
  endings: [],
  acceptances: [],
  worked: [],
  rechecks: [],
  waysOut: [],
  proofReadings: [],
  stops: [],
  shifts: {},
  secondLooks: [],
  signed: [],
});
