import * as z from 'zod/mini';
import { finishedBy, isBraking } from './afterwards';
import { cleaning } from './data/cleaning';
import { processes } from './data/processes';
import { soilProcesses } from './data/soilProcess';

export const SOILS = ['oil', 'old-grease', 'mud', 'rust'] as const;
export type Soil = (typeof SOILS)[number];

/** Every material that the cleaning table knows. */
export const MATERIALS = new Set(cleaning.map((line) => line.material));
/** A material by the name that the cleaning table has for it. */
export const materialName = z.enum([...MATERIALS]);
/** Processes that take a bath. */
export const BATH_PROCESSES = new Set(
  soilProcesses.filter((line) => line.where === 'bath').map((line) => line.process),
);
export const bathProcess = z.enum([...BATH_PROCESSES]);

/** One process for a part with its soil, and the strictest word of all its materials. */
export interface Way {
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

function distinct(values: (string | null)[]): string[] {
  return [...new Set(values.filter((value): value is string => value !== null))];
}

function strictest(values: (number | null)[]): number | null {
  const known = values.filter((value): value is number => value !== null);
  return known.length ? Math.min(...known) : null;
}

const pairs = new Map(cleaning.map((line) => [`${line.process}\n${line.material}`, line]));

/**
 * Every process for a part's soil, by preference. A material that the table does not pair with a process counts as never,
 * since nothing vouches for it; so does a process that may not last as long for a material as the soil needs, one that
 * leaves a film where a brake works, and every one for what its soil has finished.
 */
export function waysFor(materials: string[], soil: Soil, brakeTrack = false): Way[] {
  const finished = finishedBy(materials, soil);
  const braking = isBraking({ materials, brakeTrack });
  return soilProcesses
    .filter((line) => line.soil === soil)
    .sort((a, b) => a.preference - b.preference)
    .map((line): Way => {
      const rows = materials.map((material) => pairs.get(`${line.process}\n${material}`));
      const known = rows.filter((found) => found !== undefined);
      const maxMinutes = strictest(known.map((found) => found.maxMinutes));
      const tooLong = maxMinutes !== null && maxMinutes < line.minMinutes;
      const slips = braking && processes.get(line.process)?.leavesFilm === 'yes';
      const never =
        finished !== null ||
        slips ||
        known.length < rows.length ||
        tooLong ||
        known.some((found) => found.verdict === 'never');
      return {
        process: line.process,
        where: line.where,
        verdict: never ? 'never' : known.some((found) => found.verdict === 'caution') ? 'caution' : 'good',
        minMinutes: line.minMinutes,
        maxMinutes,
        maxTempC: strictest(known.map((found) => found.maxTempC)),
        notes: [
          ...(finished ? [finished] : []),
          ...(slips ? ['It leaves a film where a brake works'] : []),
          ...distinct(known.map((found) => found.note)),
          ...(tooLong ? [`May stay ${maxMinutes} min at most, and this soil needs ${line.minMinutes}`] : []),
          ...(known.length < rows.length ? ['The table does not vouch for one of its materials here'] : []),
        ],
        hazards: distinct(known.map((found) => found.hazard)),
        ppe: distinct(known.map((found) => found.ppe)),
        source: distinct(known.map((found) => found.source)).join('; '),
      };
    });
}

/** The first way that nothing forbids: good for all before caution for any; null when there is none. */
export function bestWay(ways: Way[]): Way | null {
  return ways.find((way) => way.verdict === 'good') ?? ways.find((way) => way.verdict === 'caution') ?? null;
}
