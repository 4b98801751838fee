import { z } from 'zod';
import { createStore, type StoreApi } from 'zustand/vanilla';
import { applyCommand, envelope, stillStands, type Command, type Envelope } from '@/model/commands';
import { USUAL_SETTINGS } from '@/model/fresh';
import { amendment, historyOf, historyRow, stacks, withRow, type HistoryRow } from '@/model/history';
import { changedLeaves } from '@/model/leaves';
import { mergeBicycles } from '@/model/merge';
import { openBicycle, openSettings } from '@/model/migrate';
import {
  bicycleRecord,
  SCHEMA_VERSION,
  stockItem,
  type Bicycle,
  type StockItem,
  type WorkshopSettings,
} from '@/model/record';
import { summary as summarySchema, summaryOf, type Summary } from '@/model/summary';
import type { Database } from './database';
import type { Journal } from './journal';

/** What the store needs from its surroundings; injected, so that tests run two of them side by side. */
export interface Surroundings {
  database: Database;
  journal: Journal;
  channel: { post(message: StoreMessage): void; listen(heard: (message: StoreMessage) => void): () => void };
  locked<T>(name: string, work: () => Promise<T>): Promise<T>;
  now(): string;
  newId(): string;
}

export type StoreMessage = { kind: 'bicycle'; id: string } | { kind: 'settings' } | { kind: 'stock' };

export interface WorkshopState {
  status: 'loading' | 'ready' | 'failed';
  /** A row a bicycle, for the floor. */
  summaries: Record<string, Summary>;
  /** The bicycles that have been opened, whole. */
  bicycles: Record<string, Bicycle>;
  /** What can be taken back, for each opened bicycle. */
  histories: Record<string, HistoryRow[]>;
  settings: WorkshopSettings;
  /** The drawer: everything that was ever in it, by id; what is used up has a date. */
  stock: Record<string, StockItem>;
  /** Records that could not be opened; they are left untouched. */
  unopened: { id: string; detail: string }[];
  /** A sentence when a change could not be written yet; the change is kept and tried again. */
  problem: string | null;
  /** A sentence about something that was refused or done, shown for a while. */
  remark: string | null;
  /** Changes since the workshop was last exported. */
  unexported: number;
}

/** What an empty workshop may be filled with. */
export interface Seed {
  bicycles: Bicycle[];
  settings: WorkshopSettings;
  stock?: StockItem[];
}

export type SettingsChange = Partial<WorkshopSettings> | ((kept: WorkshopSettings) => Partial<WorkshopSettings>);

export interface Workshop {
  store: StoreApi<WorkshopState>;
  database: Database;
  load(seed?: () => Seed | Promise<Seed>): Promise<void>;
  /** Reads a bicycle whole; null where there is none or it cannot be opened. */
  open(id: string): Promise<Bicycle | null>;
  send(bicycleId: string, command: Command): void;
  undo(bicycleId: string): void;
  redo(bicycleId: string): void;
  addBicycle(bicycle: Bicycle): Promise<void>;
  /** Merges a copy that comes from elsewhere into the one that is here, or adds it. */
  takeIn(arriving: Bicycle): Promise<void>;
  /** Puts a record back as it stood before an import that failed; null takes it away. */
  putBack(id: string, stored: unknown): Promise<void>;
  /** Notes that bicycles were sent to or taken from another device. */
  markShared(ids: string[], at: string): Promise<void>;
  removeBicycle(id: string): Promise<void>;
  noteDrawn(id: string, revision: number, drawn: Summary['drawn']): void;
  /** A change is told by what is kept when it is written, so that what another tab changed within the same field stays. */
  changeSettings(changes: SettingsChange): Promise<void>;
  /** Puts rows into the drawer, or newer versions of them. Resolves to whether they were written. */
  putStock(items: StockItem[]): Promise<boolean>;
  markExported(): Promise<void>;
  say(remark: string | null): void;
  /** Resolves when every change sent so far has been written or has failed. */
  settled(): Promise<void>;
  retry(): Promise<void>;
  close(): void;
}

const NOT_WRITTEN =
  'The browser would not write the last change. It is kept in this tab: free some space, then try again.';
const CANNOT_BE_KEPT = 'That change cannot be kept as it stands, and what was saved stays. Look at the field again.';

/** Whether a stored record is the very writing that is known; every change leaves another revision and command. */
function isSameWriting(stored: unknown, known: Bicycle): boolean {
  const record = stored as Partial<Bicycle>;
  return (
    record.schemaVersion === known.schemaVersion &&
    record.revision === known.revision &&
    record.updatedAt === known.updatedAt &&
    record.sharedAt === known.sharedAt &&
    record.recent?.length === known.recent.length &&
    record.recent.at(-1) === known.recent.at(-1)
  );
}

function changedSince(words: string): string {
  return `Not taken back: “${words}” has been changed again since, perhaps in another tab.`;
}

/**
 * The records of one workshop. A change is journalled at once, shown at once, then written under a lock on its bicycle:
 * re-read, apply, write, tell the other tabs, clear the journal. What another tab wrote meanwhile is never overwritten,
 * because the command is applied to what stands in the database and not to what stands on the screen.
 */
export function createWorkshop(around: Surroundings): Workshop {
  const { database, journal, channel } = around;
  const store = createStore<WorkshopState>(() => ({
    status: 'loading',
    summaries: {},
    bicycles: {},
    histories: {},
    settings: USUAL_SETTINGS,
    stock: {},
    unopened: [],
    problem: null,
    remark: null,
    unexported: 0,
  }));
  const waiting = new Map<string, Envelope>();
  /** Records as this tab last read or wrote them: what has not been written since need not be checked again. */
  const proven = new Map<string, Bicycle>();
  let work: Promise<void> = Promise.resolve();

  const withWaiting = (bicycle: Bicycle) =>
    [...waiting.values()].filter((sent) => sent.bicycle === bicycle.id).reduce(applyCommand, bicycle);
  function show(bicycle: Bicycle, history?: HistoryRow[]): void {
    const whole = withWaiting(bicycle);
    store.setState(({ bicycles, summaries, histories }) => ({
      bicycles: bicycle.id in bicycles || history ? { ...bicycles, [bicycle.id]: whole } : bicycles,
      summaries: { ...summaries, [bicycle.id]: summaryOf(whole, summaries[bicycle.id]) },
      histories: history ? { ...histories, [bicycle.id]: history } : histories,
    }));
  }

  async function readHistory(id: string): Promise<HistoryRow[]> {
    const parsed = z.array(historyRow).safeParse((await database.readHistory(id)) ?? []);
    return parsed.success ? parsed.data : [];
  }

  function leaveClosed(id: string, why: 'newer' | 'damaged', cause: string): void {
    const detail = why === 'newer' ? 'It was written by a newer Ergasto.' : `It is damaged, at “${cause}”.`;
    store.setState(({ unopened }) => ({ unopened: [...unopened.filter((entry) => entry.id !== id), { id, detail }] }));
  }

  /** Reads a record and brings it up to date; the old one is kept beside it until the new one is proven. */
  async function readOpened(id: string): Promise<{ bicycle: Bicycle; old: unknown } | null> {
    const stored = await database.readBicycle(id);
    if (stored === null || stored === undefined) return null;
    const same = proven.get(id);
    if (same && isSameWriting(stored, same)) return { bicycle: same, old: null };
    const opened = openBicycle(stored);
    if (opened.ok) {
      if (!opened.migrated) proven.set(id, opened.bicycle);
      return { bicycle: opened.bicycle, old: opened.migrated ? stored : null };
    }
    leaveClosed(id, opened.why, opened.detail);
    return null;
  }

  async function writeProven(bicycle: Bicycle, old: unknown): Promise<void> {
    const aside = `before-${SCHEMA_VERSION}:${bicycle.id}`;
    if (old !== null) await database.writeSetting(aside, old);
    await database.writeBicycle(bicycle.id, bicycle);
    proven.set(bicycle.id, bicycle);
    if (old === null) return;
    const again = openBicycle(await database.readBicycle(bicycle.id));
    if (again.ok && !again.migrated) await database.removeSetting(aside);
  }

  async function write(sent: Envelope): Promise<void> {
    try {
      const written = await around.locked(`bicycle:${sent.bicycle}`, async () => {
        const read = await readOpened(sent.bicycle);
        if (!read) return null;
        const before = read.bicycle;
        const after = applyCommand(before, sent);
        let history = await readHistory(sent.bicycle);
        if (after !== before) {
          const row = historyOf(before, after, sent);
          if (row) {
            history = withRow(history, row);
            await database.writeHistory(sent.bicycle, history);
          }
          await writeProven(after, read.old);
        }
        await database.writeSummary(sent.bicycle, summaryOf(after, store.getState().summaries[sent.bicycle]));
        const refused = sent.command.type === 'amend' && !after.recent.includes(sent.id) ? sent.command.words : null;
        return { after, history, refused };
      });
      waiting.delete(sent.id);
      journal.clear(sent.id);
      if (written?.refused) store.setState({ remark: changedSince(written.refused) });
      if (written) {
        show(written.after, sent.bicycle in store.getState().bicycles ? written.history : undefined);
        channel.post({ kind: 'bicycle', id: sent.bicycle });
      }
      if (waiting.size === 0 && store.getState().problem === NOT_WRITTEN) store.setState({ problem: null });
    } catch {
      store.setState({ problem: NOT_WRITTEN });
    }
  }

  // A task that fails must not stop the ones behind it.
  const enqueue = (task: () => Promise<void>) => (work = work.then(task).catch(() => undefined));

  function forget(id: string): void {
    store.setState(({ bicycles, summaries }) => {
      const { [id]: _bicycle, ...others } = bicycles;
      const { [id]: _summary, ...rows } = summaries;
      return { bicycles: others, summaries: rows };
    });
  }

  async function refresh(id: string): Promise<void> {
    const read = await readOpened(id);
    if (!read) return forget(id);
    show(read.bicycle, id in store.getState().bicycles ? await readHistory(id) : undefined);
  }

  async function readSettings(): Promise<void> {
    const settings = openSettings(await database.readSetting('workshop'));
    const unexported = await database.readSetting('unexported');
    store.setState({
      ...(settings && { settings }),
      unexported: typeof unexported === 'number' ? unexported : 0,
    });
  }

  /** The drawer as it is written; a row that cannot be read is left where it lies. */
  async function readStock(): Promise<Record<string, StockItem>> {
    const stored = await database.readSetting('stock');
    const rows = Array.isArray(stored) ? stored : [];
    return Object.fromEntries(
      rows.flatMap((row) => {
        const parsed = stockItem.safeParse(row);
        return parsed.success ? [[parsed.data.id, parsed.data]] : [];
      }),
    );
  }

  async function showStock(): Promise<void> {
    store.setState({ stock: await readStock() });
  }

  async function countChange(): Promise<void> {
    const unexported = store.getState().unexported + 1;
    store.setState({ unexported });
    await database.writeSetting('unexported', unexported).catch(() => undefined);
  }

  const stopListening = channel.listen((message) => {
    void enqueue(() =>
      message.kind === 'settings' ? readSettings() : message.kind === 'stock' ? showStock() : refresh(message.id),
    );
  });

  async function readSummaries(ids: string[]): Promise<Record<string, Summary>> {
    const rows = (await database.readSummaries()).flatMap((row) => {
      const parsed = summarySchema.safeParse(row);
      return parsed.success ? [parsed.data] : [];
    });
    const kept = new Map(rows.map((row) => [row.id, row]));
    const pending = new Set([...waiting.values()].map((sent) => sent.bicycle));
    const summaries: Record<string, Summary> = {};
    for (const id of ids) {
      const row = kept.get(id);
      if (row && !pending.has(id)) {
        summaries[id] = row;
        continue;
      }
      const read = await readOpened(id);
      if (!read) continue;
      summaries[id] = summaryOf(withWaiting(read.bicycle), row);
      if (!pending.has(id)) await database.writeSummary(id, summaries[id]).catch(() => undefined);
    }
    return summaries;
  }

  function send(bicycleId: string, command: Command): void {
    const bicycle = store.getState().bicycles[bicycleId];
    if (!bicycle) return;
    const bare: Envelope = { id: around.newId(), bicycle: bicycleId, at: around.now(), command };
    // A record that could not be opened again must never be written.
    const next = envelope.safeParse(bare).success ? applyCommand(bicycle, bare) : null;
    if (!next || !bicycleRecord.safeParse(next).success) {
      store.setState({ problem: CANNOT_BE_KEPT });
      return;
    }
    const seen = Object.fromEntries(changedLeaves(bicycle, next).map(({ leaf }) => [leaf, bicycle.stamps[leaf] ?? '']));
    const sent: Envelope = { ...bare, seen };
    waiting.set(sent.id, sent);
    try {
      journal.add(sent);
    } catch {
      store.setState({ problem: NOT_WRITTEN });
    }
    const row = historyOf(bicycle, next, sent);
    store.setState(({ bicycles, histories, summaries, problem }) => ({
      bicycles: { ...bicycles, [bicycleId]: next },
      histories: row ? { ...histories, [bicycleId]: withRow(histories[bicycleId] ?? [], row) } : histories,
      summaries: { ...summaries, [bicycleId]: summaryOf(next, summaries[bicycleId]) },
      problem: problem === CANNOT_BE_KEPT ? null : problem,
    }));
    void enqueue(() => write(sent));
    if (row) void enqueue(countChange);
  }

  function amend(bicycleId: string, direction: 'undo' | 'redo'): void {
    const { bicycles, histories } = store.getState();
    const bicycle = bicycles[bicycleId];
    const row = stacks(histories[bicycleId] ?? [])[direction].at(-1);
    if (!bicycle || !row) return;
    const command = amendment(row, direction);
    if (!stillStands(bicycle, command)) {
      store.setState({ remark: changedSince(row.words) });
      return;
    }
    send(bicycleId, command);
    store.setState({ remark: direction === 'undo' ? `Taken back: ${row.words}` : `Done again: ${row.words}` });
  }

  async function put(bicycle: Bicycle, kind: 'new' | 'merge'): Promise<void> {
    const written = await around.locked(`bicycle:${bicycle.id}`, async () => {
      const read = kind === 'merge' ? await readOpened(bicycle.id) : null;
      const after = read ? mergeBicycles(read.bicycle, bicycle) : bicycle;
      await writeProven(after, read?.old ?? null);
      await database.writeSummary(bicycle.id, summaryOf(after)).catch(() => undefined);
      return after;
    });
    show(
      written,
      kind === 'new' || bicycle.id in store.getState().bicycles ? await readHistory(bicycle.id) : undefined,
    );
    channel.post({ kind: 'bicycle', id: bicycle.id });
  }

  return {
    store,
    database,
    async load(seed) {
      try {
        let ids = await database.bicycleIds();
        if (ids.length === 0 && seed && (await database.readSetting('seeded')) !== true) {
          const { bicycles, settings, stock } = await seed();
          for (const bicycle of bicycles) await database.writeBicycle(bicycle.id, bicycle);
          await database.writeSetting('workshop', settings);
          if (stock) await database.writeSetting('stock', stock);
          await database.writeSetting('seeded', true);
          ids = await database.bicycleIds();
        }
        await readSettings();
        await showStock();
        for (const sent of journal.pending()) waiting.set(sent.id, sent);
        store.setState({ summaries: await readSummaries(ids), status: 'ready' });
        for (const sent of [...waiting.values()]) void enqueue(() => write(sent));
      } catch {
        store.setState({
          status: 'failed',
          problem: 'The records of this browser could not be opened. Private windows and full disks refuse them.',
        });
      }
    },
    async open(id) {
      const opened = store.getState().bicycles[id];
      if (opened) return opened;
      try {
        const read = await readOpened(id);
        if (!read) return null;
        show(read.bicycle, await readHistory(id));
        return store.getState().bicycles[id]!;
      } catch {
        store.setState({ problem: 'This bicycle could not be read from the browser. Reload the page.' });
        return null;
      }
    },
    send,
    undo: (id) => amend(id, 'undo'),
    redo: (id) => amend(id, 'redo'),
    async addBicycle(bicycle) {
      try {
        await put(bicycle, 'new');
        await countChange();
      } catch (error) {
        store.setState({ problem: 'The browser would not write the new bicycle. Free some space, then try again.' });
        throw error;
      }
    },
    takeIn: (arriving) => put(arriving, 'merge'),
    async putBack(id, stored) {
      await around.locked(`bicycle:${id}`, async () => {
        if (stored === null) {
          await database.removeBicycle(id).catch(() => undefined);
          await database.removeSummary(id).catch(() => undefined);
        } else {
          await database.writeBicycle(id, stored).catch(() => undefined);
          const opened = openBicycle(stored);
          if (opened.ok) await database.writeSummary(id, summaryOf(opened.bicycle)).catch(() => undefined);
        }
      });
      await refresh(id).catch(() => undefined);
      channel.post({ kind: 'bicycle', id });
    },
    async markShared(ids, at) {
      for (const id of ids)
        await around.locked(`bicycle:${id}`, async () => {
          const read = await readOpened(id);
          if (read) await writeProven({ ...read.bicycle, sharedAt: at }, read.old);
        });
      for (const id of ids) await refresh(id);
    },
    async removeBicycle(id) {
      await around.locked(`bicycle:${id}`, async () => {
        await database.removeBicycle(id);
        await database.removeSummary(id);
      });
      await refresh(id);
      channel.post({ kind: 'bicycle', id });
    },
    noteDrawn(id, revision, drawn) {
      const row = store.getState().summaries[id];
      if (row?.revision !== revision || row.drawn !== null) return;
      const next = { ...row, drawn };
      store.setState(({ summaries }) => ({ summaries: { ...summaries, [id]: next } }));
      void database.writeSummary(id, next).catch(() => undefined);
    },
    async changeSettings(changes) {
      const changed = (kept: WorkshopSettings) => ({
        ...kept,
        ...(typeof changes === 'function' ? changes(kept) : changes),
      });
      const before = store.getState().settings;
      store.setState({ settings: changed(before) });
      try {
        await around.locked('settings', async () => {
          // What another tab has changed meanwhile stays.
          const stored = openSettings(await database.readSetting('workshop')) ?? before;
          const next = changed(stored);
          await database.writeSetting('workshop', next);
          store.setState({ settings: next });
        });
        channel.post({ kind: 'settings' });
      } catch {
        store.setState({
          problem: 'The browser would not write the settings. Free some space, then change them again.',
        });
      }
    },
    async putStock(items) {
      const sound = items.every((item) => stockItem.safeParse(item).success);
      if (!sound) {
        store.setState({ problem: CANNOT_BE_KEPT });
        return false;
      }
      try {
        await around.locked('stock', async () => {
          // Read again, so that what another tab put there meanwhile stays.
          const rows = await readStock();
          for (const item of items) rows[item.id] = item;
          await database.writeSetting('stock', Object.values(rows));
          store.setState({ stock: rows });
        });
        channel.post({ kind: 'stock' });
        await countChange();
        return true;
      } catch {
        store.setState({ problem: 'The browser would not write the drawer. Free some space, then do it again.' });
        return false;
      }
    },
    async markExported() {
      store.setState({ unexported: 0 });
      await database.writeSetting('unexported', 0).catch(() => undefined);
      await database.writeSetting('exportedAt', around.now()).catch(() => undefined);
    },
    say: (remark) => store.setState({ remark }),
    settled: () => work,
    async retry() {
      for (const sent of [...waiting.values()]) void enqueue(() => write(sent));
      await work;
    },
    close: stopListening,
  };
}
