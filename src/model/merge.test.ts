import fc from 'fast-check';
import { applyCommand, seenBy, type Command } from './commands';
import { newBicycle } from './fresh';
import { historyOf, withRow, amendment, type HistoryRow } from './history';
import { stacks } from './undoStacks';
import { changedLeaves, leavesOf, withLeaves } from './leaves';
import { compareCopies, mergeBicycles, sameRecord } from './merge';
import { orderOf } from './strip/trays';
import { fromSchema } from '../../tests/fromSchema';
import { overfull, refusedByBound } from './bounds';
import { openBicycle } from './migrate/migrate';
import { bicycleRecord, type Bicycle } from './record';

const AT = '2026-11-25T10:00:00.000Z';
const at = (minute: number) => new Date(Date.parse(AT) + minute * 60_000).toISOString();
const origin = (): Bicycle => ({ ...newBicycle('b1', AT, 'Green tourer'), sharedAt: at(1) });

const command: fc.Arbitrary<Command> = fc.oneof(
  fc.constantFrom('preserve', 'period', 'donor').map((brief): Command => ({ type: 'setBrief', brief })),
  fc.nat(500).map((asking): Command => ({ type: 'setAppraisal', changes: { asking: asking * 100 } })),
  fc
    .constantFrom('disc', 'drum', 'cantilever')
    .map((brakes): Command => ({ type: 'describeKind', changes: { brakes } })),
  fc.tuple(fc.nat(3), fc.integer({ min: 1, max: 90 })).map(([i, minutes]): Command => ({
    type: 'putMinutes',
    entry: { id: `m${i}`, stage: 'strip', minutes, at: AT, place: null },
  })),
  fc.nat(3).map((i): Command => ({ type: 'removeMinutes', entry: `m${i}` })),
  fc.nat(3).map((i): Command => ({
    type: 'addObservation',
    observation: {
      id: `o${i}`,
      check: 'chain',
      at: at(i),
      evidence: { pitches: 24, lengthMm: 306 + i },
      note: '',
      seenAs: 'bought' as const,
      withdrawn: false,
    },
  })),
  fc.nat(3).map((i): Command => ({ type: 'withdrawObservation', observation: `o${i}` })),
  fc.nat(12).map((out): Command => ({ type: 'countBalls', place: 'hub.front', side: 'left', changes: { out } })),
  fc.constantFrom('tight', 'tick', 'smooth').map((feel): Command => ({
    type: 'addTrial',
    place: 'hub.front',
    trial: { id: `t${feel}`, turnDeg: 5, feel, clamped: false },
  })),
);

/** A copy after some commands, each at a minute and with an id of its own. */
function changed(who: string, commands: Command[], from = origin(), first = 2): Bicycle {
  return commands.reduce<Bicycle>(
    (bicycle, each, i) => applyCommand(bicycle, { id: `${who}${i}`, bicycle: 'b1', at: at(first + i), command: each }),
    from,
  );
}
const commands = fc.array(command, { maxLength: 8 });
const facts = (bicycle: Bicycle) => [...leavesOf(bicycle)].sort(([x], [y]) => (x < y ? -1 : 1));

describe('leaves', () => {
  test('setting what changed gives the changed bicycle, and setting it back gives the old one', () => {
    fc.assert(
      fc.property(commands, (list) => {
        const before = origin();
        const after = changed('a', list, before);
        const changes = changedLeaves(before, after);
        expect(
          facts(
            withLeaves(
              before,
              changes.map((c) => [c.leaf, c.after]),
            ),
          ),
        ).toEqual(facts(after));
        const back = withLeaves(
          after,
          changes.map((c) => [c.leaf, c.before]),
        );
        // A tray that was opened stays as an empty one: it has leaves of its own that were never there before.
        expect(changedLeaves(before, back).filter((c) => !/^(trays|bearings)\//.test(c.leaf))).toEqual([]);
      }),
    );
  });
});

describe('merging two copies of a bicycle', () => {
  test('it does not matter which copy arrives at which', () => {
    fc.assert(
      fc.property(commands, commands, (left, right) => {
        const a = changed('a', left);
        const b = changed('b', right);
        const one = mergeBicycles(a, b);
        const two = mergeBicycles(b, a);
        expect(facts(one)).toEqual(facts(two));
        expect(one.conflicts).toEqual(two.conflicts);
        expect(one.stamps).toEqual(two.stamps);
      }),
    );
  });

  test('merging with itself, or again, changes nothing', () => {
    fc.assert(
      fc.property(commands, commands, (left, right) => {
        const a = changed('a', left);
        const b = changed('b', right);
        expect(sameRecord(mergeBicycles(a, a), a)).toBe(true);
        expect(mergeBicycles(a, a)).toMatchObject({ stamps: a.stamps, revision: a.revision, conflicts: [] });
        const once = mergeBicycles(a, b);
        expect(sameRecord(mergeBicycles(once, b), once)).toBe(true);
        expect(mergeBicycles(once, b).conflicts).toEqual(once.conflicts);
      }),
    );
  });

  test('three copies give the same, in whatever order they meet', () => {
    fc.assert(
      fc.property(commands, commands, commands, (x, y, z) => {
        const [a, b, c] = [changed('a', x), changed('b', y), changed('c', z)] as const;
        expect(facts(mergeBicycles(mergeBicycles(a, b), c))).toEqual(facts(mergeBicycles(a, mergeBicycles(b, c))));
      }),
    );
  });

  test('no observation is ever lost, and they stand in the order in which they were made', () => {
    fc.assert(
      fc.property(commands, commands, (left, right) => {
        const a = changed('a', left);
        const b = changed('b', right);
        const { observations } = mergeBicycles(a, b);
        const ids = new Set([...a.observations, ...b.observations].map((row) => row.id));
        expect(new Set(observations.map((row) => row.id))).toEqual(ids);
        expect(observations.map((row) => row.at)).toEqual(observations.map((row) => row.at).sort());
      }),
    );
  });

  test('different things changed on phone and laptop stand side by side, without a question', () => {
    const phone = changed('p', [{ type: 'describeKind', changes: { brakes: 'disc' } }]);
    const laptop = changed('l', [{ type: 'setAppraisal', changes: { asking: 9000 } }]);
    expect(mergeBicycles(phone, laptop)).toMatchObject({
      kind: { brakes: 'disc' },
      appraisal: { asking: 9000 },
      conflicts: [],
    });
    expect(compareCopies(phone, laptop)).toBe('both');
  });

  test('one field changed on both since they were together: the later stands, the other is kept and asked about', () => {
    const phone = changed('p', [{ type: 'setAppraisal', changes: { asking: 9000 } }], origin(), 3);
    const laptop = changed('l', [{ type: 'setAppraisal', changes: { asking: 8000 } }], origin(), 5);
    expect(mergeBicycles(phone, laptop)).toMatchObject({
      appraisal: { asking: 8000 },
      conflicts: [{ leaf: 'appraisal/asking', kept: 8000, other: 9000 }],
    });
  });

  test('different steps of one overhaul ticked on phone and laptop both stand, without a question', () => {
    const tick = (step: string): Command => ({ type: 'overhaulStep', place: 'hub.front', step, done: true });
    const merged = mergeBicycles(changed('p', [tick('clean')]), changed('l', [tick('grease')], origin(), 3));
    expect(merged.conflicts).toEqual([]);
    expect([...merged.bearings[0]!.doneSteps].sort()).toEqual(['clean', 'grease']);
  });

  test('two who strip one hub lay down what each took off, in the order in which each did', () => {
    const take = (step: string, ...takes: string[]): Command => ({
      type: 'markStep',
      place: 'hub.front',
      step,
      done: true,
      takes,
    });
    const merged = mergeBicycles(
      changed('p', [take('left', 'locknut.left', 'washer.left'), take('cone', 'cone.left')]),
      changed('l', [take('skewer', 'skewer')], origin(), 3),
    );
    expect(merged.conflicts).toEqual([]);
    const order = orderOf(merged.trays[0]!);
    expect([...order].sort()).toEqual(['cone.left', 'locknut.left', 'skewer', 'washer.left']);
    expect(order.filter((part) => part !== 'skewer')).toEqual(['locknut.left', 'washer.left', 'cone.left']);
  });

  test('a row may bear any name, and none is lost by it', () => {
    const note = (id: string): Command => ({
      type: 'addNote',
      note: { id, place: null, text: id, sound: null, at: AT, withdrawn: false },
    });
    const merged = mergeBicycles(changed('p', [note('__proto__')]), changed('l', [note('constructor')], origin(), 3));
    expect(merged.notes.map(({ id }) => id).sort()).toEqual(['__proto__', 'constructor']);
  });

  test('a copy from before is older, one carried on is newer, an unknown one is new', () => {
    const before = origin();
    const after = changed('a', [{ type: 'setBrief', brief: 'donor' }]);
    expect(compareCopies(after, before)).toBe('older');
    expect(compareCopies(before, after)).toBe('newer');
    expect(compareCopies(after, structuredClone(after))).toBe('same');
    expect(compareCopies(undefined, after)).toBe('new');
  });
});

describe('whatever is merged can be opened again', () => {
  const record = fromSchema(bicycleRecord)
    .map((made) => ({ ...(made as object), id: 'b1' }))
    .filter((made) => bicycleRecord.safeParse(made).success) as fc.Arbitrary<Bicycle>;

  test('any two records that open merge into one that opens, and it does not matter which way', () => {
    fc.assert(
      fc.property(record, record, (a, b) => {
        const merged = mergeBicycles(a, b);
        const opened = openBicycle(JSON.parse(JSON.stringify(merged)));
        expect(opened).toMatchObject({ ok: true, migrated: false });
        expect(mergeBicycles(b, a).conflicts).toEqual(merged.conflicts);
        const ids = (rows: { id: string }[]) => new Set(rows.map((row) => row.id));
        for (const list of ['observations', 'notes'] as const)
          expect(ids(merged[list])).toEqual(new Set([...ids(a[list]), ...ids(b[list])]));
      }),
    );
  });

  const lines = (who: string, count: number): Command[] =>
    Array.from({ length: count }, (_, i) => ({
      type: 'putCostLine',
      line: {
        id: `${who}${i}`,
        label: `${who} ${i}`,
        kind: 'fault',
        chance: 1,
        parts: { low: 1, likely: 1, high: 1 },
        minutes: { low: 1, likely: 1, high: 1 },
      },
    }));

  test('sixty cost lines here and seventy there are a hundred and thirty-one, and nobody minds', () => {
    const merged = mergeBicycles(changed('a', lines('a', 60)), changed('b', lines('b', 70)));
    expect(merged.appraisal.lines).toHaveLength(131);
    expect(openBicycle(structuredClone(merged))).toMatchObject({ ok: true });
    expect(overfull(merged)).toEqual([]);
  });

  test('a list that outgrows what can be worked with still opens, is told with the way out, and takes no more', () => {
    const merged = mergeBicycles(changed('a', lines('a', 150)), changed('b', lines('b', 150)));
    expect(openBicycle(structuredClone(merged))).toMatchObject({ ok: true });
    expect(overfull(merged)).toMatchObject([
      { count: 301, most: 200, words: '301 cost lines, and 200 is the most: take some out on Buy' },
    ]);
    const more = changed('c', lines('c', 1), merged, 400);
    expect(refusedByBound(merged, more)).toContain('That list is full');
    const fewer = changed('c', [{ type: 'removeCostLine', line: 'a0' }], merged, 400);
    expect(refusedByBound(merged, fewer)).toBeNull();
  });

  test('two hundred and fifty things entered twice are all asked about', () => {
    const entries = (who: string, minutes: number): Command[] =>
      Array.from({ length: 250 }, (_, i) => ({
        type: 'putMinutes',
        entry: { id: `m${i}`, stage: 'strip', minutes: minutes + i, at: AT, place: null },
      }));
    const merged = mergeBicycles(changed('a', entries('a', 1)), changed('b', entries('b', 500)));
    expect(merged.conflicts).toHaveLength(250);
    expect(openBicycle(structuredClone(merged))).toMatchObject({ ok: true });
  });
});

describe('two tabs', () => {
  const sent = (id: string, step: Command, from: Bicycle) => {
    const bare = { id, bicycle: 'b1', at: at(5), command: step };
    return { ...bare, seen: seenBy(from, applyCommand(from, bare)) };
  };
  test('what stood so already where it was said does not undo what the other tab has just put down', () => {
    const begin = origin();
    const other = applyCommand(begin, sent('a', { type: 'describeKind', changes: { brakes: 'disc' } }, begin));
    const both: Command = { type: 'describeKind', changes: { brakes: 'caliper', bars: 'flat' } };
    expect(applyCommand(other, sent('b', both, begin))).toMatchObject({
      kind: { brakes: 'disc', bars: 'flat' },
      conflicts: [],
    });
  });
  test('the first word on a bearing in each of two tabs: both stand, and nothing is asked of the rest', () => {
    const begin = origin();
    const seen: Command = { type: 'seeInside', place: 'hub.front', changes: { cup: 'pitted' } };
    const counted: Command = { type: 'countBalls', place: 'hub.front', side: 'left', changes: { out: 9 } };
    const after = applyCommand(applyCommand(begin, sent('a', seen, begin)), sent('b', counted, begin));
    expect(after).toMatchObject({
      bearings: [{ seen: { cup: 'pitted' }, balls: { left: { out: 9 } } }],
      conflicts: [],
    });
  });
});

describe('stamps', () => {
  test('those of another form are brought to ours, and what names no moment is refused', () => {
    const stored = (stamp: string) => ({ ...origin(), stamps: { name: stamp } });
    for (const [from, ours] of [
      ['2026-11-25T11:00:00+01:00 c1', '2026-11-25T10:00:00.000Z c1'],
      ['2026-11-25T10:00:00Z c1', '2026-11-25T10:00:00.000Z c1'],
      ['2026-11-25T10:00:00.5Z  a b', '2026-11-25T10:00:00.500Z a-b'],
      ['2026-11-25T10:00:00.000Z', '2026-11-25T10:00:00.000Z unknown'],
    ])
      expect(openBicycle(stored(from!))).toMatchObject({ ok: true, bicycle: { stamps: { name: ours } } });
    for (const strange of ['', 'zzzz', '9', 'tomorrow x', '2026-13-45T99:99:99Z x'])
      expect(openBicycle(stored(strange))).toMatchObject({ ok: false, why: 'damaged', detail: 'stamps' });
  });

  test('a stamp without milliseconds does not make a merge that cannot be opened', () => {
    const a = { ...changed('a', [{ type: 'setBrief', brief: 'donor' }]), stamps: { brief: '2026-11-25T12:00:00Z x' } };
    const opened = openBicycle(a);
    if (!opened.ok) throw new Error(opened.detail);
    const merged = mergeBicycles(opened.bicycle, changed('b', [{ type: 'setBrief', brief: 'period' }]));
    expect(merged.conflicts).toHaveLength(1);
    expect(openBicycle(structuredClone(merged))).toMatchObject({ ok: true });
  });

  test('a version is a whole number that some release wrote', () => {
    for (const schemaVersion of [-1e308, -1, 0.5, 1e308, Infinity, NaN, '5', [], {}, true])
      expect(openBicycle({ ...origin(), schemaVersion })).toMatchObject({ ok: false });
  });
});

describe('taking back', () => {
  test('what was nothing before is nothing again, and the record can still be opened', () => {
    const list: Command[] = [
      { type: 'recordPurchase', paid: 9000, at: AT },
      { type: 'setSale', changes: { price: 15000 } },
      { type: 'archive', at: AT },
      { type: 'answerDoor', line: 'stem', answer: 'bad', at: AT, by: '' },
      { type: 'sizeBolt', bolt: 'stem', place: 'stem', size: 'M8' },
      { type: 'markStep', place: 'hub.front', step: 'cone', done: true, takes: ['cone.left'] },
      { type: 'describeKind', changes: { bottomBracket: 'english' } },
      { type: 'measureBearing', place: 'hub.front', changes: { overBallsMm: 30 } },
      { type: 'setSoil', place: 'hub.front', part: 'cone.left', soil: 'rust' },
    ];
    for (const each of list) {
      const sent = { id: 'c1', bicycle: 'b1', at: at(2), command: each };
      const after = applyCommand(origin(), sent);
      const undo = amendment(historyOf(origin(), after, sent)!, 'undo');
      const back = applyCommand(after, { id: 'c2', bicycle: 'b1', at: at(3), command: undo });
      expect([each.type, bicycleRecord.safeParse(back).success, back.recent.at(-1)]).toEqual([each.type, true, 'c2']);
      expect(changedLeaves(origin(), back).filter((c) => !/^(trays|bearings)\//.test(c.leaf))).toEqual([]);
    }
  });

  test('everything undone gives the facts of the beginning, redone those of the end', () => {
    fc.assert(
      fc.property(commands, (list) => {
        let rows: HistoryRow[] = [];
        let n = 0;
        const act = (bicycle: Bicycle, each: Command): Bicycle => {
          const envelope = { id: `c${n}`, bicycle: 'b1', at: at(n++), command: each };
          const next = applyCommand(bicycle, envelope);
          const row = historyOf(bicycle, next, envelope);
          if (row) rows = withRow(rows, row);
          return next;
        };
        const live = (bicycle: Bicycle) => ({
          ...Object.fromEntries(facts(bicycle).filter(([leaf]) => !/^(observations|trays|bearings)\//.test(leaf))),
          observations: bicycle.observations.filter((row) => !row.withdrawn).map((row) => row.id),
        });
        const begin = origin();
        const end = list.reduce(act, begin);
        let back = end;
        while (stacks(rows).undo.length) back = act(back, amendment(stacks(rows).undo.at(-1)!, 'undo'));
        expect(live(back)).toEqual(live(begin));
        while (stacks(rows).redo.length) back = act(back, amendment(stacks(rows).redo.at(-1)!, 'redo'));
        expect(facts(back)).toEqual(facts(end));
      }),
    );
  });
});
