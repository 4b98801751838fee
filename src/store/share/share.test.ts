import type { Command } from '@/model/commands';
import { newBicycle } from '@/model/fresh';
import { shareText } from '@/model/share/shareText';
import { sumOf } from '../../../tests/maliciousFolder';
import { harmedFolder, shareDevice as device } from '../../../tests/shareDevice';
import { bytesOf, textOf } from './folder';

const AT = '2026-11-25T10:00:00.000Z';

const rename = (name: string): Command => ({ type: 'renameBicycle', name });

describe('several devices on one folder', () => {
  test('what one enters the others see; what two change apart stands together, and nobody is asked', async () => {
    const folder = harmedFolder();
    const [a, b, c] = [await device('laptop', folder), await device('phone', folder), await device('bench', folder)];
    await a.workshop.addBicycle(newBicycle('b', AT, 'Green tourer'));
    for (const each of [a, b, c]) expect(await each.turn()).toEqual({ is: 'same', newer: false });
    expect(c.shown()!.name).toBe('Green tourer');
    await a.do(rename('The tourer'));
    await b.do({ type: 'markStep', place: 'hub.front', step: 'nuts', done: true, takes: ['axle-nut'] });
    for (const each of [a, b, c, a]) await each.turn();
    expect(c.shown()).toMatchObject({ name: 'The tourer', conflicts: [] });
    expect(c.shown()!.trays[0]!.off).toHaveProperty('axle-nut');
    expect([a.leaves(), b.leaves()]).toEqual([c.leaves(), c.leaves()]);
  });

  test('two are at one bicycle at once: each clock runs for itself, and the hours of both count', async () => {
    const folder = harmedFolder();
    const [a, b] = [await device('laptop', folder), await device('phone', folder)];
    await a.workshop.addBicycle(newBicycle('b', AT, 'Green tourer'));
    for (const each of [a, b]) await each.turn();
    const start = (clock: string, place: string): Command => ({
      type: 'startClock',
      clock,
      at: AT,
      stage: 'strip',
      place,
    });
    await a.do(start('c1', 'hub.front'));
    await b.do(start('c2', 'hub.rear'));
    for (const each of [a, b, a, b]) await each.turn();
    expect([a.shown()!.clock!.id, b.shown()!.clock!.id]).toEqual(['c1', 'c2']);
    const stop = (entry: string): Command => ({
      type: 'stopClock',
      entry: { id: entry, stage: 'strip', minutes: 20, at: AT, place: null },
    });
    await a.do(stop('m1'));
    await b.do(stop('m2'));
    for (const each of [a, b, a]) await each.turn();
    for (const each of [a, b]) {
      expect(
        each
          .shown()!
          .minutes.map(({ id }) => id)
          .toSorted(),
      ).toEqual(['m1', 'm2']);
      expect(each.shown()).toMatchObject({ clock: null, conflicts: [] });
    }
  });

  test('both change one thing apart: asked of whoever is there, answered once, and the answer goes to all, also when it stays as it is', async () => {
    const folder = harmedFolder();
    const [a, b] = [await device('laptop', folder), await device('phone', folder)];
    await a.workshop.addBicycle(newBicycle('b', AT, 'Green tourer'));
    for (const each of [a, b]) await each.turn();
    await a.do(rename('Green one'));
    await b.do(rename('The tourer'));
    for (const each of [a, b, a]) await each.turn();
    expect(a.shown()!.conflicts).toHaveLength(1);
    expect(b.shown()!.conflicts).toEqual(a.shown()!.conflicts);
    const { id, kept } = a.shown()!.conflicts[0]!;
    await a.do({ type: 'settleConflict', conflict: id, take: 'kept' });
    for (const each of [a, b, a]) await each.turn();
    expect([a.shown(), b.shown()].map((each) => [each!.name, each!.conflicts])).toEqual([
      [kept, []],
      [kept, []],
    ]);
  });

  test('offline for the middle, a page that dies before it has written, and a folder that is emptied: nothing is lost', async () => {
    const folder = harmedFolder();
    const [a, b] = [await device('laptop', folder), await device('phone', folder)];
    await a.workshop.addBicycle(newBicycle('b', AT, 'Green tourer'));
    for (const each of [a, b]) await each.turn();
    folder.away = true;
    await b.do({ type: 'markStep', place: 'hub.front', step: 'nuts', done: true, takes: ['axle-nut'] });
    expect(await b.turn()).toEqual({ is: 'not there', changes: 3 });
    await b.reopen();
    folder.away = false;
    folder.files.clear();
    await b.turn();
    await a.do(rename('The tourer'));
    await a.turn();
    for (const each of [b, a]) await each.turn();
    expect(a.shown()!.trays[0]!.off).toHaveProperty('axle-nut');
    expect(b.shown()!.name).toBe('The tourer');
    expect(a.leaves()).toBe(b.leaves());
    // A folder that somebody empties is filled again, and empties nothing.
    folder.files.clear();
    await a.turn();
    expect(folder.files.size).toBeGreaterThan(0);
    // Somebody new joins from the folder alone.
    const late = await device('late', folder);
    await late.turn();
    expect(late.leaves()).toBe(a.leaves());
  });

  test('what would make a record unreadable here is left, and nothing that stands is told as taken away', async () => {
    const folder = harmedFolder();
    const [a, b] = [await device('laptop', folder), await device('phone', folder)];
    await a.workshop.addBicycle(newBicycle('b', AT, 'Green tourer'));
    for (const each of [a, b]) await each.turn();
    const change = { record: 'bicycle/b', leaf: 'kind/brakes', value: 'of the year 2040', stamp: `${AT} z`, over: [] };
    const file = { kind: 'batch', writer: 'newer.1', number: 1, changes: [change] } as const;
    folder.files.set('newer.json', bytesOf(shareText({ ...file, changes: [change] }, sumOf)));
    for (const each of [b, a, b]) expect(await each.turn()).toMatchObject({ is: 'same' });
    expect(await b.turn()).toEqual({ is: 'same', newer: true });
    expect(b.shown()!.kind.brakes).toBe(a.shown()!.kind.brakes);
    expect(b.shown()!.name).toBe('Green tourer');
    // Nor after the page was loaded anew: what it cannot hold is not told as changed back.
    const before = [...folder.files.values()].map(textOf).join().split('"over":[{').length;
    await b.reopen();
    await b.turn();
    expect([...folder.files.values()].map(textOf).join().split('"over":[{').length).toBe(before);
  });

  test('a browser that is full says so, and what the others told is laid once there is room', async () => {
    const folder = harmedFolder();
    const [a, b] = [await device('laptop', folder), await device('phone', folder)];
    await a.workshop.addBicycle(newBicycle('b', AT, 'Green tourer'));
    for (const each of [a, b]) await each.turn();
    await a.do(rename('The tourer'));
    await a.turn();
    b.database.full = true;
    await expect(b.turn()).rejects.toThrow('Quota');
    b.database.full = false;
    expect(await b.turn()).toEqual({ is: 'same', newer: false });
    expect(b.shown()!.name).toBe('The tourer');
  });

  test('a page that opens soon after the last goes on under its name; one that was put back from an old copy does not', async () => {
    const folder = harmedFolder();
    const [a, b] = [await device('laptop', folder), await device('phone', folder)];
    const writers = () =>
      new Set([...folder.files.keys()].flatMap((name) => (/^laptop/.test(name) ? [name.split('.')[1]] : [])));
    await a.workshop.addBicycle(newBicycle('b', AT, 'Green tourer'));
    await a.turn();
    await a.reopen();
    await a.do(rename('One'));
    await a.turn();
    expect(writers().size).toBe(1);
    const old = [new Map(a.database.settings), new Map(a.database.records)] as const;
    await a.do(rename('Two'));
    await a.turn();
    await b.turn();
    // The disk is put back as it was an hour ago, with what the browser knew; the folder has moved on.
    for (const [map, was] of [
      [a.database.settings, old[0]],
      [a.database.records, old[1]],
    ] as const) {
      map.clear();
      for (const [key, value] of was) map.set(key, value);
    }
    await a.reopen();
    await a.do({ type: 'setBrief', brief: 'donor' });
    for (const each of [a, b, a]) await each.turn();
    expect(writers().size).toBe(2);
    for (const each of [a, b]) expect(each.shown()).toMatchObject({ name: 'Two', brief: 'donor', conflicts: [] });
  });

  test('what was taken out here and is known to all comes again', async () => {
    const folder = harmedFolder();
    const a = await device('laptop', folder);
    await a.workshop.addBicycle(newBicycle('b', AT, 'Green tourer'));
    await a.turn();
    await a.database.removeBicycle('b');
    await a.reopen();
    await a.turn();
    expect(a.shown()!.name).toBe('Green tourer');
  });

  test('what came while this browser was full is taken in once it is not', async () => {
    const folder = harmedFolder();
    const [a, b] = [await device('laptop', folder), await device('phone', folder)];
    await a.workshop.addBicycle(newBicycle('b', AT, 'Green tourer'));
    for (const each of [a, b]) await each.turn();
    await b.do({ type: 'setBrief', brief: 'donor' });
    await a.do(rename('The tourer'));
    await a.turn();
    b.database.full = true;
    await expect(b.turn()).rejects.toThrow('Quota');
    b.database.full = false;
    for (const each of [b, a]) await each.turn();
    for (const each of [a, b]) expect(each.shown()).toMatchObject({ name: 'The tourer', brief: 'donor' });
  });

  test('a torn file waits until it is whole, and a conflict copy changes nothing', async () => {
    const folder = harmedFolder();
    const [a, b] = [await device('laptop', folder), await device('phone', folder)];
    await a.workshop.addBicycle(newBicycle('b', AT, 'Green tourer'));
    await a.turn();
    const whole = new Map(folder.files);
    for (const [name, bytes] of whole) folder.files.set(name, bytes.slice(0, bytes.length / 2));
    await b.turn();
    expect(b.shown()).toBeUndefined();
    for (const [name, bytes] of whole) folder.files.set(name, bytes).set(`${name} (copy)`, bytes);
    await b.turn();
    const before = b.leaves();
    await b.turn();
    expect(b.leaves()).toBe(before);
  });
});
