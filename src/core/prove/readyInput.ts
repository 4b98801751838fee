import { z } from 'zod';
import { STATES } from '../vocabulary/vocabulary';

z.config({ jitless: true });

const id = z.string().min(1).max(120);
const label = z.string().min(1).max(300);
const place = z.string().min(1).max(64);
const person = z.string().max(120);
const day = z.iso.date();
const moment = z.iso.datetime().describe('UTC, such as 2026-11-27T14:05:00Z');
const flag = z.boolean().default(false);
/** Longer than any bicycle has of anything. */
const MOST = 1000;
const count = z.number().multipleOf(1).min(0).max(MOST).default(0);
const list = <Row extends z.ZodType>(row: Row) => z.array(row).max(MOST).default([]);

const accepted = z.strictObject({ by: person, on: day, words: z.string().max(2000) });

/** How something unsafe comes to an end. Undo is no way: it withdraws what was entered by mistake. */
export const ENDS = ['mended', 're-read', 'removed', 'cleared'] as const;

const finding = z.strictObject({
  id,
  label,
  place,
  state: z.enum(STATES),
  safety: flag,
  ended: z.strictObject({ how: z.enum(ENDS), by: person, on: day, paper: z.string().max(500).optional() }).optional(),
  again: flag.describe('seen before it was cleaned'),
  accepted: accepted.optional(),
});

const tray = z.strictObject({
  id,
  label,
  place,
  out: count,
  missing: count,
  inBath: count,
  loose: flag.describe('together only for now'),
  leftOff: list(z.strictObject({ id, label, safety: flag })).describe('on purpose; never counted in out'),
});

const bolt = z.strictObject({
  id,
  label,
  place,
  safety: flag,
  second: flag.describe('brakes and steering: signed by another person where the house rule asks'),
  wrenchAsked: flag,
  minNm: z.number().min(0).max(500).nullable().default(null),
  maxNm: z.number().min(0).max(500).nullable().default(null),
  partOut: flag,
  doneBy: person.optional(),
  signed: z
    .strictObject({
      how: z.enum(['wrench', 'feel']),
      valueNm: z.number().min(0).max(500).nullable().default(null),
      holdTest: flag,
      at: moment,
      by: person,
    })
    .optional(),
});

const proof = z.strictObject({
  id,
  label,
  kind: z.enum(['stand', 'ride']),
  safety: flag,
  second: flag,
  leansOn: list(place),
  doneBy: person.optional(),
  result: z.enum(['passed', 'failed']).nullable().default(null),
  at: moment.optional(),
  by: person.optional(),
  accepted: accepted.optional(),
});

export const CHANGES = ['set', 'adjusted', 'off', 'renewed'] as const;

/** What the law asks: lists default to nothing, a flag that is false may be left out. */
export const readyInput = z.strictObject({
  today: day,
  rules: z.strictObject({ wrenchEverywhere: flag, secondEyes: flag }).prefault({}),
  findings: list(finding),
  unlooked: list(z.strictObject({ id, label, place, safety: flag })),
  trays: list(tray),
  complaints: list(z.strictObject({ id, label, unsafe: flag })),
  jobs: list(z.strictObject({ id, label, needed: flag, unsafe: flag, done: flag, declined: accepted.optional() })),
  bearings: list(z.strictObject({ id, label, opened: flag, closed: flag, after: flag })),
  bolts: list(bolt),
  proofs: list(proof),
  changes: z
    .array(z.strictObject({ place, bolt: id.optional(), kind: z.enum(CHANGES), at: moment }))
    .max(20_000)
    .default([]),
  recheck: z.strictObject({ at: moment, by: person }).optional().describe('the two-minute list'),
});
export type ReadyQuestion = z.output<typeof readyInput>;
/** The question as a caller may write it. */
export type ReadyAsked = z.input<typeof readyInput>;
