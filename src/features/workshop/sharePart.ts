import { useSyncExternalStore } from 'react';
import type { ShareNow } from '@/store/share/browserShare';

/** How this device stands to its shared folder, told by whoever takes part and read wherever it is shown. */
let now: ShareNow | null = null;
/** What is told of other hands beside a bicycle. */
let lines: Readonly<Record<string, readonly string[]>> = {};
const readers = new Set<() => void>();

export function tellShare(told: ShareNow, beside: typeof lines): void {
  now = told;
  if (JSON.stringify(beside) !== JSON.stringify(lines)) lines = beside;
  readers.forEach((reader) => reader());
}

function listen(reader: () => void): () => void {
  readers.add(reader);
  return () => void readers.delete(reader);
}
const read = () => now;
const NO_LINES: readonly string[] = [];

/** Null until somebody has looked whether there is a folder. */
export const useShare = (): ShareNow | null => useSyncExternalStore(listen, read, () => null);

/** What is told of other hands beside a bicycle: who is at it, what they changed since it was looked at here. */
export const useOtherHands = (bicycle: string): readonly string[] =>
  useSyncExternalStore(
    listen,
    () => lines[bicycle] ?? NO_LINES,
    () => NO_LINES,
  );

/** Sent when a folder was chosen or left, so that whoever takes part begins anew. */
export const SHARE_CHANGED = 'ergasto:share';
