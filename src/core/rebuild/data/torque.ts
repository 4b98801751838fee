import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import json from './torque.json';

export const torqueRow = z.strictObject({
  place: z.string(),
  fastener: z.string(),
  fastenerSize: z.nullable(z.string()),
  tool: z.string(),
  torqueMinNm: z.nullable(z.number()),
  torqueMaxNm: z.nullable(z.number()),
  feel: z.nullable(z.string()),
  preparation: z.string(),
  threadHand: z.enum(['right', 'left', 'none']),
  safetyCritical: z.enum(['yes', 'no']),
  sequenceNotes: z.nullable(z.string()),
  ...provenance,
});
export type TorqueRow = z.output<typeof torqueRow>;

export const torqueTable = parseTable(torqueRow, json);
