import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import json from './wearLimits.json';

export const wearLimitRow = z.strictObject({
  part: z.string(),
  check: z.string(),
  direction: z.enum(['renew_below', 'renew_above', 'any_sign']),
  thresholdWarn: z.nullable(z.number()),
  thresholdRenew: z.nullable(z.number()),
  unit: z.nullable(z.string()),
  badSign: z.string(),
  whatBadMeans: z.string(),
  safetyCritical: z.enum(['yes', 'no']),
  ...provenance,
});

export const wearLimits = parseTable(wearLimitRow, json);
