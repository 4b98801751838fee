import { z } from 'zod';
import { parseTable, provenance } from '../../table';
import json from './chainWear.json';

export const chainWearRow = z.strictObject({
  rowType: z.enum(['class', 'rule check', 'fact']),
  drivetrainClass: z.string(),
  nominalWidthIn: z.string().nullable(),
  innerWidthMm: z.number().nullable(),
  pinLengthMinMm: z.number().nullable(),
  pinLengthMaxMm: z.number().nullable(),
  pitchMm: z.number(),
  replaceAtPercent: z.number().nullable(),
  replaceAtPercentMin: z.number().nullable(),
  replaceAtPercentMax: z.number().nullable(),
  cassetteSuspectAtPercent: z.number().nullable(),
  cassetteDoneAtPercent: z.number().nullable(),
  rulePitches: z.number().nullable(),
  ruleNewMm: z.number().nullable(),
  ruleAtValueMm: z.number().nullable(),
  note: z.string().nullable(),
  ...provenance,
});

export const chainWearTable = parseTable(chainWearRow, json);
