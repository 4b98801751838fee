import type { Around } from './around';

export interface Exported {
  read(): Promise<void>;
  /** One more change since the last export. */
  countChange(): Promise<void>;
  /** All of it has just been exported. */
  mark(): Promise<void>;
}

/** How many changes there are since the workshop was last exported. */
export function createExported({ database, store, channel, locked, now }: Around): Exported {
  return {
    async read() {
      const unexported = await database.readSetting('unexported');
      const exportedAt = await database.readSetting('exportedAt');
      store.setState({
        unexported: typeof unexported === 'number' ? unexported : 0,
        exportedAt: typeof exportedAt === 'string' ? exportedAt : null,
      });
    },
    async countChange() {
      store.setState(({ unexported }) => ({ unexported: unexported + 1 }));
      await locked('count', async () => {
        const kept = await database.readSetting('unexported');
        const unexported = (typeof kept === 'number' ? kept : 0) + 1;
        await database.writeSetting('unexported', unexported);
        store.setState({ unexported });
      });
      channel.post({ kind: 'count' });
    },
    async mark() {
      const exportedAt = now();
      store.setState({ unexported: 0, exportedAt });
      await database.writeSetting('unexported', 0).catch(() => undefined);
      await database.writeSetting('exportedAt', exportedAt).catch(() => undefined);
      channel.post({ kind: 'count' });
    },
  };
}
