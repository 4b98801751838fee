import { photographRecord, photographsOf } from '@/model/share/photographs';
import type { Entered, Replica } from '@/model/share/replica';
import type { Database } from '../database';
import type { ShareFolder, SumOf } from './folder';
import { whenKnown } from './whenKnown';

/** So many go out and come in at one turn, so that changes do not wait behind them. */
const AT_ONCE = 8;
/** Where nothing is wanted the folder is still looked through now and then, for somebody may have emptied it. */
const SELDOM = 75;
/** More than this is no photograph of a bench. */
const MOST_BYTES = 60_000_000;

/** Photographs and sounds among several hands: each lies in the folder once, under the sum of its content. */
export function createPhotographs(
  database: Pick<Database, 'photoIds' | 'readPhoto' | 'writePhoto'>,
  replica: Replica,
  sumOf: SumOf,
  now: () => string,
) {
  const bytesOf = async (blob: Blob) => new Uint8Array(await blob.arrayBuffer());
  const all = whenKnown(replica, () => photographsOf(replica));
  let turns = 0;
  /** How many wait to be told of. */
  let untold = 0;
  const tooLarge = new Set<string>();
  /** Nothing that is wanted came at the last looks: it is looked for less often. */
  let inVain = 0;
  const names = new Map<string, string>();
  const nameIn = async (folder: ShareFolder, sum: string) => {
    const name = names.get(sum) ?? (await folder.nameOf(sum));
    names.set(sum, name);
    return name;
  };

  return {
    /** Those that the others have not been told of. */
    async entered(): Promise<Entered[]> {
      const told = all();
      const unsaid = (await database.photoIds()).filter((id) => !told.has(id) && !tooLarge.has(id));
      const fresh = unsaid.slice(0, AT_ONCE);
      untold = unsaid.length - fresh.length;
      const entered: Entered[] = [];
      for (const id of fresh) {
        const blob = await database.readPhoto(id);
        if (!blob || blob.size > MOST_BYTES) {
          tooLarge.add(id);
          continue;
        }
        const value = { sum: await sumOf(await bytesOf(blob)), type: blob.type || 'image/jpeg' };
        entered.push({ record: photographRecord(id), leaf: id, value, stamp: `${now()} ${id}`.slice(0, 120) });
      }
      return entered;
    },
    /** Puts into the folder what is here and not there, and takes out of it what is not here. How many still wait, either way. */
    async carry(folder: ShareFolder, isAll = false): Promise<{ toGo: number; toCome: number }> {
      const told = all();
      const here = new Set(await database.photoIds());
      const wanted = [...told].filter(([id]) => !here.has(id));
      const isDue = (wanted.length > 0 && turns % (inVain > 5 ? 10 : 1) === 0) || turns % SELDOM === 0 || isAll;
      turns += 1;
      if (!isDue) return { toGo: untold, toCome: wanted.length };
      const there = new Set(await folder.names('photographs'));
      if (isAll) names.clear();
      for (const [, { sum }] of told) await nameIn(folder, sum);
      const most = isAll ? Infinity : AT_ONCE;
      let came = 0;
      for (const [id, { sum, type }] of wanted.filter(([, each]) => there.has(names.get(each.sum)!)).slice(0, most)) {
        const bytes = await folder.read('photographs', names.get(sum)!).catch(() => null);
        // Half of a picture waits until it is whole.
        if (!bytes || (await sumOf(bytes)) !== sum) continue;
        await database.writePhoto(id, new Blob([bytes], { type }));
        came += 1;
      }
      inVain = came > 0 ? 0 : inVain + 1;
      const missing = [...told].filter(([id, { sum }]) => here.has(id) && !there.has(names.get(sum)!));
      let went = 0;
      for (const [id, { sum }] of missing.slice(0, most)) {
        const name = names.get(sum)!;
        const blob = there.has(name) ? null : await database.readPhoto(id);
        if (blob) {
          await folder.write('photographs', name, await bytesOf(blob));
          there.add(name);
        }
        went += 1;
      }
      for (const { sum } of told.values())
        if (folder.isSealed && there.has(sum) && there.has(names.get(sum)!)) await folder.remove('photographs', sum);
      // What is left is gone on with at the next turn.
      if (missing.length > went) turns = 0;
      if (isAll) names.clear();
      return { toGo: untold + missing.length - went, toCome: wanted.length - came };
    },
    /** Looks through the folder at the next turn. */
    lookAgain: () => void (turns = 0),
  };
}
