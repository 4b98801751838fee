import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { bestWay, materialName, SOILS, waysFor, type Way } from './ways';

const part = z.strictObject({
  id: z.string().check(z.minLength(1), z.maxLength(80)),
  materials: z.array(materialName).check(z.minLength(1), z.maxLength(10)),
  soil: z.enum(SOILS),
});

const shape = z
  .strictObject({ parts: z.array(part).check(z.maxLength(200)) })
  .check(z.describe('materials as they are named in the cleaning table'));

export interface PartOptions {
  id: string;
  options: Way[];
  /** The first process that nothing of the part forbids, good before caution; null when all are forbidden. */
  best: string | null;
}

/**
 * Where each part may go to be cleaned: every process for its soil, in order of preference, with the strictest word
 * of all its materials.
 *
 * Units: minutes, °C. Errors: a material that is not in the table. Source: the cleaning and soil tables.
 * Example: anodised aluminium with old grease may not go into the hot bath.
 */
function run({ parts }: z.output<typeof shape>): { parts: PartOptions[] } {
  return {
    parts: parts.map(({ id, materials, soil }) => {
      const options = waysFor(materials, soil);
      return { id, options, best: bestWay(options)?.process ?? null };
    }),
  };
}

export const cleanOptions = defineCalculator({
  id: 'clean.options',
  title: 'Where a part may go to be cleaned',
  example: { parts: [{ id: 'derailleur', materials: ['anodised aluminium'], soil: 'old-grease' }] },
  input: shape,
  run,
});
