import * as z from 'zod/mini';

/**
 * How a field of a record changes, told on its schema. A **leaf** is the smallest thing that changes as one; undo, merge and
 * conflict are derived from it, so that they agree on what "the same thing" is.
 */
export type Leaf =
  /** Changes as one. `staysHere`: among several hands it is each device's own, as the clock that runs before somebody. */
  | { kind: 'value'; words?: string; latest?: string; staysHere?: true }
  /** Each of its fields is a leaf, or has leaves. `by` names what tells the rows of a list apart, `fresh` makes an empty row. */
  | ({ kind: 'fields'; by?: string; fresh?: (name: string) => object; latest?: string } & Partial<Bound>)
  /** Each row is a leaf, by its id. */
  | ({ kind: 'rows' } & Rows)
  /** As rows; none is ever taken out: undoing its entry withdraws it. */
  | ({ kind: 'append' } & Rows)
  /** A list of different words, each of which is in it or is not; their order says nothing. */
  | { kind: 'set'; words?: string; latest?: string }
  /** The record's own bookkeeping, which no command speaks of. */
  | { kind: 'kept' };

/** How many rows a list may come to by hand, what they are called, and where some are taken out. */
export interface Bound {
  most: number;
  words: string;
  where: string;
}
interface Rows extends Bound {
  /** The field by which they stand in order of time; `stamps` where none of theirs tells it. */
  order?: string;
  latest?: string;
}

/** What is told of each schema. `latest` says why, of two changes of one leaf, the later stands without a question. */
export const leaves = z.registry<Leaf>();

function told<Schema extends z.ZodMiniType>(schema: Schema, leaf: Leaf): Schema {
  // A schema may be used at several places; what is told of it is told of this one.
  const own = schema.clone();
  leaves.add(own, leaf);
  return own;
}

type Told<Kind extends Leaf['kind']> = Omit<Extract<Leaf, { kind: Kind }>, 'kind'>;

export const value = <Schema extends z.ZodMiniType>(schema: Schema, more: Told<'value'> = {}) =>
  told(schema, { kind: 'value', ...more });
export const fields = <Schema extends z.ZodMiniType>(schema: Schema, more: Told<'fields'> = {}) =>
  told(schema, { kind: 'fields', ...more });
export const rows = <Schema extends z.ZodMiniType>(schema: Schema, more: Told<'rows'>) =>
  told(schema, { kind: 'rows', ...more });
export const append = <Schema extends z.ZodMiniType>(schema: Schema, more: Told<'append'>) =>
  told(schema, { kind: 'append', ...more });
export const set = <Schema extends z.ZodMiniType>(schema: Schema, more: Told<'set'> = {}) =>
  told(schema, { kind: 'set', ...more });
export const kept = <Schema extends z.ZodMiniType>(schema: Schema) => told(schema, { kind: 'kept' });
