import * as z from 'zod/mini';
import { RIM_METALS } from '@/core/brakes/brakedOn';
import { FLUIDS } from '@/core/setup/kinds';
import { at, id, person, type Held } from '../fields';
import { fields } from '../leaf';

/** What is measured of a brake and its lever. Lengths in mm, ratios and degrees as they are. */
export const BRAKE_MEASURES = [
  'pivot-half',
  'anchor-out',
  'anchor-up',
  'pad-in',
  'pad-up',
  'yoke',
  'lever-ratio',
  'lever-pull',
  'bends',
  'arm-ratio',
  'pad-travel',
] as const;
export type BrakeMeasure = (typeof BRAKE_MEASURES)[number];

export const brakeNumber = z.number().check(z.gte(-100), z.lte(2000));
/** An old piece of cable as it was measured, and whether it pulled tight at full lock. */
export const oldCable = z.strictObject({
  lengthMm: z.number().check(z.gt(0), z.lte(10_000)),
  tooShort: z.boolean(),
});
export type OldCable = z.output<typeof oldCable>;

/** A piece of cable that is cut: how long, by whom. */
export const cutCable = z.strictObject({ lengthMm: z.number().check(z.gt(0), z.lte(10_000)), at, by: person });

export const part = {
  /** The metal of a rim that is braked on, by the brake’s place, where somebody looked. */
  rimMetals: fields(z.record(id, z.enum(RIM_METALS)), { words: 'the metal of a rim' }),
  /** Numbers of a brake, by its place and what is measured: `brake.front/yoke`. */
  brakeNumbers: fields(z.record(id, brakeNumber), { words: 'a brake’s measure' }),
  /** The fluid in each hydraulic brake, as it stands on its cap. */
  brakeFluids: fields(z.record(id, z.enum(FLUIDS)), { words: 'the fluid in a brake' }),
  /** Old pieces of cable, by run. */
  oldCables: fields(z.record(id, oldCable), { words: 'an old cable' }),
  /** Pieces that are cut, by run: the cut list asks for them no more. */
  cutCables: fields(z.record(id, cutCable), { words: 'a cut cable' }),
};

export const fresh = (): Held<typeof part> => ({
  rimMetals: {},
  brakeNumbers: {},
  brakeFluids: {},
  oldCables: {},
  cutCables: {},
});
