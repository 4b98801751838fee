import { newBicycle } from '../fresh';
import { changedLeaves, inOrder, laterStands, staysHere, withLeaves, withoutEmptyRows } from '../leaves';
import type { Bicycle, Conflict } from '../record';
import { momentOf } from '../stamps';
import { own } from '@/core/own';
import type { Entered, Replica } from './replica';

const BORN = '@createdAt';
export const recordOf = (id: string): string => `bicycle/${id}`;

/** What a command did to a bicycle, as it goes to the others: each leaf that it changed. `before` null tells all of a new one. */
export function enteredBy(before: Bicycle | null, after: Bicycle): Entered[] {
  const record = recordOf(after.id);
  const ground = before ?? newBicycle(after.id, after.createdAt, '');
  const born = `${after.createdAt} born`;
  const changes = withoutEmptyRows(changedLeaves(ground, after))
    .filter(({ leaf }) => !staysHere(leaf))
    .map(({ leaf, after: value }): Entered => ({
      record,
      leaf,
      value: value ?? null,
      stamp: own(after.stamps, leaf) ?? born,
    }));
  return before ? changes : [{ record, leaf: BORN, value: after.createdAt, stamp: born }, ...changes];
}

/**
 * A bicycle as a folder's files make it: the same to the byte on every device that has the same files. What two changed without knowing of each other waits in `conflicts`, save
 * where the later stands without a question. Null where nobody told of it yet.
 */
export function bicycleOf(replica: Replica, id: string): Bicycle | null {
  const leaves = replica.leavesOf(recordOf(id));
  const createdAt = leaves.find(({ leaf }) => leaf === BORN)?.value;
  if (typeof createdAt !== 'string') return null;
  const told = leaves.filter(({ leaf }) => leaf !== BORN);
  const stamps = Object.fromEntries(
    told.flatMap(({ leaf, stamp }) => (stamp.endsWith(' born') ? [] : [[leaf, stamp]])),
  );
  const ground = withLeaves(
    newBicycle(id, createdAt, ''),
    told.map(({ leaf, value }) => [leaf, value] as const),
  );
  const conflicts = told.flatMap(({ leaf, value, stamp, others }) =>
    laterStands(leaf) !== undefined
      ? []
      : others.map((other): Conflict => ({
          id: `${leaf}@${other.stamp}`.slice(0, 600),
          leaf,
          kept: value,
          other: other.value,
          at: momentOf(stamp),
        })),
  );
  return {
    ...inOrder(ground, stamps),
    revision: told.length,
    updatedAt: told.reduce((last, { stamp }) => (momentOf(stamp) > last ? momentOf(stamp) : last), createdAt),
    conflicts,
    stamps,
  };
}
