import type { Batch, Replaced, ShareFile } from '@/model/share/change';
import { HANDS, handsOf, whereabouts, type Hand, type Whereabouts } from '@/model/share/hands';
import type { ShareQuestion } from '@/model/share/question';
import { Replica, type Entered } from '@/model/share/replica';
import { isAskedOfSettings, SETTINGS } from '@/model/share/settings';
import { isAskedOfStock, noneLeft, shortIn, STOCK } from '@/model/share/stock';
import { same } from '@/model/same';
import { momentOf } from '@/model/stamps';
import { createRecords, Unfit } from '../records';
import type { Surroundings } from '../surroundings';
import { bicycleIn, carriedBicycle } from './bicycles';
import type { Carried } from './carried';
import type { ShareFolder, SumOf } from './folder';
import { carriedSettings, carriedStock } from './house';
import { createKnown } from './known';
import { createLife } from './life';
import { createMeeting, type Meeting } from './meeting';
import { createNews } from './news';
import { createPhotographs } from './photographs';
import { whenKnown } from './whenKnown';

export type ShareState =
  | { is: 'same'; newer: boolean }
  | { is: 'to go out'; changes: number }
  | { is: 'to come'; photographs: number }
  | { is: 'not there'; changes: number };

type Around = Pick<Surroundings, 'database' | 'locked' | 'channel' | 'now' | 'newId'>;

/** Rather than so many batches one snapshot goes out, which stands for them. */
const MANY_BATCHES = 40;
const MANY_AT_ONCE = 20;
/** Who works on is told to be there anew at the soonest after so long. */
const STILL_HERE_MS = 60_000;

/** How a record stood when it was last the same here as among all that is known of the folder. */
interface Ground {
  /** All that was known then. */
  version: number;
  view: unknown;
  standing: ReadonlyMap<string, Replaced[]>;
}
const NOTHING: Ground = { version: -1, view: null, standing: new Map() };

/**
 * One device's part in a shared folder. What was entered here is told as changes over what stood here when it was entered; what others told is laid into the records under their
 * locks. What is known is kept in the browser before it is written out, so the folder is never the only place.
 *
 * Errors: those of the database. A folder that cannot be reached is told as a state, and what was entered waits.
 */
export async function joinShare(outside: Around, folder: ShareFolder, device: string, sumOf: SumOf) {
  const { database, locked } = outside;
  /** Of many records that are laid at once the tabs are told once. */
  let muted = 0;
  const around: Around = {
    ...outside,
    channel: { ...outside.channel, post: (message) => void (muted > 0 ? (muted += 1) : outside.channel.post(message)) },
  };
  const records = createRecords(database);
  const life = await createLife(outside, device);
  const replica = new Replica(life.writer());
  const known = createKnown(database, replica);
  await known.read();
  const news = await createNews(database, replica, device, around.now);
  const photographs = createPhotographs(database, replica, sumOf, around.now);
  const meeting = createMeeting(folder, device, replica, sumOf, life.nextSnapshot);

  const grounds = new Map<string, Ground>();
  let out: Batch[] = [];
  /** Records of which others told what is not laid here yet. */
  const toLay = new Set<string>();
  /** A record that what the others told would make unreadable here, as a newer release's may: it is left as it is. */
  const closed = new Set<string>();

  const settings = carriedSettings(around, replica);
  const stock = carriedStock(around, replica);
  function carriedOf(record: string): Carried<unknown> | null {
    if (record === SETTINGS) return settings;
    if (record === STOCK) return stock;
    const id = bicycleIn(record);
    return id === null ? null : carriedBicycle(around, records, replica, id, news.heard);
  }

  /** From now on that is how it stands here. */
  function settle(carried: Carried<unknown>): void {
    if (grounds.get(carried.record)?.version === replica.version) return;
    const standing = new Map(
      replica.leavesOf(carried.record).map(({ leaf }) => [leaf, replica.standing(carried.record, leaf)]),
    );
    grounds.set(carried.record, { version: replica.version, view: carried.view(), standing });
  }
  for (const record of replica.recordNames()) {
    const carried = carriedOf(record);
    if (carried) settle(carried);
  }

  function commit(entered: readonly Entered[]): void {
    const all = [...entered, ...presence.due(entered.length > 0)];
    if (all.length === 0) return;
    out.push(replica.commit(all));
    for (const { record } of all) known.changed.add(record);
  }

  /** Who is here; what changed is told with the next change, or by itself once they have stayed. */
  const presence = {
    said: null as Whereabouts | null,
    asked: null as Whereabouts | null,
    saidMs: -Infinity,
    due(isWorking: boolean): Entered[] {
      const { asked, said, saidMs } = this;
      if (!asked) return [];
      const nowMs = Date.parse(around.now());
      if (same(asked, said) && !(isWorking && nowMs - saidMs >= STILL_HERE_MS)) return [];
      this.said = asked;
      this.saidMs = nowMs;
      return [{ record: HANDS, leaf: device, value: asked, stamp: `${around.now()} ${around.newId()}` }];
    },
    /** Whether they have stayed where they are since the last turn. */
    is(here: Whereabouts | null): boolean {
      const said = whereabouts.safeParse(here);
      const stays = said.success && same(said.data, this.asked);
      this.asked = said.success ? said.data : null;
      return stays;
    },
  };

  /** What was entered here since, over what stood here then. */
  function tell(carried: Carried<unknown>, now: unknown): void {
    const { view, standing } = grounds.get(carried.record) ?? NOTHING;
    const changes = carried.entered(view, now).map((each) => ({ ...each, over: standing.get(each.leaf) ?? [] }));
    if (carried.wantsLaying()) toLay.add(carried.record);
    if (changes.length === 0) return;
    // What is known is more than a record can hold here: what differs is not what somebody entered.
    if (view && !carried.fits(view)) return void closed.add(carried.record);
    commit(changes);
  }

  async function tellOwn(names: readonly string[]): Promise<void> {
    for (const record of names) {
      const carried = carriedOf(record);
      if (!carried) continue;
      await locked(carried.lock, async () => {
        const now = await carried.read();
        // Where something waits to be laid, what stands here and what is known differ by more than what was entered.
        if (now === null || now === 'closed' || closed.has(record) || toLay.has(record)) return;
        tell(carried, now);
        settle(carried);
      });
    }
  }

  /** Lays what the others told into a record; what was entered meanwhile is told first, over what stood here then. */
  async function lay(record: string): Promise<void> {
    const carried = carriedOf(record);
    if (!carried) return;
    await locked(carried.lock, async () => {
      const now = await carried.read();
      if (closed.has(record) || now === 'closed') return;
      if (now !== null) tell(carried, now);
      const view = carried.view();
      if (view === null) return;
      if (!carried.fits(view)) return void closed.add(record);
      try {
        await carried.lay(view, now, grounds.get(record)?.view ?? null);
      } catch (error) {
        if (!(error instanceof Unfit)) throw error;
        closed.add(record);
        return;
      }
      settle(carried);
    });
  }

  /** When somebody was heard of by the clock of this device: theirs may be weeks off. What lay there already counts by theirs. */
  const heard = new Map<string, string>();
  let hasTurned = false;
  function hear(file: ShareFile): void {
    if (file.kind !== 'batch') return;
    for (const { record, leaf, stamp } of file.changes)
      if (record === HANDS) heard.set(`${leaf} ${momentOf(stamp)}`, around.now());
  }

  /** What was read and not taken in yet; a browser that is full in between loses none of it. */
  const arrivals: ShareFile[] = [];

  async function take(): Promise<void> {
    for (const file of arrivals.splice(0)) {
      if (hasTurned) hear(file);
      if (replica.take(file))
        for (const { record } of file.kind === 'batch' ? file.changes : file.leaves) {
          known.changed.add(record);
          toLay.add(record);
        }
    }
    muted = toLay.size > MANY_AT_ONCE ? 1 : 0;
    try {
      for (const record of toLay) {
        await lay(record);
        toLay.delete(record);
      }
    } finally {
      if (muted > 0) outside.channel.post({ kind: 'all' });
      muted = 0;
    }
    // What is not laid yet must not count as standing here: until then the record itself keeps what was entered.
    await known.keep();
    await news.keep();
  }

  /** What is known and does not stand here, as where a file that had been told was taken back, comes again. */
  let isLookedThrough = false;
  async function lookThrough(): Promise<void> {
    if (isLookedThrough) return;
    isLookedThrough = true;
    const here = new Set(await database.bicycleIds());
    for (const record of replica.recordNames()) {
      const id = bicycleIn(record);
      if (id !== null && !here.has(id)) toLay.add(record);
    }
  }

  /** All that was entered here, kept before anything is written out. */
  async function tellAll(bicycles: readonly string[]): Promise<void> {
    await tellOwn([...bicycles.map((id) => `bicycle/${id}`), SETTINGS, STOCK]);
    const fresh = await photographs.entered();
    if (fresh.length > 0) {
      commit(fresh);
      photographs.lookAgain();
    }
  }

  async function sendOut(to: Meeting): Promise<void> {
    if (out.length > MANY_BATCHES) {
      await to.putTogether();
      out = [];
    }
    for (let next = out[0]; next; next = out[0]) {
      await to.send(next);
      out = out.slice(1);
    }
    await to.tidy();
  }

  /** What the page asks comes one after the other, also where it asks in between. */
  let last: Promise<unknown> = Promise.resolve();
  function inTurn<Said>(work: () => Promise<Said>): Promise<Said> {
    const next = last.then(work, work);
    last = next.catch(() => undefined);
    return next;
  }

  const hands = whenKnown(replica, () => handsOf(replica).filter(({ id }) => id !== device));
  const questions = whenKnown(replica, (): ShareQuestion[] => [
    ...[SETTINGS, STOCK].flatMap((record) =>
      replica
        .doubtsOf(record)
        .filter((doubt) => (record === SETTINGS ? isAskedOfSettings(doubt.leaf) : isAskedOfStock(doubt)))
        .map((doubt): ShareQuestion => ({ is: 'differs', ...doubt })),
    ),
    ...shortIn(replica),
  ]);

  const toGo = () => out.reduce((sum, { changes }) => sum + changes.filter(({ record }) => record !== HANDS).length, 0);

  return {
    /** One turn: what was entered here goes out, what others wrote comes in. `bicycles` are those that changed here since the last turn; `here` who is at this device. */
    turn: (bicycles: readonly string[], here: Whereabouts | null = null): Promise<ShareState> =>
      inTurn(async () => {
        const stays = presence.is(here);
        const arrived = await meeting.arrived().catch(() => null);
        arrivals.push(...(arrived?.files ?? []));
        await life.settle(replica, arrived && arrivals);
        // What was entered here is told before what others wrote is known, over what stood here then.
        await lookThrough();
        await tellAll(bicycles);
        if (stays) commit([]);
        if (toLay.size === 0) await known.keep();
        if (!arrived) return { is: 'not there', changes: toGo() };
        await take();
        hasTurned = true;
        if (arrived.isEmptied) photographs.lookAgain();
        try {
          await sendOut(meeting);
          const waiting = await photographs.carry(folder);
          if (waiting.toGo > 0) return { is: 'to go out', changes: waiting.toGo };
          if (waiting.toCome > 0) return { is: 'to come', photographs: waiting.toCome };
        } catch {
          return { is: 'to go out', changes: toGo() };
        }
        return { is: 'same', newer: meeting.isNewerThere() || closed.size > 0 };
      }),
    /** By hand: what lies in another folder comes in, and all that is known goes into it, whole. */
    byHand: (other: ShareFolder, bicycles: readonly string[]): Promise<void> =>
      inTurn(async () => {
        await life.settle(replica, null);
        await tellAll(bicycles);
        if (toLay.size === 0) await known.keep();
        const to = createMeeting(other, device, replica, sumOf, life.nextSnapshot);
        arrivals.push(...(await to.arrived()).files);
        await take();
        await to.putTogether();
        await photographs.carry(other, true);
      }),
    hands(): Hand[] {
      const now = around.now();
      return hands().map((hand) => ({
        ...hand,
        at: heard.get(`${hand.id} ${hand.at}`) ?? (hand.at > now ? now : hand.at),
      }));
    },
    news,
    /** What differs outside of bicycles, and what was taken more often than it was there. */
    questions,
    /** Answers for everybody: `value` stands, over all that was said. */
    answer: (question: ShareQuestion, value: unknown): Promise<void> =>
      inTurn(async () => {
        const stamp = `${around.now()} ${around.newId()}`;
        if (question.is === 'short') commit(noneLeft(replica, question.item, stamp));
        else commit([{ record: question.record, leaf: question.leaf, value, stamp }]);
        toLay.add(question.is === 'short' ? STOCK : question.record);
        await take();
      }),
    size: meeting.size,
  };
}
export type Share = Awaited<ReturnType<typeof joinShare>>;
