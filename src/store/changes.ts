import { applyCommand, envelope, stillStands, type Command, type Envelope } from '@/model/commands';
import { refusedByBound } from '@/model/bounds';
import { amendment, historyOf, stacks, withRow, type HistoryRow } from '@/model/history';
import { changedLeaves } from '@/model/leaves';
import { bicycleRecord, type Bicycle } from '@/model/record';
import { summaryOf } from '@/model/summary';
import type { ReadRecord, Records } from './records';
import { own } from '@/core/own';
import { type Store, type Trouble } from './state';
import { lockOf, type Surroundings } from './surroundings';

export const NOT_WRITTEN =
  'The browser would not write the last change. It is kept in this tab: free some space, then try again.';
export const CANNOT_BE_KEPT =
  'That change cannot be kept as it stands, and what was saved stays. Look at the field again.';
const SHUT =
  'A newer Ergasto has brought this bicycle up to date, so nothing more is changed here. Reload the page: what you entered is kept, and is written then.';

function changedSince(words: string): string {
  return `Not taken back: “${words}” has been changed again since, perhaps in another tab.`;
}

interface Around extends Surroundings {
  store: Store;
  records: Records;
  tell(kind: Trouble, words: string | null): void;
  enqueue(task: () => Promise<void>): Promise<void>;
  /** Shows a record as it was read or written, with what has not been written yet on top. */
  show(bicycle: Bicycle, history?: HistoryRow[]): void;
  forget(id: string): void;
  countChange(): Promise<void>;
  leaveClosed(id: string, read: Extract<ReadRecord, { ok: false }>): void;
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

/**
 * The way of a change: journalled at once, shown at once, then written under a lock on its bicycle: re-read, apply, write,
 * tell the other tabs, clear the journal. What another tab wrote meanwhile is never overwritten, because the command is
 * applied to what stands in the database. All that waits for one bicycle is written together, so that a change that could
 * not be written is never overtaken by a later one.
 */
export function createChanges(around: Around): Changes {
  const { store, journal, records, tell } = around;
  const waiting = new Map<string, Envelope>();
  const shut = new Set<string>();

  const due = (id: string) => [...waiting.values()].filter((sent) => sent.bicycle === id);
  const withWaiting = (bicycle: Bicycle) => due(bicycle.id).reduce(applyCommand, bicycle);

  function done(sent: Envelope): void {
    waiting.delete(sent.id);
    journal.clear(sent.id);
  }

  /** Applies changes in their order; one that would make the record unreadable is left out and stays in the journal. */
  function applied(from: Extract<ReadRecord, { ok: true }>, changes: Envelope[], careful: boolean) {
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

  async function writeUnder(id: string, changes: Envelope[]) {
    const read = await records.read(id);
    if (!read.ok) return read;
    let result = applied(read, changes, false);
    // What was sent from here was checked against the very record that is known; anything else is checked now.
    const fit = read.known || bicycleRecord.safeParse(result.bicycle).success;
    if (!fit) result = applied(read, changes, true);
    if (result.bicycle !== read.bicycle)
      await records.write(result.bicycle, result.history, { old: read.old, checked: true });
    await around.database.writeSummary(id, summaryOf(result.bicycle, own(store.getState().summaries, id)));
    return { ok: true as const, ...result };
  }

  async function write(id: string): Promise<void> {
    const changes = due(id);
    if (changes.length === 0) return;
    try {
      const written = await around.locked(lockOf(id), () => writeUnder(id, changes));
      if (written.ok) {
        for (const sent of written.unfit) waiting.delete(sent.id);
        if (written.unfit.length > 0) tell('refused', CANNOT_BE_KEPT);
        changes.filter((sent) => !written.unfit.includes(sent)).forEach(done);
        if (written.refused.length > 0) store.setState({ remark: changedSince(written.refused.at(-1)!) });
        around.show(written.bicycle, own(store.getState().bicycles, id) ? written.history : undefined);
        around.channel.post({ kind: 'bicycle', id });
        tell('gone', null);
      } else if (written.why === 'newer') {
        shut.add(id);
        tell('shut', SHUT);
      } else if (written.why === 'damaged') {
        around.leaveClosed(id, written);
      } else if (!(await around.isGone())) {
        changes.forEach(done);
        around.forget(id);
        store.setState({ remark: 'That bicycle has been removed in another tab, with what was entered last.' });
      }
      if (![...waiting.values()].some((sent) => !shut.has(sent.bicycle))) tell('write', null);
    } catch {
      tell('write', NOT_WRITTEN);
    }
  }

  function send(bicycleId: string, command: Command): void {
    const bicycle = own(store.getState().bicycles, bicycleId);
    if (!bicycle) return;
    if (shut.has(bicycleId)) return tell('shut', SHUT);
    const bare: Envelope = { id: around.newId(), bicycle: bicycleId, at: around.now(), command };
    // A record that could not be opened again must never be written.
    const next = envelope.safeParse(bare).success ? applyCommand(bicycle, bare) : null;
    if (!next || !bicycleRecord.safeParse(next).success) return tell('refused', CANNOT_BE_KEPT);
    const full = refusedByBound(bicycle, next);
    if (full) return tell('refused', full);
    const seen = Object.fromEntries(
      changedLeaves(bicycle, next).map(({ leaf }) => [leaf, own(bicycle.stamps, leaf) ?? '']),
    );
    // What stands so already is no change, and must not undo one that another tab is making.
    if (Object.keys(seen).length === 0 && command.type !== 'settleConflict') return;
    const sent: Envelope = { ...bare, seen };
    waiting.set(sent.id, sent);
    try {
      journal.add(sent);
    } catch {
      tell('write', NOT_WRITTEN);
    }
    const row = historyOf(bicycle, next, sent);
    store.setState(({ bicycles, histories, summaries }) => ({
      bicycles: { ...bicycles, [bicycleId]: next },
      histories: row ? { ...histories, [bicycleId]: withRow(own(histories, bicycleId) ?? [], row) } : histories,
      summaries: { ...summaries, [bicycleId]: summaryOf(next, own(summaries, bicycleId)) },
    }));
    tell('refused', null);
    void around.enqueue(() => write(bicycleId));
    if (row) void around.enqueue(around.countChange);
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
    withWaiting,
    isWaiting: (id) => due(id).length > 0,
    takeOver: (sent) => void waiting.set(sent.id, sent),
    writeAll() {
      for (const id of new Set([...waiting.values()].map((sent) => sent.bicycle))) void around.enqueue(() => write(id));
    },
  };
}
