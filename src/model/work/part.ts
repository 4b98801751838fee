import * as z from 'zod/mini';
import { at, id, label, person, text, type Held } from '../fields';
import { append, rows, value } from '../leaf';
import { STAGES } from '../stages';

export const minutesEntry = z.strictObject({
  id,
  stage: z.enum(STAGES),
  minutes: z.number().check(z.gt(0), z.lte(10_080)),
  at,
  /** The place that was worked on, where the bench knew it. */
  place: z.nullable(id),
  /** The job that it went on, and whose hands they were; nothing where nobody said. */
  job: z.optional(id),
  by: z.optional(person),
});

/** A typed or spoken remark; `sound` names the recording that lies beside the record. */
export const note = z.strictObject({
  id,
  place: z.nullable(id),
  text,
  sound: z.nullable(id),
  at,
  withdrawn: z._default(z.boolean(), false),
});
export type Note = z.output<typeof note>;

/** Something that has been ordered and is waited for. */
export const delivery = z.strictObject({
  id,
  label,
  dueOn: z.nullable(z.iso.date()),
  arrivedAt: z.nullable(at),
  /** The place that waits for it; null where it is of the bicycle as a whole. */
  place: z._default(z.nullable(id), null),
});

/** What the bench can take a person through, one step at a time. */
export const BENCH_TASKS = ['look-over', 'jobs', 'strip', 'overhaul', 'put-back', 'set-up', 'torque', 'prove'] as const;
export type BenchTask = (typeof BENCH_TASKS)[number];

export const benchPosition = z.strictObject({ place: id, task: z.enum(BENCH_TASKS), step: id });

export const photo = z.strictObject({ id, step: id, place: id, at });

/** What runs while somebody is at the bench. */
export const clock = z.strictObject({
  id,
  startedAt: at,
  activeAt: at,
  stage: z.enum(STAGES),
  place: z.nullable(id),
  job: z.optional(id),
  /** Since when it stands still, and how long it stood still before. */
  pausedAt: z.optional(at),
  pausedMinutes: z.optional(z.number().check(z.gte(0), z.lte(1_000_000))),
});

/** Hours, and what is put down beside the work. */
export const part = {
  minutes: rows(z.array(minutesEntry), { most: 10_000, words: 'times logged', where: 'Hand over', order: 'at' }),
  clock: value(z.nullable(clock), {
    words: 'the clock',
    latest: 'one clock runs, and it was started last',
    staysHere: true,
  }),
  /** Where the bench stood last, so that it opens there again. */
  bench: value(z.nullable(benchPosition), {
    words: 'the bench',
    latest: 'the bench opens where it stood last',
    staysHere: true,
  }),
  photos: rows(z.array(photo), { most: 3000, words: 'photographs', where: 'Strip', order: 'at' }),
  notes: append(z.array(note), { most: 5000, words: 'notes', where: 'its notes', order: 'at' }),
  deliveries: rows(z.array(delivery), { most: 1000, words: 'deliveries', where: 'the floor' }),
};

export const fresh = (): Held<typeof part> => ({
  minutes: [],
  clock: null,
  bench: null,
  photos: [],
  notes: [],
  deliveries: [],
});
