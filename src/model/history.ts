import * as z from 'zod/mini';
import { isQuiet, type Command, type Envelope, wordsFor } from './commands';
import type { LeafChange } from './leafChanges';
import { changedLeaves, isAppendOnly, withoutEmptyRows } from './leaves';
import type { Bicycle } from './record';

/** One change as it can be taken back: what it is called, and each leaf before and after. */
export const historyRow = z.strictObject({
  id: z.string(),
  at: z.string(),
  kind: z.enum(['do', 'undo', 'redo']),
  /** The change that an undo or a redo is of; itself for a change. */
  of: z.string(),
  words: z.string(),
  changes: z.array(
    z.strictObject({ leaf: z.string(), before: z.optional(z.unknown()), after: z.optional(z.unknown()) }),
  ),
});
export type HistoryRow = z.output<typeof historyRow>;

/** How many changes of a bicycle can be taken back. */
export const MOST_HISTORY = 100;

/** The history row of a change, or null for one that nobody takes back. */
export function historyOf(before: Bicycle, after: Bicycle, sent: Envelope): HistoryRow | null {
  const { command } = sent;
  if (isQuiet(command)) return null;
  const changes = withoutEmptyRows(changedLeaves(before, after)).filter(({ leaf }) => leaf !== 'bench');
  if (changes.length === 0) return null;
  if (command.type === 'amend')
    return { id: sent.id, at: sent.at, kind: command.direction, of: command.of, words: command.words, changes };
  return { id: sent.id, at: sent.at, kind: 'do', of: sent.id, words: wordsFor(command, before), changes };
}

/** A history with a row added; a row of the same change is replaced, so that a replay adds nothing. */
export function withRow(rows: HistoryRow[], row: HistoryRow): HistoryRow[] {
  const known = rows.some((old) => old.id === row.id);
  return (known ? rows.map((old) => (old.id === row.id ? row : old)) : [...rows, row]).slice(-MOST_HISTORY);
}

function withdrawn({ leaf, before, after }: LeafChange, direction: 'undo' | 'redo') {
  // An observation is never taken out of the record: undoing its entry withdraws it.
  if (isAppendOnly(leaf) && before === undefined) {
    const row = after as { withdrawn: boolean };
    return direction === 'undo'
      ? { leaf, expect: row, value: { ...row, withdrawn: true } }
      : { leaf, expect: { ...row, withdrawn: true }, value: row };
  }
  return direction === 'undo'
    ? { leaf, expect: after ?? null, value: before ?? null }
    : { leaf, expect: before ?? null, value: after ?? null };
}

/** The command that takes a change back, or does it again. */
export function amendment(row: HistoryRow, direction: 'undo' | 'redo'): Extract<Command, { type: 'amend' }> {
  const changes = row.changes.map((change) => withdrawn(change, direction));
  // Rows are put back in the order in which they stood.
  // A finding is not ended by taking its entry back: that says only that it was never seen.
  const mistaken =
    direction === 'undo' &&
    row.changes.some(({ leaf, before }) => leaf.startsWith('observations/') && before === undefined);
  return {
    type: 'amend',
    direction,
    of: row.id,
    words: mistaken ? `entered by mistake: ${row.words}`.slice(0, 200) : row.words,
    changes: direction === 'undo' ? changes.reverse() : changes,
  };
}
