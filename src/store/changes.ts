import { applyCommand, envelope, seenBy, stillStands, type Command, type Envelope } from '@/model/commands';
import { refusedByBound } from '@/model/bounds';
import { amendment, historyOf, withRow, type HistoryRow } from '@/model/history';
import { stacks } from '@/model/undoStacks';
import { bicycleRecord, type Bicycle } from '@/model/record';
import { summaryOf } from '@/model/summaryOf';
import type { Around } from './around';
import { CANNOT_BE_KEPT, NOT_WRITTEN } from './troubleWords';
import type { Journal } from './journal';
import type { ReadRecord, Records } from './records';
import type { Hidden } from './hidden';
import type { Shown } from './shown';
import { own } from '@/core/own';
import { lockOf } from './surroundings';

const SHUT =
  'A newer Ergasto has brought this bicycle up to date, so nothing more is changed here. Reload the page: what you entered is kept, and is written then.';

function changedSince(words: string): string {
  return `Not taken back: “${words}” has been changed again since, perhaps in another tab.`;
}

interface Needs extends Around, Shown, Hidden {
  records: Records;
  countChange(): Promise<void>;
  /** Whether the browser has taken the whole database away; then it is told. */
  isGone(): Promise<boolean>;
}

export interface Changes {
  send(bicycleId: string, command: Command): void;
  amend(bicycleId: string, direction: 'undo' | 'redo'): void;
  /** A record with what has not been written of it yet. */
  withWaiting(bicycle: Bicycle): Bicycle;
  isWaiting(bicycleId: string): boolean;
  /** Takes over what an earlier page left in the journal. */
  takeOver(sent: Envelope): void;
  /** Writes all that waits, in the order in which it was made. */
  writeAll(): void;
}

/** Applies changes in their order; one that would make the record unreadable is left out and stays in the journal. */
function applyInOrder(from: Extract<ReadRecord, { ok: true }>, changes: Envelope[], careful: boolean) {
  let { bicycle, history } = from;
  const unfit: Envelope[] = [];
  const refused: string[] = [];
  for (const sent of changes) {
    const after = applyCommand(bicycle, sent);
    if (careful && after !== bicycle && !bicycleRecord.safeParse(after).success) {
      unfit.push(sent);
      continue;
    }
    const row = after === bicycle ? null : historyOf(bicycle, after, sent);
    if (row) history = withRow(history, row);
    if (sent.command.type === 'amend' && !after.recent.includes(sent.id)) refused.push(sent.command.words);
    bicycle = after;
  }
  return { bicycle, history, unfit, refused };
}

/** Changes that have not been written yet, in the order in which they were made. */
function createWaiting(journal: Journal) {
  const waiting = new Map<string, Envelope>();
  const due = (id: string) => [...waiting.values()].filter((sent) => sent.bicycle === id);
  return {
    due,
    all: () => [...waiting.values()],
    add: (sent: Envelope) => void waiting.set(sent.id, sent),
    /** Left in the journal for a release that can read it. */
    leave: (sent: Envelope) => void waiting.delete(sent.id),
    done(sent: Envelope) {
      waiting.delete(sent.id);
      journal.clear(sent.id);
    },
    on: (bicycle: Bicycle) => due(bicycle.id).reduce(applyCommand, bicycle),
  };
}
type Waiting = ReturnType<typeof createWaiting>;

/** Writes what waits for a bicycle, under its lock: re-read, apply, write, tell the other tabs, clear the journal. */
function createWriter(needs: Needs, waiting: Waiting) {
  const { store, records, tell } = needs;
  const shut = new Set<string>();

  async function writeUnder(id: string, changes: Envelope[]) {
    const read = await records.read(id);
    if (!read.ok) return read;
    let result = applyInOrder(read, changes, false);
    // What was sent from here was checked against the very record that is known; anything else is checked now.
    const fit = read.known || bicycleRecord.safeParse(result.bicycle).success;
    if (!fit) result = applyInOrder(read, changes, true);
    if (result.bicycle !== read.bicycle)
      await records.write(result.bicycle, result.history, { old: read.old, checked: true });
    await needs.database.writeSummary(id, summaryOf(result.bicycle, own(store.getState().summaries, id)));
    return { ok: true as const, ...result };
  }

  type Written = Awaited<ReturnType<typeof writeUnder>>;
  async function tellWritten(id: string, changes: Envelope[], written: Written): Promise<void> {
    if (written.ok) {
      written.unfit.forEach(waiting.leave);
      if (written.unfit.length > 0) tell('refused', CANNOT_BE_KEPT);
      changes.filter((sent) => !written.unfit.includes(sent)).forEach(waiting.done);
      if (written.refused.length > 0) store.setState({ remark: changedSince(written.refused.at(-1)!) });
      needs.show(written.bicycle, own(store.getState().bicycles, id) ? written.history : undefined);
      needs.channel.post({ kind: 'bicycle', id });
      tell('gone', null);
    } else if (written.why === 'newer') {
      shut.add(id);
      tell('shut', SHUT);
    } else if (written.why === 'damaged') {
      needs.leaveClosed(id, written);
    } else if (!(await needs.isGone())) {
      changes.forEach(waiting.done);
      needs.forget(id);
      store.setState({ remark: 'That bicycle has been removed in another tab, with what was entered last.' });
    }
    if (!waiting.all().some((sent) => !shut.has(sent.bicycle))) tell('write', null);
  }

  return {
    isShut: (id: string) => shut.has(id),
    async write(id: string): Promise<void> {
      const changes = waiting.due(id);
      if (changes.length === 0) return;
      try {
        await tellWritten(id, changes, await needs.locked(lockOf(id), () => writeUnder(id, changes)));
      } catch {
        tell('write', NOT_WRITTEN);
      }
    },
  };
}

/** A command as it is sent, with what it makes of the bicycle; why it is refused; null where nothing would change. */
function prepared(bicycle: Bicycle, bare: Envelope): { sent: Envelope; next: Bicycle } | { refused: string } | null {
  // A record that could not be opened again must never be written.
  const next = envelope.safeParse(bare).success ? applyCommand(bicycle, bare) : null;
  if (!next || !bicycleRecord.safeParse(next).success) return { refused: CANNOT_BE_KEPT };
  const full = refusedByBound(bicycle, next);
  if (full) return { refused: full };
  const seen = seenBy(bicycle, next);
  // What stands so already is no change, and must not undo one that another tab is making.
  if (Object.keys(seen).length === 0 && bare.command.type !== 'settleConflict') return null;
  return { sent: { ...bare, seen }, next };
}

/**
 * The way of a change: journalled at once, shown at once, then written under a lock on its bicycle: re-read, apply, write,
 * tell the other tabs, clear the journal. What another tab wrote meanwhile is never overwritten, because the command is
 * applied to what stands in the database. All that waits for one bicycle is written together, so that a change that could
 * not be written is never overtaken by a later one.
 */
export function createChanges(needs: Needs): Changes {
  const { store, journal, tell, enqueue } = needs;
  const waiting = createWaiting(journal);
  const { write, isShut } = createWriter(needs, waiting);

  /** Shows a change before it is written. */
  function showSent(bicycle: Bicycle, next: Bicycle, row: HistoryRow | null): void {
    const { id } = bicycle;
    store.setState(({ bicycles, histories, summaries }) => ({
      bicycles: { ...bicycles, [id]: next },
      histories: row ? { ...histories, [id]: withRow(own(histories, id) ?? [], row) } : histories,
      summaries: { ...summaries, [id]: summaryOf(next, own(summaries, id)) },
    }));
  }

  function send(bicycleId: string, command: Command): void {
    const bicycle = own(store.getState().bicycles, bicycleId);
    if (!bicycle) return;
    if (isShut(bicycleId)) return tell('shut', SHUT);
    const change = prepared(bicycle, { id: needs.newId(), bicycle: bicycleId, at: needs.now(), command });
    if (!change) return;
    if ('refused' in change) return tell('refused', change.refused);
    const { sent, next } = change;
    waiting.add(sent);
    try {
      journal.add(sent);
    } catch {
      tell('write', NOT_WRITTEN);
    }
    const row = historyOf(bicycle, next, sent);
    showSent(bicycle, next, row);
    tell('refused', null);
    void enqueue(() => write(bicycleId));
    if (row) void enqueue(needs.countChange);
  }

  return {
    send,
    amend(bicycleId, direction) {
      const { bicycles, histories } = store.getState();
      const bicycle = own(bicycles, bicycleId);
      const row = stacks(own(histories, bicycleId) ?? [])[direction].at(-1);
      if (!bicycle || !row) return;
      const command = amendment(row, direction);
      if (!stillStands(bicycle, command)) {
        store.setState({ remark: changedSince(row.words) });
        return;
      }
      send(bicycleId, command);
      store.setState({ remark: direction === 'undo' ? `Taken back: ${row.words}` : `Done again: ${row.words}` });
    },
    withWaiting: waiting.on,
    isWaiting: (id) => waiting.due(id).length > 0,
    takeOver: waiting.add,
    writeAll() {
      for (const id of new Set(waiting.all().map((sent) => sent.bicycle))) void enqueue(() => write(id));
    },
  };
}
