import { workedAt } from './prove/order';
import { produce } from 'immer';
import * as z from 'zod/mini';
import { own } from '@/core/own';
import { amend, settleConflict, type Amend } from './amend';
import { put, type CommandOf, type Work } from './command';
import { id, at } from './fields';
import type { LeafChange } from './leafChanges';
import { changedLeaves, isLeaf, laterStands, leafValue, withLeaves, withoutEmptyRows } from './leaves';
import { same } from './same';
import type { WorkedOn } from './prove/part';
import type { Bicycle } from './record';
import { stampOf } from './stamps';
import * as subjects from './subjects';

type Subject = (typeof subjects)[keyof typeof subjects];
type Schema = Subject['commands'][number]['schema'] | typeof amend | typeof settleConflict;
export type Command = z.output<Schema>;

const definitions = Object.values(subjects).flatMap(({ commands }) => [...commands]) as unknown as CommandOf<
  string,
  z.core.$ZodShape
>[];
const byType = new Map(definitions.map((definition) => [definition.type, definition]));

/** Every change that can be made to a bicycle: those of all subjects, and what speaks of leaves and not of one field. */
export const command = z.discriminatedUnion('type', [
  amend,
  settleConflict,
  ...definitions.map(({ schema }) => schema),
]) as unknown as z.ZodMiniType<Command, z.input<Schema>>;

/** A command on its way to a bicycle. */
export const envelope = z.strictObject({
  id,
  bicycle: id,
  at,
  command,
  /** Stamps of the touched leaves as the sender saw them; a leaf that has another stamp by now was changed elsewhere. */
  seen: z._default(z.record(z.string(), z.string()), {}),
});
type Parsed = z.output<typeof envelope>;
export type Envelope = Omit<Parsed, 'seen'> & { seen?: Parsed['seen'] };

const RECENT = 100;

/** Changes that nobody asks to take back: where the bench stands, and that somebody is still at it. */
export function isQuiet({ type }: Command): boolean {
  return type === 'settleConflict' || byType.get(type)?.quiet === true;
}

/** What a change is called when it can be taken back. Example: "chain 0.69 %", "hub front, left: 9 out". */
export function wordsFor(step: Command, before: Bicycle): string {
  if (step.type === 'amend') return step.words;
  return byType.get(step.type)?.words?.(step, before) ?? '';
}

/**
 * What a change does to the bicycle itself: a part off or back in, a bearing set, a job done, a bolt of another size.
 * Example: a ticked step that takes a locknut off the front hub → the front hub was off.
 */
export function workDone(step: Command, before: Bicycle): Work[] {
  return byType.get(step.type)?.work?.(step, before) ?? [];
}

function applied(bicycle: Bicycle, sent: Envelope): Bicycle {
  const step = sent.command;
  if (step.type === 'amend') {
    const values = step.changes.map(({ leaf, value }) => [leaf, value] as const);
    return stillStands(bicycle, step) ? withLeaves(bicycle, values) : bicycle;
  }
  if (step.type === 'settleConflict') {
    const found = bicycle.conflicts.find((row) => row.id === step.conflict);
    if (!found) return bicycle;
    const chosen = step.take === 'other' ? withLeaves(bicycle, [[found.leaf, found.other]]) : bicycle;
    return { ...chosen, conflicts: chosen.conflicts.filter((row) => row.id !== step.conflict) };
  }
  const done = workDone(step, bicycle);
  return produce(bicycle, (draft) => {
    byType.get(step.type)!.apply(draft, step);
    for (const [i, row] of done.entries())
      put(draft.worked, {
        id: `${sent.id.slice(0, 60)}.${i}`,
        at: workedAt(draft, sent.at),
        ...row,
      } satisfies WorkedOn);
  });
}

/** Whether every leaf of an amendment still stands as the change left it. A null and a missing leaf are alike. */
export function stillStands(bicycle: Bicycle, amend: Amend): boolean {
  return amend.changes.every(({ leaf, expect }) => same(leafValue(bicycle, leaf) ?? null, expect ?? null));
}

/** The leaves that a command changes, with their stamps as its sender sees them; none where everything stands so already. */
export function seenBy(before: Bicycle, after: Bicycle): Record<string, string> {
  const changes = withoutEmptyRows(changedLeaves(before, after));
  return Object.fromEntries(changes.map(({ leaf }) => [leaf, own(before.stamps, leaf) ?? '']));
}

/**
 * What a command did where it was given, it does here; what it did not change there, because it stood so already, it leaves
 * as another tab has put it since.
 */
function asMeant(bicycle: Bicycle, done: Bicycle, { seen }: Envelope): { next: Bicycle; changes: LeafChange[] } {
  // A tray that appears with its first entry is no change of all its fields: two who begin one are asked nothing of the rest.
  const changes = withoutEmptyRows(changedLeaves(bicycle, done));
  // What an older release saw has other names: then nothing is known of what was meant, and all of it is done.
  const known = Object.keys(seen ?? {});
  const meant = known.length > 0 && known.every(isLeaf) ? known : null;
  const others = meant ? changes.filter(({ leaf }) => !meant.includes(leaf)) : [];
  if (others.length === 0) return { next: done, changes };
  const next = withLeaves(
    done,
    others.map(({ leaf, before }) => [leaf, before]),
  );
  return { next, changes: changes.filter((change) => !others.includes(change)) };
}

/**
 * The bicycle after a command. Pure; a command that has already been applied changes nothing, so that a journal may be
 * replayed. Example: `applyCommand(bicycle, { id, bicycle: bicycle.id, at, command: { type: 'setBrief', brief: 'donor' } })`.
 */
export function applyCommand(bicycle: Bicycle, sent: Envelope): Bicycle {
  if (bicycle.recent.includes(sent.id)) return bicycle;
  const done = applied(bicycle, sent);
  if (done === bicycle && sent.command.type === 'amend') return bicycle;
  const { next, changes } = asMeant(bicycle, done, sent);
  const stamp = stampOf(sent.at, sent.id);
  return produce(next, (draft) => {
    for (const { leaf, before, after } of changes) {
      const seen = sent.seen && own(sent.seen, leaf);
      const elsewhere = seen !== undefined && seen !== (own(bicycle.stamps, leaf) ?? '');
      if (elsewhere && before !== undefined && laterStands(leaf) === undefined)
        draft.conflicts.push({ id: `${leaf}@${stamp}`, leaf, kept: after ?? null, other: before, at: sent.at });
      draft.stamps[leaf] = stamp;
    }
    draft.revision += 1;
    if (!isQuiet(sent.command)) draft.updatedAt = sent.at;
    draft.recent = [...draft.recent, sent.id].slice(-RECENT);
  });
}
