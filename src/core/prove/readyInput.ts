import * as z from 'zod/mini';
import { STATES } from '../vocabulary/vocabulary';

z.config({ jitless: true });

const id = z.string().check(z.minLength(1), z.maxLength(120));
const label = z.string().check(z.minLength(1), z.maxLength(300));
const place = z.string().check(z.minLength(1), z.maxLength(64));
const person = z.string().check(z.maxLength(120));
const day = z.iso.date();
const moment = z.iso
  .datetime({ offset: true })
  .check(
    z.describe('with its zone: 2026-11-27T14:05:00Z, or 2026-11-27T15:05:00+01:00 where days are counted on the wall'),
  );
const flag = z._default(z.boolean(), false);
/** Longer than any bicycle has of anything. */
const MOST = 1000;
const count = z._default(z.number().check(z.multipleOf(1), z.gte(0), z.lte(MOST)), 0);
const list = <Row extends z.ZodMiniType>(row: Row) => z._default(z.array(row).check(z.maxLength(MOST)), []);

const accepted = z.strictObject({ by: person, on: day, words: z.string().check(z.maxLength(2000)) });

/** How something unsafe comes to an end. Undo is no way: it withdraws what was entered by mistake. */
export const ENDS = ['mended', 're-read', 'removed', 'cleared'] as const;

const finding = z.strictObject({
  id,
  label,
  place,
  state: z.enum(STATES),
  safety: flag,
  ended: z.optional(
    z.strictObject({ how: z.enum(ENDS), by: person, on: day, paper: z.optional(z.string().check(z.maxLength(500))) }),
  ),
  again: flag.check(z.describe('seen before it was cleaned')),
  accepted: z.optional(accepted),
});

const tray = z.strictObject({
  id,
  label,
  place,
  out: count,
  missing: count,
  inBath: count,
  loose: flag.check(z.describe('together only for now')),
  leftOff: list(z.strictObject({ id, label, safety: flag })).check(z.describe('on purpose; never counted in out')),
});

const bolt = z.strictObject({
  id,
  label,
  place,
  safety: flag,
  second: flag.check(z.describe('brakes and steering: signed by another person where the house rule asks')),
  wrenchAsked: flag,
  minNm: z._default(z.nullable(z.number().check(z.gte(0), z.lte(500))), null),
  maxNm: z._default(z.nullable(z.number().check(z.gte(0), z.lte(500))), null),
  partOut: flag,
  doneBy: z.optional(person),
  signed: z.optional(
    z.strictObject({
      how: z.enum(['wrench', 'feel']),
      valueNm: z._default(z.nullable(z.number().check(z.gte(0), z.lte(500))), null),
      holdTest: flag,
      at: moment,
      by: person,
    }),
  ),
});

const proof = z.strictObject({
  id,
  label,
  kind: z.enum(['stand', 'ride']),
  safety: flag,
  second: flag,
  leansOn: list(place),
  doneBy: z.optional(person),
  result: z._default(z.nullable(z.enum(['passed', 'failed'])), null),
  at: z.optional(moment),
  by: z.optional(person),
  accepted: z.optional(accepted),
});

export const CHANGES = ['set', 'adjusted', 'off', 'renewed'] as const;

/** What the law asks: lists default to nothing, a flag that is false may be left out. */
export const readyInput = z.strictObject({
  today: day,
  rules: z.prefault(z.strictObject({ wrenchEverywhere: flag, secondEyes: flag }), {}),
  findings: list(finding),
  unlooked: list(z.strictObject({ id, label, place, safety: flag })),
  trays: list(tray),
  complaints: list(z.strictObject({ id, label, unsafe: flag })),
  jobs: list(z.strictObject({ id, label, needed: flag, unsafe: flag, done: flag, declined: z.optional(accepted) })),
  bearings: list(z.strictObject({ id, label, opened: flag, closed: flag, after: flag })),
  bolts: list(bolt),
  proofs: list(proof),
  changes: z._default(
    z
      .array(z.strictObject({ place, bolt: z.optional(id), kind: z.enum(CHANGES), at: moment }))
      .check(z.maxLength(20_000)),
    [],
  ),
  recheck: z.optional(z.strictObject({ at: moment, by: person })).check(z.describe('the two-minute list')),
});
export type ReadyQuestion = z.output<typeof readyInput>;
/** The question as a caller may write it. */
export type ReadyAsked = z.input<typeof readyInput>;
