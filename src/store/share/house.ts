import { openSettings } from '@/model/migrate/migrate';
import { same } from '@/model/same';
import { workshopSettings, type WorkshopSettings } from '@/model/settings/settings';
import { enteredInSettings, SETTINGS, settingsOf, stampLeafOf } from '@/model/share/settings';
import { enteredInStock, STOCK, stockOf } from '@/model/share/stock';
import type { Replica } from '@/model/share/replica';
import type { StockItem } from '@/model/stock/item';
import { readStock } from '../stockRows';
import type { Surroundings } from '../surroundings';
import { isStampedOtherwise, type Carried } from './carried';

type Around = Pick<Surroundings, 'database' | 'channel'>;

/** The settings of the workshop among several hands. */
export function carriedSettings({ database, channel }: Around, replica: Replica): Carried<WorkshopSettings> {
  let isToLay = false;
  return {
    record: SETTINGS,
    lock: 'settings',
    async read() {
      const stored = await database.readSetting('workshop');
      return stored === null ? null : (openSettings(stored) ?? 'closed');
    },
    entered(before, now) {
      const entered = enteredInSettings(before, now, replica);
      const heads = entered.map((each) => ({ ...each, leaf: stampLeafOf(each.leaf) }));
      isToLay = before !== null && isStampedOtherwise(before.stamps, now.stamps, heads);
      return entered;
    },
    wantsLaying: () => isToLay,
    view: () => settingsOf(replica),
    fits: (view) => workshopSettings.safeParse(view).success,
    async lay(view, here) {
      if (here && same(view, here)) return;
      await database.writeSetting('workshop', view);
      channel.post({ kind: 'settings' });
    },
  };
}

/** The drawer among several hands. */
export function carriedStock({ database, channel }: Around, replica: Replica): Carried<Map<string, StockItem>> {
  return {
    record: STOCK,
    lock: 'stock',
    async read() {
      return new Map(Object.entries(await readStock(database)));
    },
    entered: (before, now) => enteredInStock(before, now, replica),
    wantsLaying: () => false,
    view: () => stockOf(replica),
    fits: () => true,
    async lay(view, here) {
      const rows = new Map([...(here ?? []), ...view]);
      if (here && same([...here.values()], [...rows.values()])) return;
      await database.writeSetting('stock', [...rows.values()]);
      channel.post({ kind: 'stock' });
    },
  };
}
