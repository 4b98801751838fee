import { bicycleOf, enteredBy, recordOf } from '@/model/share/bicycles';
import { holds, snapshot as snapshotSchema, type Batch, type Replaced, type ShareFile } from '@/model/share/change';
import * as z from 'zod/mini';
import { Held } from '@/model/share/held';
import { Replica, type Entered } from '@/model/share/replica';
import { readShare, shareName, shareText } from '@/model/share/shareText';
import { leafValue } from '@/model/leaves';
import { bicycleRecord, type Bicycle } from '@/model/record';
import { summaryOf } from '@/model/summaryOf';
import { createRecords, Unfit, type ReadRecord } from './records';
import { lockOf, type Surroundings } from './surroundings';

/** The folder as something else keeps it the same everywhere. Nothing in it is changed once it is written. */
export interface ShareFolder {
  names(): Promise<string[]>;
  read(name: string): Promise<string>;
  write(name: string, text: string): Promise<void>;
  remove(name: string): Promise<void>;
}

export type ShareState = { is: 'same' } | { is: 'to go out'; changes: number } | { is: 'not there' };

type Around = Pick<Surroundings, 'database' | 'locked' | 'channel' | 'now' | 'newId'>;

/** Which batches are known, and of which records; what is known of each lies beside it, so that a change writes no more than its own. */
const KNOWN = 'share:known';
const knownOf = (record: string) => `share:of:${record}`;
/** Rather than so many batches one snapshot goes out, which stands for them. */
const MANY_BATCHES = 40;
const known = z.strictObject({ holds, records: z.array(z.string()) });
const RECORD = 'bicycle/';

/** How a bicycle stood when it was last the same here as among all that is known of the folder. */
interface Ground {
  view: Bicycle | null;
  standing: ReadonlyMap<string, Replaced[]>;
}
const NOTHING: Ground = { view: null, standing: new Map() };

/**
 * One device's part in a shared folder. What was entered here is told as changes over what stood here when it was entered; what others told is laid into the record under its lock.
 * What is known is kept in the browser before it is written out, so the folder is never the only place. `sumOf` is SHA-256 in hexadecimal.
 *
 * Errors: those of the database. A folder that cannot be reached is told as a state, and what was entered waits.
 */
export async function joinShare(
  around: Around,
  folder: ShareFolder,
  device: string,
  sumOf: (text: string) => Promise<string>,
) {
  const { database, locked, channel } = around;
  const records = createRecords(database);
  const replica = new Replica(
    `${device}.${around
      .newId()
      .replaceAll(/[^\w-]/g, '')
      .slice(0, 12)}`,
  );
  const grounds = new Map<string, Ground>();
  const read = new Set<string>();
  /** What the folder holds, as far as its files were read. */
  let inFolder = new Held();
  let out: Batch[] = [];
  let snapshots = 0;

  const kept = known.safeParse(await database.readSetting(KNOWN));
  if (kept.success) {
    const leaves: unknown[] = [];
    for (const record of kept.data.records)
      leaves.push(...((await database.readSetting(knownOf(record))) as unknown[]));
    const whole = snapshotSchema.safeParse({
      kind: 'snapshot',
      writer: replica.writer,
      number: 1,
      holds: kept.data.holds,
      leaves,
    });
    if (whole.success) replica.take(whole.data);
  }
  for (const record of replica.recordNames()) if (record.startsWith(RECORD)) settle(record.slice(RECORD.length));

  /** From now on that is how it stands here. */
  function settle(id: string): void {
    const record = recordOf(id);
    const standing = new Map(replica.leavesOf(record).map(({ leaf }) => [leaf, replica.standing(record, leaf)]));
    grounds.set(id, { view: bicycleOf(replica, id), standing });
  }

  /** What was entered here since, over what stood here then; a question that somebody answered by leaving it so is answered for all. */
  function entered(bicycle: Bicycle): Entered[] {
    const { view, standing } = grounds.get(bicycle.id) ?? NOTHING;
    const changes = enteredBy(view, bicycle);
    const changed = new Set(changes.map(({ leaf }) => leaf));
    const open = new Set(bicycle.conflicts.map(({ id }) => id));
    const answered = new Set(
      (view?.conflicts ?? []).flatMap(({ id, leaf }) => (open.has(id) || changed.has(leaf) ? [] : [leaf])),
    );
    const left = [...answered].map((leaf): Entered => ({
      record: recordOf(bicycle.id),
      leaf,
      value: leafValue(bicycle, leaf) ?? null,
      stamp: `${around.now()} ${around.newId()}`,
    }));
    return [...changes, ...left].map((each) => ({ ...each, over: standing.get(each.leaf) ?? [] }));
  }

  function tell(bicycle: Bicycle): void {
    const changes = entered(bicycle);
    if (changes.length === 0) return;
    // What is known is more than a record can hold here: what differs is not what somebody entered.
    const { view } = grounds.get(bicycle.id) ?? NOTHING;
    if (view && !bicycleRecord.safeParse(view).success) return void closed.add(bicycle.id);
    out.push(replica.commit(changes));
    unkept.add(recordOf(bicycle.id));
  }

  const opened = (id: string): Promise<ReadRecord> => records.read(id);

  async function tellOwn(ids: readonly string[]): Promise<void> {
    for (const id of ids)
      await locked(lockOf(id), async () => {
        const now = await opened(id);
        // Where something waits to be laid, what stands here and what is known differ by more than what was entered.
        if (!now.ok || closed.has(id) || toLay.has(id)) return;
        tell(now.bicycle);
        settle(id);
      });
  }

  /** A record that what the others told would make unreadable here, as a newer release's may: it is left as it is. */
  const closed = new Set<string>();

  /** What is laid into a record: the view of the folder, with what is this browser's own. */
  function laid(view: Bicycle, here: Bicycle | null, told: ReadonlySet<string>): Bicycle {
    const asked = new Set(view.conflicts.map(({ id }) => id));
    const local = here?.conflicts.filter(({ id }) => !told.has(id) && !asked.has(id)) ?? [];
    return {
      ...view,
      revision: (here?.revision ?? 0) + 1,
      recent: here?.recent ?? [],
      sharedAt: here?.sharedAt ?? null,
      conflicts: [...view.conflicts, ...local],
    };
  }

  /** Lays what the others told into the record; what was entered meanwhile is told first, over what stood here then. */
  async function lay(id: string): Promise<void> {
    await locked(lockOf(id), async () => {
      const now = await opened(id);
      if (closed.has(id) || (!now.ok && now.why !== 'absent')) return;
      if (now.ok) tell(now.bicycle);
      const view = bicycleOf(replica, id);
      if (!view) return;
      const told = new Set((grounds.get(id)?.view?.conflicts ?? []).map((each) => each.id));
      const next = laid(view, now.ok ? now.bicycle : null, told);
      try {
        await records.write(next, now.ok ? now.history : [], { old: now.ok ? now.old : null, checked: false });
      } catch (error) {
        if (!(error instanceof Unfit)) throw error;
        closed.add(id);
        return;
      }
      settle(id);
      await database.writeSummary(id, summaryOf(next));
      channel.post({ kind: 'bicycle', id });
    });
  }

  async function arrived(): Promise<ShareFile[]> {
    const files: ShareFile[] = [];
    const names = new Set(await folder.names());
    // Somebody took files away: all of it is read anew, and what is missing is put back.
    if ([...read].some((name) => !names.has(name))) {
      read.clear();
      inFolder = new Held();
    }
    for (const name of names) {
      if (read.has(name)) continue;
      const text = await folder.read(name);
      const sum = await sumOf(text.split('\n')[1] ?? '');
      const said = readShare(text, () => sum);
      // What is not whole yet is looked at again.
      if ('file' in said) {
        files.push(said.file);
        lies(name, said.file);
      }
    }
    return files;
  }

  const recordsIn = (file: ShareFile): string[] =>
    (file.kind === 'batch' ? file.changes : file.leaves).map(({ record }) => record);

  /** Bicycles of which others told what is not laid into the record yet. */
  const toLay = new Set<string>();
  /** Records of which more is known than is kept. */
  const unkept = new Set<string>();

  /** What is known of each record goes before the list of batches: one that is known and not listed is taken in once more, which changes nothing. */
  async function keep(): Promise<void> {
    // What is not laid yet must not count as standing here: until then the record itself keeps what was entered.
    if (unkept.size === 0 || toLay.size > 0) return;
    for (const record of unkept) await database.writeSetting(knownOf(record), replica.toldOf(record));
    unkept.clear();
    await database.writeSetting(KNOWN, { holds: replica.holds(), records: replica.recordNames() });
  }

  function lies(name: string, file: ShareFile): void {
    read.add(name);
    if (file.kind === 'batch') inFolder.add([file.writer, file.number]);
    else inFolder.addAll(file.holds);
  }

  async function write(file: ShareFile): Promise<void> {
    const name = shareName(file);
    const sum = await sumOf(JSON.stringify(file));
    await folder.write(
      name,
      shareText(file, () => sum),
    );
    lies(name, file);
  }

  /** All that is known here, written whole: it fills an emptied folder, sends what a page that died did not, and what it stands for may go. */
  async function putTogether(): Promise<void> {
    const whole = replica.snapshot(++snapshots);
    await write(whole);
    for (const name of await folder.names())
      if (name.startsWith(`${device}.`) && read.has(name) && name !== shareName(whole)) {
        await folder.remove(name);
        read.delete(name);
      }
  }

  return {
    /** One turn: what was entered here goes out, what others wrote comes in. `ids` are the bicycles that changed here since the last turn. */
    async turn(ids: readonly string[]): Promise<ShareState> {
      await tellOwn(ids);
      await keep();
      let files: ShareFile[];
      try {
        files = await arrived();
      } catch {
        return { is: 'not there' };
      }
      for (const file of files)
        if (replica.take(file))
          for (const record of recordsIn(file)) {
            unkept.add(record);
            if (record.startsWith(RECORD)) toLay.add(record.slice(RECORD.length));
          }
      for (const id of toLay) {
        await lay(id);
        toLay.delete(id);
      }
      await keep();
      try {
        if (out.length > MANY_BATCHES) {
          await putTogether();
          out = [];
        }
        for (let next = out[0]; next; next = out[0]) {
          await write(next);
          out = out.slice(1);
        }
        // A page may have died between keeping and writing, or the folder was emptied.
        if (!inFolder.includes(replica.holds())) await putTogether();
      } catch {
        return { is: 'to go out', changes: out.reduce((sum, { changes }) => sum + changes.length, 0) };
      }
      return { is: 'same' };
    },
    /** What two changed without knowing of each other, and nobody has answered. */
    doubts: () => replica.doubts().length,
  };
}
