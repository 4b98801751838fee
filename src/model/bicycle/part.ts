import { z } from 'zod';
import { bicycleKind, BRIEFS } from '@/core/bicycle';
import { CONVENTIONS } from '@/core/buy/conventions';
import { at, label, text } from '../fields';
import { fields, value } from '../leaf';

export const PURPOSES = ['sale', 'save', 'keeper', 'customer'] as const;
export type Purpose = (typeof PURPOSES)[number];

/** Where it came from, for the second-hand rules of the place. */
export const provenance = z.strictObject({
  serial: z.string().max(120),
  seller: z.string().max(200),
  proof: z.enum(['seen', 'asked', 'none']).nullable(),
});

export const frameSize = z.strictObject({
  sizeMm: z.number().min(250).max(720).nullable(),
  convention: z.enum(CONVENTIONS),
  standoverMm: z.number().min(300).max(1000).nullable(),
  use: z.enum(['road', 'touring', 'city', 'mountain', 'small-wheel']),
});

/** How it will be ridden: what an interval of service follows from. */
export const riding = z.strictObject({
  use: z.enum(['dry', 'mixed', 'wet']),
  hoursPerWeek: z.number().min(0).max(168),
  jetWashed: z.boolean(),
});

/** The drive of an electric bicycle, as it is declared: it is sold without, or referred to whoever may work on it. */
export const electricDrive = z.strictObject({
  motor: z.enum(['front-hub', 'rear-hub', 'mid']).nullable(),
  battery: z.enum(['sound', 'weak', 'damaged', 'missing']).nullable(),
  key: z.enum(['here', 'missing']).nullable(),
  charger: z.enum(['here', 'missing']).nullable(),
  faults: text,
  way: z.enum(['without-drive', 'referred']).nullable(),
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
  customer: value(z.string().max(200), { words: 'whose it is' }),
  provenance: fields(provenance, { words: 'its papers' }),
  size: fields(frameSize, { words: 'its size' }),
  riding: fields(riding, { words: 'how it is ridden' }),
  electricDrive: fields(electricDrive, { words: 'its electric drive' }),
  archivedAt: value(at.nullable(), { words: 'whether it is put away' }),
};
