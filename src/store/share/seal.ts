import * as z from 'zod/mini';
import { bytesOf, hexOf, textOf, type FolderPart, type ShareFolder } from './folder';

/** What says how a folder is sealed: enough to try a passphrase by, and nothing more. */
const seal = z.strictObject({
  format: z.literal('ergasto seal'),
  version: z.literal(1),
  salt: z.string().check(z.regex(/^[0-9a-f]{32}$/)),
  /** How often PBKDF2 turns; bounded, so that a hostile file holds nobody up. */
  iterations: z.number().check(z.multipleOf(1), z.gte(100_000), z.lte(5_000_000)),
  check: z.string().check(z.regex(/^[0-9a-f]{64}$/)),
});
export type Seal = z.output<typeof seal>;

/** The keys of one passphrase, as the platform keeps them: they can be used and not read. */
export interface SealKey {
  seal: Seal;
  content: CryptoKey;
  names: CryptoKey;
}

const ITERATIONS = 600_000;
const MAGIC = bytesOf('ERGS\u0001');
const SALT_BYTES = 16;
const IV_BYTES = 12;
const HEAD_BYTES = MAGIC.length + SALT_BYTES;
const CHECKED = bytesOf('ergasto seal');

const fromHex = (hex: string) => Uint8Array.from(hex.match(/../g)!, (pair) => Number.parseInt(pair, 16));
const nameOfSeal = ({ salt }: Seal) => `seal-${salt}.json`;

async function derived(passphrase: string, salt: string, iterations: number): Promise<Omit<SealKey, 'seal'>> {
  const secret = await crypto.subtle.importKey('raw', bytesOf(passphrase.normalize('NFC')), 'PBKDF2', false, [
    'deriveBits',
  ]);
  const bits = await crypto.subtle.deriveBits(
    { name: 'PBKDF2', hash: 'SHA-256', salt: fromHex(salt), iterations },
    secret,
    512,
  );
  return {
    content: await crypto.subtle.importKey('raw', bits.slice(0, 32), 'AES-GCM', false, ['encrypt', 'decrypt']),
    names: await crypto.subtle.importKey('raw', bits.slice(32), { name: 'HMAC', hash: 'SHA-256' }, false, ['sign']),
  };
}

const signed = async (names: CryptoKey, what: Uint8Array<ArrayBuffer>) =>
  hexOf(new Uint8Array(await crypto.subtle.sign('HMAC', names, what)));

/** A seal of a new passphrase. The platform's PBKDF2 and random numbers. */
export async function newSeal(passphrase: string, iterations = ITERATIONS): Promise<SealKey> {
  const salt = hexOf(crypto.getRandomValues(new Uint8Array(SALT_BYTES)));
  const keys = await derived(passphrase, salt, iterations);
  const check = await signed(keys.names, CHECKED);
  return { ...keys, seal: { format: 'ergasto seal', version: 1, salt, iterations, check } };
}

/** The keys of a passphrase, or null where it is another one. */
export async function openSeal(passphrase: string, of: Seal): Promise<SealKey | null> {
  const keys = await derived(passphrase, of.salt, of.iterations);
  return (await signed(keys.names, CHECKED)) === of.check ? { ...keys, seal: of } : null;
}

/** The seals that lie in a folder, in the order of their salts; what cannot be read waits. */
export async function sealsIn(folder: ShareFolder): Promise<Seal[]> {
  const found = new Map<string, Seal>();
  for (const name of await folder.names('seals')) {
    try {
      const said = seal.safeParse(JSON.parse(textOf(await folder.read('seals', name))));
      if (said.success) found.set(said.data.salt, said.data);
    } catch {
      // Half of a file.
    }
  }
  return [...found.values()].toSorted((a, b) => (a.salt < b.salt ? -1 : 1));
}

export const putSeal = (folder: ShareFolder, of: Seal): Promise<void> =>
  folder.write('seals', nameOfSeal(of), bytesOf(`${JSON.stringify(of)}\n`));

const isSealed = (bytes: Uint8Array) =>
  bytes.length > HEAD_BYTES + IV_BYTES && MAGIC.every((byte, i) => bytes[i] === byte);

async function sealedBytes({ seal: of, content }: SealKey, bytes: Uint8Array<ArrayBuffer>) {
  const head = new Uint8Array([...MAGIC, ...fromHex(of.salt)]);
  const iv = crypto.getRandomValues(new Uint8Array(IV_BYTES));
  const inside = await crypto.subtle.encrypt({ name: 'AES-GCM', iv, additionalData: head }, content, bytes);
  const whole = new Uint8Array(HEAD_BYTES + IV_BYTES + inside.byteLength);
  whole.set(head);
  whole.set(iv, HEAD_BYTES);
  whole.set(new Uint8Array(inside), HEAD_BYTES + IV_BYTES);
  return whole;
}

/**
 * A folder under a seal: names and contents say nothing to whoever has no passphrase. It is written with the first key, and read with whichever a file was sealed with; what was
 * written before the folder had a seal is read as it is. A file is one, under whatever name.
 */
export function sealedFolder(folder: ShareFolder, keys: readonly [SealKey, ...SealKey[]]): ShareFolder {
  const [writes] = keys;
  return {
    ...folder,
    isSealed: true,
    async read(part: FolderPart, name: string) {
      const bytes = await folder.read(part, name);
      if (!isSealed(bytes)) return bytes;
      const head = bytes.slice(0, HEAD_BYTES);
      const key = keys.find((each) => each.seal.salt === hexOf(head.slice(MAGIC.length)));
      if (!key) throw new Error('sealed with another passphrase');
      return new Uint8Array(
        await crypto.subtle.decrypt(
          { name: 'AES-GCM', iv: bytes.slice(HEAD_BYTES, HEAD_BYTES + IV_BYTES), additionalData: head },
          key.content,
          bytes.slice(HEAD_BYTES + IV_BYTES),
        ),
      );
    },
    write: async (part, name, bytes) => folder.write(part, name, await sealedBytes(writes, bytes)),
    nameOf: async (plain) => `${(await signed(writes.names, bytesOf(plain))).slice(0, 40)}.sealed`,
  };
}

/** How a folder and the passphrases that were given go together. */
export type Sealing =
  | { is: 'open' }
  | { is: 'sealed'; keys: [SealKey, ...SealKey[]]; hasOthers: boolean }
  /** It is sealed, and none of the passphrases given is its own. */
  | { is: 'shut'; wasTried: boolean };

/** What stands between a folder and this device. A seal that somebody lost with the folder is put there again. */
export async function sealingOf(folder: ShareFolder, keys: readonly SealKey[]): Promise<Sealing> {
  const seals = await sealsIn(folder);
  if (seals.length === 0 && keys.length === 0) return { is: 'open' };
  const [first, ...rest] = (
    seals.length === 0 ? [...keys] : keys.filter((key) => seals.some(({ salt }) => salt === key.seal.salt))
  ).toSorted((a, b) => (a.seal.salt < b.seal.salt ? -1 : 1));
  if (!first) return { is: 'shut', wasTried: keys.length > 0 };
  if (seals.length === 0) await putSeal(folder, first.seal);
  return { is: 'sealed', keys: [first, ...rest], hasOthers: seals.length > 1 + rest.length };
}
