import type { Command } from '@/model/commands';
import { leavesOf } from '@/model/leaves';
import { bicycleRecord, type Bicycle } from '@/model/record';
import type { StockItem } from '@/model/stock/item';
import type { Whereabouts } from '@/model/share/hands';
import { memoryFolder, sha256, type ShareFolder } from '@/store/share/folder';
import { joinShare } from '@/store/share/join';
import { memoryBrowser } from './memoryBrowser';

/** A row of the drawer that several devices take from. */
export const pads = (more: Partial<StockItem> = {}): StockItem => ({
  id: 'pads',
  label: 'Brake pads, pair',
  place: 'pads',
  size: '',
  state: 'new',
  from: '',
  bicycle: null,
  quantity: 4,
  worth: 900,
  cost: 2000,
  at: '2026-11-25T10:00:00.000Z',
  goneAt: null,
  ...more,
});

/** A folder in memory, and ways to harm it. */
export function harmedFolder() {
  const files = new Map<string, Uint8Array<ArrayBuffer>>();
  const inside = memoryFolder(files);
  const orAway =
    <Asked extends unknown[], Said>(ask: (...asked: Asked) => Promise<Said>) =>
    (...asked: Asked): Promise<Said> =>
      folder.away ? Promise.reject(new Error('not there')) : ask(...asked);
  const folder: ShareFolder & { files: typeof files; away: boolean } = {
    files,
    away: false,
    names: orAway(inside.names),
    read: orAway(inside.read),
    write: orAway(inside.write),
    remove: orAway(inside.remove),
    nameOf: inside.nameOf,
  };
  return folder;
}

/** A device of a shop: a browser with a page open on it, and its part in a folder. */
export async function shareDevice(name: string, folder: ShareFolder) {
  const browser = memoryBrowser(name);
  const workshop = browser.tab(1);
  await workshop.load();
  let share = await joinShare(browser.around(2), folder, name, sha256);
  const shown = (id = 'b') => {
    const record = browser.database.records.get(id) as Bicycle | undefined;
    return record && bicycleRecord.parse(JSON.parse(JSON.stringify(record)));
  };
  return {
    workshop,
    database: browser.database,
    shown,
    share: () => share,
    turn: (here: Whereabouts | null = null) => share.turn([...browser.database.records.keys()], here),
    /** The page dies, and another is opened. */
    reopen: async (other = folder) => void (share = await joinShare(browser.around(3), other, name, sha256)),
    do: async (command: Command, id = 'b') => {
      await workshop.open(id);
      workshop.send(id, command);
      await workshop.settled();
    },
    leaves: (id = 'b') => JSON.stringify([...leavesOf(shown(id)!)].toSorted(([a], [b]) => (a < b ? -1 : 1))),
  };
}
export type ShareDevice = Awaited<ReturnType<typeof shareDevice>>;
