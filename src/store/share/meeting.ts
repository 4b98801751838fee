import type { Batch, Holds, ShareFile } from '@/model/share/change';
import { deviceOf } from '@/model/share/hands';
import { Held } from '@/model/share/held';
import type { Replica } from '@/model/share/replica';
import { readShare, shareName, shareText } from '@/model/share/shareText';
import { bytesOf, liesOpen, textOf, type ShareFolder, type SumOf } from './folder';

/** Batches that no snapshot stands for: from so many on, or so many bytes, whoever wrote most of them puts all together. */
const MOST_LOOSE = 600;
const MOST_LOOSE_BYTES = 400_000;
/** A file that is not whole, or none of ours, is looked at again at every turn at first, later now and then: half of one may look like anything. */
const TRIES = 5;
const MANY_TRIES = 20;
const SELDOM = 8;
/** What another wrote and is no longer there may be on its way as part of something larger: so many turns it is waited for. */
const PATIENCE = 12;
/** Own files are read again every so many turns: one that somebody emptied away may have come back by halves under its old name. */
const VERIFY_EVERY = 75;

interface Lying {
  writer: string;
  kind: ShareFile['kind'];
  number: number;
  holds: Holds;
  held: Held;
  bytes: number;
}

const holdsOf = (file: ShareFile): Holds =>
  file.kind === 'snapshot' ? file.holds : { [file.writer]: [[file.number, file.number]] };

function heldIn(holds: Holds): Held {
  const held = new Held();
  held.addAll(holds);
  return held;
}

/** One folder as this device sees it: what lies in it, what has arrived, and what goes in and out. */
export function createMeeting(
  folder: ShareFolder,
  device: string,
  replica: Replica,
  sumOf: SumOf,
  nextSnapshot: () => Promise<number>,
) {
  const files = new Map<string, Lying>();
  const tries = new Map<string, number>();
  let turns = 0;
  let isNewerThere = false;
  let lacking = 0;

  const isOwn = ({ writer }: Lying): boolean => deviceOf(writer) === device;
  /** Whether anything came or went since it was tidied. */
  let isMoved = true;
  const lies = (name: string, file: ShareFile, bytes: number): void => {
    const { writer, kind, number } = file;
    const holds = holdsOf(file);
    files.set(name, { writer, kind, number, holds, held: heldIn(holds), bytes });
    isMoved = true;
  };

  async function readOne(name: string): Promise<ShareFile | null> {
    const bytes = await folder.read('changes', name).catch(() => null);
    const text = bytes ? textOf(bytes) : '';
    const sum = await sumOf(bytesOf(text.split('\n')[1] ?? ''));
    const said = readShare(text, () => sum);
    if ('file' in said) {
      tries.delete(name);
      lies(name, said.file, bytes!.length);
      return said.file;
    }
    if (said.waits === 'newer') isNewerThere = true;
    tries.set(name, (tries.get(name) ?? 0) + 1);
    return null;
  }

  function waits(name: string): boolean {
    const tried = tries.get(name) ?? 0;
    return tried > TRIES && turns % (tried > MANY_TRIES ? VERIFY_EVERY : SELDOM) !== 0;
  }

  async function write(file: ShareFile): Promise<void> {
    const sum = await sumOf(bytesOf(JSON.stringify(file)));
    const bytes = bytesOf(shareText(file, () => sum));
    const name = await folder.nameOf(shareName(file));
    await folder.write('changes', name, bytes);
    lies(name, file, bytes.length);
  }

  /** Files of this device that another file stands for. Where two stand for each other, the one of the lower name stays. */
  async function sweep(): Promise<void> {
    const whole = [...files].filter(([, { kind }]) => kind === 'snapshot');
    for (const [name, file] of files) {
      if (!isOwn(file)) continue;
      const covers = whole.some(
        ([other, { holds, held }]) =>
          other !== name && held.includes(file.holds) && (!file.held.includes(holds) || other < name),
      );
      if (covers) await remove(name);
    }
  }

  /** Whether it falls to this device to put together what lies loose. */
  function isDue(): boolean {
    const whole = [...files.values()].filter(({ kind }) => kind === 'snapshot');
    const loose = [...files.values()].filter(
      ({ kind, holds }) => kind === 'batch' && !whole.some(({ held }) => held.includes(holds)),
    );
    if (loose.length <= MOST_LOOSE && loose.reduce((sum, { bytes }) => sum + bytes, 0) <= MOST_LOOSE_BYTES)
      return false;
    const by = new Map<string, number>();
    for (const { writer } of loose) by.set(deviceOf(writer), (by.get(deviceOf(writer)) ?? 0) + 1);
    const [most] = [...by].toSorted(([a, x], [b, y]) => y - x || (a < b ? -1 : 1));
    return most?.[0] === device;
  }

  async function remove(name: string): Promise<void> {
    await folder.remove('changes', name);
    files.delete(name);
  }

  async function putTogether(): Promise<void> {
    await write(replica.snapshot(await nextSnapshot()));
    for (const [name, file] of files) if (isOwn(file) && liesOpen(folder, name)) await remove(name);
    await sweep();
  }

  return {
    folder,
    isNewerThere: () => isNewerThere,
    /** What has come since the last turn. Errors: those of a folder that cannot be reached. */
    async arrived(): Promise<{ files: ShareFile[]; isEmptied: boolean }> {
      turns += 1;
      const names = new Set(await folder.names('changes'));
      const gone = [...files.keys()].filter((name) => !names.has(name));
      for (const name of gone) files.delete(name);
      isMoved ||= gone.length > 0;
      if (turns % VERIFY_EVERY === 0) for (const [name, file] of files) if (isOwn(file)) isMoved = files.delete(name);
      const found: ShareFile[] = [];
      for (const name of names) {
        if (files.has(name) || waits(name)) continue;
        const file = await readOne(name);
        if (file) found.push(file);
      }
      return { files: found, isEmptied: gone.length > 0 && files.size === 0 };
    },
    send: (batch: Batch): Promise<void> => write(batch),
    putTogether,
    /** Puts together what is due, and fills what somebody emptied or what a page that died did not write. */
    async tidy(): Promise<void> {
      if (!isMoved && lacking === 0) return;
      isMoved = false;
      const inFolder = new Held();
      for (const { holds } of files.values()) inFolder.addAll(holds);
      const all = replica.holds();
      const own = Object.fromEntries(Object.entries(all).filter(([writer]) => deviceOf(writer) === device));
      lacking = inFolder.includes(all) ? 0 : lacking + 1;
      const isLost = lacking > 0 && (files.size === 0 || lacking > PATIENCE || !inFolder.includes(own));
      const isOpen = [...files].some(([name, file]) => isOwn(file) && liesOpen(folder, name));
      if (isLost || isOpen || isDue()) await putTogether();
      else await sweep();
    },
    size: () => ({ files: files.size, bytes: [...files.values()].reduce((sum, { bytes }) => sum + bytes, 0) }),
  };
}
export type Meeting = ReturnType<typeof createMeeting>;
