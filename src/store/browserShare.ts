import { browserChannel, browserLocks } from './browserTabs';
import { newId } from './browser';
import { browserDatabase, type WorkshopName } from './database';
import { nowIso } from './now';
import type { ShareFolder, ShareState } from './share';
import type { Workshop } from './workshop';

/** The browser's own folder, with what the type library does not know of yet. */
export type FolderHandle = FileSystemDirectoryHandle & {
  queryPermission?(how: { mode: 'readwrite' }): Promise<PermissionState>;
  requestPermission?(how: { mode: 'readwrite' }): Promise<PermissionState>;
  keys(): AsyncIterable<string>;
};
const HANDLE = 'share:folder';
const DEVICE = 'share:device';
const TURN_MS = 4000;

/** What stands between this device and its folder, or how it stands to it. */
export type SharePart =
  { is: 'none' } | { is: 'asks'; name: string } | { is: 'begins' } | { is: 'elsewhere' } | { is: 'full' } | ShareState;

const picker = () =>
  (globalThis as { showDirectoryPicker?: (how: { mode: 'readwrite' }) => Promise<FolderHandle> }).showDirectoryPicker;
export const canShare = (): boolean => picker() !== undefined && 'subtle' in crypto;

async function sha256(text: string): Promise<string> {
  const bytes = await crypto.subtle.digest('SHA-256', new TextEncoder().encode(text));
  return [...new Uint8Array(bytes)].map((byte) => byte.toString(16).padStart(2, '0')).join('');
}

function folderOn(handle: FolderHandle): ShareFolder {
  return {
    async names() {
      const names: string[] = [];
      for await (const name of handle.keys()) if (name.endsWith('.json')) names.push(name);
      return names;
    },
    read: async (name) => (await (await handle.getFileHandle(name)).getFile()).text(),
    async write(name, text) {
      const stream = await (await handle.getFileHandle(name, { create: true })).createWritable();
      await stream.write(text);
      await stream.close();
    },
    remove: (name) => handle.removeEntry(name),
  };
}

/** Lets somebody choose the folder; false where they thought better of it. */
export async function chooseFolder(name: WorkshopName): Promise<boolean> {
  const handle = await picker()?.({ mode: 'readwrite' }).catch(() => null);
  if (!handle) return false;
  await browserDatabase(name).writeSetting(HANDLE, handle);
  return true;
}

/** The folder that was chosen; null where none was. */
export const chosenFolder = async (name: WorkshopName): Promise<FolderHandle | null> =>
  (await browserDatabase(name).readSetting(HANDLE)) as FolderHandle | null;

/** Asks the browser for leave again, as it wants to be asked by a tap. */
export const askLeave = async (handle: FolderHandle): Promise<boolean> =>
  (await handle.requestPermission?.({ mode: 'readwrite' })) !== 'denied';

/** Leaves the folder; what is in it stays there, and what is here stays here. */
export const leaveFolder = (name: WorkshopName): Promise<void> => browserDatabase(name).removeSetting(HANDLE);

async function deviceOf(name: WorkshopName): Promise<string> {
  const database = browserDatabase(name);
  const kept = await database.readSetting(DEVICE);
  if (typeof kept === 'string') return kept;
  const made = newId().replaceAll('-', '').slice(0, 10);
  await database.writeSetting(DEVICE, made);
  return made;
}

/** Takes part in the folder while the page is open: one tab of a browser at a time, a turn every few seconds. Gives back what ends it. */
export function takePart(name: WorkshopName, workshop: Workshop, tell: (part: SharePart) => void): () => void {
  let isOver = false;
  let wake: () => void = () => undefined;
  const rest = (ms: number) =>
    new Promise<void>((resolve) => {
      wake = resolve;
      setTimeout(resolve, ms);
    });
  const locks = browserLocks(name);
  const run = async () => {
    const handle = await chosenFolder(name);
    if (isOver) return;
    if (!handle) return tell({ is: 'none' });
    if ((await handle.queryPermission?.({ mode: 'readwrite' })) === 'prompt')
      return tell({ is: 'asks', name: handle.name });
    tell({ is: (await locks.isLocked('share')) ? 'elsewhere' : 'begins' });
    await locks.locked('share', async () => {
      // Most devices have no folder, and never fetch what takes part in one.
      const { joinShare } = await import('./share');
      const database = browserDatabase(name);
      const around = { database, ...locks, channel: browserChannel(name), now: nowIso, newId };
      const share = await joinShare(around, folderOn(handle), await deviceOf(name), sha256);
      const seen = new Map<string, number>();
      while (!isOver) {
        await workshop.settled();
        const changed = Object.values(workshop.store.getState().summaries).filter(
          ({ id, revision }) => seen.get(id) !== revision,
        );
        // A full browser is no reason to give up: what could not be kept is tried again.
        const state = await share.turn(changed.map(({ id }) => id)).catch((): SharePart => ({ is: 'full' }));
        if (state.is !== 'full') for (const { id, revision } of changed) seen.set(id, revision);
        if (!isOver) tell(state);
        await rest(TURN_MS);
      }
    });
  };
  void run().catch(() => !isOver && tell({ is: 'not there' }));
  return () => {
    isOver = true;
    wake();
  };
}
