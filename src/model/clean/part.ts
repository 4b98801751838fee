import * as z from 'zod/mini';
import { at, type Held, id, label, text } from '../fields';
import { fields, rows } from '../leaf';

export const timer = z.strictObject({
  id,
  label,
  place: id,
  startedAt: at,
  minutes: z.number().check(z.gt(0), z.lte(10_080)),
  maxMinutes: z.nullable(z.number()),
  next: text,
  endedAt: z.nullable(at),
  /** The bath that it runs in, and the parts that lie there, each as place/part. */
  bath: z._default(z.nullable(id), null),
  parts: z._default(z.array(z.string().check(z.maxLength(130))).check(z.maxLength(1000)), []),
});
export type Timer = z.output<typeof timer>;

/** What is known of the frame's finish, and what was settled on. */
export const finish = z.strictObject({
  paint: z.nullable(z.enum(['sound', 'dull', 'scuffed', 'patina', 'flaking', 'bare', 'plated'])),
  hours: z.nullable(z.number().check(z.gte(0), z.lte(200))),
  treatment: z.nullable(id),
});

/** What soaks, and the finish. */
export const part = {
  timers: rows(z.array(timer), { most: 5000, words: 'soaks', where: 'Clean', order: 'startedAt' }),
  finish: fields(finish, { words: 'the finish' }),
};

export const fresh = (): Held<typeof part> => ({ timers: [], finish: { paint: null, hours: null, treatment: null } });
