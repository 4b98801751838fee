import * as z from 'zod/mini';
import { id } from './fields';

/** A person's choice between two values that were entered without knowing of each other. */
export const settleConflict = z.strictObject({
  type: z.literal('settleConflict'),
  conflict: z.string().check(z.maxLength(600)),
  take: z.enum(['kept', 'other']),
});

/** An earlier change withdrawn, or withdrawn no longer; refused where a leaf no longer stands as that change left it. */
export const amend = z.strictObject({
  type: z.literal('amend'),
  direction: z.enum(['undo', 'redo']),
  of: id,
  words: z.string().check(z.maxLength(200)),
  changes: z
    .array(z.strictObject({ leaf: z.string().check(z.maxLength(400)), expect: z.unknown(), value: z.unknown() }))
    .check(z.maxLength(2000)),
});
export type Amend = z.output<typeof amend>;
