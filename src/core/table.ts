import * as z from 'zod/mini';

z.config({ jitless: true });

export const confidence = z.enum(['high', 'medium', 'low']);

/** Columns that every reference row carries: where it comes from and how sure it is. */
export const provenance = { source: z.string().check(z.minLength(1)), confidence };

/** A release is built from tables that were checked, and does not check them again in every browser. */
const CHECKED = process.env.NODE_ENV === 'production';

/** What is shipped as JSON and stands as it is read; what does not fit stops the program, since nothing may be judged by it. */
export function shipped<Schema extends z.ZodMiniType>(schema: Schema, json: unknown): z.output<Schema> {
  return CHECKED ? (json as z.output<Schema>) : schema.parse(json);
}

/** The rows of a shipped table, as they are read. Example: `parseTable(ballRow, ballsJson)`. */
export function parseTable<Row extends z.ZodMiniType>(row: Row, json: unknown): z.output<Row>[] {
  return shipped(z.array(row), json);
}

/** The rows of a table whose cells are turned into something else (by a transform or a default): always parsed. */
export function turnedTable<Row extends z.ZodMiniType>(row: Row, json: unknown): z.output<Row>[] {
  return z.array(row).parse(json);
}
