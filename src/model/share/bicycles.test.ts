import fc from 'fast-check';
import * as z from 'zod/mini';
import { fromSchema } from '../../../tests/fromSchema';
import { runs } from '../../../tests/runs';
import { applyCommand, command, type Command } from '../commands';
import { newBicycle } from '../fresh';
import { changedLeaves, staysHere, withoutEmptyRows } from '../leaves';
import { bicycleRecord, type Bicycle } from '../record';
import { bicycleOf, enteredBy } from './bicycles';
import { Replica } from './replica';

const AT = '2026-11-25T10:00:00.000Z';
const at = (minute: number) => new Date(Date.parse(AT) + minute * 60_000).toISOString();
const options = (command as unknown as { def: { options: z.ZodMiniObject<{ type: z.ZodMiniLiteral<string> }>[] } }).def
  .options;
/** Commands of every kind, three of each, on few names, so that they meet. */
const all = options
  .map((option) => ({ type: option.shape.type.def.values[0]!, made: fromSchema(option, 'few', ['a', 'b']) }))
  .filter(({ type }) => type !== 'amend' && type !== 'settleConflict')
  .flatMap(({ made }) =>
    fc
      .sample(made, { numRuns: 9, seed: 11 })
      .flatMap((each) => {
        const parsed = command.safeParse(each);
        return parsed.success ? [parsed.data] : [];
      })
      .slice(0, 3),
  );

/** A device with its own copy of the bicycle, and what it knows of the folder. */
function device(writer: string) {
  const replica = new Replica(writer);
  let here: Bicycle | null = null;
  return {
    replica,
    begin: (bicycle: Bicycle) => {
      here = bicycle;
      return replica.commit(enteredBy(null, bicycle));
    },
    do: (step: Command, minute: number, id: string) => {
      const shown = here ?? bicycleOf(replica, 'b')!;
      const next = applyCommand(shown, { id, bicycle: 'b', at: at(minute), command: step });
      here = next;
      return replica.commit(enteredBy(shown, next));
    },
    take: (file: Parameters<Replica['take']>[0]) => {
      if (replica.take(file)) here = bicycleOf(replica, 'b');
    },
    shown: () => bicycleOf(replica, 'b')!,
    here: () => here!,
  };
}

test('there are commands of every kind to try with', () => expect(all.length).toBeGreaterThan(150));

test('what one device does stands in the folder as it stands with it, leaf by leaf, and is a record', () => {
  fc.assert(
    fc.property(fc.array(fc.nat(all.length - 1), { maxLength: 12 }), (steps) => {
      const alone = device('a.1');
      alone.begin(newBicycle('b', AT, 'Green tourer'));
      steps.forEach((k, i) => alone.do(all[k]!, i + 1, `c${i}`));
      const shown = alone.shown();
      expect(bicycleRecord.safeParse(shown).success).toBe(true);
      // A tray that nobody has put anything in is no change of anybody's.
      const differ = withoutEmptyRows(changedLeaves(shown, alone.here()));
      // The clock and where the bench stands are each device's own.
      expect(differ.filter(({ leaf }) => !staysHere(leaf))).toEqual([]);
      const shared = Object.entries(alone.here().stamps).filter(([leaf]) => !staysHere(leaf));
      expect(shown.stamps).toEqual(Object.fromEntries(shared));
      expect(shown.conflicts).toEqual([]);
    }),
    { numRuns: runs(1000, 80) },
  );
});

test('two strip and a third proves: in whatever order it reaches them, their exports are the same to the byte', () => {
  const step = fc.record({ by: fc.nat(2), what: fc.nat(all.length - 1), hears: fc.nat(7) });
  fc.assert(
    fc.property(fc.array(step, { maxLength: 14 }), fc.infiniteStream(fc.nat(1000)), (steps, luck) => {
      const three = [device('a.1'), device('b.1'), device('c.1')];
      const first = three[0]!.begin(newBicycle('b', AT, 'Green tourer'));
      three.slice(1).forEach((each) => each.take(first));
      const files = steps.map(({ by, what, hears }, i) => {
        const batch = three[by]!.do(all[what]!, i + 1, `c${i}`);
        three.forEach((other, k) => k !== by && (hears >> k) % 2 === 1 && other.take(batch));
        return batch;
      });
      for (const each of three)
        for (const { file } of files
          .map((batch) => ({ file: batch, key: luck.next().value as number }))
          .toSorted((x, y) => x.key - y.key))
          each.take(file);
      const [one, two, other] = three.map((each) => JSON.stringify(each.shown()));
      expect(two).toBe(one);
      expect(other).toBe(one);
      expect(bicycleRecord.safeParse(JSON.parse(one!)).success).toBe(true);
    }),
    { numRuns: runs(1000, 60) },
  );
});

test('both change one field without knowing: it is asked about once, and whoever answers answers for all', () => {
  const [a, b] = [device('a.1'), device('b.1')];
  b.take(a.begin(newBicycle('b', AT, 'Green tourer')));
  const left = a.do({ type: 'renameBicycle', name: 'Green one' }, 1, 'l');
  const right = b.do({ type: 'renameBicycle', name: 'The tourer' }, 2, 'r');
  a.take(right);
  b.take(left);
  expect(a.shown().conflicts).toMatchObject([{ leaf: 'name', kept: 'The tourer', other: 'Green one' }]);
  expect(b.shown().conflicts).toEqual(a.shown().conflicts);
  a.take(b.do({ type: 'renameBicycle', name: 'Green one' }, 3, 's'));
  expect([a.shown(), b.shown()].map(({ name, conflicts }) => [name, conflicts])).toEqual([
    ['Green one', []],
    ['Green one', []],
  ]);
});
