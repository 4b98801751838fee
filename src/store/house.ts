import { openSettingsLater } from '@/model/migrate/openSettings';
import type { WorkshopSettings } from '@/model/settings/settings';
import type { Around } from './around';

/** A change is told by what is kept when it is written, so that what another tab changed within the same field stays. */
export type SettingsChange = Partial<WorkshopSettings> | ((kept: WorkshopSettings) => Partial<WorkshopSettings>);

export interface House {
  read(): Promise<void>;
  change(changes: SettingsChange): Promise<void>;
}

/** The settings of the workshop: shown at once, then written under a lock over what stands in the database. */
export function createHouse({ database, store, channel, locked, now, newId, tell }: Around): House {
  return {
    async read() {
      const settings = await openSettingsLater(await database.readSetting('workshop'));
      if (settings) store.setState({ settings });
    },
    async change(made) {
      const { changedSettings } = await import('@/model/settings/settingLeaves');
      const id = newId();
      const at = now();
      const changed = (kept: WorkshopSettings) =>
        changedSettings(kept, typeof made === 'function' ? made(kept) : made, at, id);
      const before = store.getState().settings;
      store.setState({ settings: changed(before) });
      try {
        await locked('settings', async () => {
          // What another tab has changed meanwhile stays.
          const stored = (await openSettingsLater(await database.readSetting('workshop'))) ?? before;
          const next = changed(stored);
          if (!(await openSettingsLater(next))) throw new Error('settings that could not be opened again');
          await database.writeSetting('workshop', next);
          store.setState({ settings: next });
        });
        tell('settings', null);
        channel.post({ kind: 'settings' });
      } catch {
        tell('settings', 'The browser would not write the settings. Free some space, then change them again.');
      }
    },
  };
}
