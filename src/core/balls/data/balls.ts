import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import json from './balls.json';

export const ballRow = z.strictObject({
  fractionIn: z.string(),
  diameterIn: z.number(),
  diameterMm: z.number(),
  massG: z.number(),
  wearLimitMm: z.number(),
  rejectBelowMm: z.number(),
  usualPlaces: z.string(),
  ...provenance,
  wearLimitConfidence: provenance.confidence,
  usageConfidence: provenance.confidence,
  /** Balls in a bag, as they are usually sold. */
  usualPack: z.number(),
  packConfidence: provenance.confidence,
});
export type BallRow = z.output<typeof ballRow>;

export const balls = parseTable(ballRow, json);
