import { browserDatabase, type WorkshopName } from './database';
import { createJournal, type JournalStorage } from './journal';
import { createWorkshop, type StoreMessage, type Surroundings, type Workshop } from './workshop';

const CHOICE = 'ergasto:workshop';

/** Which workshop this tab shows: as the address says, else as this tab or this browser last chose. */
export function chosenWorkshop(search: string): WorkshopName {
  const asked = new URLSearchParams(search).get('workshop');
  if (asked === 'own' || asked === 'demo') {
    remember(asked);
    return asked;
  }
  try {
    return (sessionStorage.getItem(CHOICE) ?? localStorage.getItem(CHOICE)) === 'demo' ? 'demo' : 'own';
  } catch {
    return 'own';
  }
}

function remember(workshop: WorkshopName): void {
  try {
    sessionStorage.setItem(CHOICE, workshop);
    localStorage.setItem(CHOICE, workshop);
  } catch {
    // A browser that stores nothing says so when the records are opened.
  }
}

function browserChannel(workshop: WorkshopName): Surroundings['channel'] {
  if (typeof BroadcastChannel === 'undefined') return { post: () => undefined, listen: () => () => undefined };
  const channel = new BroadcastChannel(`ergasto-${workshop}`);
  return {
    post: (message) => channel.postMessage(message),
    listen(heard) {
      const listener = (event: MessageEvent<StoreMessage>) => heard(event.data);
      channel.addEventListener('message', listener);
      return () => {
        channel.removeEventListener('message', listener);
        channel.close();
      };
    },
  };
}

/** Web Locks where the browser has them (a secure context); one tab at a time is assumed where it has not. */
async function browserLock<T>(name: string, work: () => Promise<T>): Promise<T> {
  const locks = (navigator as Partial<Navigator>).locks;
  if (!locks) return work();
  let result: T | undefined;
  await locks.request(name, async () => {
    result = await work();
  });
  return result as T;
}

/** An id that sorts by nothing and collides with nothing. */
export function newId(): string {
  if (typeof crypto.randomUUID === 'function') return crypto.randomUUID();
  return [...crypto.getRandomValues(new Uint8Array(16))].map((byte) => byte.toString(16).padStart(2, '0')).join('');
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
  return createWorkshop({
    database: browserDatabase(name),
    journal: createJournal(journalStorage(), name),
    channel: browserChannel(name),
    locked: (lock, work) => browserLock(`ergasto-${name}:${lock}`, work),
    now: () => new Date().toISOString(),
    newId,
  });
}
