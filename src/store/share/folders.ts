import { namesOf, PHOTOGRAPHS_IN, type FolderPart, type ShareFolder } from './folder';

/** The browser's own folder, with what the type library does not know of yet. */
export type FolderHandle = FileSystemDirectoryHandle & {
  queryPermission?(how: { mode: 'readwrite' }): Promise<PermissionState>;
  requestPermission?(how: { mode: 'readwrite' }): Promise<PermissionState>;
  keys(): AsyncIterable<string>;
};

/** The records of a thousand bicycles are a fifth of it. */
const MOST_BYTES = 200_000_000;

/** A folder that the browser gives to the page. */
export function handleFolder(handle: FolderHandle): ShareFolder {
  const inside = async (part: FolderPart, create: boolean) =>
    (part === 'photographs' ? await handle.getDirectoryHandle(PHOTOGRAPHS_IN, { create }) : handle) as FolderHandle;
  return {
    async names(part) {
      const names: string[] = [];
      const directory = await inside(part, false).catch(async (error: unknown) => {
        // Nobody has put a photograph there yet; a folder that is away says so here.
        if (part !== 'photographs') throw error;
        for await (const _ of handle.keys()) break;
        return null;
      });
      if (directory) for await (const name of directory.keys()) names.push(name);
      return part === 'photographs' ? names : namesOf(part, names);
    },
    async read(part, name) {
      const file = await (await (await inside(part, false)).getFileHandle(name)).getFile();
      if (file.size > MOST_BYTES) throw new Error(`${name} is larger than any of ours`);
      return new Uint8Array(await file.arrayBuffer());
    },
    async write(part, name, bytes) {
      const file = await (await inside(part, true)).getFileHandle(name, { create: true });
      const stream = await file.createWritable();
      await stream.write(bytes);
      await stream.close();
    },
    remove: async (part, name) =>
      (await inside(part, false)).removeEntry(name).catch((error: DOMException) => {
        if (error.name !== 'NotFoundError') throw error;
      }),
    nameOf: (plain) => Promise.resolve(plain),
  };
}

const ROUTE = '/api/share';
const at = (part: FolderPart, name: string) => `${ROUTE}?${new URLSearchParams({ part, name }).toString()}`;

async function asked(address: string, init?: RequestInit): Promise<Response> {
  const response = await fetch(address, { cache: 'no-store', ...init });
  if (!response.ok) throw new Error(`${response.status}`);
  return response;
}

/** The folder that the running Ergasto was given, where a browser gives a page none. */
export const givenFolder = (): ShareFolder => ({
  async names(part) {
    const { names } = (await (await asked(`${ROUTE}?part=${part}`)).json()) as { names: string[] };
    return names;
  },
  read: async (part, name) => new Uint8Array(await (await asked(at(part, name))).arrayBuffer()),
  write: async (part, name, bytes) => void (await asked(at(part, name), { method: 'PUT', body: bytes })),
  remove: async (part, name) => void (await asked(at(part, name), { method: 'DELETE' })),
  nameOf: (plain) => Promise.resolve(plain),
});

/** What the folder of the running Ergasto is called; null where it was given none. */
export async function givenFolderName(): Promise<string | null> {
  try {
    const { folder } = (await (await asked(ROUTE)).json()) as { folder: string };
    return folder;
  } catch {
    return null;
  }
}
