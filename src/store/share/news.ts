import { changedLeaves, staysHere } from '@/model/leaves';
import { leafWords } from '@/model/leafWords';
import type { Bicycle } from '@/model/record';
import { recordOf } from '@/model/share/bicycles';
import { deviceOf, handsOf } from '@/model/share/hands';
import type { Replica } from '@/model/share/replica';
import * as z from 'zod/mini';
import type { Database } from '../database';

const NEWS = 'share:news';
const MOST_WORDS = 40;

/** What other hands changed on a bicycle since it was last looked at here. */
const news = z.strictObject({
  by: z.array(z.string()),
  words: z.array(z.string()),
  changes: z.number(),
  at: z.string(),
});
export type News = z.output<typeof news>;

/** What others changed, bicycle by bicycle, until somebody here has looked. */
export async function createNews(
  database: Pick<Database, 'readSetting' | 'writeSetting'>,
  replica: Replica,
  device: string,
  now: () => string,
) {
  const kept = z.record(z.string(), news).safeParse((await database.readSetting(NEWS)) ?? {});
  const all = new Map<string, News>(kept.success ? Object.entries(kept.data) : []);
  let isChanged = false;
  const keep = async () => {
    if (isChanged) await database.writeSetting(NEWS, Object.fromEntries(all));
    isChanged = false;
  };
  const nameOf = (writer: string): string | null => {
    const of = deviceOf(writer);
    const hand = handsOf(replica).find(({ id }) => id === of);
    return of === device ? null : (hand?.name ?? 'Another device');
  };
  return {
    /** What was laid into a bicycle. One that is new here is told by its row on the floor. */
    heard(before: Bicycle | null, after: Bicycle): void {
      if (!before) return;
      const changed = changedLeaves(before, after).flatMap(({ leaf }) => {
        if (staysHere(leaf)) return [];
        const writer = replica.writerOf(recordOf(after.id), leaf);
        const by = writer && nameOf(writer);
        return by ? [{ by, words: leafWords(leaf) }] : [];
      });
      if (changed.length === 0) return;
      const was = all.get(after.id) ?? { by: [], words: [], changes: 0, at: '' };
      all.set(after.id, {
        by: [...new Set([...was.by, ...changed.map(({ by }) => by)])],
        words: [...new Set([...was.words, ...changed.map(({ words }) => words)])].slice(-MOST_WORDS),
        changes: was.changes + changed.length,
        at: now(),
      });
      isChanged = true;
    },
    /** Somebody looked. */
    async seen(bicycle: string): Promise<void> {
      isChanged = all.delete(bicycle) || isChanged;
      await keep();
    },
    keep,
    all: (): Record<string, News> => Object.fromEntries(all),
  };
}
