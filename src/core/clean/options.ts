import { z } from 'zod';
import { defineCalculator, rule } from '../calculator';
import { cleaning } from './data/cleaning';
import { soilProcesses } from './data/soilProcess';

const SOILS = ['oil', 'old-grease', 'mud', 'rust'] as const;
const MATERIALS = new Set(cleaning.map((line) => line.material));

const part = z.strictObject({
  id: z.string().min(1).max(80),
  materials: z.array(z.string().max(60)).min(1).max(10),
  soil: z.enum(SOILS),
});

const shape = z
  .strictObject({ parts: z.array(part).max(200) })
  .describe('materials as they are named in the cleaning table');

const strangers = (v: z.output<typeof shape>) =>
  v.parts.flatMap((p) => p.materials).filter((material) => !MATERIALS.has(material));
const input = rule(
  shape,
  ['parts'],
  (v) => strangers(v).length === 0,
  (v) => `"${strangers(v)[0]}" is no material of the cleaning table: ${[...MATERIALS].join(', ')}`,
);

export interface CleaningOption {
  process: string;
  where: 'bath' | 'hand';
  verdict: 'good' | 'caution' | 'never';
  minMinutes: number;
  /** Strictest of the part's materials; null where no limit is known. */
  maxMinutes: number | null;
  maxTempC: number | null;
  notes: string[];
  hazards: string[];
  ppe: string[];
  source: string;
}

export interface PartOptions {
  id: string;
  options: CleaningOption[];
  /** The first process that nothing of the part forbids, good before caution; null when all are forbidden. */
  best: string | null;
}

function distinct(values: (string | null)[]): string[] {
  return [...new Set(values.filter((value): value is string => value !== null))];
}

function strictest(values: (number | null)[]): number | null {
  const known = values.filter((value): value is number => value !== null);
  return known.length ? Math.min(...known) : null;
}

/**
 * Where each part may go to be cleaned: every process for its soil, in order of preference, with the strictest word
 * of all its materials. A material that the table does not pair with a process counts as never, since nothing vouches
 * for it; so does a process that may not last as long for a material as the soil needs.
 *
 * Units: minutes, °C. Errors: a material that is not in the table. Source: the cleaning and soil tables.
 * Example: anodised aluminium with old grease may not go into the hot bath.
 */
function run({ parts }: z.output<typeof shape>): { parts: PartOptions[] } {
  return {
    parts: parts.map(({ id, materials, soil }) => {
      const options = soilProcesses
        .filter((line) => line.soil === soil)
        .sort((a, b) => a.preference - b.preference)
        .map((line): CleaningOption => {
          const rows = materials.map((material) =>
            cleaning.find((c) => c.material === material && c.process === line.process),
          );
          const known = rows.filter((found) => found !== undefined);
          const maxMinutes = strictest(known.map((found) => found.maxMinutes));
          const tooLong = maxMinutes !== null && maxMinutes < line.minMinutes;
          const never = known.length < rows.length || tooLong || known.some((found) => found.verdict === 'never');
          return {
            process: line.process,
            where: line.where,
            verdict: never ? 'never' : known.some((found) => found.verdict === 'caution') ? 'caution' : 'good',
            minMinutes: line.minMinutes,
            maxMinutes,
            maxTempC: strictest(known.map((found) => found.maxTempC)),
            notes: [
              ...distinct(known.map((found) => found.note)),
              ...(tooLong ? [`May stay ${maxMinutes} min at most, and this soil needs ${line.minMinutes}`] : []),
              ...(known.length < rows.length ? ['The table does not vouch for one of its materials here'] : []),
            ],
            hazards: distinct(known.map((found) => found.hazard)),
            ppe: distinct(known.map((found) => found.ppe)),
            source: distinct(known.map((found) => found.source)).join('; '),
          };
        });
      const best =
        options.find((option) => option.verdict === 'good') ?? options.find((option) => option.verdict === 'caution');
      return { id, options, best: best?.process ?? null };
    }),
  };
}

export const cleanOptions = defineCalculator({
  id: 'clean.options',
  title: 'Where a part may go to be cleaned',
  input,
  run,
});
