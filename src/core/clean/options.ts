import { z } from 'zod';
import { defineCalculator, rule } from '../calculator';
import { bestWay, MATERIALS, SOILS, waysFor, type Way } from './ways';

const part = z.strictObject({
  id: z.string().min(1).max(80),
  materials: z.array(z.string().max(60)).min(1).max(10),
  soil: z.enum(SOILS),
});

const shape = z
  .strictObject({ parts: z.array(part).max(200) })
  .describe('materials as they are named in the cleaning table');

/** The first material of any part that the cleaning table does not know. */
export function stranger(parts: { materials: string[] }[]): string | undefined {
  return parts.flatMap((p) => p.materials).find((material) => !MATERIALS.has(material));
}

/** Refuses materials that the table does not name. */
export function knownMaterials<Schema extends z.ZodType<{ parts: { materials: string[] }[] }>>(schema: Schema): Schema {
  return rule(
    schema,
    ['parts'],
    (v) => stranger(v.parts) === undefined,
    (v) => `"${stranger(v.parts)}" is no material of the cleaning table: ${[...MATERIALS].join(', ')}`,
  );
}

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
  input: knownMaterials(shape),
  run,
});
