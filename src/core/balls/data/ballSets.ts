import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import json from './ballSets.json';

export const ballSetRow = z.strictObject({
  place: z.string(),
  side: z.string(),
  machineClass: z.string(),
  arrangement: z.enum(['loose', 'caged']),
  ballFractionIn: z.string(),
  ballDiameterMm: z.number(),
  countUsual: z.nullable(z.number()),
  countMin: z.number(),
  countMax: z.number(),
  racesPerPart: z.number(),
  pitchDiameterMm: z.nullable(z.number()),
  pitchBasis: z.nullable(z.string()),
  fullComplementAtPitch: z.nullable(z.number()),
  note: z.nullable(z.string()),
  ...provenance,
});

export const ballSets = parseTable(ballSetRow, json);
