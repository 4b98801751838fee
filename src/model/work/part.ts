import { z } from 'zod';
import { at, type Held, id, label, text } from '../fields';
import { STAGES } from '../stages';

export const minutesEntry = z.strictObject({
  id,
  stage: z.enum(STAGES),
  minutes: z.number().gt(0).max(10_080),
  at,
  /** The place that was worked on, where the bench knew it. */
  place: id.nullable(),
});

/** A typed or spoken remark; `sound` names the recording that lies beside the record. */
export const note = z.strictObject({
  id,
  place: id.nullable(),
  text,
  sound: id.nullable(),
  at,
  withdrawn: z.boolean().default(false),
});
export type Note = z.output<typeof note>;

/** Something that has been ordered and is waited for. */
export const delivery = z.strictObject({
  id,
  label,
  dueOn: z.iso.date().nullable(),
  arrivedAt: at.nullable(),
});
export type Delivery = z.output<typeof delivery>;

/** What the bench can take a person through, one step at a time. */
export const BENCH_TASKS = ['look-over', 'jobs', 'strip', 'overhaul', 'put-back', 'torque', 'prove'] as const;
export type BenchTask = (typeof BENCH_TASKS)[number];

export const benchPosition = z.strictObject({ place: id, task: z.enum(BENCH_TASKS), step: id });

export const photo = z.strictObject({ id, step: id, place: id, at });

/** Hours, and what is put down beside the work. */
export const part = {
  minutes: z.array(minutesEntry),
  clock: z.strictObject({ id, startedAt: at, activeAt: at, stage: z.enum(STAGES), place: id.nullable() }).nullable(),
  /** Where the bench stood last, so that it opens there again. */
  bench: benchPosition.nullable(),
  photos: z.array(photo),
  notes: z.array(note),
  deliveries: z.array(delivery),
};

export const fresh = (): Held<typeof part> => ({
  minutes: [],
  clock: null,
  bench: null,
  photos: [],
  notes: [],
  deliveries: [],
});
