import * as z from 'zod/mini';

const name = z.string().check(z.regex(/^[\w-]{1,40}\.[\w-]{1,20}$/));
const stamp = z.string().check(z.minLength(1), z.maxLength(120));
const count = z.number().check(z.multipleOf(1), z.gte(1), z.lte(1_000_000_000));
const MOST_CHANGES = 20_000;

/** Whoever writes: a device and one of its lives. A device that was put back from an old copy begins a new life, so that no number is ever given twice. */
export const writer = name;
/** A batch by its writer and number. */
export const batchName = z.tuple([writer, count]);
export type BatchName = z.output<typeof batchName>;

/** A value that was replaced, and the batch that it came in: who has heard of that batch has heard of the value. */
const replaced = z.strictObject({ stamp, from: batchName });
export type Replaced = z.output<typeof replaced>;

/** One leaf as a command left it: its value, when and by what, and which earlier values it was entered in the place of. */
export const change = z.strictObject({
  /** What it is of. Example: `bicycle/b1`, `settings`. */
  record: z.string().check(z.minLength(1), z.maxLength(120)),
  leaf: z.string().check(z.minLength(1), z.maxLength(400)),
  /** Null: taken away. */
  value: z.unknown(),
  stamp,
  over: z.array(replaced).check(z.maxLength(1000)),
});
export type Change = z.output<typeof change>;

/** What one writer changed, in one piece; never changed once it is written. */
export const batch = z.strictObject({
  kind: z.literal('batch'),
  writer,
  number: count,
  changes: z.array(change).check(z.maxLength(MOST_CHANGES)),
});
export type Batch = z.output<typeof batch>;

/** Which batches somebody holds: by writer the stretches of their numbers. Example: `{ 'phone.a1': [[1, 12]] }`. */
export const holds = z.record(writer, z.array(z.tuple([count, count])).check(z.maxLength(10_000)));
export type Holds = z.output<typeof holds>;

const head = z.strictObject({ stamp, value: z.unknown(), from: batchName });

/** All that one writer knew at a moment: what stands, and which batches that is made of. It stands for those batches. */
export const snapshot = z.strictObject({
  kind: z.literal('snapshot'),
  writer,
  number: count,
  holds,
  leaves: z.array(
    z.strictObject({
      record: z.string(),
      leaf: z.string(),
      heads: z.array(head).check(z.maxLength(1000)),
      /** Values that were replaced before they were heard of. */
      covered: z._default(z.array(replaced), []),
    }),
  ),
});
export type Snapshot = z.output<typeof snapshot>;

export const shareFile = z.discriminatedUnion('kind', [batch, snapshot]);
export type ShareFile = z.output<typeof shareFile>;

/** The published JSON Schema of what lies in a shared folder. */
export const shareJsonSchema = (): unknown => z.toJSONSchema(shareFile, { io: 'input', unrepresentable: 'any' });
