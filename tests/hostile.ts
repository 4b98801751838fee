import { deflateSync, strToU8 } from 'fflate';
import { newBicycle } from '@/model/fresh';
import { USUAL_SETTINGS } from '@/model/settings/usual';
import type { Bicycle } from '@/model/record';
import { SCHEMA_VERSION } from '@/model/version';
import { crc32 } from '@/store/archive/crc32';

/** Files that are a good export but for one thing, made here byte by byte. */

const AT = '2026-11-25T10:00:00.000Z';

interface Part {
  name: string;
  data: Uint8Array;
  method?: number;
  /** What the directory says, where that is not the truth. */
  claims?: { size?: number; packedSize?: number; sum?: number; localAt?: number; flags?: number; method?: number };
  /** Bytes that stand in the file in the place of the packed ones. */
  packed?: Uint8Array;
}
interface Shape {
  parts: Part[];
  count?: number;
  directoryFrom?: number;
  directorySize?: number;
  comment?: Uint8Array;
  disks?: number;
  /** The parts whose bytes are in the file; the others lie in its directory alone. */
  bodies?: number[];
}

function little(...fields: [value: number, bytes: 2 | 4][]): Uint8Array {
  const out = new Uint8Array(fields.reduce((sum, [, bytes]) => sum + bytes, 0));
  const view = new DataView(out.buffer);
  let at = 0;
  for (const [value, bytes] of fields) {
    if (bytes === 2) view.setUint16(at, value, true);
    else view.setUint32(at, value >>> 0, true);
    at += bytes;
  }
  return out;
}

function joined(pieces: Uint8Array[]): Uint8Array {
  const out = new Uint8Array(pieces.reduce((sum, piece) => sum + piece.length, 0));
  let at = 0;
  for (const piece of pieces) {
    out.set(piece, at);
    at += piece.length;
  }
  return out;
}

/** A zip as it is told to be, true or not. */
export function zipOf({
  parts,
  count,
  directoryFrom,
  directorySize,
  comment = new Uint8Array(),
  disks,
  bodies,
}: Shape): Uint8Array {
  const body: Uint8Array[] = [];
  const directory: Uint8Array[] = [];
  let at = 0;
  for (const [i, { name, data, method = 8, claims = {}, packed }] of parts.entries()) {
    const bytes = packed ?? (method === 8 ? deflateSync(data) : data);
    const title = strToU8(name);
    const { size = data.length, packedSize = bytes.length, sum = crc32(data), flags = 0, localAt = at } = claims;
    const told = claims.method ?? method;
    const local = joined([
      little(
        [0x04034b50, 4],
        [20, 2],
        [flags, 2],
        [told, 2],
        [0, 4],
        [sum, 4],
        [packedSize, 4],
        [size, 4],
        [title.length, 2],
        [0, 2],
      ),
      title,
      bytes,
    ]);
    const lies = bodies?.includes(i) ?? true;
    if (lies) body.push(local);
    directory.push(
      joined([
        little([0x02014b50, 4], [20, 2], [20, 2], [flags, 2], [told, 2], [0, 4], [sum, 4], [packedSize, 4], [size, 4]),
        little([title.length, 2], [0, 2], [0, 2], [0, 2], [0, 2], [0, 4], [localAt, 4]),
        title,
      ]),
    );
    if (lies) at += local.length;
  }
  const rows = joined(directory);
  return joined([
    ...body,
    rows,
    little([0x06054b50, 4], [0, 2], [0, 2], [disks ?? count ?? parts.length, 2], [count ?? parts.length, 2]),
    little([directorySize ?? rows.length, 4], [directoryFrom ?? at, 4], [comment.length, 2]),
    comment,
  ]);
}

type Json = Record<string, unknown>;
const bicycle = (id = 'b1'): Bicycle => newBicycle(id, AT, 'Green tourer');
const fileJson = (changes: Json = {}): Json => ({
  format: 'ergasto-workshop',
  formatVersion: 1,
  schemaVersion: SCHEMA_VERSION,
  exportedAt: AT,
  scope: 'workshop',
  settings: USUAL_SETTINGS,
  bicycles: [bicycle()],
  stock: [],
  blobs: [],
  ...changes,
});
const text = (json: unknown) => strToU8(typeof json === 'string' ? json : JSON.stringify(json));
const main = (json: unknown): Part => ({ name: 'workshop.json', data: text(json) });
const withJson = (json: unknown) => zipOf({ parts: [main(json)] });
const withBicycle = (changes: Json) => withJson(fileJson({ bicycles: [{ ...bicycle(), ...changes }] }));
const noughts = (bytes: number) => new Uint8Array(bytes);
/** A picture that is told of in the file and lies in it. */
const picture = (changes: Partial<Part> = {}): Shape => ({
  parts: [
    main(fileJson({ blobs: [{ id: 'p1', file: 'photos/p1.jpg', type: 'image/jpeg' }] })),
    { name: 'photos/p1.jpg', data: new Uint8Array([0xff, 0xd8, 0xff, 1, 2, 3]), method: 0, ...changes },
  ],
});

/** How far a kind of file goes: `n` runs from nought, and makes another file of the same kind. */
export interface Kind {
  name: string;
  make(n: number): Uint8Array;
  /** `taken`: it does no harm and is read whole. Else what the refusal says. */
  comes: 'taken' | RegExp;
}

const DAMAGED = /damaged, cut off, or no zip/;
const LARGE = /more than a workshop can hold/;
const AT_ROW = /cannot be read/;
/** Numbers that no release ever wrote as a version. */
const VERSIONS = [-1e308, -1, -0.5, 0.5, 1e21, 1e308, 2.5, 10_001];
const NAMES = ['__proto__', 'constructor', 'toString', 'hasOwnProperty', 'valueOf', '__defineGetter__'];
const pick = <Value>(list: readonly Value[], n: number): Value => list[n % list.length]!;

/** Every kind, each a good export but for one thing. */
export const KINDS: Kind[] = [
  {
    name: 'nothing at all is wrong',
    make: (n) => withJson(fileJson({ bicycles: [bicycle(`b${n}`)] })),
    comes: 'taken',
  },
  {
    name: 'a comment that looks like an end of directory',
    make: (n) => zipOf({ parts: [main(fileJson())], comment: joined([little([0x06054b50, 4]), noughts(n % 17)]) }),
    comes: 'taken',
  },
  {
    name: 'a name in another alphabet',
    make: (n) =>
      zipOf({ parts: [main(fileJson()), { name: `photos/${'Ж'.repeat(1 + (n % 40))}.txt`, data: text('x') }] }),
    comes: 'taken',
  },
  {
    name: 'a file that nobody asked for',
    make: (n) =>
      zipOf({ parts: [main(fileJson()), { name: `run-${n}.html`, data: text('<script>alert(1)</script>') }] }),
    comes: 'taken',
  },
  {
    name: 'a folder',
    make: () => zipOf({ parts: [main(fileJson()), { name: 'photos/', data: noughts(0), method: 0 }] }),
    comes: 'taken',
  },
  {
    name: 'words that a page would run',
    make: (n) =>
      withBicycle({
        name: pick(['<img src=x onerror=alert(1)>', '"><script>alert(1)</script>', 'javascript:alert(1)', '${7*7}'], n),
      }),
    comes: 'taken',
  },
  {
    name: 'ids that every object is born with',
    make: (n) => withBicycle({ id: pick(NAMES.slice(1), n), stamps: { [pick(NAMES.slice(1), n)]: `${AT} x` } }),
    comes: 'taken',
  },
  {
    name: 'a key that would change every object',
    make: (n) =>
      withJson(
        JSON.stringify(fileJson()).replace(
          '"door":{}',
          `"door":{"${pick(NAMES, n)}":{"answer":"fine","at":"${AT}","by":""}}`,
        ),
      ),
    comes: 'taken',
  },
  {
    name: 'rows of checks, bolts and places that no table has',
    make: (n) =>
      withBicycle({
        signatures: [{ id: 's', bolt: pick(NAMES, n), how: 'feel', valueNm: null, at: AT }],
        observations: [
          { id: 'o', check: pick(NAMES, n), at: AT, evidence: {}, seenAs: 'bought', note: '', withdrawn: false },
        ],
      }),
    comes: 'taken',
  },
  {
    name: 'a stamp of another time zone',
    make: (n) => withBicycle({ stamps: { name: `2026-11-25T1${n % 9}:00:00+01:00 c` } }),
    comes: 'taken',
  },
  {
    name: 'two rows of one id',
    make: () =>
      withBicycle({
        notes: [1, 2].map((i) => ({ id: 'n', place: null, text: `${i}`, sound: null, at: AT, withdrawn: false })),
      }),
    comes: 'taken',
  },

  { name: 'nothing in the file', make: () => noughts(0), comes: DAMAGED },
  { name: 'noughts', make: (n) => noughts(1 + n * 7), comes: DAMAGED },
  { name: 'cut off at the end', make: (n) => withJson(fileJson()).slice(0, -(1 + (n % 300))), comes: DAMAGED },
  { name: 'cut off at the front', make: (n) => withJson(fileJson()).slice(1 + (n % 25)), comes: DAMAGED },
  {
    name: 'more files in the directory than there are',
    make: (n) => zipOf({ parts: [main(fileJson())], count: 2 + n }),
    comes: DAMAGED,
  },
  {
    name: 'a directory that begins past the end',
    make: (n) => zipOf({ parts: [main(fileJson())], directoryFrom: 1e6 + n }),
    comes: DAMAGED,
  },
  {
    name: 'a directory elsewhere, as in very large zips',
    make: () => zipOf({ parts: [main(fileJson())], directoryFrom: 0xffffffff }),
    comes: DAMAGED,
  },
  {
    name: 'a directory larger than the file',
    make: (n) => zipOf({ parts: [main(fileJson())], directorySize: 1e6 + n }),
    comes: DAMAGED,
  },
  { name: 'several disks', make: (n) => zipOf({ parts: [main(fileJson())], disks: 2 + n }), comes: DAMAGED },
  {
    name: 'more packed bytes than there are',
    make: (n) => {
      const part = main(fileJson());
      return zipOf({ parts: [{ ...part, claims: { packedSize: 1e6 + n, size: 1e6 } }] });
    },
    comes: DAMAGED,
  },
  {
    name: 'a file that begins past the end',
    make: (n) => zipOf({ parts: [{ ...main(fileJson()), claims: { localAt: 1e7 + n } }] }),
    comes: DAMAGED,
  },
  {
    name: 'a file that begins in the middle of another',
    make: (n) =>
      zipOf({
        parts: [main(fileJson()), { name: 'photos/x.jpg', data: text('x'), claims: { localAt: 12 + (n % 30) } }],
      }),
    comes: DAMAGED,
  },
  {
    name: 'two hundred names for the same packed bytes',
    make: (n) => {
      // True in everything but that they are one: each name leads to the picture that lies first.
      const data = noughts(400_000 + n);
      const packed = deflateSync(data);
      const shared = (i: number): Part => ({ name: `photos/${i}.jpg`, data, packed, claims: i ? { localAt: 0 } : {} });
      return zipOf({
        parts: [...Array.from({ length: 200 }, (_, i) => shared(i)), main(fileJson())],
        bodies: [0, 200],
      });
    },
    comes: DAMAGED,
  },
  {
    name: 'another checksum',
    make: (n) => zipOf({ parts: [{ ...main(fileJson()), claims: { sum: 1 + n } }] }),
    comes: DAMAGED,
  },
  {
    name: 'a smaller size than it has',
    make: (n) => zipOf({ parts: [{ ...main(fileJson()), claims: { size: 100 + (n % 1000) } }] }),
    comes: LARGE,
  },
  {
    name: 'a larger size than it has',
    make: (n) => {
      const part = main(fileJson());
      return zipOf({ parts: [{ ...part, claims: { size: part.data.length + 1 + n } }] });
    },
    comes: DAMAGED,
  },
  {
    name: 'stored, with another size',
    make: (n) => {
      const part = main(fileJson());
      return zipOf({ parts: [{ ...part, method: 0, claims: { size: part.data.length + 1 + n } }] });
    },
    comes: DAMAGED,
  },
  {
    name: 'packed bytes that are none',
    make: (n) =>
      zipOf({
        parts: [{ ...main(fileJson()), packed: Uint8Array.from({ length: 400 }, (_, i) => (i * 37 + n) % 256) }],
      }),
    comes: /damaged, cut off|more than a workshop/,
  },
  {
    name: 'packed in a way of its own',
    make: (n) => zipOf({ parts: [{ ...main(fileJson()), claims: { method: pick([1, 9, 12, 14, 99], n) } }] }),
    comes: /locked with a password, or packed/,
  },
  {
    name: 'a password',
    make: () => zipOf({ parts: [{ ...main(fileJson()), claims: { flags: 1 } }] }),
    comes: /locked with a password/,
  },
  {
    name: 'eight megabytes behind eight kilobytes',
    make: (n) => zipOf({ parts: [main(fileJson()), { name: 'photos/big.jpg', data: noughts(8_000_000 + n * 10) }] }),
    comes: LARGE,
  },
  {
    name: 'the same, called small',
    make: (n) =>
      zipOf({
        parts: [
          main(fileJson()),
          { name: 'photos/big.jpg', data: noughts(8_000_000 + n * 10), claims: { size: 900_000 } },
        ],
      }),
    comes: LARGE,
  },
  {
    name: 'a name that leads out',
    make: (n) =>
      zipOf({
        parts: [
          main(fileJson()),
          { name: pick(['../x', '/etc/x', 'a/../../x', 'C:x', '..', 'a\\b', 'x\0y'], n), data: text('x') },
        ],
      }),
    comes: /lead out of its folder/,
  },
  { name: 'a name twice', make: () => zipOf({ parts: [main(fileJson()), main(fileJson())] }), comes: /one name twice/ },
  {
    name: 'no workshop.json',
    make: (n) => zipOf({ parts: [{ name: `Workshop-${n}.json`, data: text(fileJson()) }] }),
    comes: /no workshop\.json/,
  },

  {
    name: 'JSON cut off',
    make: (n) => withJson(JSON.stringify(fileJson()).slice(0, -(1 + (n % 200)))),
    comes: /workshop\.json is damaged/,
  },
  {
    name: 'letters that are none',
    make: () =>
      zipOf({ parts: [{ name: 'workshop.json', data: joined([text(fileJson()), Uint8Array.of(0xc3, 0x28)]) }] }),
    comes: /workshop\.json is damaged/,
  },
  {
    name: 'a number, a list, nothing',
    make: (n) => withJson(pick(['1', '[]', 'null', '"x"', '{}', 'true'], n)),
    comes: /no export of Ergasto/,
  },
  {
    name: 'brackets a million deep',
    make: (n) => withJson(`${'['.repeat(90_000 + n)}${']'.repeat(90_000 + n)}`),
    comes: /damaged|no export|more than a workshop/,
  },
  {
    name: 'a bicycle a hundred thousand deep',
    make: () =>
      withJson(JSON.stringify(fileJson()).replace('"note":""', `"note":${'['.repeat(60_000)}${']'.repeat(60_000)}`)),
    comes: /cannot be read|damaged|more than a workshop/,
  },
  {
    name: 'a format of another program',
    make: () => withJson(fileJson({ format: 'another' })),
    comes: /no export of Ergasto/,
  },
  {
    name: 'a format that is not out yet',
    make: (n) => withJson(fileJson({ formatVersion: 2 + (n % 9000) })),
    comes: /newer Ergasto/,
  },
  {
    name: 'a format that never was',
    make: (n) => withJson(fileJson({ formatVersion: pick(VERSIONS, n) })),
    comes: /no export of Ergasto/,
  },
  {
    name: 'a version of a bicycle that never was',
    make: (n) => withBicycle({ schemaVersion: pick(VERSIONS, n) }),
    comes: /schemaVersion/,
  },
  {
    name: 'a version of the settings that never was',
    make: (n) => withJson(fileJson({ settings: { ...USUAL_SETTINGS, schemaVersion: pick(VERSIONS, n) } })),
    comes: /settings in it cannot be read/,
  },
  {
    name: 'a bicycle that is no record',
    make: (n) => withJson(fileJson({ bicycles: [pick([null, 5, 'x', [], true], n)] })),
    comes: /Bicycle 1 in it cannot be read/,
  },
  {
    name: 'six thousand bicycles',
    make: (n) => withJson(fileJson({ bicycles: Array.from({ length: 5001 + n }, () => null) })),
    comes: /no export of Ergasto|more than a workshop/,
  },
  {
    name: 'a bicycle twice',
    make: () => withJson(fileJson({ bicycles: [bicycle(), bicycle()] })),
    comes: /stands in it twice/,
  },
  { name: 'a field that nobody knows', make: (n) => withBicycle({ [`extra${n}`]: 1 }), comes: AT_ROW },
  {
    name: 'a field that is missing',
    make: (n) => {
      const { [pick(['kind', 'trays', 'sale', 'revision', 'clock'], n)]: _gone, ...rest } =
        bicycle() as unknown as Json;
      return withJson(fileJson({ bicycles: [rest] }));
    },
    comes: AT_ROW,
  },
  {
    name: 'money that is no whole number',
    make: (n) => withBicycle({ sale: { price: 1 + (n % 9) / 10 + 0.05, fee: 0 } }),
    comes: AT_ROW,
  },
  {
    name: 'money beyond all bounds',
    make: () => withBicycle({ purchase: { paid: 1e300, at: AT }, sale: { price: null, fee: 0 } }),
    comes: AT_ROW,
  },
  {
    name: 'a stamp that names no moment',
    make: (n) => withBicycle({ stamps: { name: pick(['zzzz', '', '9999', 'tomorrow', '2026-99-99T00:00:00Z x'], n) } }),
    comes: /stamps/,
  },
  { name: 'a day that is none', make: () => withBicycle({ createdAt: '2026-02-30T10:00:00Z' }), comes: AT_ROW },
  {
    name: 'a name of a million letters',
    make: (n) => withBicycle({ name: 'x'.repeat(1_000_000 + n) }),
    comes: /cannot be read|more than a workshop/,
  },
  {
    name: 'a list that holds more than a lifetime',
    make: (n) => withBicycle({ notes: Array.from({ length: 120_000 + n }, () => ({ a: 1, b: 2, c: 3 })) }),
    comes: /lifetime|more than a workshop/,
  },
  {
    name: 'a hundred thousand rows that are all wrong',
    make: (n) => withBicycle({ notes: Array.from({ length: 100_000 + n }, () => 1) }),
    comes: /cannot be read|more than a workshop/,
  },
  {
    name: 'a hundred thousand keys that nobody knows',
    make: (n) =>
      withBicycle({ riding: Object.fromEntries(Array.from({ length: 50_000 + n }, (_, i) => [`k${i}`, i])) }),
    comes: /cannot be read|more than a workshop/,
  },
  {
    name: 'settings of another kind',
    make: (n) => withJson(fileJson({ settings: pick([5, 'x', [], { currency: 'moons' }], n) })),
    comes: /settings in it cannot be read/,
  },
  { name: 'a scope that there is not', make: () => withJson(fileJson({ scope: 'everything' })), comes: AT_ROW },
  {
    name: 'a drawer with half a part',
    make: () => withJson(fileJson({ stock: [{ id: 's', label: 'Cable' }] })),
    comes: AT_ROW,
  },
  {
    name: 'a photograph that is named and not there',
    make: () => withJson(fileJson({ blobs: [{ id: 'p', file: 'photos/p.jpg', type: 'image/jpeg' }] })),
    comes: /named in it and not there/,
  },
  {
    name: 'a photograph that is a script',
    make: (n) => {
      const shape = picture();
      shape.parts[0] = main(
        fileJson({
          blobs: [
            {
              id: 'p1',
              file: 'photos/p1.jpg',
              type: pick(['text/html', 'image/svg+xml', 'application/javascript', ''], n),
            },
          ],
        }),
      );
      return zipOf(shape);
    },
    comes: /neither a photograph nor a sound/,
  },
  {
    name: 'a photograph that two ids name',
    make: () => {
      const shape = picture();
      shape.parts[0] = main(
        fileJson({ blobs: ['p1', 'p2'].map((id) => ({ id, file: 'photos/p1.jpg', type: 'image/jpeg' })) }),
      );
      return zipOf(shape);
    },
    comes: /named in it twice/,
  },
  {
    name: 'a photograph with another checksum',
    make: (n) => zipOf(picture({ claims: { sum: 5 + n } })),
    comes: DAMAGED,
  },
];
