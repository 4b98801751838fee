import { zipWriter } from '../archive/pack';
import { unzipped } from '../archive/unzip';
import { REFUSED, Refused, zipEntries } from '../archive/zipEntries';

/** The folder as one file, for whom no folder is given: the same files, in and out by hand. */
export async function zipOf(files: ReadonlyMap<string, Uint8Array<ArrayBuffer>>): Promise<Blob> {
  const writer = zipWriter();
  for (const [path, bytes] of files) writer.add(path, [bytes], { packed: !path.endsWith('.json') });
  return Promise.resolve(writer.end());
}

/** More than this in one file is nobody's folder. */
const MOST_BYTES = 400_000_000;

/** The files of a folder that came as a zip. Errors: `Refused`, in a sentence, where it is none. */
export async function filesIn(zip: Blob): Promise<Map<string, Uint8Array<ArrayBuffer>>> {
  const files = new Map<string, Uint8Array<ArrayBuffer>>();
  const entries = await zipEntries(zip);
  if (entries.some(({ size }) => size > MOST_BYTES)) throw new Refused(REFUSED.large);
  for (const entry of entries) files.set(entry.name, (await unzipped(zip, entry)) as Uint8Array<ArrayBuffer>);
  return files;
}
