import * as z from 'zod/mini';
import { evidence } from '@/core/inspect/evidence';
import { MEANS, SEEN_AS } from '@/core/inspect/seenAs';
import { at, id, person, text, type Held } from '../fields';
import { append, rows, value } from '../leaf';
import { STAGES } from '../stages';

export const observation = z.strictObject({
  id,
  check: id,
  at,
  evidence,
  /** How far the bicycle was when it was seen. */
  seenAs: z.enum(SEEN_AS),
  note: z._default(text, ''),
  withdrawn: z._default(z.boolean(), false),
  /** At which stage it was seen, and by whom; nothing where nobody noted it. */
  stage: z.optional(z.enum(STAGES)),
  by: z.optional(person),
  /** How it was found out: told by somebody, by looking, by hand, by a reading. */
  how: z.optional(z.enum(['told', ...MEANS])),
});
export type Observation = z.output<typeof observation>;

/** A rider's complaint and the tests made to find its cause. */
export const complaint = z.strictObject({
  id,
  complaints: z.array(id).check(z.minLength(1), z.maxLength(10)),
  results: z.array(z.strictObject({ test: id, outcome: id, at, by: z.optional(person) })).check(z.maxLength(200)),
  unavailable: z.array(id).check(z.maxLength(200)),
  closedAt: z.nullable(at),
  /** Faults that were found and mended while it stayed: another is looked for beside them. */
  known: z._default(z.array(id).check(z.maxLength(6)), []),
});
export type Complaint = z.output<typeof complaint>;

/** A recall that was looked up: where, when, and what came of it. */
export const recall = z.strictObject({
  id,
  of: z.enum(['frame', 'fork', 'stem', 'crank', 'battery', 'other']),
  place: id,
  /** Where it was looked up. */
  where: z.string().check(z.maxLength(200)),
  on: z.iso.date(),
  result: z.enum(['none', 'recalled', 'remedied']),
  words: text,
  by: person,
  at,
});
export type Recall = z.output<typeof recall>;

export const ALIGNMENT_LINES = ['string', 'fork', 'dropouts', 'head-tube', 'hanger', 'pedal-threads'] as const;

/** Where each line of the alignment belongs. */
export const PLACE_OF_LINE: Record<(typeof ALIGNMENT_LINES)[number], string> = {
  string: 'frame',
  fork: 'fork',
  dropouts: 'frame',
  'head-tube': 'frame',
  hanger: 'hanger',
  'pedal-threads': 'crank.right',
};

/** One line of the alignment after a crash, as it was measured. */
export const alignment = z.strictObject({
  id,
  line: z.enum(ALIGNMENT_LINES),
  place: id,
  offMm: z.nullable(z.number().check(z.gte(-100), z.lte(100))),
  result: z.enum(['true', 'off']),
  /** It was bent back cold, which only steel takes. */
  coldSet: z.boolean(),
  words: text,
  by: person,
  at,
});

/** What was seen and what the rider says. */
export const part = {
  /** How far it is, for what is seen from now on. */
  seenAs: value(z.enum(SEEN_AS), { words: 'how far it is' }),
  observations: append(z.array(observation), { most: 20_000, words: 'findings', where: 'Look over', order: 'at' }),
  complaints: rows(z.array(complaint), { most: 200, words: 'complaints', where: 'Look over' }),
  recalls: rows(z.array(recall), { most: 500, words: 'recalls looked up', where: 'Look over', order: 'at' }),
  alignments: rows(z.array(alignment), { most: 500, words: 'lines of alignment', where: 'Look over', order: 'at' }),
};

export const fresh = (): Held<typeof part> => ({
  seenAs: 'bought',
  observations: [],
  complaints: [],
  recalls: [],
  alignments: [],
});
