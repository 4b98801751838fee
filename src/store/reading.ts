import { own } from '@/core/own';
import { SCHEMA_VERSION } from '@/model/version';
import type { Parts } from './parts';
import { seeded, type Seed } from './seeded';
import { INTAKE_LOCK } from './surroundings';
import { readUnfinished } from './unfinished';

/** What is read when a workshop opens, and again when another tab or an import has written past this one. */
export function createReading({ around, whole, birth, exported, hidden, rows, house, drawer }: Parts) {
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
export type Reading = ReturnType<typeof createReading>;
