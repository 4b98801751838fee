import { createStore } from 'zustand/vanilla';
import { own } from '@/core/own';
import type { Command } from '@/model/commands';
import type { Bicycle } from '@/model/record';
import { SCHEMA_VERSION } from '@/model/version';
import type { WorkshopSettings } from '@/model/settings/settings';
import { USUAL_SETTINGS } from '@/model/settings/usual';
import type { StockItem } from '@/model/stock/item';
import type { Summary } from '@/model/summary';
import type { Around } from './around';
import { attended } from './attended';
import { createBirth } from './birth';
import type { Database } from './database';
import { createDrawer } from './drawer';
import { createExported } from './exported';
import { createFloorRows } from './floorRows';
import { createHouse, type SettingsChange } from './house';
import { createHidden } from './hidden';
import { troubles, type Store, type WorkshopState } from './state';
import { INTAKE_LOCK, lockOf, type Surroundings } from './surroundings';
import { readUnfinished } from './unfinished';
import type { ReadRecord } from './records';

export type { WorkshopState } from './state';
export type { StoreMessage, Surroundings } from './surroundings';

/** What an empty workshop may be filled with. */
export interface Seed {
  bicycles: Bicycle[];
  settings: WorkshopSettings;
  stock?: StockItem[];
}

export interface Workshop {
  store: Store;
  database: Database;
  load(seed?: () => Seed | Promise<Seed>): Promise<void>;
  /** Reads everything that is shown anew, after many records were written at once. */
  reload(): Promise<void>;
  /** Reads a bicycle whole and keeps it open; null where there is none or it cannot be opened. */
  open(id: string): Promise<Bicycle | null>;
  /** Reads a bicycle whole and keeps nothing of it; null as above. */
  peek(id: string): Promise<Bicycle | null>;
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

const SILENT =
  'The browser’s database does not answer. Close other windows of Ergasto, or start the browser again; what you enter is kept meanwhile.';

const EMPTY: WorkshopState = {
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
};

/** The time, never earlier than what this tab has stamped already: a clock that is set back turns no order round. */
function neverBack(now: () => string): () => string {
  let latest = '';
  return () => (latest = [latest, now()].sort()[1]!);
}

/** Tasks one after the other. */
function createQueue() {
  let work: Promise<void> = Promise.resolve();
  return {
    // A task that fails must not stop the ones behind it.
    enqueue: (task: () => Promise<void>) => (work = work.then(task).catch(() => undefined)),
    settled: () => work,
  };
}

/** Fills an empty database with what it may be filled with, once. Resolves to the bicycles that are there. */
async function seeded(database: Database, seed?: () => Seed | Promise<Seed>): Promise<string[]> {
  const ids = await database.bicycleIds();
  if (ids.length > 0) return ids;
  // Nothing is here that an older release could have written.
  await database.writeSetting('raised', SCHEMA_VERSION);
  if (!seed || (await database.readSetting('seeded')) === true) return ids;
  const { bicycles, settings, stock } = await seed();
  for (const bicycle of bicycles) await database.writeBicycle(bicycle.id, { record: bicycle, history: [] });
  await database.writeSetting('workshop', settings);
  if (stock) await database.writeSetting('stock', stock);
  await database.writeSetting('seeded', true);
  return database.bicycleIds();
}

/** Something that is made when it is first asked for. */
function lazily<Value>(make: () => Promise<Value>) {
  let made: Value | null = null;
  let making: Promise<Value> | null = null;
  return {
    now: () => made,
    get: (): Promise<Value> =>
      (making ??= make().then(
        (value) => (made = value),
        (error: unknown) => {
          // Asked again later, it is tried again: the network may be back.
          making = null;
          throw error;
        },
      )),
  };
}

/** The parts of a workshop, each of which knows what it needs of the others. */
function createParts(surroundings: Surroundings, patienceMs?: number) {
  const store: Store = createStore<WorkshopState>(() => EMPTY);
  const tell = troubles(store);
  const { database, leave } = attended(
    surroundings.database,
    { silent: () => tell('silent', SILENT), answers: () => tell('silent', null) },
    patienceMs,
  );
  const { enqueue, settled } = createQueue();
  const around: Around = { ...surroundings, database, now: neverBack(surroundings.now), store, tell, enqueue };
  const birth = createBirth(around);
  const exported = createExported(around);
  const hidden = createHidden(store);
  const whole = lazily(async () => (await import('./whole')).createWhole(around, birth, exported, hidden));
  const isWaiting = (id: string) => whole.now()?.changes.isWaiting(id) ?? false;
  const rows = createFloorRows(around, { whole: whole.get, isWaiting, ...hidden });
  const house = createHouse(around);
  const drawer = createDrawer(around, exported.countChange);
  return { around, whole, birth, exported, hidden, rows, house, drawer, settled, leave };
}
type Parts = ReturnType<typeof createParts>;

/** What is read when a workshop opens, and again when another tab or an import has written past this one. */
function createReading({ around, whole, birth, exported, hidden, rows, house, drawer }: Parts) {
  const { store, database } = around;
  async function refresh(id: string): Promise<void> {
    const { records, show } = await whole.get();
    const read = await records.read(id);
    if (read.ok) return show(read.bicycle, own(store.getState().bicycles, id) ? read.history : undefined);
    if (read.why !== 'absent') return hidden.leaveClosed(id, read);
    if (!(await birth.isGone())) hidden.forget(id);
  }
  async function readIntake(): Promise<void> {
    const unfinished = await readUnfinished(database);
    store.setState({ unfinished: unfinished && !(await around.isLocked(INTAKE_LOCK)) ? unfinished : null });
  }
  async function readAround(): Promise<void> {
    await house.read();
    await exported.read();
    await drawer.read();
    await readIntake();
  }
  return {
    refresh,
    async reload() {
      // Summaries of many at once are stale where a whole record was written past this tab.
      store.setState({ summaries: await rows.read(await database.bicycleIds()) });
      for (const id of Object.keys(store.getState().bicycles)) await refresh(id);
      await readAround();
    },
    async load(seed?: () => Seed | Promise<Seed>) {
      const ids = await seeded(database, seed);
      await birth.begin();
      await readAround();
      const pending = await around.journal.pending();
      const sent = pending.filter((entry) => 'command' in entry);
      const changes = sent.length > 0 ? (await whole.get()).changes : null;
      for (const entry of sent) changes?.takeOver(entry);
      store.setState({ summaries: await rows.read(ids), status: 'ready' });
      // Before anything is raised to this version, the old records are kept as an export.
      void around.enqueue(() => around.keepBefore(around.now()));
      for (const entry of pending) if ('stock' in entry) drawer.takeOver(entry);
      changes?.writeAll();
    },
    /** Writes back what this tab still has, into a database that was taken away. */
    async restore() {
      await birth.again(async () => {
        const { bicycles, histories, settings, stock } = store.getState();
        const { records } = await whole.get();
        for (const bicycle of Object.values(bicycles))
          await records.write(bicycle, own(histories, bicycle.id) ?? [], { old: null, checked: true });
        await database.writeSetting('workshop', settings);
        await database.writeSetting('stock', Object.values(stock));
        await database.writeSetting('seeded', true);
        await database.writeSetting('raised', SCHEMA_VERSION);
      });
      around.tell('gone', null);
      store.setState({ summaries: await rows.read(await database.bicycleIds()) });
    },
  };
}
type Reading = ReturnType<typeof createReading>;

/** Bicycles that come, are opened, travel and go. */
function createShelf(
  { around, whole, exported, hidden }: Parts,
  { refresh }: Reading,
): Pick<Workshop, 'open' | 'peek' | 'addBicycle' | 'markShared' | 'removeBicycle'> {
  const { store, database, channel, locked, tell } = around;
  async function readWhole(id: string): Promise<Extract<ReadRecord, { ok: true }> | null> {
    try {
      const { records } = await whole.get();
      const read = await records.read(id);
      if (read.ok) return read;
      hidden.leaveClosed(id, read);
    } catch {
      tell('read', 'This bicycle could not be read from the browser. Reload the page.');
    }
    return null;
  }
  return {
    async open(id) {
      const opened = own(store.getState().bicycles, id);
      if (opened) return opened;
      const read = await readWhole(id);
      if (!read) return null;
      (await whole.get()).show(read.bicycle, read.history);
      return own(store.getState().bicycles, id)!;
    },
    async peek(id) {
      const opened = own(store.getState().bicycles, id);
      return opened ?? (await readWhole(id))?.bicycle ?? null;
    },
    async addBicycle(bicycle) {
      try {
        const { records, summaryOf, show } = await whole.get();
        await locked(lockOf(bicycle.id), async () => {
          await records.write(bicycle, [], { old: null, checked: false });
          await database.writeSummary(bicycle.id, summaryOf(bicycle)).catch(() => undefined);
        });
        show(bicycle, []);
        channel.post({ kind: 'bicycle', id: bicycle.id });
        await exported.countChange();
        tell('new', null);
      } catch (error) {
        tell('new', 'The browser would not write the new bicycle. Free some space, then try again.');
        throw error;
      }
    },
    async markShared(ids, at) {
      const { records } = await whole.get();
      for (const id of ids) {
        await locked(lockOf(id), async () => {
          const read = await records.read(id);
          if (!read.ok) return;
          await records.write({ ...read.bicycle, sharedAt: at }, read.history, { old: read.old, checked: false });
        });
        await refresh(id);
      }
    },
    async removeBicycle(id) {
      await locked(lockOf(id), async () => {
        await database.removeBicycle(id);
        await database.removeSummary(id);
      });
      hidden.forget(id);
      channel.post({ kind: 'bicycle', id });
    },
  };
}

/** The records of one workshop, as one tab sees them. How a change goes its way stands in `changes.ts`. */
export function createWorkshop(surroundings: Surroundings, patienceMs?: number): Workshop {
  const parts = createParts(surroundings, patienceMs);
  const { around, whole, birth, exported, rows, house, drawer } = parts;
  /** Nothing can be changed, or wait to be written, before a bicycle was read. */
  const changes = () => whole.now()?.changes;
  const { store, database, channel, tell } = around;
  const reading = createReading(parts);
  const heard = { settings: house.read, stock: drawer.read, count: exported.read, all: reading.reload };
  const stopListening = channel.listen((message) => {
    void around.enqueue(() => (message.kind === 'bicycle' ? reading.refresh(message.id) : heard[message.kind]()));
  });
  return {
    store,
    database,
    ...createShelf(parts, reading),
    async load(seed) {
      try {
        await reading.load(seed);
      } catch {
        store.setState({ status: 'failed' });
        tell('failed', 'The records of this browser could not be opened. Private windows and full disks refuse them.');
      }
    },
    reload: reading.reload,
    send: (id, command) => changes()?.send(id, command),
    undo: (id) => changes()?.amend(id, 'undo'),
    redo: (id) => changes()?.amend(id, 'redo'),
    noteDrawn: rows.noteDrawn,
    changeSettings: house.change,
    putStock: drawer.put,
    markExported: exported.mark,
    say: (remark) => store.setState({ remark }),
    settled: parts.settled,
    async retry() {
      void around.enqueue(reading.restore);
      changes()?.writeAll();
      await parts.settled();
    },
    close() {
      stopListening();
      birth.stop();
      parts.leave();
    },
  };
}
