import { produce } from 'immer';
import type { Bound } from './leaf';
import { changedIn, orderRows, putLeaves, visitLists, type LeafChange } from './leafChanges';
import { keyOf, type LeafKey } from './leafKey';
import { findLeaf, leafIn, leavesIn, leafTree, usualIn, type Node } from './leafTree';
import { bicycleRecord, type Bicycle } from './record';
import { same } from './same';

const tree = leafTree(bicycleRecord);

/** Every leaf of a bicycle with its value, in the order of the record. */
export const leavesOf = (bicycle: Bicycle): Map<LeafKey, unknown> => leavesIn(tree, bicycle);

/** The leaves in which two states of a bicycle differ. */
export const changedLeaves = (before: Bicycle, after: Bicycle): LeafChange[] => changedIn(tree, before, after);

/** The value of one leaf, or undefined where it is not there. */
export const leafValue = (bicycle: Bicycle, leaf: LeafKey): unknown => leafIn(tree, bicycle, leaf);

/** A bicycle with other values in some of its leaves; see `putLeaves`. */
export function withLeaves(bicycle: Bicycle, values: Iterable<readonly [LeafKey, unknown]>): Bicycle {
  return produce(bicycle, (draft) => putLeaves(tree, draft, values));
}

/** A bicycle with the rows of each list in the order of their time, where their part says which field tells it. */
export function inOrder(bicycle: Bicycle, stamps: Record<string, string>): Bicycle {
  return produce(bicycle, (draft) => orderRows(tree, draft, stamps));
}

/** Whether a key names a leaf of today's record. */
export const isLeaf = (leaf: LeafKey): boolean => findLeaf(tree, leaf) !== null;

/** Whether rows of that list are never taken out of the record: undoing their entry withdraws them. */
export const isAppendOnly = (leaf: LeafKey): boolean => findLeaf(tree, leaf)?.node.kind === 'append';

/** Why the later of two changes of a leaf stands without a question; undefined where a person is asked. */
export function laterStands(leaf: LeafKey): string | undefined {
  const found = findLeaf(tree, leaf)?.node;
  return found && found.kind !== 'shape' && found.leaf.kind !== 'kept' ? found.leaf.latest : undefined;
}

/** Whether a leaf is each device's own among several hands. */
export function staysHere(leaf: LeafKey): boolean {
  const node = findLeaf(tree, leaf)?.node;
  return node?.kind === 'value' && node.leaf?.kind === 'value' && node.leaf.staysHere === true;
}

/** A bicycle with what is a device's own as it stands on this one. */
export function withOwnOf(bicycle: Bicycle, here: Bicycle): Bicycle {
  const own = [...leavesOf(here)].filter(([leaf]) => staysHere(leaf));
  const stamps = Object.fromEntries(own.flatMap(([leaf]) => (here.stamps[leaf] ? [[leaf, here.stamps[leaf]]] : [])));
  return { ...withLeaves(bicycle, own), stamps: { ...bicycle.stamps, ...stamps } };
}

/**
 * The changes that are somebody's: a tray appears with its first entry, and only the entry is what somebody did. A leaf that
 * was not there is told as an empty tray has it.
 */
export function withoutEmptyRows(changes: LeafChange[]): LeafChange[] {
  return changes.flatMap((change) => {
    if (change.before !== undefined) return [change];
    const found = findLeaf(tree, change.leaf);
    const usual = found ? usualIn(found) : undefined;
    if (usual === undefined) return [change];
    return same(usual, change.after) ? [] : [{ ...change, before: usual }];
  });
}

/** Every list of a bicycle that has a bound, with how many rows it holds. */
export function boundsOf(bicycle: Bicycle): (Bound & { list: LeafKey; count: number })[] {
  const found: (Bound & { list: LeafKey; count: number })[] = [];
  visitLists(tree, bicycle, [], ({ most, words, where }, { length: count }, path) => {
    found.push({ list: keyOf(path), count, most, words, where });
  });
  return found;
}

/** The part of the record in which a leaf lies: how it changes, what it is called, and the names that lead on from there. */
export function topLeaf(leaf: LeafKey): { kind: Node['kind'] | null; words: string; path: string[] } {
  const found = findLeaf(tree, leaf);
  const [head, ...path] = found?.path ?? [leaf];
  const node = tree.of.get(head!);
  // A field may have a name of its own, which says all.
  const own = found?.node.kind === 'value' ? wordsOf(found.node) : undefined;
  return { kind: node?.kind ?? null, words: own ?? wordsOf(node) ?? head!, path: own ? [] : path };
}

const wordsOf = (node: Node | undefined): string | undefined =>
  node?.leaf && 'words' in node.leaf ? node.leaf.words : undefined;
