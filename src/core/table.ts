import { z } from 'zod';

z.config({ jitless: true });

export const confidence = z.enum(['high', 'medium', 'low']);

/** Columns that every reference row carries: where it comes from and how sure it is. */
export const provenance = { source: z.string().min(1), confidence };

/** Parses a shipped table once; a row that does not fit stops the program, since nothing may be judged by it. */
export function parseTable<Row extends z.ZodType>(row: Row, json: unknown): z.output<Row>[] {
  return z.array(row).parse(json);
}
