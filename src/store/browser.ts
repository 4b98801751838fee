import { browserDatabase, type WorkshopName } from './database';
import { createJournal, type JournalStorage } from './journal';
import { SCHEMA_VERSION } from '@/model/version';
import { browserChannel, browserLocks } from './browserTabs';
import { createWorkshop, type Workshop } from './workshop';
import { newId } from './newId';
import { nowIso } from './now';

export { newId } from './newId';

const CHOICE = 'ergasto:workshop';
const NAMED = 'ergasto=';

function stored(read: () => string | null): string | null {
  try {
    return read();
  } catch {
    return null;
  }
}

/** Which workshop this tab shows: as the address says, else as this tab or this browser last chose. */
export function chosenWorkshop(search: string): WorkshopName {
  const asked = new URLSearchParams(search).get('workshop');
  if (asked === 'own' || asked === 'demo') {
    remember(asked);
    return asked;
  }
  // The name of the window outlives a reload where the browser stores nothing.
  const named = window.name.startsWith(NAMED) ? window.name.slice(NAMED.length) : null;
  const chosen =
    stored(() => sessionStorage.getItem(CHOICE)) ?? named ?? stored(() => localStorage.getItem(CHOICE)) ?? 'own';
  return chosen === 'demo' ? 'demo' : 'own';
}

function remember(workshop: WorkshopName): void {
  window.name = NAMED + workshop;
  for (const storage of [() => sessionStorage, () => localStorage])
    stored(() => {
      storage().setItem(CHOICE, workshop);
      return null;
    });
}

/** The browser's small storage, or one that lasts as long as the tab where the browser forbids it. */
function journalStorage(): JournalStorage {
  try {
    const probe = 'ergasto:probe';
    localStorage.setItem(probe, '1');
    localStorage.removeItem(probe);
    return localStorage;
  } catch {
    const kept = new Map<string, string>();
    return {
      getItem: (key) => kept.get(key) ?? null,
      setItem: (key, value) => void kept.set(key, value),
      removeItem: (key) => void kept.delete(key),
      key: (i) => [...kept.keys()][i] ?? null,
      get length() {
        return kept.size;
      },
    };
  }
}

/** The workshop of this browser. */
export function openWorkshop(name: WorkshopName): Workshop {
  const database = browserDatabase(name);
  return createWorkshop({
    database,
    journal: createJournal(journalStorage(), name),
    channel: browserChannel(name),
    ...browserLocks(name),
    async keepBefore(at) {
      // Most starts find nothing to do, and start no worker for it.
      if ((await database.readSetting('raised')) === SCHEMA_VERSION) return;
      const { askRecords } = await import('./recordsClient');
      await askRecords((api) => api.keepBefore(name, at));
    },
    now: () => nowIso(),
    newId,
  });
}
