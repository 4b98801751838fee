import fc from 'fast-check';
import { answer } from '../calculator';
import { ballMassG, ballsByWeight } from '../bearings/ballsByWeight';
import { checkAlike } from '../bearings/counts';
import { bicycleKind, withConsequences, type BicycleKind } from '../bicycle';
import { isCondition } from '../conditions';
import { places } from '../vocabulary/vocabulary';
import { MATERIALS } from '../clean/ways';
import { checksFor } from '../inspect/checks';
import { assembliesFor, assemblyAt, choicesFor, saysOf } from './assembly';
import { stripBoard } from './board';
import { assemblyRows, partKinds, partRows, stepRows } from './data/templates';
import { explodedLine } from './explode';
import { stripOrder, type StepRef } from './order';
import { backwards, skippedBy } from './tray';
import { constraintsAmong, stripTrays } from './trays';
import { FASTENERS } from './data/threadHands';
import { stripTurn } from './turn';

const kind = (changes: Partial<BicycleKind> = {}) => {
  const base = bicycleKind.parse({});
  return bicycleKind.parse({ ...base, ...withConsequences(base, changes) });
};
const KINDS: [string, BicycleKind][] = [
  ['a derailleur tourer', kind()],
  ['a nine-speed with discs', kind({ chain: '9-10-speed', brakes: 'disc', stem: 'threadless', cranks: 'pinch-bolt' })],
  ['a roadster with a hub gear', kind({ gears: 'hub', cranks: 'cottered', wheels: 'nutted', brakes: 'cantilever' })],
  ['a coaster', kind({ gears: 'coaster', cranks: 'one-piece', wheels: 'nutted' })],
  ['a single speed', kind({ gears: 'single' })],
];
const at = (order: StepRef[], place: string, step: string) =>
  order.findIndex((each) => each.place === place && each.step === step);

describe('the tables of assemblies', () => {
  test('every part lies in a known kind, every material and place is known, every condition can be asked', () => {
    const known = new Set(places.map((place) => place.id));
    for (const row of partRows) expect(partKinds.has(row.kind)).toBe(true);
    for (const { materials } of partKinds.values()) for (const each of materials) expect(MATERIALS).toContain(each);
    for (const row of assemblyRows) {
      for (const place of row.places) expect(known).toContain(place);
      if (row.applies) expect(isCondition(row.applies, Object.keys(bicycleKind.shape))).toBe(true);
    }
    for (const step of stepRows) expect(assemblyRows.some((row) => row.id === step.assembly)).toBe(true);
  });

  test('every step takes parts of its own assembly, no part twice, and every count has its row of balls', () => {
    for (const row of assemblyRows) {
      const assembly = assemblyAt(row.id, row.places[0]!);
      const ids = assembly.parts.map((part) => part.id);
      const taken = assembly.steps.flatMap((step) => step.takes);
      expect(new Set(ids).size).toBe(ids.length);
      expect(new Set(taken).size).toBe(taken.length);
      for (const id of taken) expect(ids).toContain(id);
      for (const { count } of assembly.steps)
        if (count) {
          expect(ids).toContain(`balls.${count}`);
          expect(assembly.balls.map((each) => each.id)).toContain(count);
        }
    }
  });

  test('nobody types a part list: every assembly that the trade strips is there', () => {
    const ids = assemblyRows.map((row) => row.id).join(' ');
    for (const word of [
      'hub-front',
      'freewheel',
      'freehub',
      'coaster',
      'headset-threaded',
      'headset-threadless',
      'bb-cup-cone',
      'bb-cartridge',
      'bb-press-fit',
      'cottered',
      'cranks-square',
      'pedal-sleeve',
      'pedal-cup-cone',
      'caliper',
      'cantilever',
      'derailleur-rear',
      'derailleur-front',
      'stem-quill',
      'on-the-frame',
      'shifter-flush',
    ])
      expect(ids).toContain(word);
  });

  test('a coaster hub has three retainers, one of smaller balls', () => {
    const { balls } = assemblyAt('hub-rear-coaster', 'hub.rear');
    expect(balls).toHaveLength(3);
    expect(new Set(balls.map((row) => row.fractionIn))).toEqual(new Set(['1/4', '3/16']));
  });

  test('the usual assembly follows from the kind, and what was chosen stands', () => {
    const rear = (each: BicycleKind, chosen = {}) =>
      assembliesFor(each, chosen).find((tray) => tray.place === 'hub.rear')!.id;
    expect(rear(kind())).toBe('hub-rear-freewheel');
    expect(rear(kind({ chain: '11-speed' }))).toBe('hub-rear-freehub');
    expect(rear(kind({ gears: 'coaster' }))).toBe('hub-rear-coaster');
    expect(rear(kind(), { 'hub.rear': 'hub-rear-freehub' })).toBe('hub-rear-freehub');
    expect(choicesFor(kind()).get('hub.rear')!.length).toBeGreaterThan(3);
  });
});

describe('the order of a strip', () => {
  test.each(KINDS)('%s: every constraint is kept, whatever is already done', (_name, each) => {
    const trays = assembliesFor(each);
    const constraints = constraintsAmong(trays);
    const { order } = stripOrder(trays, constraints);
    expect(order).toHaveLength(trays.reduce((sum, tray) => sum + tray.steps.length, 0));
    for (const { before, after } of constraints)
      expect(at(order, before.place, before.step)).toBeLessThan(at(order, after.place, after.step));
    for (const { place, steps } of trays)
      for (let i = 1; i < steps.length; i++)
        expect(at(order, place, steps[i - 1]!.id)).toBeLessThan(at(order, place, steps[i]!.id));
  });

  test('doing only open steps reaches the end from anywhere and never a blocked one (random hands)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...KINDS.map(([, each]) => each)),
        fc.array(fc.nat(30), { minLength: 40, maxLength: 40 }),
        (each, picks) => {
          const trays = assembliesFor(each);
          const constraints = constraintsAmong(trays);
          const done: StepRef[] = [];
          const total = trays.reduce((sum, tray) => sum + tray.steps.length, 0);
          for (let i = 0; done.length < total; i++) {
            const { open, blocked } = stripOrder(trays, constraints, done);
            expect(open.length).toBeGreaterThan(0);
            for (const step of blocked) expect(step.by.length).toBeGreaterThan(0);
            done.push(open[picks[i % picks.length]! % open.length]!);
          }
          for (const { before, after } of constraints)
            expect(at(done, before.place, before.step)).toBeLessThan(at(done, after.place, after.step));
        },
      ),
      { numRuns: 15 },
    );
  });

  test('pedals before cranks, freewheel before the rear axle, the ground checks before the stand, stem before headset', () => {
    const trays = assembliesFor(kind());
    const { order, blocked } = stripOrder(trays, constraintsAmong(trays));
    expect(at(order, 'pedal.left', 'off')).toBeLessThan(at(order, 'crank.right', 'bolt-left'));
    expect(at(order, 'hub.rear', 'freewheel')).toBeLessThan(at(order, 'hub.rear', 'axle'));
    expect(at(order, 'axle.front', 'ground')).toBeLessThan(at(order, 'axle.rear', 'off'));
    expect(at(order, 'stem', 'stem')).toBeLessThan(at(order, 'headset', 'locknut'));
    const waits = (place: string) => blocked.find((each) => each.place === place)?.by.map((each) => each.place);
    expect(waits('crank.right')).toEqual(['pedal.left', 'pedal.right']);
  });

  test('no hub before its wheel is out, no cups before the cranks are off: neither can be done now', () => {
    const trays = assembliesFor(kind());
    const { open, blocked } = stripOrder(trays, constraintsAmong(trays));
    const now = open.map(({ place }) => place);
    for (const place of ['hub.front', 'hub.rear', 'bottom-bracket', 'headset', 'crank.right']) {
      expect(now).not.toContain(place);
      expect(blocked.find((each) => each.place === place)!.by[0]!.why).not.toBe('');
    }
    expect(now).toEqual(expect.arrayContaining(['pedal.left', 'pedal.right', 'axle.front']));
    // A hub gear's cable is undone before its wheel comes out, and its hub is not in the way of that.
    const geared = assembliesFor(kind({ gears: 'hub', chain: 'single-or-hub-gear' }));
    expect(stripOrder(geared, constraintsAmong(geared)).open.map(({ place }) => place)).toContain('hub.rear');
  });

  describe('kept jobs lead', () => {
    const { trays, constraints, trayOf } = stripTrays.run(stripTrays.input.parse({ kind: kind() }));
    const order = stripOrder(trays, constraints);
    const board = (wanted: string[], alone: [string, string][] = [], begun: string[] = []) =>
      stripBoard({ trays, constraints, trayOf }, order, { wanted, alone: new Map(alone), begun: new Set(begun) });
    const places = (rows: { place: string }[]) => rows.map(({ place }) => place).sort();

    test('a job at the rear hub leads to the hub and to what stands in its way, and to nothing else', () => {
      const { led, lead, rest } = board(['hub.rear']);
      expect(led).toBe(true);
      expect(places(lead)).toEqual(expect.arrayContaining(['axle.front', 'axle.rear', 'hub.rear']));
      expect(places(lead)).not.toContain('bottom-bracket');
      expect(places(rest)).toEqual(expect.arrayContaining(['bottom-bracket', 'headset', 'pedal.left']));
      expect(lead.find(({ place }) => place === 'axle.rear')).toMatchObject({ inTheWay: true });
    });

    test('a hub whose parts lie in the tray has its wheel out, told or not', () => {
      const opened = new Set(['hub.front']);
      const { lead, underWay } = stripBoard({ trays, constraints, trayOf }, order, {
        wanted: ['hub.front'],
        alone: new Map(),
        begun: opened,
        opened,
      });
      expect(places(underWay)).toEqual(['hub.front']);
      expect(lead).toEqual([]);
      expect(places(board(['hub.front'], [], ['hub.front']).lead)).toContain('axle.front');
    });

    test('a tray that is wholly apart is under way until its parts are back', () => {
      const hub = trays.find(({ place }) => place === 'chain')!;
      const done = hub.steps.map((step) => ({ place: hub.place, step: step.id }));
      const then = (out: string[]) =>
        stripBoard({ trays, constraints, trayOf }, stripOrder(trays, constraints, done), {
          wanted: [],
          alone: new Map(),
          begun: new Set([hub.place]),
          out: new Set(out),
        });
      expect(places(then(['chain']).underWay)).toEqual(['chain']);
      expect(then(['chain']).apart).toEqual([]);
      expect(then([]).apart).toEqual(['chain']);
    });

    test('a tyre, a rim or a disc comes with its wheel, a chainring with the cranks', () => {
      expect(places(board(['tyre.rear']).lead)).toContain('axle.rear');
      expect(places(board(['chainrings']).lead)).toEqual(
        expect.arrayContaining(['crank.right', 'pedal.left', 'pedal.right']),
      );
    });

    test('what is left alone is left alone, unless it stands in the way or was begun', () => {
      const alone: [string, string][] = [
        ['hub.front', 'It feels right: leave well alone.'],
        ['pedal.left', 'Runs.'],
      ];
      expect(board(['chain'], alone).alone).toEqual([
        { place: 'hub.front', why: 'It feels right: leave well alone.' },
        { place: 'pedal.left', why: 'Runs.' },
      ]);
      expect(places(board(['chainrings'], alone).alone)).toEqual(['hub.front']);
      expect(places(board(['chain'], alone, ['hub.front']).underWay)).toEqual(['hub.front']);
    });

    test('with no job kept every tray is there, but for what is left alone', () => {
      const { led, lead, rest } = board([], [['hub.front', 'Runs.']]);
      expect(led).toBe(false);
      expect(rest).toEqual([]);
      expect(lead).toHaveLength(trays.length - 1);
    });
  });

  describe('what is found in a tray says what the bicycle is', () => {
    test.each([
      ['cranks-cottered', 'crank.right', { cranks: 'cottered' }],
      ['hub-rear-freehub', 'hub.rear', { cogsOn: 'cassette' }],
      ['headset-threadless', 'headset', { stem: 'threadless' }],
      ['disc-brake', 'brake.front', { frontBrake: 'disc' }],
      ['bb-cartridge', 'bottom-bracket', {}],
      ['cranks-square', 'crank.right', {}],
    ] as const)('%s at %s: %j', (assembly, place, says) => {
      expect(saysOf(assembly, place, kind())).toEqual(says);
    });

    test('a direct-pull brake is not made a cantilever by its tray', () => {
      expect(saysOf('brake-cantilever', 'brake.rear', kind({ brakes: 'direct-pull' }))).toEqual({});
    });

    test('a cassette that the bicycle is said to have lies in its tray', () => {
      const hub = (cogsOn: BicycleKind['cogsOn']) =>
        assembliesFor(kind({ chain: '5-8-speed', cogsOn })).find(({ place }) => place === 'hub.rear')!.id;
      expect([hub(null), hub('freewheel'), hub('cassette')]).toEqual([
        'hub-rear-freewheel',
        'hub-rear-freewheel',
        'hub-rear-freehub',
      ]);
    });

    test('of brakes that differ each end has its own tray and its own checks', () => {
      const mixed = kind({ brakes: 'caliper', frontBrake: 'disc' });
      const at = (place: string) => assembliesFor(mixed).find((each) => each.place === place)!.id;
      expect([at('brake.front'), at('brake.rear')]).toEqual(['disc-brake', 'brake-caliper']);
      const checks = checksFor(mixed).map(({ id }) => id);
      expect(checks).toEqual(expect.arrayContaining(['disc-front', 'braking-rear', 'locknut-rear']));
      expect(checks).not.toEqual(expect.arrayContaining(['disc-rear']));
      expect(checks).not.toContain('braking-front');
    });
  });

  test('pads out and discs off come before grease near a disc hub', () => {
    const trays = assembliesFor(kind({ chain: '9-10-speed', brakes: 'disc' }));
    const { order } = stripOrder(trays, constraintsAmong(trays));
    expect(at(order, 'brake.front', 'pads')).toBeLessThan(at(order, 'hub.front', 'locknut'));
    expect(at(order, 'brake.rear', 'disc')).toBeLessThan(at(order, 'hub.rear', 'balls-left'));
  });

  test('constraints that run in a circle are refused', () => {
    const trays = [assemblyAt('chain', 'chain')];
    const circle = [{ before: { place: 'chain', step: 'off' }, after: { place: 'chain', step: 'before' }, why: '' }];
    expect(() => stripOrder(trays, circle)).toThrow(/circle/);
  });
});

describe('putting back', () => {
  test('what came off last goes back first, and what would be passed over is named', () => {
    expect(backwards(['a', 'b', 'c'])).toEqual(['c', 'b', 'a']);
    expect(skippedBy('a', ['a', 'b', 'c'], ['c'])).toEqual(['b']);
    expect(skippedBy('c', ['a', 'b', 'c'], [])).toEqual([]);
  });
});

describe('which way, from both sides', () => {
  const turn = (input: object) => {
    const result = answer(stripTurn, input);
    if (!result.ok) throw new Error(JSON.stringify(result.errors));
    return result.output;
  };
  test('working from inside turns the rotation and never the movement', () => {
    for (const fastener of FASTENERS)
      for (const side of ['left', 'right'] as const)
        for (const standard of [null, 'english', 'italian'] as const) {
          const outside = turn({ fastener, side, action: 'loosen', standard });
          const inside = turn({ fastener, side, action: 'loosen', standard, from: 'inside' });
          if (outside.rotation === 'unknown') continue;
          expect(inside.rotation).not.toBe(outside.rotation);
          expect(inside.spannerUpMoves).toBe(outside.spannerUpMoves);
        }
  });
  test('every step that turns something says which way on every bicycle, or to identify it first', () => {
    for (const [, each] of KINDS)
      for (const tray of assembliesFor(each))
        for (const step of tray.steps)
          if (step.turn) {
            const found = turn({ fastener: step.turn.fastener, side: step.turn.side, action: 'loosen' });
            if (found.hand === 'unknown') expect(step.turn.fastener).toMatch(/^bottom-bracket/);
          }
  });
});

describe('balls on the scale', () => {
  test('nine of 1/4 in weigh 9.4 g', () => {
    expect(9 * ballMassG(6.35)).toBeCloseTo(9.42, 1);
    expect(ballsByWeight(9.4, 6.35)).toMatchObject({ count: 9, sure: true });
  });
  test('half a ball more is no count, and an empty scale is none', () => {
    expect(ballsByWeight(9.9, 6.35).sure).toBe(false);
    expect(ballsByWeight(0, 6.35).sure).toBe(false);
  });
  test('any count of any usual size is found again from a scale of a tenth of a gram, down to 1/8 in and 20 of them', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 20 }), fc.constantFrom(3.96875, 4.7625, 6.35), (count, diameterMm) => {
        const shown = Math.round(count * ballMassG(diameterMm) * 10) / 10;
        expect(ballsByWeight(shown, diameterMm).count).toBe(count);
      }),
    );
  });
});

describe('rows that are alike', () => {
  const row = (id: string, out: number | null, fractionIn = '3/32') => ({
    id,
    label: id,
    fractionIn,
    usual: 11,
    counts: { out, holds: null, in: null, answer: null },
  });
  test('twelve and eleven are asked about; two alike, one unknown or two sizes are not', () => {
    expect(checkAlike([row('inner', 12), row('outer', 11)]).question).toMatch(/usually alike/);
    expect(checkAlike([row('inner', 12), row('outer', 12)]).question).toBeNull();
    expect(checkAlike([row('inner', 12), row('outer', null)]).question).toBeNull();
    expect(checkAlike([row('upper', 25, '5/32'), row('lower', 21, '3/16')]).question).toBeNull();
  });
});

describe('the exploded line', () => {
  test.each(assemblyRows.map((row) => [row.id, row.places[0]!] as const))(
    '%s: parts lie side by side, none over another, none off the sheet',
    (id, place) => {
      const { parts } = assemblyAt(id, place);
      const line = explodedLine(parts);
      expect(line.parts.map((part) => part.id)).toEqual(parts.map((part) => part.id));
      line.parts.reduce((right, part) => {
        expect(part.x - part.widthMm / 2).toBeGreaterThan(right);
        return part.x + part.widthMm / 2;
      }, 0);
      expect(line.parts.at(-1)!.x + line.parts.at(-1)!.widthMm / 2).toBeLessThan(line.widthMm);
      for (const part of line.parts) expect(`${part.shape}${part.lines.join('')}`).not.toMatch(/NaN|Infinity/);
    },
  );
});
