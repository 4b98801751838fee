import { z } from 'zod';
import { parseTable, provenance } from '../../table';
import json from './torque.json';

export const torqueRow = z.strictObject({
  place: z.string(),
  fastener: z.string(),
  fastenerSize: z.string().nullable(),
  tool: z.string(),
  torqueMinNm: z.number().nullable(),
  torqueMaxNm: z.number().nullable(),
  feel: z.string().nullable(),
  preparation: z.string(),
  threadHand: z.enum(['right', 'left', 'none']),
  safetyCritical: z.enum(['yes', 'no']),
  sequenceNotes: z.string().nullable(),
  ...provenance,
});
export type TorqueRow = z.output<typeof torqueRow>;

export const torqueTable = parseTable(torqueRow, json);
