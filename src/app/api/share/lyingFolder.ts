import { constants } from 'node:fs';
import { mkdir, open, readdir, rename, unlink } from 'node:fs/promises';
import { basename, join } from 'node:path';

/** The folder that this Ergasto was given with `--share`, for browsers that give a page none; null where it was given none. */
export const givenFolder = (): string | null => process.env.ERGASTO_SHARE || null;

export const PARTS = ['changes', 'photographs', 'seals'] as const;
export type Part = (typeof PARTS)[number];

/** What may be a file's name there: one of the folder itself, never a way out of it, never hidden. */
export const isFileName = (name: string): boolean => /^[\w()-][\w .()-]{0,199}$/.test(name);

const isIn = (part: Part, name: string): boolean =>
  isFileName(name) &&
  (part === 'photographs' || (/\.(json|sealed)\b/.test(name) && name.startsWith('seal-') === (part === 'seals')));

/** A file that is no link and lies in the folder itself. */
const READS = constants.O_RDONLY | constants.O_NOFOLLOW;

/** Files of a folder on the disk of this machine. Errors: those of the disk. */
export function lyingFolder(root: string) {
  const directory = (part: Part) => (part === 'photographs' ? join(root, 'photographs') : root);
  return {
    label: basename(root),
    async names(part: Part): Promise<string[]> {
      try {
        const entries = await readdir(directory(part), { withFileTypes: true });
        return entries.flatMap((entry) => (entry.isFile() && isIn(part, entry.name) ? [entry.name] : []));
      } catch (error) {
        // Photographs get a folder of their own with the first of them; the folder itself has to be there.
        if (part === 'photographs') return readdir(root).then(() => []);
        throw error;
      }
    },
    async read(part: Part, name: string, mostBytes: number): Promise<Uint8Array<ArrayBuffer> | null> {
      if (!isIn(part, name)) return null;
      const file = await open(join(directory(part), name), READS).catch(() => null);
      if (!file) return null;
      try {
        const { size, isFile } = await file.stat().then((stat) => ({ size: stat.size, isFile: stat.isFile() }));
        return isFile && size <= mostBytes ? new Uint8Array(await file.readFile()) : null;
      } finally {
        await file.close();
      }
    },
    /** Written under another name first, so that nobody ever reads half of it. */
    async write(part: Part, name: string, bytes: Uint8Array): Promise<boolean> {
      if (!isIn(part, name)) return false;
      if (part === 'photographs') await mkdir(directory(part), { recursive: true });
      const half = join(directory(part), `.${name}.half`);
      const file = await open(
        half,
        constants.O_WRONLY | constants.O_CREAT | constants.O_TRUNC | constants.O_NOFOLLOW,
        0o644,
      );
      try {
        await file.writeFile(bytes);
        await file.sync();
      } finally {
        await file.close();
      }
      await rename(half, join(directory(part), name));
      return true;
    },
    async remove(part: Part, name: string): Promise<boolean> {
      if (!isIn(part, name)) return false;
      await unlink(join(directory(part), name)).catch((error: NodeJS.ErrnoException) => {
        if (error.code !== 'ENOENT') throw error;
      });
      return true;
    },
  };
}
