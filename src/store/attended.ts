import type { Database } from './database';

/** How long a database may take before it is told that it does not answer. */
export const PATIENCE_MS = 5000;

/** A database that is watched: `silent` is called when an answer is overdue, `answers` when none is any longer. */
export function attended(
  database: Database,
  { silent, answers }: { silent(): void; answers(): void },
  patienceMs = PATIENCE_MS,
): { database: Database; leave(): void } {
  const timers = new Set<ReturnType<typeof setTimeout>>();
  let overdue = 0;
  const watched =
    <Args extends unknown[], Answer>(ask: (...args: Args) => Promise<Answer>) =>
    async (...args: Args): Promise<Answer> => {
      let late = false;
      const timer = setTimeout(() => {
        late = true;
        overdue++;
        silent();
      }, patienceMs);
      // A process of Node need not wait for it; a browser's timer is a bare number.
      if (typeof timer === 'object') timer.unref();
      timers.add(timer);
      try {
        return await ask(...args);
      } finally {
        clearTimeout(timer);
        timers.delete(timer);
        if (late && --overdue === 0) answers();
      }
    };
  const asked = Object.fromEntries(
    Object.entries(database).map(([name, method]) => [
      name,
      name === 'watch' || typeof method !== 'function'
        ? (method as unknown)
        : watched((...args: unknown[]) =>
            // Looked up now, so that a test may put a failure in its place.
            (database as unknown as Record<string, (...all: unknown[]) => Promise<unknown>>)[name]!(...args),
          ),
    ]),
  ) as unknown as Database;
  return { database: asked, leave: () => timers.forEach(clearTimeout) };
}
