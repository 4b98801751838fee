import { NO_DRIVE } from '../bicycle/fresh';
import { USUAL_FASTENER } from '../rebuild/part';
import type { Raw } from './stored';

/**
 * From version 8 to 9: a tray keeps what came off, a bearing what was counted, measured and set; lists of ticks merge tick by
 * tick; a bolt's size is one property of its fastener.
 */

/** What stood in a tray and belongs to its bearing. */
const OF_BEARING = [
  'balls',
  'ballReadingsMm',
  'instrument',
  'overBallsMm',
  'seen',
  'tracks',
  'worked',
  'cartridges',
  'ballsWere',
  'round',
  'runOn',
  'service',
  'axle',
  'before',
  'after',
  'trials',
];
/** Lists that changed as one, and now do by their elements. */
const SETS = ['doneSteps', 'backIn', 'cleaned', 'leftOff', 'worked'];

const rows = (list: unknown) => (Array.isArray(list) ? (list as Raw[]) : []);
const words = (list: unknown): string[] =>
  Array.isArray(list) ? [...new Set(list as unknown[])].filter((each) => typeof each === 'string') : [];

/** A tray's field by its leaf in version 8. */
const trayField = (leaf: string) =>
  /^trays\/([^/]+)\/([^/]+)(\/.*)?$/.exec(leaf)?.slice(1) as
    [place: string, field: string, rest: string | undefined] | undefined;

/** What a leaf of version 8 is called now. Example: `trays/hub.front/after` → `bearings/hub.front/after`. */
export function presentLeaf(leaf: string): string {
  if (leaf.startsWith('costLines/')) return `appraisal/lines/${leaf.slice('costLines/'.length)}`;
  if (leaf.startsWith('boltSizes/')) return `fasteners/${leaf.slice('boltSizes/'.length)}`;
  const found = trayField(leaf);
  if (!found) return leaf;
  const [place, field, rest = ''] = found;
  if (field === 'order') return `trays/${place}/off${rest}`;
  if (!OF_BEARING.includes(field)) return leaf;
  return `bearings/${place}/${field === 'worked' ? 'doneSteps' : field}${rest}`;
}

/** A leaf with two of its values: before and after, expected and put, kept and other. */
export interface Pair {
  leaf: string;
  from: unknown;
  to: unknown;
}

const chosen = (size: unknown) => (typeof size === 'string' ? { ...USUAL_FASTENER, size } : size);

/** What a list of version 8 says of each of its elements. */
function elements(field: string, list: unknown): Map<string, unknown> {
  if (field === 'extra') return new Map(rows(list).map((row) => [String(row.id), row]));
  return new Map(words(list).map((each, i) => [each, field === 'order' ? i + 1 : true]));
}

/** A change as version 8 told it, in the leaves of today: a list as one change becomes a change of each element that differs. */
export function presentPairs({ leaf, from, to }: Pair): Pair[] {
  const name = presentLeaf(leaf);
  if (leaf.startsWith('boltSizes/')) return [{ leaf: name, from: chosen(from), to: chosen(to) }];
  const [, field, rest] = trayField(leaf) ?? [];
  const isList = field !== undefined && rest === undefined && [...SETS, 'order', 'extra'].includes(field);
  if (!isList) return [{ leaf: name, from, to }];
  const [old, now] = [elements(field, from), elements(field, to)];
  return [...new Set([...old.keys(), ...now.keys()])].flatMap((each) => {
    const pair = { leaf: `${name}/${each}`, from: old.get(each), to: now.get(each) };
    return JSON.stringify(pair.from) === JSON.stringify(pair.to) ? [] : [pair];
  });
}

/** How a row of the history was written by version 8, as today reads it. */
export function presentHistory(history: unknown): unknown {
  if (!Array.isArray(history)) return history;
  return history.map((row: Raw) => ({
    ...row,
    changes: rows(row.changes).flatMap((change) =>
      presentPairs({ leaf: String(change.leaf), from: change.before, to: change.after }).map(({ leaf, from, to }) => ({
        leaf,
        ...(from !== undefined && { before: from }),
        ...(to !== undefined && { after: to }),
      })),
    ),
  }));
}

function presentConflicts(conflicts: unknown): Raw[] {
  return rows(conflicts).flatMap((row) => {
    const stamp = String(row.id).slice(String(row.leaf).length);
    return presentPairs({ leaf: String(row.leaf), from: row.kept, to: row.other }).map(({ leaf, from, to }) => ({
      ...row,
      id: `${leaf}${stamp}`,
      leaf,
      kept: from ?? null,
      other: to ?? null,
    }));
  });
}

/** Whether anything was put down of a bearing that stood in a tray. */
function isKnown(bearing: Raw): boolean {
  const usual: Raw = { instrument: 'caliper', runOn: false };
  const unseen = (seen: unknown) => Object.values((seen ?? {}) as Raw).every((each) => each === 'unknown');
  const { doneOn, grease, seal } = (bearing.service ?? {}) as Raw;
  if (!unseen(bearing.seen) || (doneOn ?? null) !== null || grease !== 'standard' || seal !== 'good') return true;
  return Object.entries(bearing).some(([field, value]) => {
    if (['place', 'seen', 'service'].includes(field) || value === usual[field]) return false;
    if (typeof value !== 'object') return value !== undefined;
    return value !== null && Object.keys(value).length > 0;
  });
}

function split(tray: Raw): { tray: Raw; bearing: Raw } {
  const { order, worked, ...rest } = tray;
  const of = (field: string) => OF_BEARING.includes(field);
  const kept = Object.fromEntries(Object.entries(rest).filter(([field]) => !of(field)));
  const moved = Object.fromEntries(Object.entries(rest).filter(([field]) => of(field)));
  const sets = Object.fromEntries(SETS.filter((field) => field in kept).map((field) => [field, words(kept[field])]));
  return {
    tray: { ...kept, ...sets, off: Object.fromEntries(words(order).map((part, i) => [part, i + 1])) },
    bearing: { ...moved, place: tray.place, doneSteps: words(worked) },
  };
}

/** A record of version 8 as version 9 has it. */
export function toNine(old: Raw): Raw {
  const { boltSizes, trays, conflicts, stamps, ...rest } = old;
  const halves = rows(trays).map(split);
  const said = typeof stamps === 'object' && stamps !== null ? (stamps as Raw) : {};
  return {
    ...rest,
    trays: halves.map(({ tray }) => tray),
    bearings: halves.flatMap(({ bearing }) => (isKnown(bearing) ? [bearing] : [])),
    fasteners: Object.fromEntries(Object.entries((boltSizes ?? {}) as Raw).map(([bolt, size]) => [bolt, chosen(size)])),
    recalls: [],
    alignments: [],
    electricDrive: NO_DRIVE,
    conflicts: presentConflicts(conflicts),
    // The stamp of a list stands for each element that has none of its own.
    stamps: Object.fromEntries(Object.entries(said).map(([leaf, stamp]) => [presentLeaf(leaf), stamp])),
  };
}

/** Commands that were called otherwise. */
const RENAMED: Record<string, string> = {
  noteTray: 'measureBearing',
  seeTray: 'seeInside',
  noteBearing: 'feelBearing',
  workStep: 'overhaulStep',
};

/** A command as version 8 wrote it to the journal, as today reads it; one of today stays as it is. */
export function presentCommand(command: unknown): unknown {
  if (typeof command !== 'object' || command === null) return command;
  const { type, ...rest } = command as Raw;
  if (type !== 'amend')
    return { type: typeof type === 'string' && Object.hasOwn(RENAMED, type) ? RENAMED[type] : type, ...rest };
  const changes = rows(rest.changes).flatMap((change) =>
    presentPairs({ leaf: String(change.leaf), from: change.expect, to: change.value }).map(({ leaf, from, to }) => ({
      leaf,
      expect: from ?? null,
      value: to ?? null,
    })),
  );
  return { type, ...rest, changes };
}
