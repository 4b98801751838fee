import { momentOf } from '../stamps';
import type { Raw } from './stored';

/**
 * From version 9 to 10: what was tapped at the door says when and by whom, as every other finding does; what is asked for a
 * bicycle is empty until somebody has said it.
 */

const asRaw = (value: unknown): Raw => (typeof value === 'object' && value !== null ? (value as Raw) : {});

/** When a leaf was last changed, or when the record began. */
function since(old: Raw, leaf: string): string {
  const stamp = asRaw(old.stamps)[leaf];
  return typeof stamp === 'string' ? momentOf(stamp) : String(old.createdAt);
}

/** An answer at the door as version 10 keeps it. */
const tapped = (answer: unknown, at: string): unknown => (typeof answer === 'string' ? { answer, at, by: '' } : answer);

/** A record of version 9 as version 10 has it. */
export function toTen(old: Raw): Raw {
  const appraisal = asRaw(old.appraisal);
  const said = typeof asRaw(old.stamps)['appraisal/asking'] === 'string';
  return {
    ...old,
    door: Object.fromEntries(
      Object.entries(asRaw(old.door)).map(([line, answer]) => [line, tapped(answer, since(old, `door/${line}`))]),
    ),
    // Nought that nobody entered is no price.
    appraisal: { ...appraisal, asking: appraisal.asking === 0 && !said ? null : appraisal.asking },
  };
}

const isDoor = (leaf: unknown): boolean => String(leaf).startsWith('door/');

/** How a row of the history was written by version 9, as today reads it. */
export function historyOfTen(history: unknown): unknown {
  if (!Array.isArray(history)) return history;
  return history.map((row: Raw) => {
    const at = String(row.at);
    const changes = Array.isArray(row.changes) ? (row.changes as Raw[]) : [];
    return {
      ...row,
      changes: changes.map((change) =>
        isDoor(change.leaf)
          ? { ...change, before: tapped(change.before, at), after: tapped(change.after, at) }
          : change,
      ),
    };
  });
}

/** A command as version 9 wrote it to the journal, as today reads it. `at` is when it was sent. */
export function commandOfTen(command: unknown, at: unknown): unknown {
  const { type, ...rest } = asRaw(command);
  if (type === 'answerDoor') return { at, ...rest, type };
  if (type !== 'amend' || !Array.isArray(rest.changes)) return command;
  const changes = (rest.changes as Raw[]).map((change) =>
    isDoor(change.leaf)
      ? { ...change, expect: tapped(change.expect, String(at)), value: tapped(change.value, String(at)) }
      : change,
  );
  return { ...rest, type, changes };
}
