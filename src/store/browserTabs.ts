import type { WorkshopName } from './database';
import type { StoreMessage, Surroundings } from './surroundings';

/** How the tabs of one browser, and the workers of a tab, speak to one another about one workshop. */
export function browserChannel(workshop: WorkshopName): Surroundings['channel'] {
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
export function browserLocks(workshop: WorkshopName): Pick<Surroundings, 'locked' | 'isLocked'> {
  const locks = (navigator as Partial<Navigator>).locks;
  const named = (name: string) => `ergasto-${workshop}:${name}`;
  return {
    async locked<T>(name: string, work: () => Promise<T>): Promise<T> {
      if (!locks) return work();
      let result: T | undefined;
      await locks.request(named(name), async () => {
        result = await work();
      });
      return result as T;
    },
    async isLocked(name) {
      const held = (await locks?.query())?.held ?? [];
      return held.some((lock) => lock.name === named(name));
    },
  };
}
