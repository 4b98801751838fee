import type { SharePart } from '@/store/browserShare';

/** How this device stands to its shared folder, told by whoever takes part and read wherever it is shown. */
let now: SharePart = { is: 'none' };
const readers = new Set<() => void>();

export function tellShare(part: SharePart): void {
  now = part;
  readers.forEach((reader) => reader());
}

export const shareNow = (): SharePart => now;

export function onShare(reader: () => void): () => void {
  readers.add(reader);
  return () => void readers.delete(reader);
}

/** Sent when a folder was chosen or left, so that whoever takes part begins anew. */
export const SHARE_CHANGED = 'ergasto:share';
