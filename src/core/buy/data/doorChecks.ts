import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import json from './doorChecks.json';

export const DOOR_PARTS = ['frame', 'wheels', 'brakes', 'gears', 'whole'] as const;

export const doorCheckRow = z.strictObject({
  id: z.string(),
  label: z.string(),
  /** What it is called once it is found, as a cost and to the seller. */
  fault: z.string(),
  place: z.string(),
  partOf: z.enum(DOOR_PARTS),
  how: z.string(),
  applies: z.nullable(z.string()),
  /** Whether it is no repair at all once it is found: what remains is what the parts are worth. */
  stop: z.enum(['yes', 'no']),
  /** How often it is found where nobody has looked. */
  chance: z.number().check(z.gte(0), z.lte(1)),
  partsLowMinor: z.number(),
  partsLikelyMinor: z.number(),
  partsHighMinor: z.number(),
  minutesLow: z.number(),
  minutesLikely: z.number(),
  minutesHigh: z.number(),
  ...provenance,
});
export type DoorCheckRow = z.output<typeof doorCheckRow>;
export const doorChecks = parseTable(doorCheckRow, json);
