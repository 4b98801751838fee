import * as z from 'zod/mini';
import { BRIEFS } from '../bicycle';
import { defineCalculator } from '../calculator';
import { moreThan } from '../numbers';
import { parseTable, provenance } from '../table';
import json from './data/finishTreatments.json';

export const PAINTS = ['sound', 'dull', 'scuffed', 'patina', 'flaking', 'bare', 'plated'] as const;
export type Paint = (typeof PAINTS)[number];

const list = (joined: string) => joined.split('|');
const treatments = parseTable(
  z.strictObject({
    id: z.string(),
    label: z.string(),
    reversible: z.enum(['yes', 'no']),
    hoursLow: z.number(),
    hoursLikely: z.number(),
    hoursHigh: z.number(),
    cureHours: z.number(),
    costMinor: z.number(),
    frameMaterials: z.string(),
    paints: z.string(),
    briefs: z.string(),
    grade: z.number(),
    testSpot: z.enum(['yes', 'no']),
    steps: z.string(),
    supplies: z.string(),
    cautions: z.string(),
    ...provenance,
  }),
  json,
);

const input = z.strictObject({
  frameMaterial: z.enum(['steel', 'aluminium', 'carbon', 'titanium']),
  paint: z.enum(PAINTS),
  brief: z.enum(BRIEFS),
  hours: z
    ._default(z.nullable(z.number().check(z.gte(0), z.lte(200))), null)
    .check(z.describe('hours that there are for it; null for no limit')),
});
export type FinishInput = z.input<typeof input>;

export interface Treatment {
  id: string;
  label: string;
  reversible: boolean;
  hours: { low: number; likely: number; high: number };
  cureHours: number;
  costMinor: number;
  testSpot: boolean;
  steps: string[];
  supplies: string;
  cautions: string[];
  source: string;
  /** Why it is not for this frame; empty where it is. */
  against: string[];
}

/**
 * What may be done to a frame's finish. A treatment is open where frame material, state of the paint and brief allow it and
 * its likely hours are there; what is open stands first, reversible before irreversible, mild before strong; what is not
 * says why. A donor's finish is left alone.
 *
 * Units: hours, minor units of money. Errors: a paint or material that is not known. Source: the table of treatments.
 * Example: patina and the brief to preserve never give a full repaint.
 */
function run({ frameMaterial, paint, brief, hours }: z.output<typeof input>): { treatments: Treatment[] } {
  const judged = treatments.map((row) => {
    const against = [
      ...(list(row.frameMaterials).includes(frameMaterial) ? [] : [`Not on ${frameMaterial}`]),
      ...(list(row.paints).includes(paint) ? [] : [`Not for paint that is ${paint}`]),
      ...(list(row.briefs).includes(brief)
        ? []
        : [brief === 'donor' ? 'A donor keeps its finish as it is' : `Against the brief: ${brief}`]),
      ...(hours !== null && moreThan(row.hoursLikely, hours)
        ? [`Takes ${row.hoursLikely} hours, and there are ${hours}`]
        : []),
    ];
    return { row, against };
  });
  judged.sort(
    (a, b) =>
      Number(a.against.length > 0) - Number(b.against.length > 0) ||
      Number(a.row.reversible === 'no') - Number(b.row.reversible === 'no') ||
      a.row.grade - b.row.grade,
  );
  return {
    treatments: judged.map(({ row, against }) => ({
      id: row.id,
      label: row.label,
      reversible: row.reversible === 'yes',
      hours: { low: row.hoursLow, likely: row.hoursLikely, high: row.hoursHigh },
      cureHours: row.cureHours,
      costMinor: row.costMinor,
      testSpot: row.testSpot === 'yes',
      steps: list(row.steps),
      supplies: row.supplies,
      cautions: list(row.cautions),
      source: row.source,
      against,
    })),
  };
}

export const cleanFinish = defineCalculator({
  id: 'clean.finish',
  title: 'What to do with the finish of a frame',
  example: { frameMaterial: 'steel', paint: 'patina', brief: 'preserve', hours: 6 },
  input,
  run,
});
