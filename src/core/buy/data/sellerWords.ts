import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import json from './sellerWords.json';

export const sellerWordsRow = z.strictObject({
  id: z.string(),
  label: z.string(),
  /** Turns of phrase that mean it, parted by strokes. */
  said: z.string(),
  ...provenance,
});
export const sellerWords = parseTable(sellerWordsRow, json);
