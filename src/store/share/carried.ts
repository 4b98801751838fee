import type { Entered } from '@/model/share/replica';

/** A record of this browser that meets the others in the folder: how it is read, told, made up of what was told, and laid. */
export interface Carried<State> {
  record: string;
  /** The lock under which it is read and written. */
  lock: string;
  /** As it stands here; null where it does not; `closed` where it cannot be opened. */
  read(): Promise<State | null | 'closed'>;
  /** What was entered since it stood as `before`, without what it is over. */
  entered(before: State | null, now: State): Entered[];
  /** Whether what was told last is to be laid here too: an answer stands from now on, and what was changed and changed back bears the moment that all know. */
  wantsLaying(): boolean;
  /** As the folder's files make it; null where they do not tell of it. */
  view(): State | null;
  /** Whether that can be kept here: a newer release's may not. */
  fits(view: State): boolean;
  /** Lays it, over what stands here now. Errors: those of the database; `Unfit` where it cannot be kept. */
  lay(view: State, here: State | null, before: State | null): Promise<void>;
}

type Stamps = Readonly<Record<string, string>>;

/** Whether something bears another moment than all know of, though nothing of it is told. */
export function isStampedOtherwise(
  before: Stamps,
  now: Stamps,
  told: readonly Entered[],
  isOwn: (leaf: string) => boolean = () => false,
): boolean {
  const isTold = new Set(told.map(({ leaf }) => leaf));
  return Object.entries(now).some(([leaf, stamp]) => !isTold.has(leaf) && !isOwn(leaf) && before[leaf] !== stamp);
}
