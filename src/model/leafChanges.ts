import { own } from '@/core/own';
import {
  comesAndGoes,
  findLeaf,
  holderOf,
  NO_FIELD,
  parentOf,
  usualIn,
  visit,
  type Any,
  type Found,
  type Node,
  type Row,
  type Tree,
} from './leafTree';
import { keyOf, type LeafKey } from './leafKey';
import type { Bound } from './leaf';
import { same } from './same';

function putRow(list: Row[], id: string, row: unknown): void {
  const at = list.findIndex((each) => each.id === id);
  if (row === undefined || row === null) {
    if (at >= 0) list.splice(at, 1);
  } else if (at >= 0) list[at] = row as Row;
  else list.push(row as Row);
}

function putElement(list: string[], element: string, isIn: boolean): void {
  const at = list.indexOf(element);
  if (isIn && at < 0) list.push(element);
  if (!isIn && at >= 0) list.splice(at, 1);
}

/** The list or object that holds a leaf in a draft; a row that a value is put into is made first. */
function holderIn(tree: Tree, record: Any, { path, row }: Found, isThere: boolean): unknown {
  if (row) {
    const list = holderOf(tree, record, path.slice(0, row.depth)) as Any[];
    const node = parentOf(tree, path.slice(0, row.depth)) as Extract<Node, { kind: 'list' }>;
    const name = path[row.depth - 1]!;
    if (!list.some((each) => each[node.by] === name)) {
      if (!isThere) return undefined;
      list.push(structuredClone(row.fresh));
    }
  }
  return holderOf(tree, record, path);
}

/**
 * Puts values into leaves of a draft. Nothing takes a row, an element or a field of any name away; a field that has to be
 * there is then as in an empty row. Keys that name no leaf are passed over.
 */
export function putLeaves(tree: Tree, record: object, values: Iterable<readonly [LeafKey, unknown]>): void {
  for (const [key, value] of values) {
    const found = findLeaf(tree, key);
    if (!found || (found.node.kind === 'value' && found.path.at(-1) === NO_FIELD)) continue;
    const isThere = value !== undefined && value !== null;
    const holder = holderIn(tree, record as Any, found, isThere);
    if (holder === undefined) continue;
    const name = found.path.at(-1)!;
    if (found.node.kind === 'set') putElement(holder as string[], name, isThere && value !== false);
    else if (found.node.kind !== 'value') putRow(holder as Row[], name, value);
    else {
      const takes = isThere || (value === null && found.node.nullable && !comesAndGoes(tree, found));
      const next = takes ? value : usualIn(found);
      if (next === undefined) delete (holder as Any)[name];
      else (holder as Any)[name] = next;
    }
  }
}

export interface LeafChange {
  leaf: LeafKey;
  /** Undefined: the leaf was not there. */
  before?: unknown;
  after?: unknown;
}

/** The leaves in which two states of a record differ. */
export function changedIn(tree: Tree, before: object, after: object): LeafChange[] {
  const old = new Map<LeafKey, unknown>();
  const now = new Map<LeafKey, unknown>();
  for (const [name, node] of tree.of) {
    const [was, is] = [(before as Any)[name], (after as Any)[name]];
    // What was not touched is the very same object.
    if (was === is) continue;
    visit(node, was, [name], (path, value) => old.set(keyOf(path), value));
    visit(node, is, [name], (path, value) => now.set(keyOf(path), value));
  }
  const changes: LeafChange[] = [];
  for (const [leaf, value] of now)
    if (!old.has(leaf)) changes.push({ leaf, after: value });
    else if (!same(old.get(leaf), value)) changes.push({ leaf, before: old.get(leaf), after: value });
  for (const [leaf, was] of old) if (!now.has(leaf)) changes.push({ leaf, before: was });
  return changes;
}

/** Puts the rows of a draft's lists in the order of their time; those of one time keep the order in which they stood. */
export function orderRows(tree: Tree, record: object, stamps: Record<string, string>): void {
  visitLists(tree, record, [], (leaf, list, path) => {
    const { order } = leaf;
    if (order === undefined) return;
    const when = (row: Row) =>
      order === 'stamps' ? (own(stamps, keyOf([...path, row.id])) ?? '') : String((row as unknown as Any)[order]);
    const timed = list.map((row) => ({ row, at: when(row) }));
    const sorted = [...timed].sort((a, b) => (a.at === b.at ? 0 : a.at < b.at ? -1 : 1));
    if (sorted.some((each, i) => each !== timed[i])) list.splice(0, list.length, ...sorted.map(({ row }) => row));
  });
}

/** Calls for every list of rows in a record that has a bound. */
export function visitLists(
  node: Node,
  value: unknown,
  path: string[],
  tell: (leaf: Bound & { order?: string }, list: Row[], path: string[]) => void,
): void {
  if (node.kind === 'rows' || node.kind === 'append') tell(node.leaf, value as Row[], path);
  if (node.kind === 'shape')
    for (const [name, child] of node.of)
      if (own(value as Any, name) !== undefined) visitLists(child, (value as Any)[name], [...path, name], tell);
  if (node.kind !== 'list') return;
  const { most, words, where } = node.leaf;
  if (most && words && where) tell({ most, words, where }, value as Row[], path);
  for (const row of value as Any[])
    visitLists({ kind: 'shape', leaf: null, of: node.of }, row, [...path, String(row[node.by])], tell);
}
