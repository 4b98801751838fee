/** What lies at the top of the folder, what lies beside it, and what says how it is sealed. */
export type FolderPart = 'changes' | 'photographs' | 'seals';

/** The folder as something else keeps it the same everywhere. Nothing in it is changed once it is written. */
export interface ShareFolder {
  names(part: FolderPart): Promise<string[]>;
  read(part: FolderPart, name: string): Promise<Uint8Array<ArrayBuffer>>;
  write(part: FolderPart, name: string, bytes: Uint8Array<ArrayBuffer>): Promise<void>;
  remove(part: FolderPart, name: string): Promise<void>;
  /** What a file is called there: under a seal a name says nothing either. */
  nameOf(plain: string): Promise<string>;
  /** Whether all that is written there is sealed. */
  isSealed?: true;
}

/** What lies open in a folder that has a seal by now. */
export const liesOpen = (folder: ShareFolder, name: string): boolean =>
  folder.isSealed === true && !/\.sealed\b/.test(name);

/** SHA-256 in hexadecimal. */
export type SumOf = (bytes: Uint8Array<ArrayBuffer>) => Promise<string>;

export const bytesOf = (text: string): Uint8Array<ArrayBuffer> => new TextEncoder().encode(text);
export const textOf = (bytes: Uint8Array): string => new TextDecoder().decode(bytes);
export const hexOf = (bytes: Uint8Array): string =>
  [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');

/** The platform's own SHA-256. */
export const sha256: SumOf = async (bytes) => hexOf(new Uint8Array(await crypto.subtle.digest('SHA-256', bytes)));

/** Which of the names at the top of a folder belong to a part; a copy that a sync engine made may have more behind it. */
export function namesOf(part: Exclude<FolderPart, 'photographs'>, names: readonly string[]): string[] {
  const isSeal = (name: string) => name.startsWith('seal-');
  return names.filter((name) => /\.(json|sealed)\b/.test(name) && isSeal(name) === (part === 'seals'));
}

export const PHOTOGRAPHS_IN = 'photographs';

/** A folder in memory, by its paths: what goes in and out as a zip by hand. */
export function memoryFolder(files: Map<string, Uint8Array<ArrayBuffer>>): ShareFolder {
  const pathOf = (part: FolderPart, name: string) => (part === 'photographs' ? `${PHOTOGRAPHS_IN}/${name}` : name);
  return {
    names(part) {
      const inside = [...files.keys()].map((path) => path.split('/'));
      return Promise.resolve(
        part === 'photographs'
          ? inside.flatMap(([top, name]) => (top === PHOTOGRAPHS_IN && name ? [name] : []))
          : namesOf(
              part,
              inside.flatMap((path) => (path.length === 1 ? path : [])),
            ),
      );
    },
    read(part, name) {
      const bytes = files.get(pathOf(part, name));
      return bytes ? Promise.resolve(bytes) : Promise.reject(new Error(`${name} is not there`));
    },
    write: (part, name, bytes) => Promise.resolve(void files.set(pathOf(part, name), bytes)),
    remove: (part, name) => Promise.resolve(void files.delete(pathOf(part, name))),
    nameOf: (plain) => Promise.resolve(plain),
  };
}
