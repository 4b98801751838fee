import { z } from 'zod';
import { MISMATCH_ANSWERS } from '@/core/bearings/counts';
import { id } from '../fields';

const count = z.number().multipleOf(1).min(0).max(200).nullable();

export const sideCount = z.strictObject({
  out: count,
  holds: count,
  in: count,
  answer: z.enum(MISMATCH_ANSWERS).nullable(),
});
export type SideCount = z.output<typeof sideCount>;

/** A cartridge bearing of an assembly: what the caliper and the print say, and what becomes of it. */
export const cartridge = z.strictObject({
  boreMm: z.number().gt(0).max(200).nullable(),
  odMm: z.number().gt(0).max(200).nullable(),
  widthMm: z.number().gt(0).max(200).nullable(),
  print: z.string().max(60),
  fate: z.enum(['keep', 'repack', 'renew']).nullable(),
});
export type CartridgeNote = z.output<typeof cartridge>;

export const track = z.enum(['bright', 'dull', 'pitted']);
export const coneFeel = z.enum(['loose', 'tick', 'smooth', 'tight']);

export const bearingState = z.strictObject({
  feel: z.enum(['smooth', 'light-rumble', 'gritty', 'notchy', 'tight', 'seized', 'unknown']),
  play: z.enum(['none', 'slight', 'clear', 'unknown']),
  spinS: z.number().min(0).max(600).nullable(),
});

export const coneTrial = z.strictObject({
  id,
  turnDeg: z.number().min(-720).max(720),
  feel: coneFeel,
  clamped: z.boolean(),
});

/** What is told of bearings stands in their trays. */
export const part = {};
