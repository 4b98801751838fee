import { z } from 'zod';
import { frontBrakeSurface, type BicycleKind } from '../bicycle';
import { STATES } from '../vocabulary/vocabulary';
import json from './checks.json';

const outcome = z.strictObject({ id: z.string(), label: z.string(), state: z.enum(STATES), why: z.string() });
const limitRef = z.strictObject({ part: z.string(), check: z.string() });
const base = { id: z.string(), place: z.string(), label: z.string(), how: z.string() };

export const checkRow = z.discriminatedUnion('kind', [
  z.strictObject({ ...base, kind: z.literal('outcome'), outcomes: z.array(outcome) }),
  z.strictObject({ ...base, kind: z.literal('bearing'), bearing: z.enum(['cup-and-cone', 'cartridge', 'bushing']) }),
  z.strictObject({ ...base, kind: z.literal('surface') }),
  z.strictObject({ ...base, kind: z.literal('reading'), unit: z.string(), rim: limitRef, disc: limitRef }),
  z.strictObject({ ...base, kind: z.literal('chain') }),
  z.strictObject({ ...base, kind: z.literal('crank') }),
]);
export type Check = z.output<typeof checkRow>;

/** The twelve checks of a short look-over, front to back. */
export const checks: Check[] = z.array(checkRow).parse(json);

/** The row of the wear table that the hollow of a braked rim is held against. */
export const RIM_HOLLOW = { part: 'alloy rim, rim brake', check: 'hollow under a straight edge, each side' } as const;

/** The checks that a bicycle has: a drum brake leaves neither track nor pad to measure from outside. */
export function checksFor(kind: Pick<BicycleKind, 'brakes'>): Check[] {
  if (frontBrakeSurface(kind) !== 'hub') return checks;
  return checks.filter((check) => check.kind !== 'surface' && check.kind !== 'reading');
}

export function checkById(id: string): Check | undefined {
  return checks.find((check) => check.id === id);
}

/** What a check takes down, by its kind; the raw evidence that is stored, never a verdict. */
export const evidence = z.strictObject({
  outcome: z.string().max(40).optional(),
  feel: z.enum(['smooth', 'light-rumble', 'gritty', 'notchy', 'tight', 'seized', 'unknown']).optional(),
  play: z.enum(['none', 'slight', 'clear', 'unknown']).optional(),
  grease: z.enum(['fresh', 'dirty', 'dry', 'rusty', 'unknown']).optional(),
  cup: z.enum(['bright', 'dull', 'pitted', 'unknown']).optional(),
  cone: z.enum(['bright', 'dull', 'pitted', 'unknown']).optional(),
  balls: z.enum(['bright', 'dull', 'rusty', 'short', 'unknown']).optional(),
  readingsMm: z.array(z.number()).max(48).optional(),
  minimumMm: z.number().optional(),
  pitches: z.number().optional(),
  lengthMm: z.number().optional(),
  dropsInAtPercent: z.number().optional(),
  notAtPercent: z.number().nullable().optional(),
  left: z.enum(['firm', 'loose']).optional(),
  right: z.enum(['firm', 'loose']).optional(),
});
export type Evidence = z.output<typeof evidence>;
