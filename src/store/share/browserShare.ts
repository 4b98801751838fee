import * as Comlink from 'comlink';
import type { Whereabouts } from '@/model/share/hands';
import type { ShareQuestion } from '@/model/share/question';
import { browserLocks } from '../browserTabs';
import { browserDatabase, type WorkshopName } from '../database';
import { newId } from '../newId';
import type { Workshop } from '../workshop';
import type { FolderHandle } from './folders';
import { DEVICE, DEVICE_NAME, KEYS, PLACE, type Place } from './kept';
import type { FolderLook } from './look';
import type { Begun, ShareApi, ShareTold } from './share.worker';

const TURN_MS = 4000;
/** While photographs come and go there is no waiting for the next turn. */
const QUICK_MS = 100;

/** What stands between this device and its folder, or how it stands to it. */
export type SharePart =
  | Exclude<Begun, { is: 'ready' }>
  | { is: 'asks'; name: string }
  | { is: 'begins' }
  | { is: 'elsewhere' }
  | { is: 'full' }
  | ShareTold['state'];

/** What is told to the page of the folder. */
export interface ShareNow extends Pick<ShareTold, 'hands' | 'news' | 'questions'> {
  part: SharePart;
  /** What the folder is called; null where none was chosen. */
  folder: string | null;
  isSealed: boolean;
  /** Some of it is sealed with another passphrase. */
  hasOthers: boolean;
}
export const NO_FOLDER: ShareNow = {
  part: { is: 'none' },
  folder: null,
  isSealed: false,
  hasOthers: false,
  hands: [],
  news: {},
  questions: [],
};

const picker = () =>
  (globalThis as { showDirectoryPicker?: (how: { mode: 'readwrite' }) => Promise<FolderHandle> }).showDirectoryPicker;
/** Whether this browser gives a page a folder, and can add up sums. */
export const canPick = (): boolean => picker() !== undefined && 'subtle' in crypto;

const startWorker = () => {
  const worker = new Worker(new URL('./share.worker.ts', import.meta.url), { type: 'module', name: 'share' });
  return { worker, api: Comlink.wrap<ShareApi>(worker) };
};

/** Lets somebody choose the folder; null where they thought better of it. */
export const pickFolder = async (): Promise<Place | null> =>
  (await picker()?.({ mode: 'readwrite' }).catch(() => null)) ?? null;

/** What lies in a folder or a zip that was chosen, before anything of it is taken in. */
export async function lookIntoFolder(name: WorkshopName, place: Place | Blob): Promise<FolderLook> {
  const { worker, api } = startWorker();
  try {
    return await api.look(name, place);
  } finally {
    worker.terminate();
  }
}

/** Takes part in it from now on. */
export const chooseFolder = (name: WorkshopName, place: Place): Promise<void> =>
  browserDatabase(name).writeSetting(PLACE, place);

/** Asks the browser for leave again, as it wants to be asked by a tap. */
export async function askLeave(name: WorkshopName): Promise<boolean> {
  const place = (await browserDatabase(name).readSetting(PLACE)) as Place | null;
  if (!place || 'given' in place) return false;
  return (await place.requestPermission?.({ mode: 'readwrite' })) !== 'denied';
}

/** Leaves the folder; what is in it stays there, and what is here stays here. */
export async function leaveFolder(name: WorkshopName): Promise<void> {
  await browserDatabase(name).removeSetting(PLACE);
  await browserDatabase(name).removeSetting(KEYS);
}

async function deviceIn(name: WorkshopName): Promise<string> {
  const database = browserDatabase(name);
  const kept = await database.readSetting(DEVICE);
  if (typeof kept === 'string') return kept;
  const made = newId().replaceAll('-', '').slice(0, 10);
  await database.writeSetting(DEVICE, made);
  return made;
}

/** What this device is called among the others. */
export async function deviceName(name: WorkshopName): Promise<string> {
  const kept = await browserDatabase(name).readSetting(DEVICE_NAME);
  if (typeof kept === 'string' && kept !== '') return kept;
  return globalThis.matchMedia('(pointer: coarse)').matches ? 'phone' : 'laptop';
}
export const callDevice = (name: WorkshopName, called: string): Promise<void> =>
  browserDatabase(name).writeSetting(DEVICE_NAME, called.trim().slice(0, 80));

/** Tries a passphrase on the folder, or seals it. */
export async function givePassphrase(name: WorkshopName, words: string) {
  const { worker, api } = startWorker();
  try {
    return await api.passphrase(name, words);
  } finally {
    worker.terminate();
  }
}

/** Whoever takes part in this tab just now. */
let taking: { api: Comlink.Remote<ShareApi>; changed(): string[] } | null = null;

/** Somebody looked at what others changed. */
export const newsSeen = async (bicycle: string): Promise<void> => taking?.api.seen(bicycle);
/** Answers a question for everybody. */
export const answerQuestion = async (question: ShareQuestion, value: unknown): Promise<void> =>
  taking?.api.answer(question, value);

/** The folder as a zip, in and out by hand; `elsewhere` where another tab takes part. Errors: a sentence where the zip is refused. */
export async function byHand(name: WorkshopName, workshop: Workshop, zip: Blob | null): Promise<Blob | 'elsewhere'> {
  await workshop.settled();
  const all = Object.keys(workshop.store.getState().summaries);
  if (taking) return taking.api.byHand(zip, all);
  if (await browserLocks(name).isLocked('share')) return 'elsewhere';
  const { worker, api } = startWorker();
  try {
    await api.beginByHand(name, await deviceIn(name));
    return await api.byHand(zip, all);
  } finally {
    worker.terminate();
  }
}

/** How much waits either way. */
const waitingIn = (state: ShareTold['state']): number =>
  state.is === 'to go out' ? state.changes : state.is === 'to come' ? state.photographs : 0;

/** Why nobody can take part yet, before a worker is started for it; null where one can. */
async function before(name: WorkshopName, tell: (now: ShareNow) => void): Promise<{ label: string } | null> {
  // Made-up bicycles have no business among a shop's own.
  const place = name === 'demo' ? null : ((await browserDatabase(name).readSetting(PLACE)) as Place | null);
  if (!place) {
    tell(NO_FOLDER);
    return null;
  }
  const label = 'given' in place ? place.given : place.name;
  if (!('given' in place) && (await place.queryPermission?.({ mode: 'readwrite' })) === 'prompt') {
    tell({ ...NO_FOLDER, folder: label, part: { is: 'asks', name: label } });
    return null;
  }
  return { label };
}

/**
 * Takes part in the folder while the page is open: one tab of a browser at a time, a turn every few seconds, all of it in a worker. `whereabouts` says who is here. Gives back what ends it.
 */
export function takePart(
  name: WorkshopName,
  workshop: Workshop,
  whereabouts: () => Omit<Whereabouts, 'device'> | null,
  tell: (now: ShareNow) => void,
): () => void {
  let isOver = false;
  let end: () => void = () => undefined;
  const rest = (ms = TURN_MS) =>
    new Promise<void>((resolve) => {
      const timer = setTimeout(resolve, ms);
      end = () => {
        clearTimeout(timer);
        resolve();
      };
    });

  async function turns(
    api: Comlink.Remote<ShareApi>,
    told: Pick<ShareNow, 'folder' | 'isSealed' | 'hasOthers'>,
  ): Promise<void> {
    const seen = new Map<string, number>();
    const device = await deviceName(name);
    const changed = () =>
      Object.values(workshop.store.getState().summaries).filter(({ id, revision }) => seen.get(id) !== revision);
    taking = { api, changed: () => changed().map(({ id }) => id) };
    let waited = Infinity;
    while (!isOver) {
      await workshop.settled();
      const now = changed();
      const here = whereabouts();
      const after = await api
        .turn(
          now.map(({ id }) => id),
          here && { ...here, device },
        )
        .catch(() => null);
      if (isOver) return;
      // A full browser is no reason to give up: what could not be kept is tried again.
      let waiting = 0;
      if (!after) tell({ ...NO_FOLDER, ...told, part: { is: 'full' } });
      else {
        waiting = waitingIn(after.state);
        for (const { id, revision } of now) seen.set(id, revision);
        const { state, isSealedAnew, ...rest } = after;
        tell({ ...told, ...rest, part: state });
        if (isSealedAnew) return;
      }
      await rest(waiting > 0 && waiting < waited ? QUICK_MS : TURN_MS);
      waited = waiting === 0 ? Infinity : waiting;
    }
  }

  const run = async () => {
    while (!isOver) {
      const chosen = await before(name, (now) => !isOver && tell(now));
      if (!chosen || isOver) return;
      const told = { folder: chosen.label, isSealed: false, hasOthers: false };
      const isElsewhere = await browserLocks(name).isLocked('share');
      tell({ ...NO_FOLDER, ...told, part: { is: isElsewhere ? 'elsewhere' : 'begins' } });
      const { worker, api } = startWorker();
      const stop = () => {
        taking = null;
        worker.terminate();
      };
      end = stop;
      try {
        const begun = await api.begin(name, await deviceIn(name));
        if (isOver) return;
        if (begun.is === 'ready') await turns(api, { ...told, isSealed: begun.isSealed, hasOthers: begun.hasOthers });
        else {
          tell({ ...NO_FOLDER, ...told, part: begun });
          if (begun.is !== 'not there') return;
        }
      } finally {
        stop();
      }
      if (!isOver) await rest();
    }
  };
  void run().catch(() => !isOver && tell({ ...NO_FOLDER, part: { is: 'not there', changes: 0 } }));
  return () => {
    isOver = true;
    end();
  };
}
