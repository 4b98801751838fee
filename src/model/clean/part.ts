import { z } from 'zod';
import { at, type Held, id, label, text } from '../fields';
import { fields, rows } from '../leaf';

export const timer = z.strictObject({
  id,
  label,
  place: id,
  startedAt: at,
  minutes: z.number().gt(0).max(10_080),
  maxMinutes: z.number().nullable(),
  next: text,
  endedAt: at.nullable(),
  /** The bath that it runs in, and the parts that lie there, each as place/part. */
  bath: id.nullable().default(null),
  parts: z.array(z.string().max(130)).max(1000).default([]),
});
export type Timer = z.output<typeof timer>;

/** What is known of the frame's finish, and what was settled on. */
export const finish = z.strictObject({
  paint: z.enum(['sound', 'dull', 'scuffed', 'patina', 'flaking', 'bare', 'plated']).nullable(),
  hours: z.number().min(0).max(200).nullable(),
  treatment: id.nullable(),
});

/** What soaks, and the finish. */
export const part = {
  timers: rows(z.array(timer), { most: 5000, words: 'soaks', where: 'Clean', order: 'startedAt' }),
  finish: fields(finish, { words: 'the finish' }),
};

export const fresh = (): Held<typeof part> => ({ timers: [], finish: { paint: null, hours: null, treatment: null } });
