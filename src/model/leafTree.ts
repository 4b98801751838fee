import * as z from 'zod/mini';
import { own } from '@/core/own';
import { leaves, type Leaf } from './leaf';
import { keyOf, type LeafKey } from './leafKey';

export type Any = Record<string, unknown>;
export interface Row {
  id: string;
}

/** No field of a record is called that: parsing drops it, and writing it would change what the object is. */
export const NO_FIELD = '__proto__';

/** A schema's leaves as a tree. */
export type Node =
  | { kind: 'value'; leaf: Leaf; nullable: boolean }
  | { kind: 'rows' | 'append'; leaf: Extract<Leaf, { kind: 'rows' | 'append' }> }
  | { kind: 'set'; leaf: Leaf }
  /** Fields of known names. */
  | { kind: 'shape'; leaf: Leaf | null; of: Map<string, Node> }
  /** Fields of any name. */
  | { kind: 'map'; leaf: Leaf; each: Node }
  /** A list whose rows have leaves of their own. */
  | {
      kind: 'list';
      leaf: Extract<Leaf, { kind: 'fields' }>;
      by: string;
      fresh: (name: string) => Any;
      of: Map<string, Node>;
    };

function inner(schema: z.ZodMiniType): z.ZodMiniType {
  return schema instanceof z.ZodMiniOptional ||
    schema instanceof z.ZodMiniDefault ||
    schema instanceof z.ZodMiniPrefault
    ? inner(schema.def.innerType as z.ZodMiniType)
    : schema;
}

function shapeOf(schema: z.ZodMiniObject): Map<string, Node> {
  return new Map(
    Object.entries(schema.shape).flatMap(([name, field]) => {
      const leaf = leaves.get(field);
      return leaf?.kind === 'kept' ? [] : [[name, nodeOf(field as z.ZodMiniType, leaf)] as const];
    }),
  );
}

function nodeOf(schema: z.ZodMiniType, leaf: Leaf = { kind: 'value' }): Node {
  const bare = inner(schema);
  if (leaf.kind === 'rows' || leaf.kind === 'append') return { kind: leaf.kind, leaf };
  if (leaf.kind === 'set') return { kind: 'set', leaf };
  if (leaf.kind !== 'fields') return { kind: 'value', leaf, nullable: schema.safeParse(null).success };
  if (bare instanceof z.ZodMiniObject) return { kind: 'shape', leaf, of: shapeOf(bare) };
  if (bare instanceof z.ZodMiniRecord)
    return {
      kind: 'map',
      leaf,
      each: nodeOf(
        bare.def.valueType as z.ZodMiniType,
        leaves.get(bare.def.valueType) ?? { kind: 'value', latest: leaf.latest },
      ),
    };
  if (bare instanceof z.ZodMiniArray && bare.def.element instanceof z.ZodMiniObject && leaf.by && leaf.fresh) {
    const of = shapeOf(bare.def.element);
    of.delete(leaf.by);
    return { kind: 'list', leaf, by: leaf.by, fresh: leaf.fresh as (name: string) => Any, of };
  }
  throw new Error('only objects, records and lists of named rows have fields');
}

export type Tree = Extract<Node, { kind: 'shape' }>;

/** The leaves of a record's schema. Errors: fields of what has none. */
export function leafTree(schema: z.ZodMiniObject): Tree {
  return { kind: 'shape', leaf: null, of: shapeOf(schema) };
}

const read = (name: string) => name.replaceAll('%2F', '/').replaceAll('%25', '%');

/** Calls for every leaf of a value, in the order of the record. */
export function visit(
  node: Node,
  value: unknown,
  path: string[],
  tell: (path: string[], value: unknown) => void,
): void {
  switch (node.kind) {
    case 'value':
      return tell(path, value);
    case 'rows':
    case 'append':
      return (value as Row[]).forEach((row) => tell([...path, row.id], row));
    case 'set':
      return (value as string[]).forEach((element) => tell([...path, element], true));
    case 'shape':
      for (const [name, child] of node.of)
        if (Object.hasOwn(value as Any, name)) visit(child, (value as Any)[name], [...path, name], tell);
      return;
    case 'map':
      for (const [name, each] of Object.entries(value as Any))
        if (name !== NO_FIELD) visit(node.each, each, [...path, name], tell);
      return;
    case 'list':
      for (const row of value as Any[])
        for (const [name, child] of node.of)
          if (Object.hasOwn(row, name)) visit(child, row[name], [...path, String(row[node.by]), name], tell);
  }
}

/** Every leaf of a record with its value, in the order of the record. */
export function leavesIn(tree: Tree, record: object): Map<LeafKey, unknown> {
  const found = new Map<LeafKey, unknown>();
  visit(tree, record, [], (path, value) => found.set(keyOf(path), value));
  return found;
}

export interface Found {
  node: Node;
  path: string[];
  /** An empty row of the list in which it lies, and how many names lead to that row. */
  row: { fresh: Any; depth: number } | null;
}

/** Where a key leads, or null where it names no leaf. */
export function findLeaf(tree: Tree, key: LeafKey): Found | null {
  const names = key.split('/');
  let node: Node = tree;
  let row: Found['row'] = null;
  const path: string[] = [];
  for (let i = 0; i < names.length; i++) {
    if (node.kind === 'shape') {
      const child: Node | undefined = node.of.get(names[i]!);
      if (!child) return null;
      path.push(names[i]!);
      node = child;
      continue;
    }
    if (node.kind === 'list') {
      const name = read(names[i]!);
      const child: Node | undefined = node.of.get(names[i + 1] ?? '');
      if (!child) return null;
      row = { fresh: node.fresh(name), depth: path.length + 1 };
      path.push(name, names[++i]!);
      node = child;
      continue;
    }
    if (node.kind === 'value') return null;
    if (node.kind === 'map' && node.each.kind !== 'value') {
      path.push(read(names[i]!));
      node = node.each;
      continue;
    }
    path.push(names.slice(i).join('/'));
    return { node: node.kind === 'map' ? node.each : node, path, row };
  }
  return node.kind === 'value' ? { node, path, row } : null;
}

/** Whether a found leaf is one of many that are there or are not: a row, an element, a field of any name. */
export const comesAndGoes = (tree: Tree, { node, path }: Found): boolean =>
  node.kind !== 'value' || parentOf(tree, path)?.kind === 'map';

export function parentOf(tree: Tree, path: string[]): Node | undefined {
  let node: Node | undefined = tree;
  for (const name of path.slice(0, -1)) {
    if (node?.kind === 'shape') node = node.of.get(name);
    else if (node?.kind === 'map') node = node.each;
    else if (node?.kind === 'list') node = { kind: 'shape', leaf: null, of: node.of };
  }
  return node;
}

/** What holds a found leaf: the list or the object, or undefined where there is none. */
export function holderOf(tree: Tree, record: Any, path: string[]): unknown {
  let node: Node | undefined = tree;
  let value: unknown = record;
  for (const name of path.slice(0, -1)) {
    if (value === undefined) return undefined;
    if (node?.kind === 'list') {
      const { by, of }: Extract<Node, { kind: 'list' }> = node;
      value = (value as Any[]).find((row) => row[by] === name);
      node = { kind: 'shape', leaf: null, of };
    } else {
      value = own(value as Any, name);
      node = node?.kind === 'shape' ? node.of.get(name) : node?.kind === 'map' ? node.each : undefined;
    }
  }
  return value;
}

/** The value of one leaf, or undefined where it is not there. */
export function leafIn(tree: Tree, record: object, key: LeafKey): unknown {
  const found = findLeaf(tree, key);
  if (!found) return undefined;
  const holder = holderOf(tree, record as Any, found.path);
  const name = found.path.at(-1)!;
  if (holder === undefined) return undefined;
  if (found.node.kind === 'value') return own(holder as Any, name);
  if (found.node.kind === 'set') return (holder as string[]).includes(name) || undefined;
  return (holder as Row[]).find((row) => row.id === name);
}

/** The value that a leaf has in an empty row of the list in which it lies; undefined outside of one. */
export function usualIn(found: Found): unknown {
  if (!found.row) return undefined;
  let value: unknown = found.row.fresh;
  for (const name of found.path.slice(found.row.depth)) {
    if (typeof value !== 'object' || value === null) return undefined;
    value = Array.isArray(value) ? undefined : own(value as Any, name);
  }
  return value;
}
