import type { Entered, Replica } from '@/model/share/replica';

/** A record of this browser that meets the others in the folder: how it is read, told, made up of what was told, and laid. */
export interface Carried<State> {
  record: string;
  /** The lock under which it is read and written. */
  lock: string;
  /** As it stands here; null where it does not; `closed` where it cannot be opened. */
  read(): Promise<State | null | 'closed'>;
  /** What was entered since it stood as `before`, without what it is over. */
  entered(before: State | null, now: State): Entered[];
  /** As the folder's files make it; null where they do not tell of it. */
  view(): State | null;
  /** Whether that can be kept here: a newer release's may not. */
  fits(view: State): boolean;
  /** Lays it, over what stands here now. Errors: those of the database; `Unfit` where it cannot be kept. */
  lay(view: State, here: State | null, before: State | null): Promise<void>;
}

export type CarriedOf = (replica: Replica, record: string) => Carried<unknown> | null;
