import { produce, type Draft } from 'immer';
import type { Bicycle } from './record';

/**
 * A bicycle as leaves: the smallest things that change as one. A field of a part (`kind/brakes`), a row by its id
 * (`observations/o1`), a field of a tray by its place (`trays/hub.front/order`). Undo, merge and conflict all speak of
 * leaves, so that they agree on what "the same thing" is.
 */
export type LeafKey = string;

/** Lists whose rows are leaves, by their id. */
const ROW_LISTS = [
  'observations',
  'jobs',
  'timers',
  'signatures',
  'proofs',
  'lines',
  'minutes',
  'photos',
  'notes',
  'deliveries',
  'looseEnds',
  'comparables',
  'complaints',
  'seized',
  'tricks',
  'identified',
  'endings',
  'acceptances',
  'worked',
  'rechecks',
  'waysOut',
] as const;
/** Objects whose fields are leaves. */
const FIELD_OBJECTS = [
  'kind',
  'sale',
  'lead',
  'provenance',
  'size',
  'door',
  'features',
  'finish',
  'riding',
  'boltSizes',
] as const;
/** Fields that are leaves themselves. */
const PLAIN = [
  'name',
  'note',
  'brief',
  'purpose',
  'customer',
  'seenAs',
  'purchase',
  'clock',
  'bench',
  'archivedAt',
] as const;
const TRAY_OBJECTS = [
  'seen',
  'axle',
  'balls',
  'soils',
  'marks',
  'fates',
  'hardened',
  'tracks',
  'cartridges',
  'round',
  'service',
] as const;
const TRAY_PLAIN = [
  'assembly',
  'extra',
  'leftOff',
  'cleaned',
  'doneSteps',
  'order',
  'backIn',
  'ballReadingsMm',
  'instrument',
  'overBallsMm',
  'before',
  'after',
  'worked',
  'ballsWere',
  'runOn',
] as const;

type Any = Record<string, unknown>;

/** A place as one part of a leaf's key, whatever stands in its id. */
function segment(place: string): string {
  return place.replaceAll('%', '%25').replaceAll('/', '%2F');
}
function placeOf(written: string): string {
  return written.replaceAll('%2F', '/').replaceAll('%25', '%');
}
/** A field by its name alone; what an object is born with, such as `constructor`, is no field of it. */
function own(object: Any, field: string): unknown {
  return Object.hasOwn(object, field) ? object[field] : undefined;
}
interface Row {
  id: string;
}

/** The leaf of a tray's field. Example: `trayLeaf('hub.front', 'after')` is `trays/hub.front/after`. */
export function trayLeaf(place: string, field: string): LeafKey {
  return `trays/${segment(place)}/${field}`;
}

/** Every leaf of a bicycle with its value, in the order of the record. */
export function leavesOf(bicycle: Bicycle): Map<LeafKey, unknown> {
  const leaves = new Map<LeafKey, unknown>();
  const record = bicycle as unknown as Any;
  for (const key of PLAIN) leaves.set(key, record[key]);
  for (const key of FIELD_OBJECTS)
    for (const [field, value] of Object.entries(record[key] as Any)) leaves.set(`${key}/${field}`, value);
  for (const [field, value] of Object.entries(bicycle.appraisal))
    if (field !== 'lines') leaves.set(`appraisal/${field}`, value);
  for (const row of bicycle.appraisal.lines) leaves.set(`costLines/${row.id}`, row);
  for (const list of ROW_LISTS) for (const row of record[list] as Row[]) leaves.set(`${list}/${row.id}`, row);
  for (const tray of bicycle.trays) {
    const fields = tray as unknown as Any;
    const at = `trays/${segment(tray.place)}`;
    for (const key of TRAY_PLAIN) leaves.set(`${at}/${key}`, fields[key]);
    for (const key of TRAY_OBJECTS)
      for (const [field, value] of Object.entries(fields[key] as Any)) leaves.set(`${at}/${key}/${field}`, value);
    for (const row of tray.trials) leaves.set(`${at}/trials/${row.id}`, row);
  }
  return leaves;
}

/** Whether two values are the same to a reader, whatever the order of their fields. */
export function same(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const keys = Object.keys(a);
  if (keys.length !== Object.keys(b).length) return false;
  return keys.every((key) => Object.hasOwn(b, key) && same((a as Any)[key], (b as Any)[key]));
}

export interface LeafChange {
  leaf: LeafKey;
  /** Undefined: the leaf was not there. */
  before?: unknown;
  after?: unknown;
}

/** The leaves in which two states of a bicycle differ. Parts that were not touched are passed over by identity. */
export function changedLeaves(before: Bicycle, after: Bicycle): LeafChange[] {
  const old = leavesOf(before);
  const now = leavesOf(after);
  const changes: LeafChange[] = [];
  for (const [leaf, value] of now) {
    const was = old.get(leaf);
    if (value === was && old.has(leaf)) continue;
    if (!old.has(leaf)) changes.push({ leaf, after: value });
    else if (!same(was, value)) changes.push({ leaf, before: was, after: value });
  }
  for (const [leaf, was] of old) if (!now.has(leaf)) changes.push({ leaf, before: was });
  return changes;
}

/** The value of one leaf, or undefined where it is not there. */
export function leafValue(bicycle: Bicycle, leaf: LeafKey): unknown {
  return leavesOf(bicycle).get(leaf);
}

function putRow(rows: Draft<Row>[], id: string, value: unknown): void {
  const found = rows.findIndex((row) => row.id === id);
  // A row is there or it is not; a field may well hold nothing.
  if (value === undefined || value === null) {
    if (found >= 0) rows.splice(found, 1);
  } else if (found >= 0) rows[found] = value as Row;
  else rows.push(value as Row);
}

function putField(object: Any, field: string, value: unknown): void {
  // No row of a record is called that: parsing drops it, and writing it would change what the object is.
  if (field === '__proto__') return;
  if (value === undefined) delete object[field];
  else object[field] = value;
}

/** Puts values into leaves; a value of undefined takes the leaf away, or empties it where a tray needs it. Keys that name no leaf are passed over. */
export function withLeaves(
  bicycle: Bicycle,
  values: Iterable<readonly [LeafKey, unknown]>,
  newTray: (place: string) => unknown,
): Bicycle {
  return produce(bicycle, (draft) => {
    const record = draft as unknown as Any;
    for (const [leaf, value] of values) {
      const [head, ...rest] = leaf.split('/');
      if ((PLAIN as readonly string[]).includes(leaf)) putField(record, leaf, value);
      else if ((FIELD_OBJECTS as readonly string[]).includes(head!))
        putField(record[head!] as Any, rest.join('/'), value);
      else if (head === 'appraisal') putField(draft.appraisal, rest[0]!, value);
      else if (head === 'costLines') putRow(draft.appraisal.lines, rest.join('/'), value);
      else if ((ROW_LISTS as readonly string[]).includes(head!)) putRow(record[head!] as Row[], rest.join('/'), value);
      else if (head === 'trays') {
        const [written, part, ...field] = rest;
        const place = placeOf(written!);
        let tray = draft.trays.find((each) => each.place === place);
        if (!tray) {
          if (value === undefined) continue;
          draft.trays.push(newTray(place) as (typeof draft.trays)[number]);
          tray = draft.trays.at(-1)!;
        }
        const fields = tray as unknown as Any;
        if (part === 'trials') putRow(tray.trials, field.join('/'), value);
        else if ((TRAY_OBJECTS as readonly string[]).includes(part!)) {
          const empty = (newTray(place) as Any)[part!] as Any;
          putField(fields[part!] as Any, field.join('/'), value ?? own(empty, field.join('/')));
        } else if ((TRAY_PLAIN as readonly string[]).includes(part!))
          // An undo writes nothing for what was not there: the field is as an empty tray has it.
          putField(fields, part!, value ?? (newTray(place) as Any)[part!]);
      }
    }
  });
}

/** Rows that are never taken out of the record: undoing their entry withdraws them. */
export function isAppendOnly(leaf: LeafKey): boolean {
  return leaf.startsWith('observations/') || leaf.startsWith('notes/');
}
