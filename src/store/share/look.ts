import { readShare } from '@/model/share/shareText';
import type { Database } from '../database';
import { bicycleIn } from './bicycles';
import { bytesOf, textOf, type ShareFolder, type SumOf } from './folder';
import { writersKnown } from './known';

/** What lies in a folder, before anything of it is taken in. */
export interface FolderLook {
  bicycles: number;
  /** Whether this workshop and the folder have ever met, by a writer that both know. */
  isKnown: boolean;
}

/**
 * Looks into a folder without taking part: two workshops that join are one from then on, and nobody takes them apart again. What is sealed or not whole is passed over.
 *
 * Errors: those of a folder that cannot be reached. Example: an empty folder → no bicycles.
 */
export async function lookInto(
  folder: ShareFolder,
  database: Pick<Database, 'readSetting'>,
  sumOf: SumOf,
): Promise<FolderLook> {
  const known = await writersKnown(database);
  const bicycles = new Set<string>();
  let isKnown = false;
  for (const name of await folder.names('changes')) {
    const bytes = await folder.read('changes', name).catch(() => null);
    const text = bytes ? textOf(bytes) : '';
    const sum = await sumOf(bytesOf(text.split('\n')[1] ?? ''));
    const said = readShare(text, () => sum);
    if (!('file' in said)) continue;
    const { file } = said;
    isKnown ||=
      known.has(file.writer) ||
      (file.kind === 'snapshot' && Object.keys(file.holds).some((writer) => known.has(writer)));
    for (const { record } of file.kind === 'batch' ? file.changes : file.leaves) {
      const id = bicycleIn(record);
      if (id !== null) bicycles.add(id);
    }
  }
  return { bicycles: bicycles.size, isKnown };
}
