/** The directory of a zip, with every claim checked against what is there before a byte is unpacked. */

export const REFUSED = {
  zip: 'This file cannot be opened: it is damaged, cut off, or no zip.',
  large: 'This file unpacks to more than a workshop can hold, so it was refused.',
  path: 'This file holds names that lead out of its folder, so it was refused.',
  twice: 'This file holds one name twice, so it was refused.',
  locked: 'This file is locked with a password, or packed in a way that is not read here.',
} as const;

/** A file that is refused, in a sentence. */
export class Refused extends Error {}

export interface ZipEntry {
  name: string;
  /** Where its packed bytes lie. */
  from: number;
  to: number;
  packed: boolean;
  size: number;
  sum: number;
}

const MOST_FILES = 20_000;
const MOST_BYTES = 1_500_000_000;
/** A file that grows by more than this when it is unpacked is no photograph and no record. */
const MOST_GROWTH = 100;
/** What a small file may come to however well it is packed. */
const SMALL_BYTES = 1_000_000;

const END = 0x06054b50;
const ENTRY = 0x02014b50;
const LOCAL = 0x04034b50;
const END_BYTES = 22;
const ENTRY_BYTES = 46;
const LOCAL_BYTES = 30;
const MOST_COMMENT = 0xffff;
const ELSEWHERE = 0xffffffff;
const ENCRYPTED = 1;
const STORED = 0;
const DEFLATED = 8;

function fail(why: keyof typeof REFUSED): never {
  throw new Refused(REFUSED[why]);
}

async function viewOf(file: Blob, from: number, to: number): Promise<DataView> {
  if (from < 0 || to > file.size || from > to) fail('zip');
  return new DataView(await file.slice(from, to).arrayBuffer());
}

async function directoryOf(file: Blob): Promise<{ view: DataView; count: number; from: number }> {
  const tailFrom = Math.max(0, file.size - END_BYTES - MOST_COMMENT);
  const tail = await viewOf(file, tailFrom, file.size);
  let at = tail.byteLength - END_BYTES;
  while (at >= 0 && tail.getUint32(at, true) !== END) at--;
  if (at < 0) fail('zip');
  const count = tail.getUint16(at + 10, true);
  const size = tail.getUint32(at + 12, true);
  const from = tail.getUint32(at + 16, true);
  if (from === ELSEWHERE || tail.getUint16(at + 8, true) !== count || from + size > tailFrom + at) fail('zip');
  if (count > MOST_FILES) fail('large');
  if (size < count * ENTRY_BYTES) fail('zip');
  return { view: await viewOf(file, from, from + size), count, from };
}

interface Claimed extends Omit<ZipEntry, 'from' | 'to'> {
  localAt: number;
  packedSize: number;
}

/** One row of the directory, or a refusal. */
function claimAt(view: DataView, at: number): { claim: Claimed; next: number } {
  if (at + ENTRY_BYTES > view.byteLength || view.getUint32(at, true) !== ENTRY) fail('zip');
  const nameLength = view.getUint16(at + 28, true);
  const next = at + ENTRY_BYTES + nameLength + view.getUint16(at + 30, true) + view.getUint16(at + 32, true);
  if (next > view.byteLength) fail('zip');
  const method = view.getUint16(at + 10, true);
  if (view.getUint16(at + 8, true) & ENCRYPTED || (method !== STORED && method !== DEFLATED)) fail('locked');
  const name = new TextDecoder().decode(new Uint8Array(view.buffer, view.byteOffset + at + ENTRY_BYTES, nameLength));
  if (/(^|\/)\.\.(\/|$)|^\/|^[a-z]:|\\|\0/i.test(name)) fail('path');
  const packedSize = view.getUint32(at + 20, true);
  const size = view.getUint32(at + 24, true);
  const localAt = view.getUint32(at + 42, true);
  if ([packedSize, size, localAt].includes(ELSEWHERE)) fail('zip');
  if (method === STORED && packedSize !== size) fail('zip');
  if (size > Math.max(SMALL_BYTES, MOST_GROWTH * packedSize)) fail('large');
  return {
    claim: { name, packedSize, size, localAt, packed: method === DEFLATED, sum: view.getUint32(at + 16, true) },
    next,
  };
}

/**
 * Every file of a zip, in the order in which they lie; folders are passed over.
 *
 * Errors: `Refused` in a sentence: no zip, cut off, a name that leads out or stands twice, bytes that two files share, more
 * files or bytes than a workshop holds.
 */
export async function zipEntries(file: Blob): Promise<ZipEntry[]> {
  const { view, count, from: directoryFrom } = await directoryOf(file);
  const claims: Claimed[] = [];
  const names = new Set<string>();
  let bytes = 0;
  let at = 0;
  for (let i = 0; i < count; i++) {
    const { claim, next } = claimAt(view, at);
    at = next;
    bytes += claim.size;
    if (bytes > MOST_BYTES) fail('large');
    if (names.has(claim.name)) fail('twice');
    names.add(claim.name);
    claims.push(claim);
  }
  claims.sort((a, b) => a.localAt - b.localAt);
  const entries: ZipEntry[] = [];
  let free = 0;
  for (const { localAt, packedSize, ...claim } of claims) {
    // What two entries claim would be unpacked twice from the same bytes.
    if (localAt < free) fail('zip');
    const local = await viewOf(file, localAt, localAt + LOCAL_BYTES);
    if (local.getUint32(0, true) !== LOCAL) fail('zip');
    const from = localAt + LOCAL_BYTES + local.getUint16(26, true) + local.getUint16(28, true);
    const to = from + packedSize;
    if (to > directoryFrom) fail('zip');
    free = to;
    if (!claim.name.endsWith('/')) entries.push({ ...claim, from, to });
  }
  return entries;
}
