import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import json from './levels.json';

/** Levels of the practice room, from a good new hub to a pitted old one. */
export const levels = parseTable(
  z.strictObject({
    id: z.string(),
    title: z.string(),
    words: z.string(),
    what: z.enum(['hub', 'headset']),
    pitchMm: z.number(),
    tickDeg: z.number(),
    smoothDeg: z.number(),
    dragMeanDeg: z.number(),
    dragSdDeg: z.number(),
    squeezeDeg: z.number(),
    pitDeg: z.number(),
    wobbleDeg: z.number(),
    ballDiameterMm: z.number(),
    balls: z.number(),
    circleMm: z.number(),
    rimRadiusMm: z.number(),
    rowsApartMm: z.number(),
    cup: z.enum(['pressed', 'turned']),
    parTrials: z.number(),
    ...provenance,
  }),
  json,
);
