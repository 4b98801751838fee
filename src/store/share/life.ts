import type { ShareFile } from '@/model/share/change';
import type { Replica } from '@/model/share/replica';
import * as z from 'zod/mini';
import type { Surroundings } from '../surroundings';

const LIFE = 'share:life';
const kept = z.strictObject({
  name: z.string().check(z.regex(/^[\w-]{1,20}$/)),
  at: z.string(),
  snapshots: z.number().check(z.multipleOf(1), z.gte(0)),
});

/** A page that opens so soon after the last goes on under its name; a browser put back from an old copy is hardly ever so quick. */
const SOON_MS = 2 * 3_600_000;
const TOLD_EVERY_MS = 10 * 60_000;

/**
 * The life of a device under which it writes: another one wherever numbers might be given twice. A page that opens soon after the last goes on with the same, if the folder is there and
 * holds nothing of it that is not known here.
 */
export async function createLife(
  { database, now, newId }: Pick<Surroundings, 'database' | 'now' | 'newId'>,
  device: string,
) {
  const said = kept.safeParse(await database.readSetting(LIFE));
  const age = said.success ? Date.parse(now()) - Date.parse(said.data.at) : Infinity;
  const fresh = () => ({
    name: newId()
      .replaceAll(/[^\w-]/g, '')
      .slice(0, 12),
    at: now(),
    snapshots: 0,
  });
  const mayGoOn = said.success && age >= 0 && age < SOON_MS;
  let life = said.success && mayGoOn ? said.data : fresh();
  let isSure = !mayGoOn;
  let isKept = false;
  const writer = () => `${device}.${life.name}`;

  return {
    writer,
    /** Before anything is written for the first time: whether the name can be gone on with, by what lies in the folder. */
    async settle(replica: Replica, files: readonly ShareFile[] | null): Promise<void> {
      if (!isSure) {
        const last = (replica.holds()[writer()] ?? []).at(-1)?.[1] ?? 0;
        const isAhead = (files ?? []).some((file) => {
          const held = file.kind === 'snapshot' ? (file.holds[writer()] ?? []) : [];
          const highest = file.kind === 'snapshot' ? (held.at(-1)?.[1] ?? 0) : file.number;
          return (file.kind === 'snapshot' || file.writer === writer()) && highest > last;
        });
        if (files === null || isAhead) life = fresh();
        isSure = true;
        replica.writer = writer();
      }
      if (isKept && Date.parse(now()) - Date.parse(life.at) < TOLD_EVERY_MS) return;
      life = { ...life, at: now() };
      await database.writeSetting(LIFE, life);
      isKept = true;
    },
    /** The number of the next snapshot, kept before it is used. */
    async nextSnapshot(): Promise<number> {
      life = { ...life, snapshots: life.snapshots + 1 };
      await database.writeSetting(LIFE, life);
      return life.snapshots;
    },
  };
}
