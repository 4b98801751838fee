import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import json from './eraFeatures.json';

export const eraFeatureRow = z.strictObject({
  feature: z.string(),
  group: z.string(),
  regionOrClass: z.string(),
  earliestYear: z.number(),
  commonFrom: z.number(),
  commonUntil: z.nullable(z.number()),
  latestYear: z.nullable(z.number()),
  stillMade: z.enum(['yes', 'no']),
  earliestToleranceYears: z.number(),
  datingNote: z.nullable(z.string()),
  ...provenance,
});
export type EraFeature = z.output<typeof eraFeatureRow> & { id: string };

/** A feature's id: lower case, all else to one hyphen. Example: "1 1/8 in steerer" is `1-1-8-in-steerer`. */
export function featureId(feature: string): string {
  return feature
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
}

export const eraFeatures: EraFeature[] = parseTable(eraFeatureRow, json).map((line) => ({
  ...line,
  id: featureId(line.feature),
}));
