import { own } from '@/core/own';
import { inOrder, laterStands, leavesOf, withLeaves } from './leaves';
import type { LeafKey } from './leafKey';
import { same } from './same';
import type { Bicycle, Conflict } from './record';
import { momentOf } from './stamps';

/** A row that was taken away has a stamp and no value; one that never was has neither. */
interface Side {
  value: unknown;
  stamp: string;
}

/** When a leaf last changed: by its own stamp, or by that of the list in which it lies, where an older release put one on the whole. */
function stampIn({ stamps }: Bicycle, leaf: LeafKey): string | undefined {
  const within = leaf.lastIndexOf('/');
  return own(stamps, leaf) ?? (within < 0 ? undefined : own(stamps, leaf.slice(0, within)));
}

function side(bicycle: Bicycle, leaves: Map<LeafKey, unknown>, leaf: LeafKey): Side {
  // What was never changed is as old as the bicycle, and older than any change of it.
  return { value: leaves.get(leaf), stamp: stampIn(bicycle, leaf) ?? (leaves.has(leaf) ? bicycle.createdAt : '') };
}

/** Later stamp wins; of two equal stamps the value that sorts later, so that both sides decide alike. */
function winner(a: Side, b: Side): Side {
  if (a.stamp !== b.stamp) return a.stamp > b.stamp ? a : b;
  return JSON.stringify(a.value ?? null) >= JSON.stringify(b.value ?? null) ? a : b;
}

/** Of two copies the one whose order of rows is kept; the same one from both sides. */
function laterCopy(a: Bicycle, b: Bicycle): Bicycle {
  if (a.updatedAt !== b.updatedAt) return a.updatedAt > b.updatedAt ? a : b;
  return JSON.stringify(a) >= JSON.stringify(b) ? a : b;
}

/**
 * Two copies of one bicycle as one: leaf by leaf, the later change stands. What both changed since they were last
 * together, to different values, is kept both ways: the later stands and the other waits in `conflicts` for a person.
 * Observations and notes are never lost. Merging is commutative, and merging again changes nothing.
 *
 * Example: brakes changed on the phone and the price on the laptop: both changes stand, no conflict.
 */
export function mergeBicycles(a: Bicycle, b: Bicycle): Bicycle {
  const here = leavesOf(a);
  const there = leavesOf(b);
  const together = [a.sharedAt ?? '', b.sharedAt ?? ''].sort()[0]!;
  const values: [LeafKey, unknown][] = [];
  const stamps: Record<string, string> = { ...a.stamps };
  // Of two that bear one id the same one stays from both sides.
  const asked = [...a.conflicts, ...b.conflicts].sort((x, y) => (JSON.stringify(x) < JSON.stringify(y) ? -1 : 1));
  const conflicts = new Map<string, Conflict>(asked.map((row) => [row.id, row]));
  for (const leaf of new Set([...here.keys(), ...there.keys(), ...Object.keys(a.stamps), ...Object.keys(b.stamps)])) {
    const left = side(a, here, leaf);
    const right = side(b, there, leaf);
    const won = winner(left, right);
    const lost = won === left ? right : left;
    if (won.stamp && (stampIn(a, leaf) ?? stampIn(b, leaf))) stamps[leaf] = won.stamp;
    if (!same(left.value, right.value)) {
      const bothChanged = lost.stamp > together && lost.stamp > a.createdAt && lost.stamp > b.createdAt;
      if (bothChanged && lost.value !== undefined && laterStands(leaf) === undefined) {
        const id = `${leaf}@${lost.stamp}`;
        conflicts.set(id, { id, leaf, kept: won.value ?? null, other: lost.value, at: momentOf(won.stamp) });
      }
    }
    values.push([leaf, won.value]);
  }
  const ground = laterCopy(a, b);
  const merged = inOrder(withLeaves(ground, values), stamps);
  return {
    ...merged,
    createdAt: [a.createdAt, b.createdAt].sort()[0]!,
    updatedAt: [a.updatedAt, b.updatedAt].sort()[1]!,
    revision: Math.max(a.revision, b.revision) + (sameRecord(a, b) ? 0 : 1),
    recent: [...new Set([...a.recent, ...b.recent])].sort().slice(-100),
    conflicts: [...conflicts.values()].sort((x, y) => (x.id < y.id ? -1 : 1)),
    stamps,
    sharedAt: [a.sharedAt ?? '', b.sharedAt ?? ''].sort()[1]! || null,
  };
}

/** Whether two copies say the same, whatever their revision. */
export function sameRecord(a: Bicycle, b: Bicycle): boolean {
  const here = leavesOf(a);
  const there = leavesOf(b);
  return (
    here.size === there.size && [...here].every(([leaf, value]) => there.has(leaf) && same(value, there.get(leaf)))
  );
}

/** How a copy that arrives stands to the one that is here. */
export function compareCopies(
  here: Bicycle | undefined,
  arriving: Bicycle,
): 'new' | 'same' | 'newer' | 'older' | 'both' {
  if (!here) return 'new';
  if (sameRecord(here, arriving)) return 'same';
  const merged = mergeBicycles(here, arriving);
  const asks = merged.conflicts.length > Math.max(here.conflicts.length, arriving.conflicts.length);
  if (asks) return 'both';
  const addsNothing = sameRecord(merged, here);
  const takesAll = sameRecord(merged, arriving);
  if (addsNothing) return 'older';
  return takesAll ? 'newer' : 'both';
}
