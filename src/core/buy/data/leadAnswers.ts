import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import json from './leadAnswers.json';

export const leadAnswerRow = z.strictObject({
  question: z.string(),
  answer: z.string(),
  line: z.string(),
  odds: z.number().check(z.gt(0)),
  why: z.string(),
  ...provenance,
});
export const leadAnswers = parseTable(leadAnswerRow, json);
