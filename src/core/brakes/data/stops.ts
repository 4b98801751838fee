import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import { STOPPED_BY, SURFACES } from '../measuredStop';
import json from './stops.json';

const stopLimit = z.strictObject({
  surface: z.enum(SURFACES),
  brakes: z.enum(STOPPED_BY),
  leastMs2: z.number(),
  ...provenance,
});

/** The least that a brake slows a bicycle by, by surface and which brakes were pulled. */
export const stopLimits = parseTable(stopLimit, json);
