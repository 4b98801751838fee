'use client';
import { createContext, use } from 'react';
import type { Bead } from './declared';

/** What the page knows of the thread of the open place: what is next in it, and the way to a bead. */
export interface ThreadNow {
  next: Bead | null;
  go(bead: Bead): void;
}

export const ThreadContext = createContext<ThreadNow>({ next: null, go: () => undefined });

/** The thread of the place that is open. */
export const useThreadNow = (): ThreadNow => use(ThreadContext);
