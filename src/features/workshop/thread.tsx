'use client';
import { createContext, use } from 'react';
import type { Bead } from './declared';

/** What the page knows of the thread of the open place: what is next in it, and the way to a bead. */
export interface ThreadNow {
  next: Bead | null;
  /** Beads that are done. */
  done: readonly Bead['id'][];
  go(bead: Bead): void;
}

export const ThreadContext = createContext<ThreadNow>({ next: null, done: [], go: () => undefined });

/** The thread of the place that is open. */
export const useThreadNow = (): ThreadNow => use(ThreadContext);
