import { z } from 'zod';
import { parseTable, provenance } from '../../table';
import json from './ballSets.json';

export const ballSetRow = z.strictObject({
  place: z.string(),
  side: z.string(),
  machineClass: z.string(),
  arrangement: z.enum(['loose', 'caged']),
  ballFractionIn: z.string(),
  ballDiameterMm: z.number(),
  countUsual: z.number().nullable(),
  countMin: z.number(),
  countMax: z.number(),
  racesPerPart: z.number(),
  pitchDiameterMm: z.number().nullable(),
  pitchBasis: z.string().nullable(),
  fullComplementAtPitch: z.number().nullable(),
  note: z.string().nullable(),
  ...provenance,
});

export const ballSets = parseTable(ballSetRow, json);
