import * as z from 'zod/mini';
import { at, id, label } from '../fields';

/** An hour on the wall. Example: 18:30. */
export const wallTime = z.string().check(z.regex(/^([01]\d|2[0-3]):[0-5]\d$/));
/** Whose hands are there: somebody of the workshop, or nobody by name, which is the first of them. */
const who = z.union([id, z.literal('')]);
const hours = { from: wallTime, to: wallTime, who };

/** A session of the usual week. */
export const weekSession = z.strictObject({
  id,
  day: z.number().check(z.multipleOf(1), z.gte(1), z.lte(7)),
  ...hours,
});
export type WeekSession = z.output<typeof weekSession>;

/** A session on one day. */
export const ownSession = z.strictObject({ id, on: z.iso.date(), ...hours });
export type OwnSession = z.output<typeof ownSession>;

/** A time that a calendar says is taken. */
export const busyTime = z.strictObject({ from: at, to: at, label });
export type BusyTime = z.output<typeof busyTime>;
export const MOST_BUSY = 1000;
