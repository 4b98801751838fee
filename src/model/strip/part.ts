import * as z from 'zod/mini';
import { minorUnits } from '@/core/fields';
import { at, id, label } from '../fields';
import { fields, rows, set } from '../leaf';
import { newTray } from './fresh';

export const PART_MARKS = ['missing', 'wrong', 'worn'] as const;
export type PartMark = (typeof PART_MARKS)[number];
/** What became of a part that does not go back in. */
export const PART_FATES = ['stock', 'scrap'] as const;
export type PartFate = (typeof PART_FATES)[number];
export const soil = z.enum(['oil', 'old-grease', 'mud', 'rust']);

/** A part that no template has, as it was found on this bicycle. */
export const extraPart = z.strictObject({ id, label, side: z.nullable(z.enum(['left', 'right'])) });

export const tray = z.strictObject({
  place: id,
  /** The assembly that was found there; null for the one that is usual for the bicycle. */
  assembly: z.nullable(id),
  doneSteps: set(z.array(id)),
  /** The parts that came off, each with its place in the order in which they did. */
  off: fields(z.record(id, z.number().check(z.multipleOf(1), z.gte(1), z.lte(1_000_000))), {
    latest: 'parts that come off in two places at once lie in the order in which that is heard of',
  }),
  backIn: set(z.array(id)),
  extra: rows(z.array(extraPart), { most: 200, words: 'parts that no template has', where: 'Strip' }),
  marks: fields(z.record(id, z.enum(PART_MARKS))),
  /** Parts that have been cleaned since they came off. */
  cleaned: set(z.array(id).check(z.maxLength(1000))),
  /** Whether a part is hardened, as far as it was asked: what is hardened never meets acid. */
  hardened: fields(z.record(id, z.boolean())),
  /** Parts that are left off on purpose: their slot is closed. */
  leftOff: set(z.array(id).check(z.maxLength(1000))),
  /** Parts that are not kept for this bicycle. */
  fates: fields(z.record(id, z.enum(PART_FATES))),
  soils: fields(z.record(id, soil)),
});
export type Tray = z.output<typeof tray>;

/** Something that will not move: what it is made of, what was tried, how it ended. */
export const seized = z.strictObject({
  id,
  place: id,
  part: label,
  partMaterial: label,
  aroundMaterial: label,
  paintMatters: z.boolean(),
  partValue: minorUnits,
  aroundValue: minorUnits,
  tried: z
    .array(z.strictObject({ step: id, soakMinutes: z.number().check(z.gte(0), z.lte(100_000)), at }))
    .check(z.maxLength(500)),
  ended: z.nullable(z.strictObject({ how: z.enum(['freed', 'left']), at })),
});
export type Seized = z.output<typeof seized>;

/** A trick found the hard way, pinned to a step of an assembly; it is shown on the next bicycle that has one. */
export const trick = z.strictObject({
  id,
  assembly: id,
  step: id,
  text: z.string().check(z.minLength(1), z.maxLength(300)),
  at,
});

/** What came off, in its trays, and what would not. */
export const part = {
  trays: fields(z.array(tray), { by: 'place', fresh: newTray, most: 200, words: 'trays', where: 'Strip' }),
  seized: rows(z.array(seized), { most: 200, words: 'stuck parts', where: 'Strip' }),
  tricks: rows(z.array(trick), { most: 500, words: 'tricks', where: 'Strip' }),
};
