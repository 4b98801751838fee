import { createDecipheriv, createHmac, pbkdf2Sync } from 'node:crypto';
import { newBicycle } from '@/model/fresh';
import { shareText } from '@/model/share/shareText';
import { sumOf } from '../../../tests/maliciousFolder';
import { harmedFolder, shareDevice } from '../../../tests/shareDevice';
import { memoryFolder, sha256, textOf } from './folder';
import { lookInto } from './look';
import { newSeal, openSeal, putSeal, sealedFolder, sealingOf, sealsIn } from './seal';
import { filesIn, zipOf } from './zipFolder';

const AT = '2026-11-25T10:00:00.000Z';
const picture = (text: string) => new Blob([`\u00ff\u00d8 ${text}`], { type: 'image/jpeg' });

describe('photographs among several hands', () => {
  test('each lies in the folder once, comes to all, and half of one waits', async () => {
    const folder = harmedFolder();
    const [a, b] = [await shareDevice('laptop', folder), await shareDevice('phone', folder)];
    for (const id of ['p1', 'p1:small', 'p2']) await a.database.writePhoto(id, picture(id.slice(0, 2)));
    await a.turn();
    const lying = [...folder.files.keys()].filter((path) => path.startsWith('photographs/'));
    // Two of the three are the same picture.
    expect(lying).toHaveLength(2);
    const whole = folder.files.get(lying[0]!)!;
    folder.files.set(lying[0]!, whole.slice(0, 3));
    expect(await b.turn()).toMatchObject({ is: 'to come' });
    folder.files.set(lying[0]!, whole);
    expect(await b.turn()).toMatchObject({ is: 'same' });
    expect(b.database.photos.size).toBe(3);
    expect(await b.database.photos.get('p2')!.text()).toBe(await picture('p2').text());
    // A folder that was emptied has them again.
    folder.files.clear();
    for (let turn = 0; turn < 3; turn++) await b.turn();
    expect([...folder.files.keys()].filter((path) => path.startsWith('photographs/'))).toHaveLength(2);
  });
});

test('a browser full of photographs tells how many wait, and never says that it is the same before they are there', async () => {
  const folder = harmedFolder();
  const a = await shareDevice('laptop', folder);
  for (let i = 0; i < 20; i++) await a.database.writePhoto(`p${i}`, picture(`${i}`));
  const said = [];
  for (let turn = 0; turn < 3; turn++) said.push(await a.turn());
  expect(said).toEqual([
    { is: 'to go out', changes: 12 },
    { is: 'to go out', changes: 4 },
    { is: 'same', newer: false },
  ]);
  expect([...folder.files.keys()].filter((path) => path.startsWith('photographs/'))).toHaveLength(20);
});

describe('a sealed folder', () => {
  const ITERATIONS = 100_000;
  test('names and contents say nothing; who has the passphrase has all, who has another nothing', async () => {
    const folder = harmedFolder();
    const key = await newSeal('grease and patience', ITERATIONS);
    await putSeal(folder, key.seal);
    const a = await shareDevice('laptop', sealedFolder(folder, [key]));
    await a.workshop.addBicycle(newBicycle('b', AT, 'Green tourer'));
    await a.database.writePhoto('p1', picture('p1'));
    await a.turn();
    for (const [path, bytes] of folder.files) {
      expect(path).toMatch(/^(seal-[0-9a-f]{32}\.json|(photographs\/)?[0-9a-f]{40}\.sealed)$/);
      expect(textOf(bytes)).not.toMatch(/Green|bicycle|laptop/);
    }
    const [seal] = await sealsIn(folder);
    expect(await openSeal('grease and patienc', seal!)).toBeNull();
    const again = (await openSeal('grease and patience', seal!))!;
    const b = await shareDevice('phone', sealedFolder(folder, [again]));
    expect(await b.turn()).toMatchObject({ is: 'same' });
    expect(b.shown()!.name).toBe('Green tourer');
    expect(b.database.photos.size).toBe(1);
    // A copy under another name is the same file; a bit that was changed is not whole.
    const [name, bytes] = [...folder.files].find(([path]) => path.endsWith('.sealed'))!;
    folder.files.set('copy (conflict).sealed', bytes);
    const harmed = bytes.slice();
    harmed[60]! ^= 1;
    folder.files.set(name, harmed);
    const c = await shareDevice('bench', sealedFolder(folder, [again]));
    await c.turn();
    expect(c.shown()!.name).toBe('Green tourer');
  });

  test('a foreign reader opens it by the page of the format, with any library that knows PBKDF2, HMAC and AES-GCM', async () => {
    const folder = harmedFolder();
    const key = await newSeal('grease and patience', ITERATIONS);
    await putSeal(folder, key.seal);
    const a = await shareDevice('laptop', sealedFolder(folder, [key]));
    await a.workshop.addBicycle(newBicycle('b', AT, 'Green tourer'));
    await a.turn();
    const seal = JSON.parse(textOf(folder.files.get(`seal-${key.seal.salt}.json`)!)) as {
      salt: string;
      iterations: number;
    };
    const bits = pbkdf2Sync('grease and patience', Buffer.from(seal.salt, 'hex'), seal.iterations, 64, 'sha256');
    const bodies = [...folder.files].flatMap(([name, bytes]) => {
      if (!name.endsWith('.sealed')) return [];
      const sealed = Buffer.from(bytes);
      expect(sealed.subarray(0, 5)).toEqual(Buffer.from('ERGS\u0001'));
      const opener = createDecipheriv('aes-256-gcm', bits.subarray(0, 32), sealed.subarray(21, 33));
      opener.setAAD(sealed.subarray(0, 21)).setAuthTag(sealed.subarray(-16));
      const text = Buffer.concat([opener.update(sealed.subarray(33, -16)), opener.final()]).toString();
      const body = JSON.parse(text.split('\n')[1]!) as { kind: string; writer: string; number: number };
      const open = `${body.writer}.b${String(body.number).padStart(8, '0')}.json`;
      const called = createHmac('sha256', bits.subarray(32)).update(open).digest('hex').slice(0, 40);
      expect(name).toBe(`${called}.sealed`);
      return [text];
    });
    expect(bodies.join()).toContain('Green tourer');
  });

  test('sealed afterwards: what lay there open is put under the seal, and what this device wrote open goes', async () => {
    const folder = harmedFolder();
    const a = await shareDevice('laptop', folder);
    await a.workshop.addBicycle(newBicycle('b', AT, 'Green tourer'));
    await a.database.writePhoto('p1', picture('p1'));
    await a.turn();
    const key = await newSeal('grease', ITERATIONS);
    await putSeal(folder, key.seal);
    await a.reopen(sealedFolder(folder, [key]));
    for (let turn = 0; turn < 3; turn++) await a.turn();
    expect([...folder.files.keys()].filter((path) => !/seal/.test(path))).toEqual([]);
    const b = await shareDevice('phone', sealedFolder(folder, [key]));
    await b.turn();
    expect(b.shown()!.name).toBe('Green tourer');
  });

  test('two passphrases: each sees its own and is told of the other; who has both has all', async () => {
    const folder = harmedFolder();
    const [one, two] = [await newSeal('one', ITERATIONS), await newSeal('two', ITERATIONS)];
    for (const [key, name, id] of [
      [one, 'laptop', 'b1'],
      [two, 'phone', 'b2'],
    ] as const) {
      await putSeal(folder, key.seal);
      const device = await shareDevice(name, sealedFolder(folder, [key]));
      await device.workshop.addBicycle(newBicycle(id, AT, id));
      await device.turn();
    }
    expect(await sealingOf(folder, [one])).toMatchObject({ is: 'sealed', hasOthers: true });
    expect(await sealingOf(folder, [])).toEqual({ is: 'shut', wasTried: false });
    expect(await sealingOf(folder, [await newSeal('three', ITERATIONS)])).toEqual({ is: 'shut', wasTried: true });
    const own = await shareDevice('bench', sealedFolder(folder, [one]));
    await own.turn();
    expect([own.shown('b1')?.name, own.shown('b2')?.name]).toEqual(['b1', undefined]);
    const both = await sealingOf(folder, [two, one]);
    if (both.is !== 'sealed') throw new Error('not sealed');
    const all = await shareDevice('hall', sealedFolder(folder, both.keys));
    await all.turn();
    expect([all.shown('b1')?.name, all.shown('b2')?.name]).toEqual(['b1', 'b2']);
  });

  test('a seal that is nonsense, or would take a year to try, is passed over; one that was lost is put there again', async () => {
    const folder = memoryFolder(new Map());
    const key = await newSeal('one', ITERATIONS);
    const bytes = new TextEncoder();
    await folder.write('seals', 'seal-x.json', bytes.encode('{"format":"ergasto seal"'));
    await folder.write('seals', 'seal-y.json', bytes.encode(JSON.stringify({ ...key.seal, iterations: 9e15 })));
    expect(await sealsIn(folder)).toEqual([]);
    await sealingOf(folder, [key]);
    expect(await sealsIn(folder)).toEqual([key.seal]);
  });
});

test('a folder is looked into before anything is taken in: whose it is, and how much lies there', async () => {
  const folder = harmedFolder();
  const [a, b] = [await shareDevice('laptop', folder), await shareDevice('phone', harmedFolder())];
  expect(await lookInto(folder, a.database, sha256)).toEqual({ bicycles: 0, isKnown: false });
  await a.workshop.addBicycle(newBicycle('b', AT, 'Green tourer'));
  await a.turn();
  folder.files.set('z.json', new TextEncoder().encode('none of ours'));
  expect(await lookInto(folder, b.database, sha256)).toEqual({ bicycles: 1, isKnown: false });
  expect(await lookInto(folder, a.database, sha256)).toEqual({ bicycles: 1, isKnown: true });
});

describe('the folder by hand', () => {
  test('a zip goes from one to the other and back, with photographs; both have all, and the folder proper is not touched', async () => {
    const folder = harmedFolder();
    const [a, b] = [await shareDevice('laptop', folder), await shareDevice('phone', harmedFolder())];
    await a.workshop.addBicycle(newBicycle('b', AT, 'Green tourer'));
    await a.database.writePhoto('p1', picture('p1'));
    const byHand = async (device: typeof a, zip: Blob | null) => {
      const files = zip ? await filesIn(zip) : new Map<string, Uint8Array<ArrayBuffer>>();
      await device.share().byHand(memoryFolder(files), [...device.database.records.keys()]);
      return zipOf(files);
    };
    const there = await byHand(a, null);
    expect(folder.files.size).toBe(0);
    const back = await byHand(b, there);
    expect(b.shown()!.name).toBe('Green tourer');
    expect(b.database.photos.size).toBe(1);
    await b.do({ type: 'renameBicycle', name: 'The tourer' });
    await byHand(a, await byHand(b, back));
    expect(a.shown()).toMatchObject({ name: 'The tourer', conflicts: [] });
    // What was entered still goes out into the folder.
    await a.turn();
    expect(folder.files.size).toBeGreaterThan(0);
  });
});

describe('who is where, and what others changed', () => {
  const ada = { name: 'Ada', device: 'bench laptop', bicycle: 'b', stage: 'strip' };
  test('somebody who stays at a bicycle is told of; what they change is told in words to whoever has not looked', async () => {
    const folder = harmedFolder();
    const [a, b] = [await shareDevice('laptop', folder), await shareDevice('phone', folder)];
    await a.workshop.addBicycle(newBicycle('b', AT, 'Green tourer'));
    await a.turn(ada);
    await b.turn();
    // The first change of hers takes along where she is; to stay is enough without one.
    expect(b.share().hands()).toMatchObject([{ ...ada, id: 'laptop' }]);
    expect(b.share().news.all()).toEqual({});
    await a.do({ type: 'setBrief', brief: 'donor' });
    await a.turn(ada);
    await b.turn();
    const { by, changes, words } = b.share().news.all().b!;
    expect([by, changes]).toEqual([['Ada'], 1]);
    expect(words).toHaveLength(1);
    expect(a.share().news.all()).toEqual({});
    // It is there after a reload, and gone once somebody looked.
    await b.reopen();
    expect(b.share().news.all()).toHaveProperty('b');
    await b.share().news.seen('b');
    await b.reopen();
    expect(b.share().news.all()).toEqual({});
  });
  test('a clock that is three weeks off makes nobody a ghost: who is heard of now is there now', async () => {
    const folder = harmedFolder();
    const [a, b] = [await shareDevice('laptop', folder), await shareDevice('phone', folder)];
    await b.turn();
    const changes = [{ record: 'hands', leaf: 'slow', value: ada, stamp: '2026-11-01T10:00:00.000Z x', over: [] }];
    const text = shareText({ kind: 'batch', writer: 'slow.1', number: 1, changes }, sumOf);
    folder.files.set('slow.1.b00000001.json', new TextEncoder().encode(text));
    await b.turn();
    expect(b.share().hands()[0]!.at > AT).toBe(true);
    // Whoever opens only then knows no better than what is written.
    await a.turn();
    expect(a.share().hands()[0]!.at).toBe('2026-11-01T10:00:00.000Z');
  });
  test('who only walks past is not told of', async () => {
    const folder = harmedFolder();
    const a = await shareDevice('laptop', folder);
    for (const bicycle of ['x', 'y', 'z']) await a.turn({ ...ada, bicycle });
    expect(folder.files.size).toBe(0);
    await a.turn({ ...ada, bicycle: 'z' });
    expect(folder.files.size).toBe(1);
  });
});
