import * as z from 'zod/mini';
import { PURPOSES } from '../purposes';
import { bicycleKind, BRIEFS } from '@/core/bicycle';
import { USES } from '@/core/buy/saleStates';
import { CONVENTIONS } from '@/core/buy/conventions';
import { at, label, text } from '../fields';
import { fields, value } from '../leaf';

/** Where it came from, for the second-hand rules of the place. */
export const provenance = z.strictObject({
  serial: z.string().check(z.maxLength(120)),
  seller: z.string().check(z.maxLength(200)),
  proof: z.nullable(z.enum(['seen', 'asked', 'none'])),
});

export const frameSize = z.strictObject({
  sizeMm: z.nullable(z.number().check(z.gte(250), z.lte(720))),
  convention: z.enum(CONVENTIONS),
  standoverMm: z.nullable(z.number().check(z.gte(300), z.lte(1000))),
  use: z.enum(USES),
});

/** How it will be ridden: what an interval of service follows from. */
export const riding = z.strictObject({
  use: z.enum(['dry', 'mixed', 'wet']),
  hoursPerWeek: z.number().check(z.gte(0), z.lte(168)),
  jetWashed: z.boolean(),
});

/** The drive of an electric bicycle, as it is declared: it is sold without, or referred to whoever may work on it. */
export const electricDrive = z.strictObject({
  motor: z.nullable(z.enum(['front-hub', 'rear-hub', 'mid'])),
  battery: z.nullable(z.enum(['sound', 'weak', 'damaged', 'missing'])),
  key: z.nullable(z.enum(['here', 'missing'])),
  charger: z.nullable(z.enum(['here', 'missing'])),
  faults: text,
  way: z.nullable(z.enum(['without-drive', 'referred'])),
});

/** What a bicycle is, whose it is and what it is for. */
export const part = {
  name: value(label, { words: 'its name' }),
  note: value(text, { words: 'its note' }),
  kind: fields(bicycleKind, { words: 'what it is' }),
  brief: value(z.enum(BRIEFS), { words: 'the brief' }),
  /** What it is for: sold for profit, saved from the tip, kept, or a customer's own. */
  purpose: value(z.enum(PURPOSES), { words: 'what it is for' }),
  /** Whose it is, where it is a customer's. */
  customer: value(z.string().check(z.maxLength(200)), { words: 'whose it is' }),
  provenance: fields(provenance, { words: 'its papers' }),
  size: fields(frameSize, { words: 'its size' }),
  riding: fields(riding, { words: 'how it is ridden' }),
  electricDrive: fields(electricDrive, { words: 'its electric drive' }),
  archivedAt: value(z.nullable(at), { words: 'whether it is put away' }),
};
