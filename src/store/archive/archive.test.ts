import { runs } from '../../../tests/runs';
import type { Bicycle } from '@/model/record';
import { SCHEMA_VERSION } from '@/model/version';
import Ajv2020 from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import fc from 'fast-check';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import yauzl from 'yauzl';
import { workshopJsonSchema } from '@/model/exchange/bundle';
import { demoWorkshop } from '@/model/demo/workshop';
import { newBicycle } from '@/model/fresh';
import { USUAL_SETTINGS } from '@/model/settings/usual';
import { sameRecord } from '@/model/merge';
import { memoryBrowser } from '../../../tests/memoryBrowser';
import { takeIn } from '../intake';
import { crc32 } from './crc32';
import { packBicycles } from './pack';
import { preview } from './preview';
import { previewWords } from './previewWords';
import { unpack, type Parcel } from './read';

const AT = '2026-11-25T10:00:00.000Z';
const JPEG = new Uint8Array([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3, 0xff, 0xd9]);

function workshopBicycles(): Bicycle[] {
  // Six are enough: those of last year lie put away.
  const bicycles = demoWorkshop(new Date(AT)).bicycles.filter(({ archivedAt }) => archivedAt === null);
  const [first, ...rest] = bicycles;
  return [
    {
      ...first!,
      name: '=cmd|calc',
      photos: [{ id: 'p1', step: 'photo', place: 'hub.front', at: AT }],
      notes: [{ id: 'n1', place: null, text: '', sound: 'sound-1', at: AT, withdrawn: false }],
      lines: [{ id: 'l1', label: '+SUM(A1)', kind: 'part', paid: 1000, packQty: 10, usedQty: 2 }],
    },
    ...rest,
  ];
}

const photos = {
  readPhoto: (id: string) =>
    Promise.resolve(
      id === 'p1' || id === 'p1:small'
        ? new Blob([JPEG], { type: 'image/jpeg' })
        : id === 'sound-1'
          ? new Blob([JPEG], { type: 'audio/webm;codecs=opus' })
          : null,
    ),
};
const bytesOf = async (blob: Blob) => new Uint8Array(await blob.arrayBuffer());
const packed = async (bicycles = workshopBicycles(), scope: 'workshop' | 'bicycles' = 'workshop') => {
  const { zip, missing } = await packBicycles(photos, bicycles, {
    scope,
    settings: scope === 'workshop' ? USUAL_SETTINGS : null,
    currency: 'EUR',
    at: AT,
  });
  return { zip: await bytesOf(zip), missing };
};
const opened = (zip: Uint8Array) => unpack(new Blob([zip as Uint8Array<ArrayBuffer>]));

async function parcelOf(zip: Uint8Array | Blob): Promise<Parcel> {
  const read = await unpack(new Blob([zip as Uint8Array<ArrayBuffer>]));
  if (!read.ok) throw new Error(read.why);
  return read.parcel;
}
async function own(bicycles: Bicycle[] = []) {
  const { database, tab, around } = memoryBrowser();
  const workshop = tab(1);
  for (const bicycle of bicycles) database.records.set(bicycle.id, bicycle);
  await workshop.load();
  await workshop.settled();
  const take = async (parcel: Parcel) => {
    try {
      await takeIn(around(2), new Blob(), parcel, AT);
    } finally {
      await workshop.settled();
      await workshop.reload();
    }
  };
  return { database, workshop, take };
}
/** Everything that is kept, as one comparable value. */
const all = (database: Awaited<ReturnType<typeof own>>['database']) =>
  JSON.stringify([[...database.records].sort(([a], [b]) => (a < b ? -1 : 1)), [...database.photos.keys()].sort()]);

function outside(zip: Uint8Array): Promise<Map<string, Buffer>> {
  return new Promise((resolve, reject) =>
    yauzl.fromBuffer(Buffer.from(zip), { lazyEntries: true }, (error, file) => {
      if (error) return reject(error);
      const found = new Map<string, Buffer>();
      file.on('entry', (entry: yauzl.Entry) =>
        file.openReadStream(entry, (failure, stream) => {
          if (failure) return reject(failure);
          const chunks: Buffer[] = [];
          stream.on('data', (chunk: Buffer) => chunks.push(chunk));
          stream.on('end', () => {
            found.set(entry.fileName, Buffer.concat(chunks));
            file.readEntry();
          });
        }),
      );
      file.on('end', () => resolve(found));
      file.readEntry();
    }),
  );
}

test('the checksum is the one that zip files use', () => {
  expect(crc32(strToU8('123456789'))).toBe(0xcbf43926);
});

describe('the export', () => {
  test('another unzip and another schema validator read it', async () => {
    const files = await outside((await packed()).zip);
    const ajv = new Ajv2020({ strict: false });
    addFormats(ajv);
    const check = ajv.compile(JSON.parse(readFileSync('docs/format/workshop.schema.json', 'utf8')) as object);
    const json: unknown = JSON.parse(files.get('workshop.json')!.toString());
    expect(check(json) ? [] : check.errors).toEqual([]);
    expect(check({ ...(json as object), bicycles: [{ id: 5 }] })).toBe(false);
    expect([...files.keys()].filter((name) => name.startsWith('photos/'))).toHaveLength(3);
    expect(files.get('drawings/cmd-calc-1.svg')!.toString()).toMatch(/^<svg [^]*<\/svg>\n$/);
  });

  test('the published schema is the one that is written from the code', () => {
    expect(JSON.parse(readFileSync('docs/format/workshop.schema.json', 'utf8'))).toEqual(
      JSON.parse(JSON.stringify(workshopJsonSchema())),
    );
  });

  test('no cell of a table runs as a formula', async () => {
    const files = unzipSync((await packed()).zip);
    const cells = ['money', 'findings', 'torque'].flatMap((name) =>
      Papa.parse<string[]>(strFromU8(files[`tables/${name}.csv`]!).trim()).data.flat(),
    );
    expect(cells.filter((cell) => /^[=+@]|^-(?!\d)/.test(cell))).toEqual([]);
    expect(cells).toContain("'=cmd|calc");
    expect(cells).toContain('-1000');
  });

  test('out, into an empty workshop, and the same records and photographs are there', async () => {
    const bicycles = workshopBicycles();
    const { zip, missing } = await packed(bicycles);
    expect(missing).toBe(0);
    const { database, workshop, take } = await own();
    const parcel = await parcelOf(zip);
    expect(previewWords(await preview(workshop.database, parcel))).toBe('6 bicycles new.');
    await take(parcel);
    for (const bicycle of bicycles) expect(database.records.get(bicycle.id)).toEqual(bicycle);
    expect([...database.photos.keys()].sort()).toEqual(['p1', 'p1:small', 'sound-1']);
    expect(previewWords(await preview(workshop.database, parcel))).toBe('6 the same.');
  });
});

describe('taking in', () => {
  test('a bicycle changed on both devices is merged by its rows, and the preview says so', async () => {
    const here = newBicycle('b1', AT, 'Green tourer');
    const { database, workshop, take } = await own([here]);
    await workshop.open('b1');
    workshop.send('b1', { type: 'setBrief', brief: 'preserve' });
    await workshop.settled();
    const there = await own([here]);
    await there.workshop.open('b1');
    there.workshop.send('b1', { type: 'recordPurchase', paid: 9000, at: AT });
    await there.workshop.settled();
    const { zip } = await packed([there.database.records.get('b1') as Bicycle], 'bicycles');
    const parcel = await parcelOf(zip);
    expect(previewWords(await preview(workshop.database, parcel))).toBe('1 changed in both.');
    await take(parcel);
    expect(database.records.get('b1')).toMatchObject({
      brief: 'preserve',
      purchase: { paid: 9000 },
      conflicts: [],
      sharedAt: AT,
    });
  });

  test('a write that fails at any step leaves everything as it was', async () => {
    const { zip } = await packed();
    const parcel = await parcelOf(zip);
    const mine = {
      ...workshopBicycles()[0]!,
      name: 'Mine, changed since',
      stamps: { name: '2026-11-26T00:00:00.000Z x' },
    };
    let finished = false;
    let refused = 0;
    for (let failAt = 1; !finished && failAt < 40; failAt++) {
      const { database, workshop, take } = await own([mine]);
      const before = all(database);
      let left = failAt;
      const dies = () => --left === 0;
      const failing = (name: 'writeBicycle' | 'writePhoto') => {
        const real = database[name] as (id: string, value: unknown) => Promise<void>;
        database[name] = (id: string, value: unknown) =>
          dies() ? Promise.reject(new Error('QuotaExceededError')) : real(id, value);
      };
      failing('writeBicycle');
      failing('writePhoto');
      try {
        await take(parcel);
        finished = true;
        expect(database.records.size).toBe(6);
      } catch {
        refused++;
        expect([failAt, all(database)]).toEqual([failAt, before]);
        expect(Object.keys(workshop.store.getState().summaries)).toEqual([mine.id]);
      }
    }
    expect(finished).toBe(true);
    expect(refused).toBeGreaterThanOrEqual(5);
  });

  test('a thousand damaged files: refused in a sentence, or whole, and nothing ever half', async () => {
    const { zip } = await packed();
    const whole = await parcelOf(zip);
    const { database, workshop } = await own();
    const before = all(database);
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(fc.nat(zip.length - 1), fc.nat(255)), { minLength: 1, maxLength: 6 }),
        fc.option(fc.nat(zip.length - 1)),
        async (bytes, cut) => {
          const damaged = zip.slice(0, cut ?? zip.length);
          for (const [at, value] of bytes) if (at < damaged.length) damaged[at] = value;
          const read = await opened(damaged);
          // Where the damage hit nothing that counts, what is read is what was packed, to the last figure.
          if (read.ok) {
            expect(read.parcel.file).toEqual(whole.file);
            for (const [i, { blob }] of read.parcel.blobs.entries())
              expect(new Uint8Array(await blob.arrayBuffer())).toEqual(
                new Uint8Array(await whole.blobs[i]!.blob.arrayBuffer()),
              );
          } else expect(read.why).toMatch(/^[A-Z].*\.$/);
          expect(all(database)).toBe(before);
        },
      ),
      { numRuns: runs(1000) },
    );
    expect(Object.keys(workshop.store.getState().summaries)).toEqual([]);
  }, 60_000);

  const rewritten = async (
    change: (json: Record<string, unknown> & { bicycles: Record<string, unknown>[] }) => unknown,
  ) => {
    const files = unzipSync((await packed()).zip);
    const json = JSON.parse(strFromU8(files['workshop.json']!)) as Record<string, unknown> & {
      bicycles: Record<string, unknown>[];
    };
    files['workshop.json'] = strToU8(JSON.stringify(change(json)));
    return opened(zipSync(files));
  };

  test.each<[string, (json: Record<string, unknown> & { bicycles: Record<string, unknown>[] }) => unknown, RegExp]>([
    ['a foreign file', () => ({ some: 'thing' }), /no export of Ergasto/],
    ['a newer format', (json) => ({ ...json, formatVersion: 2 }), /newer Ergasto/],
    [
      'a newer record',
      (json) => ({ ...json, bicycles: [{ ...json.bicycles[0], schemaVersion: 99 }] }),
      /newer Ergasto/,
    ],
    [
      'a wrong row',
      (json) => ({ ...json, bicycles: [json.bicycles[0], { ...json.bicycles[1], brief: 'gold' }] }),
      /Bicycle 2 in it cannot be read \(brief/,
    ],
    [
      'money with a fraction',
      (json) => ({ ...json, bicycles: [{ ...json.bicycles[0], sale: { price: 1.5, fee: 0 } }] }),
      /cannot be read \(sale.price/,
    ],
    ['a bicycle twice', (json) => ({ ...json, bicycles: [json.bicycles[0], json.bicycles[0]] }), /stands in it twice/],
    [
      'a photograph that is not there',
      (json) => ({
        ...json,
        blobs: [...(json.blobs as object[]), { id: 'p9', file: 'photos/none.jpg', type: 'image/jpeg' }],
      }),
      /named in it and not there/,
    ],
    [
      'a script for a photograph',
      (json) => ({ ...json, blobs: (json.blobs as object[]).map((blob) => ({ ...blob, type: 'text/html' })) }),
      /neither a photograph nor a sound/,
    ],
    [
      'settings that cannot be',
      (json) => ({ ...json, settings: { currency: 'moons' } }),
      /settings in it cannot be read/,
    ],
  ])('%s is refused in a plain sentence', async (_name, change, words) => {
    expect(await rewritten(change)).toEqual({ ok: false, why: expect.stringMatching(words) as string });
  });

  test('a bomb, a path trick and a zip without records are refused before they are unpacked', async () => {
    const bomb = zipSync({ 'workshop.json': new Uint8Array(40_000_000) });
    expect(await opened(bomb)).toEqual({
      ok: false,
      why: expect.stringContaining('more than a workshop can hold') as string,
    });
    expect(await opened(zipSync({ '../../etc/passwd': strToU8('x'), 'workshop.json': strToU8('{}') }))).toEqual({
      ok: false,
      why: expect.stringContaining('lead out of its folder') as string,
    });
    expect(await opened(zipSync({ 'readme.txt': strToU8('hello') }))).toEqual({
      ok: false,
      why: expect.stringContaining('no workshop.json') as string,
    });
    expect(await opened(strToU8('hello, not a zip'))).toEqual({
      ok: false,
      why: expect.stringContaining('damaged, cut off, or no zip') as string,
    });
  });

  test('an older record in a file is brought up to date', async () => {
    const read = await rewritten((json) => {
      const {
        clock: _c,
        notes: _n,
        deliveries: _d,
        looseEnds: _l,
        bench: _b,
        archivedAt: _a,
        conflicts: _k,
        stamps: _s,
        sharedAt: _sh,
        ...old
      } = json.bicycles[1]!;
      return {
        ...json,
        blobs: [],
        bicycles: [
          { ...old, clock: null, schemaVersion: 1, kind: { ...(old.kind as object), brakes: 'rim' }, photos: [] },
        ],
      };
    });
    expect(read).toMatchObject({
      ok: true,
      parcel: { file: { bicycles: [{ schemaVersion: SCHEMA_VERSION, kind: { brakes: 'caliper' } }] } },
    });
  });

  test('what comes back is the same bicycle', async () => {
    const [bicycle] = workshopBicycles();
    const parcel = await parcelOf((await packed([bicycle!], 'bicycles')).zip);
    expect(sameRecord(parcel.file.bicycles[0]!, bicycle!)).toBe(true);
  });
});

describe('the drawer in an export', () => {
  const stock = demoWorkshop(new Date(AT)).stock;
  test('it goes out with the workshop, as JSON and as a table, and comes in whole', async () => {
    const { zip } = await packBicycles(photos, [], {
      scope: 'workshop',
      settings: USUAL_SETTINGS,
      currency: 'EUR',
      at: AT,
      stock,
    });
    expect(strFromU8(unzipSync(await bytesOf(zip))['tables/stock.csv']!)).toContain('Left crank arm');
    const { workshop, take } = await own();
    await take(await parcelOf(zip));
    expect(Object.values(workshop.store.getState().stock)).toEqual(stock);
  });
  test('a newer row here stays', async () => {
    const { zip } = await packBicycles(photos, [], {
      scope: 'workshop',
      settings: USUAL_SETTINGS,
      currency: 'EUR',
      at: AT,
      stock,
    });
    const { workshop, take } = await own();
    const later = { ...stock[0]!, quantity: 1, at: '2026-12-01T10:00:00.000Z' };
    await workshop.putStock([later]);
    await take(await parcelOf(zip));
    expect(workshop.store.getState().stock[later.id]!.quantity).toBe(1);
  });
});
