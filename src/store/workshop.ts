import { createStore } from 'zustand/vanilla';
import type { Command } from '@/model/commands';
import { USUAL_SETTINGS } from '@/model/settings/usual';
import type { HistoryRow } from '@/model/history';
import { openSettingsLater } from '@/model/migrate/whenOlder';
import { SCHEMA_VERSION, type Bicycle } from '@/model/record';
import type { WorkshopSettings } from '@/model/settings/settings';
import { stockItem, type StockItem } from '@/model/stock/item';
import { changedSettings } from '@/model/settings/settingLeaves';
import { summary as summarySchema, summaryOf, type Summary } from '@/model/summary';
import { attended } from './attended';
import { CANNOT_BE_KEPT, createChanges, NOT_WRITTEN } from './changes';
import type { Database } from './database';
import { readUnfinished } from './unfinished';
import type { StockEntry } from './journal';
import { createRecords, type ReadRecord } from './records';
import { readStock } from './stockRows';
import { own } from '@/core/own';
import { troubles, without, type Store, type WorkshopState } from './state';
import { INTAKE_LOCK, lockOf, type Surroundings } from './surroundings';

export type { WorkshopState } from './state';
export type { StoreMessage, Surroundings } from './surroundings';

/** What an empty workshop may be filled with. */
export interface Seed {
  bicycles: Bicycle[];
  settings: WorkshopSettings;
  stock?: StockItem[];
}

export type SettingsChange = Partial<WorkshopSettings> | ((kept: WorkshopSettings) => Partial<WorkshopSettings>);

export interface Workshop {
  store: Store;
  database: Database;
  load(seed?: () => Seed | Promise<Seed>): Promise<void>;
  /** Reads everything that is shown anew, after many records were written at once. */
  reload(): Promise<void>;
  /** Reads a bicycle whole; null where there is none or it cannot be opened. */
  open(id: string): Promise<Bicycle | null>;
  send(bicycleId: string, command: Command): void;
  undo(bicycleId: string): void;
  redo(bicycleId: string): void;
  addBicycle(bicycle: Bicycle): Promise<void>;
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

const GONE =
  'The browser has taken this workshop’s records away, perhaps because its data were cleared. What is open in this tab is still here: try again to write it back.';
const SILENT =
  'The browser’s database does not answer. Close other windows of Ergasto, or start the browser again; what you enter is kept meanwhile.';

/** The records of one workshop, as one tab sees them. How a change goes its way stands in `changes.ts`. */
export function createWorkshop(surroundings: Surroundings, patienceMs?: number): Workshop {
  const { journal, channel } = surroundings;
  const store: Store = createStore<WorkshopState>(() => ({
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
    exportedAt: null,
    unfinished: null,
  }));
  const tell = troubles(store);
  const { database, leave } = attended(
    surroundings.database,
    { silent: () => tell('silent', SILENT), answers: () => tell('silent', null) },
    patienceMs,
  );
  const records = createRecords(database);
  /** What marks this very database, so that an empty one in its place is told from it. */
  let bornAs: unknown = null;
  let latest = '';
  /** The time, never earlier than what this tab has stamped already: a clock that is set back turns no order round. */
  const now = () => (latest = [latest, surroundings.now()].sort()[1]!);
  const around = { ...surroundings, database, now };

  let work: Promise<void> = Promise.resolve();
  // A task that fails must not stop the ones behind it.
  const enqueue = (task: () => Promise<void>) => (work = work.then(task).catch(() => undefined));

  function show(bicycle: Bicycle, history?: HistoryRow[]): void {
    const whole = changes.withWaiting(bicycle);
    store.setState(({ bicycles, summaries, histories }) => ({
      bicycles: own(bicycles, bicycle.id) || history ? { ...bicycles, [bicycle.id]: whole } : bicycles,
      summaries: { ...summaries, [bicycle.id]: summaryOf(whole, own(summaries, bicycle.id)) },
      histories: history ? { ...histories, [bicycle.id]: history } : histories,
    }));
  }

  function leaveClosed(id: string, { why, detail }: Extract<ReadRecord, { ok: false }>): void {
    if (why === 'absent') return;
    const words = why === 'newer' ? 'It was written by a newer Ergasto.' : `It is damaged, at “${detail}”.`;
    store.setState(({ unopened }) => ({
      unopened: [...unopened.filter((entry) => entry.id !== id), { id, detail: words }],
    }));
  }

  function forget(id: string): void {
    store.setState(({ bicycles, summaries, histories }) => ({
      bicycles: without(bicycles, id),
      summaries: without(summaries, id),
      histories: without(histories, id),
    }));
  }

  async function isGone(): Promise<boolean> {
    const gone = bornAs !== null && (await database.readSetting('born')) !== bornAs;
    if (gone) tell('gone', GONE);
    return gone;
  }

  async function countChange(): Promise<void> {
    store.setState(({ unexported }) => ({ unexported: unexported + 1 }));
    await around.locked('count', async () => {
      const kept = await database.readSetting('unexported');
      const unexported = (typeof kept === 'number' ? kept : 0) + 1;
      await database.writeSetting('unexported', unexported);
      store.setState({ unexported });
    });
    channel.post({ kind: 'count' });
  }

  const changes = createChanges({
    ...around,
    store,
    records,
    tell,
    enqueue,
    show,
    forget,
    countChange,
    leaveClosed,
    isGone,
  });

  async function refresh(id: string): Promise<void> {
    const read = await records.read(id);
    if (read.ok) return show(read.bicycle, own(store.getState().bicycles, id) ? read.history : undefined);
    if (read.why !== 'absent') return leaveClosed(id, read);
    if (!(await isGone())) forget(id);
  }

  async function readCount(): Promise<void> {
    const unexported = await database.readSetting('unexported');
    const exportedAt = await database.readSetting('exportedAt');
    store.setState({
      unexported: typeof unexported === 'number' ? unexported : 0,
      exportedAt: typeof exportedAt === 'string' ? exportedAt : null,
    });
  }

  async function readSettings(): Promise<void> {
    const settings = await openSettingsLater(await database.readSetting('workshop'));
    if (settings) store.setState({ settings });
  }

  async function showStock(): Promise<void> {
    store.setState({ stock: await readStock(database) });
  }

  async function readIntake(): Promise<void> {
    const unfinished = await readUnfinished(database);
    store.setState({ unfinished: unfinished && !(await around.isLocked(INTAKE_LOCK)) ? unfinished : null });
  }

  async function readSummaries(ids: string[]): Promise<Record<string, Summary>> {
    const rows = (await database.readSummaries()).flatMap((row) => {
      const parsed = summarySchema.safeParse(row);
      return parsed.success ? [parsed.data] : [];
    });
    const kept = new Map(rows.map((row) => [row.id, row]));
    const summaries: [string, Summary][] = [];
    for (const id of ids) {
      const row = kept.get(id);
      if (row && !changes.isWaiting(id)) {
        summaries.push([id, row]);
        continue;
      }
      const read = await records.read(id);
      if (!read.ok) {
        leaveClosed(id, read);
        continue;
      }
      const fresh = summaryOf(changes.withWaiting(read.bicycle), row);
      summaries.push([id, fresh]);
      if (!changes.isWaiting(id)) await database.writeSummary(id, fresh).catch(() => undefined);
    }
    return Object.fromEntries(summaries);
  }

  /** Summaries of many at once are stale where a whole record was written past this tab. */
  async function reload(): Promise<void> {
    const summaries = await readSummaries(await database.bicycleIds());
    store.setState({ summaries });
    for (const id of Object.keys(store.getState().bicycles)) await refresh(id);
    await readSettings();
    await showStock();
    await readCount();
    await readIntake();
  }

  const heard = { settings: readSettings, stock: showStock, count: readCount, all: reload };
  const stopListening = channel.listen((message) => {
    void enqueue(() => (message.kind === 'bicycle' ? refresh(message.id) : heard[message.kind]()));
  });
  const stopWatching = surroundings.database.watch(() => tell('gone', GONE));

  async function writeStock(entry: StockEntry): Promise<void> {
    await around.locked('stock', async () => {
      // Read again, so that what another tab put there meanwhile stays.
      const rows = await readStock(database);
      for (const item of entry.stock) {
        const kept = own(rows, item.id);
        if (!kept || kept.at <= item.at) rows[item.id] = item;
      }
      await database.writeSetting('stock', Object.values(rows));
      store.setState({ stock: rows });
    });
    journal.clear(entry.id);
    tell('stock', null);
    channel.post({ kind: 'stock' });
  }

  /** Writes back what this tab still has, into a database that was taken away. */
  async function restore(): Promise<void> {
    await around.locked('born', async () => {
      if (!(await isGone())) return;
      const { bicycles, histories, settings, stock } = store.getState();
      for (const bicycle of Object.values(bicycles))
        await records.write(bicycle, own(histories, bicycle.id) ?? [], { old: null, checked: true });
      await database.writeSetting('workshop', settings);
      await database.writeSetting('stock', Object.values(stock));
      await database.writeSetting('seeded', true);
      await database.writeSetting('raised', SCHEMA_VERSION);
      await database.writeSetting('born', bornAs);
    });
    tell('gone', null);
    store.setState({ summaries: await readSummaries(await database.bicycleIds()) });
  }

  async function load(seed?: () => Seed | Promise<Seed>): Promise<void> {
    let ids = await database.bicycleIds();
    // Nothing is here that an older release could have written.
    if (ids.length === 0) await database.writeSetting('raised', SCHEMA_VERSION);
    if (ids.length === 0 && seed && (await database.readSetting('seeded')) !== true) {
      const { bicycles, settings, stock } = await seed();
      for (const bicycle of bicycles) await database.writeBicycle(bicycle.id, { record: bicycle, history: [] });
      await database.writeSetting('workshop', settings);
      if (stock) await database.writeSetting('stock', stock);
      await database.writeSetting('seeded', true);
      ids = await database.bicycleIds();
    }
    await around.locked('born', async () => {
      bornAs = (await database.readSetting('born')) ?? null;
      if (bornAs !== null) return;
      await database.writeSetting('born', (bornAs = around.newId()));
    });
    await readSettings();
    await readCount();
    await showStock();
    await readIntake();
    const pending = await journal.pending();
    for (const entry of pending) if ('command' in entry) changes.takeOver(entry);
    store.setState({ summaries: await readSummaries(ids), status: 'ready' });
    // Before anything is raised to this version, the old records are kept as an export.
    void enqueue(() => surroundings.keepBefore(now()));
    for (const entry of pending) if ('stock' in entry) void enqueue(() => writeStock(entry));
    changes.writeAll();
  }

  return {
    store,
    database,
    async load(seed) {
      try {
        await load(seed);
      } catch {
        store.setState({ status: 'failed' });
        tell('failed', 'The records of this browser could not be opened. Private windows and full disks refuse them.');
      }
    },
    reload,
    async open(id) {
      const opened = own(store.getState().bicycles, id);
      if (opened) return opened;
      try {
        const read = await records.read(id);
        if (!read.ok) {
          leaveClosed(id, read);
          return null;
        }
        show(read.bicycle, read.history);
        return own(store.getState().bicycles, id)!;
      } catch {
        tell('read', 'This bicycle could not be read from the browser. Reload the page.');
        return null;
      }
    },
    send: changes.send,
    undo: (id) => changes.amend(id, 'undo'),
    redo: (id) => changes.amend(id, 'redo'),
    async addBicycle(bicycle) {
      try {
        await around.locked(lockOf(bicycle.id), async () => {
          await records.write(bicycle, [], { old: null, checked: false });
          await database.writeSummary(bicycle.id, summaryOf(bicycle)).catch(() => undefined);
        });
        show(bicycle, []);
        channel.post({ kind: 'bicycle', id: bicycle.id });
        await countChange();
        tell('new', null);
      } catch (error) {
        tell('new', 'The browser would not write the new bicycle. Free some space, then try again.');
        throw error;
      }
    },
    async markShared(ids, at) {
      for (const id of ids) {
        await around.locked(lockOf(id), async () => {
          const read = await records.read(id);
          if (!read.ok) return;
          await records.write({ ...read.bicycle, sharedAt: at }, read.history, { old: read.old, checked: false });
        });
        await refresh(id);
      }
    },
    async removeBicycle(id) {
      await around.locked(lockOf(id), async () => {
        await database.removeBicycle(id);
        await database.removeSummary(id);
      });
      forget(id);
      channel.post({ kind: 'bicycle', id });
    },
    noteDrawn(id, revision, drawn) {
      const row = own(store.getState().summaries, id);
      if (row?.revision !== revision || row.drawn !== null) return;
      const next = { ...row, drawn };
      store.setState(({ summaries }) => ({ summaries: { ...summaries, [id]: next } }));
      void database.writeSummary(id, next).catch(() => undefined);
    },
    async changeSettings(made) {
      const id = around.newId();
      const at = now();
      const changed = (kept: WorkshopSettings) =>
        changedSettings(kept, typeof made === 'function' ? made(kept) : made, at, id);
      const before = store.getState().settings;
      store.setState({ settings: changed(before) });
      try {
        await around.locked('settings', async () => {
          // What another tab has changed meanwhile stays.
          const stored = (await openSettingsLater(await database.readSetting('workshop'))) ?? before;
          const next = changed(stored);
          if (!(await openSettingsLater(next))) throw new Error('settings that could not be opened again');
          await database.writeSetting('workshop', next);
          store.setState({ settings: next });
        });
        tell('settings', null);
        channel.post({ kind: 'settings' });
      } catch {
        tell('settings', 'The browser would not write the settings. Free some space, then change them again.');
      }
    },
    async putStock(items) {
      const entry: StockEntry = { id: around.newId(), at: now(), stock: items };
      if (!items.every((item) => stockItem.safeParse(item).success)) {
        tell('refused', CANNOT_BE_KEPT);
        return false;
      }
      try {
        journal.add(entry);
      } catch {
        tell('write', NOT_WRITTEN);
      }
      try {
        await writeStock(entry);
        await countChange();
        return true;
      } catch {
        // Whoever put it there does it again: kept here as well, it would be there twice.
        journal.clear(entry.id);
        tell('stock', 'The browser would not write the drawer. Free some space, then do it again.');
        return false;
      }
    },
    async markExported() {
      const exportedAt = now();
      store.setState({ unexported: 0, exportedAt });
      await database.writeSetting('unexported', 0).catch(() => undefined);
      await database.writeSetting('exportedAt', exportedAt).catch(() => undefined);
      channel.post({ kind: 'count' });
    },
    say: (remark) => store.setState({ remark }),
    settled: () => work,
    async retry() {
      void enqueue(restore);
      changes.writeAll();
      await work;
    },
    close() {
      stopListening();
      stopWatching();
      leave();
    },
  };
}
