import Ajv2020 from 'ajv/dist/2020';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { MaliciousFolder, sumOf } from '../../../tests/maliciousFolder';
import { runs } from '../../../tests/runs';
import { shareJsonSchema } from './change';
import { Replica } from './replica';
import { readShare, shareName, shareText, standsFor } from './shareText';

let stamps = 0;
const at = (leaf: string, value: unknown, moment = '2026-11-29') => ({
  record: 'bicycle/b',
  leaf,
  value,
  stamp: `${moment} c${stamps++}`,
});

describe('several hands on one folder', () => {
  test('what one knew of when another changed it is replaced; what neither knew of is asked about once, and settled everywhere', () => {
    const [a, b, c] = ['a.1', 'b.1', 'c.1'].map((writer) => new Replica(writer)) as [Replica, Replica, Replica];
    const first = a.commit([at('price', 100)]);
    b.take(first);
    // A clock of weeks ago: it is later all the same, since it knew.
    const known = b.commit([at('price', 120, '2026-10-01')]);
    a.take(known);
    expect([a.value('bicycle/b', 'price'), a.doubts()]).toEqual([120, []]);
    const left = a.commit([at('price', 130)]);
    const right = b.commit([at('price', 90, '2026-11-30')]);
    a.take(right);
    b.take(left);
    expect(a.doubts()).toEqual([{ record: 'bicycle/b', leaf: 'price', kept: 90, others: [130] }]);
    expect(b.doubts()).toEqual(a.doubts());
    const settled = b.commit([at('price', 130)]);
    for (const file of [settled, right, left, known, first]) c.take(file);
    a.take(settled);
    expect([a.doubts(), b.doubts(), c.doubts()]).toEqual([[], [], []]);
    expect([a.told(), b.told()]).toEqual([c.told(), c.told()]);
  });
  test('what one took away and another changed stays, and nobody is asked', () => {
    const [a, b] = [new Replica('a.1'), new Replica('b.1')];
    b.take(a.commit([at('row', 'new')]));
    const gone = a.commit([at('row', null, '2026-12-24')]);
    const kept = b.commit([at('row', 'better')]);
    a.take(kept);
    b.take(gone);
    expect([a.value('bicycle/b', 'row'), b.value('bicycle/b', 'row')]).toEqual(['better', 'better']);
    expect([...a.doubts(), ...b.doubts()]).toEqual([]);
  });
  test('a snapshot stands for its batches: an old batch that comes back brings nothing back', () => {
    const [a, b] = [new Replica('a.1'), new Replica('b.1')];
    const old = a.commit([at('price', 1)]);
    const newer = a.commit([at('price', 2)]);
    const snapshot = a.snapshot(1);
    expect(standsFor([old, newer, b.commit([])], snapshot)).toEqual([old, newer]);
    b.take(snapshot);
    expect([b.take(old), b.take(newer), b.take(snapshot)]).toEqual([false, false, false]);
    expect(b.value('bicycle/b', 'price')).toBe(2);
  });
  test('a file that is torn, foreign or of a newer release waits; under another name it is the same file', () => {
    const file = new Replica('a.1').commit([at('price', 1)]);
    const text = shareText(file, sumOf);
    expect(shareName(file)).toBe('a.1.b00000001.json');
    expect(readShare(text, sumOf)).toEqual({ file });
    for (let length = 0; length < text.length - 1; length++)
      expect(readShare(text.slice(0, length), sumOf)).toHaveProperty('waits');
    expect(readShare(text.replace('"price"', '"prise"'), sumOf)).toEqual({ waits: 'not whole' });
    expect(readShare('{"a": 1}\nx', sumOf)).toEqual({ waits: 'not ours' });
    expect(readShare(text.replace('"version":1', '"version":2'), sumOf)).toEqual({ waits: 'newer' });
    const hostile = JSON.stringify({ kind: 'batch', writer: '__proto__', number: 1, changes: [] });
    const head = JSON.stringify({ format: 'ergasto share', version: 1, sum: sumOf(hostile) });
    expect(readShare(`${head}\n${hostile}\n`, sumOf)).toEqual({ waits: 'not ours' });
  });
});

test('a foreign reader takes a file by the published schema, and adds up what stands by the rule of the page', () => {
  const schema = JSON.parse(readFileSync('docs/format/share.schema.json', 'utf8')) as object;
  expect(schema).toEqual(JSON.parse(JSON.stringify(shareJsonSchema())));
  const valid = new Ajv2020({ strict: false }).compile(schema);
  const [a, b] = [new Replica('a.1'), new Replica('b.1')];
  const files = [a.commit([at('price', 1), at('name', 'x')]), a.commit([at('price', 2)])];
  b.take(files[0]!);
  files.push(b.commit([at('name', null)]));
  const [entered, replaced] = [new Map<string, [string, unknown]>(), new Set<string>()];
  for (const text of files.toReversed().map((file) => shareText(file, sumOf))) {
    const body = JSON.parse(text.split('\n')[1]!) as {
      changes: { leaf: string; value: unknown; stamp: string; over: { stamp: string }[] }[];
    };
    expect(valid(body)).toBe(true);
    for (const { leaf, value, stamp, over } of body.changes) {
      entered.set(stamp, [leaf, value]);
      over.forEach((each) => replaced.add(each.stamp));
    }
  }
  const stands = Object.fromEntries([...entered].flatMap(([stamp, row]) => (replaced.has(stamp) ? [] : [row])));
  expect(stands).toEqual({ price: 2, name: null });
  for (const file of files) a.take(file);
  expect(Object.keys(stands).map((leaf) => a.value('bicycle/b', leaf))).toEqual(Object.values(stands));
});

describe('laws of a shared folder', () => {
  test('in whatever order files come, and however often, all who have the same files show the same', () => {
    const entry = fc.record({ by: fc.nat(2), leaf: fc.nat(2), value: fc.nat(3), hears: fc.nat(7) });
    fc.assert(
      fc.property(fc.array(entry, { maxLength: 14 }), fc.infiniteStream(fc.nat(1000)), (entries, luck) => {
        const writers = ['a.1', 'b.1', 'c.1'].map((writer) => new Replica(writer));
        const batches = entries.map(({ by, leaf, value, hears }, i) => {
          const batch = writers[by]!.commit([at(`l${leaf}`, value)]);
          writers.forEach((other, k) => k !== by && (hears >> k) % 2 === 1 && other.take(batch));
          // Now and then what one knows goes to another as a snapshot.
          if (i % 4 === 3) writers[(by + 1) % 3]!.take(writers[by]!.snapshot(i));
          return batch;
        });
        const shuffled = () =>
          [...batches, ...batches.slice(0, 3), ...writers.map((each) => each.snapshot(99))]
            .map((file) => ({ file, key: luck.next().value as number }))
            .toSorted((x, y) => x.key - y.key)
            .map(({ file }) => file);
        const [one, two] = [new Replica('x.1'), new Replica('y.1')];
        for (const file of shuffled()) one.take(file);
        for (const file of shuffled()) two.take(file);
        for (const each of writers) for (const file of shuffled()) each.take(file);
        for (const each of [two, ...writers]) {
          expect(each.told()).toBe(one.told());
          expect(each.doubts()).toEqual(one.doubts());
        }
      }),
      { numRuns: runs(3000, 200) },
    );
  });
  test.each(['folder', 'devices'] as const)(
    'an engine that means ill, and %s that are lost: all that was acknowledged is everywhere in the end, and all devices are the same',
    (loses) => {
      for (let seed = 1; seed <= runs(500, 75); seed++) {
        const shop = new MaliciousFolder(seed, loses);
        for (let step = 0; step < 100; step++) shop.step();
        shop.settle();
        const [first, ...others] = shop.devices.map(({ replica }) => replica);
        expect(shop.acknowledged.filter((name) => !first!.knows(name))).toEqual([]);
        for (const each of others) {
          expect(each.told()).toBe(first!.told());
          expect(each.doubts()).toEqual(first!.doubts());
          expect(shop.acknowledged.every((name) => each.knows(name))).toBe(true);
        }
      }
    },
  );
});
