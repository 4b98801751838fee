import { createStore, type StoreApi } from 'zustand/vanilla';
import { applyCommand, envelope, type Command, type Envelope } from '@/model/commands';
import { USUAL_SETTINGS } from '@/model/fresh';
import { openBicycle } from '@/model/migrate';
import { bicycleRecord, workshopSettings, type Bicycle, type WorkshopSettings } from '@/model/record';
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

export type StoreMessage = { kind: 'bicycle'; id: string } | { kind: 'settings' };

export interface WorkshopState {
  status: 'loading' | 'ready' | 'failed';
  bicycles: Record<string, Bicycle>;
  settings: WorkshopSettings;
  /** Records that could not be opened; they are left untouched. */
  unopened: { id: string; detail: string }[];
  /** A sentence when a change could not be written yet; the change is kept and tried again. */
  problem: string | null;
}

/** What an empty workshop may be filled with. */
export interface Seed {
  bicycles: Bicycle[];
  settings: WorkshopSettings;
}

export interface Workshop {
  store: StoreApi<WorkshopState>;
  load(seed?: () => Seed | Promise<Seed>): Promise<void>;
  send(bicycleId: string, command: Command): void;
  addBicycle(bicycle: Bicycle): Promise<void>;
  removeBicycle(id: string): Promise<void>;
  changeSettings(changes: Partial<WorkshopSettings>): Promise<void>;
  /** Resolves when every change sent so far has been written or has failed. */
  settled(): Promise<void>;
  retry(): Promise<void>;
  close(): void;
}

const NOT_WRITTEN =
  'The browser would not write the last change. It is kept in this tab: free some space, then try again.';

/**
 * The records of one workshop. A change is journalled at once, shown at once, then written under a lock on its bicycle:
 * re-read, apply, write, tell the other tabs, clear the journal. What another tab wrote meanwhile is never overwritten,
 * because the command is applied to what stands in the database and not to what stands on the screen.
 */
export function createWorkshop(around: Surroundings): Workshop {
  const { database, journal, channel } = around;
  const store = createStore<WorkshopState>(() => ({
    status: 'loading',
    bicycles: {},
    settings: USUAL_SETTINGS,
    unopened: [],
    problem: null,
  }));
  const waiting = new Map<string, Envelope>();
  let work: Promise<void> = Promise.resolve();

  const show = (bicycle: Bicycle) =>
    store.setState(({ bicycles }) => ({ bicycles: { ...bicycles, [bicycle.id]: withWaiting(bicycle) } }));
  const withWaiting = (bicycle: Bicycle) =>
    [...waiting.values()].filter((sent) => sent.bicycle === bicycle.id).reduce(applyCommand, bicycle);

  const readOpened = async (id: string): Promise<Bicycle | null> => {
    const stored = await database.readBicycle(id);
    if (stored === null || stored === undefined) return null;
    const opened = openBicycle(stored);
    if (opened.ok) return opened.bicycle;
    const detail =
      opened.why === 'newer' ? 'It was written by a newer Ergasto.' : `It cannot be read (${opened.detail}).`;
    store.setState(({ unopened }) => ({ unopened: [...unopened.filter((entry) => entry.id !== id), { id, detail }] }));
    return null;
  };

  async function write(sent: Envelope): Promise<void> {
    try {
      const written = await around.locked(`bicycle:${sent.bicycle}`, async () => {
        const before = await readOpened(sent.bicycle);
        if (!before) return null;
        const after = applyCommand(before, sent);
        if (after !== before) await database.writeBicycle(sent.bicycle, after);
        return after;
      });
      waiting.delete(sent.id);
      journal.clear(sent.id);
      if (written) {
        show(written);
        channel.post({ kind: 'bicycle', id: sent.bicycle });
      }
      if (waiting.size === 0 && store.getState().problem === NOT_WRITTEN) store.setState({ problem: null });
    } catch {
      store.setState({ problem: NOT_WRITTEN });
    }
  }

  const enqueue = (task: () => Promise<void>) => (work = work.then(task));

  async function refresh(id: string): Promise<void> {
    const bicycle = await readOpened(id);
    if (bicycle) show(bicycle);
    else
      store.setState(({ bicycles }) => {
        const { [id]: _gone, ...rest } = bicycles;
        return { bicycles: rest };
      });
  }

  async function readSettings(): Promise<void> {
    const parsed = workshopSettings.safeParse(await database.readSetting('workshop'));
    if (parsed.success) store.setState({ settings: parsed.data });
  }

  const stopListening = channel.listen((message) => {
    void enqueue(() => (message.kind === 'settings' ? readSettings() : refresh(message.id)));
  });

  return {
    store,
    async load(seed) {
      try {
        let ids = await database.bicycleIds();
        if (ids.length === 0 && seed && (await database.readSetting('seeded')) !== true) {
          const { bicycles, settings } = await seed();
          for (const bicycle of bicycles) await database.writeBicycle(bicycle.id, bicycle);
          await database.writeSetting('workshop', settings);
          await database.writeSetting('seeded', true);
          ids = await database.bicycleIds();
        }
        await readSettings();
        for (const sent of journal.pending()) waiting.set(sent.id, sent);
        const opened = await Promise.all(ids.map(readOpened));
        const bicycles = Object.fromEntries(opened.filter((b) => b !== null).map((b) => [b.id, withWaiting(b)]));
        store.setState({ bicycles, status: 'ready' });
        for (const sent of [...waiting.values()]) void enqueue(() => write(sent));
      } catch {
        store.setState({
          status: 'failed',
          problem: 'The records of this browser could not be opened. Private windows and full disks refuse them.',
        });
      }
    },
    send(bicycleId, command) {
      const bicycle = store.getState().bicycles[bicycleId];
      if (!bicycle) return;
      const sent: Envelope = { id: around.newId(), bicycle: bicycleId, at: around.now(), command };
      // A record that could not be opened again must never be written.
      const next = envelope.safeParse(sent).success ? applyCommand(bicycle, sent) : null;
      if (!next || !bicycleRecord.safeParse(next).success) {
        store.setState({
          problem: 'That change cannot be kept as it stands, and what was saved stays. Look at the field again.',
        });
        return;
      }
      waiting.set(sent.id, sent);
      try {
        journal.add(sent);
      } catch {
        store.setState({ problem: NOT_WRITTEN });
      }
      store.setState(({ bicycles }) => ({ bicycles: { ...bicycles, [bicycleId]: next } }));
      void enqueue(() => write(sent));
    },
    async addBicycle(bicycle) {
      try {
        await database.writeBicycle(bicycle.id, bicycle);
        show(bicycle);
        channel.post({ kind: 'bicycle', id: bicycle.id });
      } catch (error) {
        store.setState({ problem: 'The browser would not write the new bicycle. Free some space, then try again.' });
        throw error;
      }
    },
    async removeBicycle(id) {
      await around.locked(`bicycle:${id}`, () => database.removeBicycle(id));
      await refresh(id);
      channel.post({ kind: 'bicycle', id });
    },
    async changeSettings(changes) {
      const settings = { ...store.getState().settings, ...changes };
      store.setState({ settings });
      await database.writeSetting('workshop', settings);
      channel.post({ kind: 'settings' });
    },
    settled: () => work,
    async retry() {
      for (const sent of [...waiting.values()]) void enqueue(() => write(sent));
      await work;
    },
    close: stopListening,
  };
}
