import { createStore } from 'zustand/vanilla';
import { USUAL_SETTINGS } from '@/model/settings/usual';
import type { Around } from './around';
import { attended } from './attended';
import { createBirth } from './birth';
import { createDrawer } from './drawer';
import { createExported } from './exported';
import { createFloorRows } from './floorRows';
import { createHidden } from './hidden';
import { createHouse } from './house';
import { lazily } from './lazily';
import { troubles, type Store, type WorkshopState } from './state';
import type { Surroundings } from './surroundings';

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

/** The parts of a workshop, each of which knows what it needs of the others. */
export function createParts(surroundings: Surroundings, patienceMs?: number) {
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
export type Parts = ReturnType<typeof createParts>;
