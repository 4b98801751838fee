import * as Comlink from 'comlink';
import type { Hand, Whereabouts } from '@/model/share/hands';
import type { ShareQuestion } from '@/model/share/question';
import { browserChannel, browserLocks } from '../browserTabs';
import { browserDatabase, type WorkshopName } from '../database';
import { newId } from '../newId';
import { nowIso } from '../now';
import { memoryFolder, sha256, type ShareFolder } from './folder';
import { givenFolder, handleFolder } from './folders';
import { joinShare, type Share, type ShareState } from './join';
import { KEYS, PLACE, type Place } from './kept';
import { lookInto, type FolderLook } from './look';
import type { News } from './news';
import { newSeal, openSeal, putSeal, sealedFolder, sealingOf, sealsIn, type SealKey } from './seal';
import { filesIn, zipOf } from './zipFolder';

/** How the beginning went. */
export type Begun =
  | { is: 'none' }
  | { is: 'not there'; changes: number }
  /** Sealed, and no passphrase that was given here opens it. */
  | { is: 'shut'; wasTried: boolean }
  | { is: 'ready'; isSealed: boolean; hasOthers: boolean };

/** What a turn came to, for the page. */
export interface ShareTold {
  state: ShareState;
  hands: Hand[];
  news: Record<string, News>;
  questions: ShareQuestion[];
  /** Somebody sealed the folder, or sealed it otherwise: it is begun anew. */
  isSealedAnew: boolean;
}

/** Seals are looked for anew every so many turns. */
const SEALS_EVERY = 4;

let database: ReturnType<typeof browserDatabase> | null = null;
let folder: ShareFolder | null = null;
let share: Share | null = null;
let salts = '';
let turns = 0;

const saltsIn = async (raw: ShareFolder) => (await sealsIn(raw)).map(({ salt }) => salt).join();
const keysOf = async (of: ReturnType<typeof browserDatabase>) =>
  ((await of.readSetting(KEYS)) as SealKey[] | null) ?? [];

async function folderOf(of: ReturnType<typeof browserDatabase>): Promise<ShareFolder | null> {
  const place = (await of.readSetting(PLACE)) as Place | null;
  if (!place) return null;
  return folderAt(place);
}
const folderAt = (place: Place): ShareFolder => ('given' in place ? givenFolder() : handleFolder(place));

/** Keeps a lock for as long as this worker lives; one tab of a browser takes part. */
function holdLock(name: WorkshopName): Promise<void> {
  return new Promise((resolve) => {
    void browserLocks(name).locked('share', () => {
      resolve();
      return new Promise<void>(() => undefined);
    });
  });
}

const joined = (name: WorkshopName, to: ShareFolder, device: string) =>
  joinShare(
    { database: database!, ...browserLocks(name), channel: browserChannel(name), now: nowIso, newId },
    to,
    device,
    sha256,
  );

const api = {
  /** What lies in a folder before anything of it is taken in: whose it is, and how many bicycles. */
  look: async (name: WorkshopName, place: Place | Blob): Promise<FolderLook> =>
    lookInto(
      place instanceof Blob ? memoryFolder(await filesIn(place)) : folderAt(place),
      browserDatabase(name),
      sha256,
    ),
  /** Takes part in the folder that was chosen, once no other tab does. */
  async begin(name: WorkshopName, device: string): Promise<Begun> {
    database = browserDatabase(name);
    folder = await folderOf(database);
    if (!folder) return { is: 'none' };
    await holdLock(name);
    try {
      const sealing = await sealingOf(folder, await keysOf(database));
      if (sealing.is === 'shut') return sealing;
      salts = await saltsIn(folder);
      share = await joined(name, sealing.is === 'open' ? folder : sealedFolder(folder, sealing.keys), device);
      const isSealed = sealing.is === 'sealed';
      return { is: 'ready', isSealed, hasOthers: isSealed && sealing.hasOthers };
    } catch {
      return { is: 'not there', changes: 0 };
    }
  },
  /** For a zip by hand where no folder was chosen. */
  async beginByHand(name: WorkshopName, device: string): Promise<void> {
    database = browserDatabase(name);
    await holdLock(name);
    share = await joined(name, memoryFolder(new Map()), device);
  },
  async turn(bicycles: string[], here: Whereabouts | null): Promise<ShareTold> {
    const state = await share!.turn(bicycles, here);
    turns += 1;
    const isSealedAnew =
      turns % SEALS_EVERY === 0 && state.is !== 'not there' && (await saltsIn(folder!).catch(() => salts)) !== salts;
    return { state, hands: share!.hands(), news: share!.news.all(), questions: share!.questions(), isSealedAnew };
  },
  seen: (bicycle: string): Promise<void> => share!.news.seen(bicycle),
  answer: (question: ShareQuestion, value: unknown): Promise<void> => share!.answer(question, value),
  /** The folder as a zip: what is in the one that is given comes in, and all that is known here is in the one that is given back. */
  async byHand(zip: Blob | null, bicycles: string[]): Promise<Blob> {
    const files = zip ? await filesIn(zip) : new Map<string, Uint8Array<ArrayBuffer>>();
    const raw = memoryFolder(files);
    const sealing = await sealingOf(raw, await keysOf(database!));
    if (sealing.is === 'shut') throw new Error('sealed');
    await share!.byHand(sealing.is === 'open' ? raw : sealedFolder(raw, sealing.keys), bicycles);
    return zipOf(files);
  },
  /** Tries a passphrase on the folder, or seals it where it has no seal. */
  async passphrase(name: WorkshopName, words: string): Promise<'opened' | 'sealed' | 'wrong' | 'not there'> {
    const of = browserDatabase(name);
    const raw = await folderOf(of);
    try {
      const seals = raw ? await sealsIn(raw) : [];
      const keys = await keysOf(of);
      for (const seal of seals) {
        const key = await openSeal(words, seal);
        if (!key) continue;
        await of.writeSetting(KEYS, [...keys.filter((each) => each.seal.salt !== seal.salt), key]);
        return 'opened';
      }
      if (!raw || seals.length > 0) return 'wrong';
      const made = await newSeal(words);
      await of.writeSetting(KEYS, [...keys, made]);
      await putSeal(raw, made.seal);
      return 'sealed';
    } catch {
      return 'not there';
    }
  },
};
export type ShareApi = typeof api;

Comlink.expose(api);
