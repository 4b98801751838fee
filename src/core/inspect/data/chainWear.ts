import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import json from './chainWear.json';

export const chainWearRow = z.strictObject({
  rowType: z.enum(['class', 'rule check', 'fact']),
  drivetrainClass: z.string(),
  nominalWidthIn: z.nullable(z.string()),
  innerWidthMm: z.nullable(z.number()),
  pinLengthMinMm: z.nullable(z.number()),
  pinLengthMaxMm: z.nullable(z.number()),
  pitchMm: z.number(),
  replaceAtPercent: z.nullable(z.number()),
  replaceAtPercentMin: z.nullable(z.number()),
  replaceAtPercentMax: z.nullable(z.number()),
  cassetteSuspectAtPercent: z.nullable(z.number()),
  cassetteDoneAtPercent: z.nullable(z.number()),
  rulePitches: z.nullable(z.number()),
  ruleNewMm: z.nullable(z.number()),
  ruleAtValueMm: z.nullable(z.number()),
  note: z.nullable(z.string()),
  ...provenance,
});

export const chainWearTable = parseTable(chainWearRow, json);
