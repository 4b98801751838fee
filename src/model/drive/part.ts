import * as z from 'zod/mini';
import { FEELS } from '@/core/drive/shifts';
import { at, id, person, type Held } from '../fields';
import { fields, rows } from '../leaf';

const tooth = z.number().check(z.multipleOf(1), z.gte(7), z.lte(70));
/** Teeth of rings or of cogs. */
export const teeth = z.array(tooth).check(z.minLength(1), z.maxLength(14));

/** What a drive is besides its teeth, by name. */
export const DRIVE_FIGURES = [
  'shifter-cogs',
  'max-cog',
  'capacity',
  'pitch',
  'stay',
  'frame-spacing',
  'hub-spacing',
  'ring-line',
  'cog-line',
  'slot',
  'power',
  'load',
  'chain-price',
  'cogs-price',
  'chain-km',
  'chains-per-cogs',
  'together-km',
] as const;
export type DriveFigure = (typeof DRIVE_FIGURES)[number];
export const driveFigure = z.number().check(z.gte(0), z.lte(1_000_000_000));

/** Which family a part is of, which hub gear it is, what a chain is made for, what holds the cogs, how a lever pulls. */
export const DRIVE_FAMILIES = ['shifter', 'derailleur', 'hub-gear', 'spring', 'chain', 'body', 'lever'] as const;
export type DriveFamily = (typeof DRIVE_FAMILIES)[number];

const feel = z.nullable(z.enum(FEELS));
const gear = z.number().check(z.multipleOf(1), z.gte(1), z.lte(14));

/** One round of shifts at the stand: what the barrel was turned by before it, and how each gear took. */
export const shiftRound = z.strictObject({
  id,
  at,
  by: person,
  turns: z.number().check(z.gte(-20), z.lte(20)),
  gears: z.array(z.strictObject({ gear, toLarger: feel, toSmaller: feel })).check(z.maxLength(14)),
});
export type ShiftRound = z.output<typeof shiftRound>;

export const part = {
  /** Teeth by what they are of: rings, cogs. */
  teeth: fields(z.partialRecord(z.enum(['rings', 'cogs']), teeth), { words: 'teeth' }),
  driveFigures: fields(z.partialRecord(z.enum(DRIVE_FIGURES), driveFigure), { words: 'a figure of the drive' }),
  driveFamilies: fields(z.partialRecord(z.enum(DRIVE_FAMILIES), id), { words: 'a family of the drive' }),
  /** Rounds of shifts since the cable was clamped last. */
  shiftRounds: rows(z.array(shiftRound), { most: 200, words: 'rounds of shifts', where: 'Rebuild', order: 'at' }),
};

export const fresh = (): Held<typeof part> => ({ teeth: {}, driveFigures: {}, driveFamilies: {}, shiftRounds: [] });
