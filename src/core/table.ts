import * as z from 'zod/mini';

z.config({ jitless: true });

export const confidence = z.enum(['high', 'medium', 'low']);

/** Columns that every reference row carries: where it comes from and how sure it is. */
export const provenance = { source: z.string().check(z.minLength(1)), confidence };

/** Tables are checked when they are made, and trusted wherever they are read afterwards. */
export const checking = { tables: false };

/**
 * The rows of a shipped table, as they are read; a row that does not fit keeps the table from being made, since nothing may
 * be judged by it. Example: `parseTable(ballRow, ballsJson)`.
 */
export function parseTable<Row extends z.ZodMiniType>(row: Row, json: unknown): z.output<Row>[] {
  return checking.tables ? z.array(row).parse(json) : (json as z.output<Row>[]);
}
