import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import type * as z from 'zod/mini';
import { runs } from '../../tests/runs';
import { BRAKES, FRAMES, GEARS, bicycleKind } from './bicycle';
import { answer, type Calculator } from './calculator';
import { decideJobs } from './decide/jobs';
import { inspectTyreAge } from './inspect/tyreAge';
import { bearingsBenches } from './bearings/bench';
import { ROUND_POINTS, roundPointWords } from './bearings/round';
import { outcomesFor } from './inspect/check';
import { checksFor } from './inspect/checks';
import { doorChecksFor } from './buy/door';
import { identifyMatch } from './identify/match';
import { identifyTables } from './identify/tables';
import { practiceLevels } from './practice/levels';
import { freshState, hiddenHub, scoreRound } from './practice/hub';
import { normalCdf } from './numbers';
import { rowsOf, tables } from '../../scripts/tables.mjs';
import { isCondition } from './conditions';
import { buildFacts, buildInput } from './rebuild/buildFacts';
import { stripTrays } from './strip/trays';
import { rebuildBolts } from './rebuild/bolts';
import { stateOf } from './vocabulary/verdicts';
import { places } from './vocabulary/vocabulary';
import { bearingsAdjustCone } from './bearings/adjustCone';
import { bearingsCartridgeSet } from './bearings/cartridgeSet';
import { bearingsContact } from './bearings/contact';
import { bearingsGrade } from './bearings/grade';
import { bearingsIdentifyCartridge } from './bearings/identifyCartridge';
import { bearingsServiceDue } from './bearings/serviceDue';
import { buyComparables } from './buy/comparables';
import { buyFit } from './buy/fit';
import { cleanPlan } from './clean/plan';
import { inspectChainWear } from './inspect/chainWear';
import { inspectDisc } from './inspect/disc';
import { inspectRimPlay } from './inspect/rimPlay';
import { inspectSpokeMap } from './inspect/spokeMap';
import { moneyAppraise } from './money/appraise';
import { moneyDrive } from './money/drive';
import { stripLadder } from './strip/ladder';
import { stripStuck } from './strip/stuck';
import { stripTurn } from './strip/turn';
import { isSwapped } from './bearings/cartridgeSize';
import { benchRows } from './bearings/data/benches';
import { runoutOf, USUAL_ROWS } from './inspect/questions';
import { stuckSteps } from './strip/data/stuckSteps';

/** These are facts of the trade, asked as any program would ask. */
function ask<S extends z.ZodMiniType, O>(calculator: Calculator<S, O>, question: unknown): O {
  const result = answer(calculator, question);
  if (!result.ok) throw new Error(JSON.stringify(result.errors));
  return result.output;
}
const refused = (calculator: Calculator, question: unknown) => {
  const result = answer(calculator, question);
  return result.ok ? [] : result.errors;
};

describe('cartridges', () => {
  test('a bore that is not under its outside is refused at the bore, also among others', () => {
    const swapped = { path: 'boreMm', message: expect.stringMatching(/swapped/) as string };
    expect(refused(bearingsIdentifyCartridge, { boreMm: 28, odMm: 15, widthMm: 7 })).toEqual([swapped]);
    expect(refused(bearingsIdentifyCartridge, { boreMm: 15, odMm: 15, widthMm: 7 })).toEqual([swapped]);
    const cartridges = [
      { id: 'left', boreMm: 15, odMm: 28, widthMm: 7 },
      { id: 'right', boreMm: 28, odMm: 15, widthMm: null },
    ];
    expect(refused(bearingsCartridgeSet, { cartridges })).toEqual([{ ...swapped, path: 'cartridges.1.boreMm' }]);
    expect(isSwapped(28, null)).toBe(false);
  });

  test('clear play in a cartridge comes before its roughness: it is renewed whatever the balls and the rule say', () => {
    const grade = { kind: 'cartridge', place: 'hub.front', feel: 'gritty', play: 'clear', balls: 'bright' };
    for (const cartridges of ['replace-when-rough', 'repack-if-balls-bright'])
      expect(ask(bearingsGrade, { ...grade, rules: { cartridges } })).toMatchObject({
        verdict: 'renew-cartridge',
        rule: null,
      });
  });

  test('front-hub and rear-hub are hubs: their cartridges last twice as long', () => {
    const usual = {
      kind: 'cartridge',
      lastServiced: '2026-11-27',
      use: 'mixed',
      hoursPerWeek: 5,
      grease: 'standard',
      seal: 'good',
    };
    for (const place of ['front-hub', 'rear-hub', 'hub.front', 'hub.rear'])
      expect(ask(bearingsServiceDue, { ...usual, place }).months).toBe(24);
    expect(ask(bearingsServiceDue, { ...usual, place: 'headset' }).months).toBe(12);
  });
});

describe('a rock at the rim', () => {
  test('rows of cup and cone stand back to back: movement = 2·R·play/(L + D·tan α)', () => {
    fc.assert(
      fc.property(
        fc.record({
          play: fc.double({ min: 0.01, max: 0.5, noNaN: true }),
          leverMm: fc.double({ min: 100, max: 400, noNaN: true }),
          spanMm: fc.double({ min: 20, max: 120, noNaN: true }),
          circleMm: fc.double({ min: 0, max: 50, noNaN: true }),
          contactDeg: fc.double({ min: 20, max: 60, noNaN: true }),
        }),
        ({ play, leverMm, spanMm, circleMm, contactDeg }) => {
          const movementMm = (2 * leverMm * play) / (spanMm + circleMm * Math.tan((contactDeg * Math.PI) / 180));
          const found = ask(inspectRimPlay, { movementMm, leverMm, spanMm, circleMm, contactDeg });
          expect(found.radialMm).toBeCloseTo(play, 5);
        },
      ),
      { numRuns: runs(100) },
    );
    expect(ask(inspectRimPlay, { movementMm: 1, leverMm: 311, spanMm: 60 }).radialMm).toBeCloseTo(0.0965, 4);
  });

  test('it is near seven times the play for a usual front hub', () => {
    const { radialMm } = ask(inspectRimPlay, { movementMm: 1, leverMm: 311, ...USUAL_ROWS['hub-front'] });
    expect(1 / radialMm).toBeGreaterThan(6.5);
    expect(1 / radialMm).toBeLessThan(8.5);
  });

  test('the look-over takes the rows that the table of benches has', () => {
    for (const [assembly, { spanMm, circleMm }] of Object.entries(USUAL_ROWS)) {
      const row = benchRows.find((each) => each.assembly === assembly)!;
      expect([assembly, spanMm, circleMm]).toEqual([assembly, row.rowsApartMm, row.circleMm]);
    }
  });
});

describe('from sold prices', () => {
  const today = '2026-11-27';
  const sales = (...rows: [number, string | null][]) =>
    rows.map(([price, soldOn], i) => ({ id: `s${i}`, label: 'one', price, soldOn }));

  test('three sales of 2008 at 200, 300, 400 have 300 in the middle', () => {
    const old = sales([20000, '2008-03-01'], [30000, '2008-03-01'], [40000, '2008-03-01']);
    expect(ask(buyComparables, { sales: old, today }).range!.likely).toBe(30000);
  });

  test('sales of the year one have a middle too', () => {
    const old = sales([20000, '0001-01-01'], [30000, '0001-01-01'], [40000, '0001-01-01']);
    expect(ask(buyComparables, { sales: old, today }).range!.likely).toBe(30000);
  });

  test('one of 900 among four of 300 is told as unlike; one of 320 is not', () => {
    const four = Array<[number, null]>(4).fill([30000, null]);
    const among = (price: number) => ask(buyComparables, { sales: sales(...four, [price, null]), today }).leftOut;
    expect(among(90000)).toMatchObject([{ id: 's4', price: 90000 }]);
    expect(among(32000)).toEqual([]);
  });

  test('a sale after today is refused at its day', () => {
    const rows = sales([20000, null], [30000, '2026-11-28']);
    expect(refused(buyComparables, { sales: rows, today })).toMatchObject([{ path: 'sales.1.soldOn' }]);
    expect(refused(buyComparables, { sales: sales([30000, today]), today })).toEqual([]);
  });
});

describe('whom it fits, and whether to drive there', () => {
  test('an inseam that was measured decides over the height', () => {
    const frame = { kind: 'road', sizeMm: 560, convention: 'centre-top' };
    expect(ask(buyFit, { ...frame, riderMm: 1790 }).verdict).toBe('fits');
    const found = ask(buyFit, { ...frame, riderMm: 1790, inseamMm: 760 });
    expect(found.verdict).toBe('large');
    expect(found.reasons).toContain('It is large for an inseam of 760 mm.');
  });

  const appraisal = {
    currency: 'EUR',
    asking: 0,
    resale: { low: 20000, likely: 30000, high: 38000 },
    costs: [
      { label: 'Wash', parts: { low: 200, likely: 500, high: 1500 }, minutes: { low: 30, likely: 60, high: 120 } },
      { label: 'Tyres', parts: { low: 2400, likely: 3600, high: 6000 }, minutes: { low: 25, likely: 35, high: 60 } },
    ],
    target: { kind: 'hourly', amount: 1500 },
    trials: 4000,
  };
  const drive = (changes: object) =>
    ask(moneyDrive, { appraisal: { ...appraisal, ...changes }, travel: { distanceKm: 1, costPerKm: 0 }, haggle: 0 });

  test('the buyer at the door decides by the quantile of money.appraise, to the unit', () => {
    for (const confidence of [0.5, 0.8, 0.95]) {
      const raw = ask(moneyAppraise, { ...appraisal, confidence }).working.find((row) => row.symbol === 'Q')!
        .value as number;
      expect(drive({ confidence, asking: Math.floor(raw) }).buyChance).toBe(1);
      expect(drive({ confidence, asking: Math.ceil(raw) + 1 }).buyChance).toBe(0);
    }
  });

  test('more certainty wanted is never bought more often', () => {
    const costs = appraisal.costs.map((line) => ({ ...line, chance: 0.4 }));
    const bought = [0.5, 0.7, 0.9, 0.99].map((confidence) => drive({ costs, confidence, asking: 21000 }).buyChance);
    expect(bought).toEqual([...bought].sort((a, b) => b - a));
    expect(bought[0]).toBeGreaterThan(bought[3]!);
  });
});

describe('squeezed spokes', () => {
  const alike = (feel: string) => ask(inspectSpokeMap, { pairs: Array<string>(16).fill(feel) });

  test('sixteen alike are alike, and none of them is odd', () => {
    for (const feel of ['even', 'hard', 'soft', 'slack'])
      expect(alike(feel)).toMatchObject({ odd: [], worstRun: 0, spreadPercent: 0 });
    expect(alike('even').verdict).toBe('even');
    expect(alike('hard').verdict).toBe('even');
    expect(alike('slack').verdict).toBe('slack');
  });

  test('a dished wheel compares within its sides: one side soft by right is even, one of its pairs slack is odd', () => {
    const sides = Array.from({ length: 16 }, (_, i) => (i % 2 ? 'right' : 'left'));
    const pairs = sides.map((side) => (side === 'right' ? 'hard' : 'soft'));
    expect(ask(inspectSpokeMap, { pairs, sides })).toMatchObject({ verdict: 'even', odd: [], spreadPercent: 0 });
    expect(ask(inspectSpokeMap, { pairs }).verdict).toBe('uneven');
    const one = pairs.map((feel, i) => (i === 4 ? 'slack' : feel));
    expect(ask(inspectSpokeMap, { pairs: one, sides })).toMatchObject({ verdict: 'uneven', odd: [5] });
    expect(refused(inspectSpokeMap, { pairs, sides: sides.slice(1) })).toMatchObject([{ path: 'sides' }]);
  });
});

describe('discs and chains', () => {
  test('a new disc under 1.7 mm, or a reading over new + 0.1, is refused with the likely mistake', () => {
    expect(refused(inspectDisc, { readingsMm: [1.5], newMm: 1.6 })).toMatchObject([
      { path: 'newMm', message: expect.stringMatching(/minimum stamped|worn/) as string },
    ]);
    expect(refused(inspectDisc, { readingsMm: [1.8, 1.95], newMm: 1.8 })).toMatchObject([
      { path: 'readingsMm', message: expect.stringMatching(/lip/) as string },
    ]);
    expect(refused(inspectDisc, { readingsMm: [1.9], newMm: 1.8 })).toEqual([]);
    expect(refused(inspectDisc, { readingsMm: [1.6], newMm: 1.7 })).toEqual([]);
  });

  test('over 2 % by a rule the verdict stands and the first reason asks for a recount with the count that is plausible', () => {
    const found = ask(inspectChainWear, { chain: '9-10-speed', pitches: 24, lengthMm: 318 });
    expect(found.verdict).toBe('replace-chain-and-cogs');
    expect(found.reasons[0]).toMatch(/25 pitches\?/);
    const odd = ask(inspectChainWear, { chain: '9-10-speed', pitches: 24, lengthMm: 312.5 });
    expect(odd.reasons[0]).toMatch(/^Count again/);
    expect(odd.reasons[0]).not.toMatch(/pitches\?/);
    const under = ask(inspectChainWear, { chain: '9-10-speed', pitches: 100, lengthMm: 1270 * 1.02 });
    expect(under.reasons[0]).not.toMatch(/Count again/);
    const gauge = { chain: '9-10-speed', gauge: { dropsInAtPercent: 3 } };
    expect(ask(inspectChainWear, gauge).reasons[0]).not.toMatch(/Count again/);
  });

  test('more or larger balls than the circle takes are refused, and the load is never NaN', () => {
    const hub = { ballDiameterMm: 4.762, balls: 10, circleMm: 16.2, tighterDeg: 30 };
    expect(refused(bearingsContact, { ...hub, balls: 20 })).toMatchObject([{ path: 'circleMm' }]);
    expect(refused(bearingsContact, { ...hub, ballDiameterMm: 12 })).toMatchObject([{ path: 'circleMm' }]);
  });
});

describe('a stuck part', () => {
  const joint = {
    part: 'Seat post',
    partMaterial: 'plain steel',
    aroundMaterial: 'plain steel',
    paintMatters: false,
    partValue: 4000,
    aroundValue: 20000,
    ratePerHour: 1000,
    tried: [] as { step: string; soakMinutes: number }[],
  };
  const materials = ['plain steel', 'bare aluminium', 'chrome plate', 'brass'];

  test('nothing without a thread is slotted, drilled left-handed, extracted or tightened first, whatever was tried', () => {
    const THREADS = ['slot', 'left-hand-drill', 'extractor', 'tighten-first', 'impact', 'seat-tool'];
    fc.assert(
      fc.property(
        fc.constantFrom('slip', 'press', 'wedge', null),
        fc.constantFrom('Seat post', 'Cotter pin', 'Quill stem', 'Crown race'),
        fc.constantFrom(...materials),
        fc.array(fc.constantFrom(...stuckSteps.map(({ id }) => id)), { maxLength: 12 }),
        (held, part, material, tried) => {
          const { order } = ask(stripStuck, {
            ...joint,
            part,
            joint: held,
            partMaterial: material,
            tried: tried.map((step) => ({ step, soakMinutes: 900 })),
          });
          for (const step of THREADS) expect(order).not.toContain(step);
        },
      ),
      { numRuns: runs(150) },
    );
  });

  test('a cotter is pressed first', () => {
    expect(ask(stripStuck, { ...joint, part: 'Cotter pin with nut and washer', aroundValue: 4000 }).next!.step).toBe(
      'press-out',
    );
    expect(ask(stripStuck, { ...joint, part: 'pin', joint: 'press', aroundValue: 4000 }).order[0]).toBe('press-out');
  });

  test('nothing hot follows penetrant before it is wiped off and aired', () => {
    const of = (sort: string) => stuckSteps.filter((step) => step.penetrant === sort).map(({ id }) => id);
    fc.assert(
      fc.property(
        fc.constantFrom('thread', 'slip', 'press', 'wedge'),
        fc.constantFrom(...materials),
        fc.constantFrom(...materials),
        fc.array(fc.constantFrom(...of('wets'), ...of('dries'), 'tap'), { maxLength: 5 }),
        (held, partMaterial, aroundMaterial, tried) => {
          const { order } = ask(stripStuck, {
            ...joint,
            joint: held,
            partMaterial,
            aroundMaterial,
            aroundValue: 90000,
            tried: tried.map((step) => ({ step, soakMinutes: 100 })),
          });
          let wet = false;
          for (const step of [...tried, ...order]) {
            if (of('wets').includes(step)) wet = true;
            if (of('dries').includes(step)) wet = false;
            if (of('hot').includes(step)) expect([step, wet]).toEqual([step, false]);
          }
        },
      ),
      { numRuns: runs(200) },
    );
  });

  test('the stem has penetrant from below through the steerer, and nothing else has', () => {
    const stem = ask(stripStuck, { ...joint, part: 'Quill stem', partMaterial: 'bare aluminium' });
    expect(stem.order).toContain('penetrant-below');
    expect(ask(stripStuck, joint).order).not.toContain('penetrant-below');
  });

  test('the ladder says which joints each rung is for, and what a part usually is: posts and stems of aluminium', () => {
    const { steps, joints } = ask(stripLadder, {});
    expect(steps.find((step) => step.id === 'slot')!.joints).toEqual(['thread']);
    for (const word of ['quill', 'seat post'])
      expect(joints.find((row) => row.words.includes(word))!.partMaterial).toMatch(/aluminium/);
  });
});

describe('which way it turns', () => {
  const turn = (question: object) => ask(stripTurn, { action: 'loosen', side: null, ...question });

  test('a left-side drive has a left-handed freewheel; where no side is named it is the usual one', () => {
    expect(turn({ fastener: 'freewheel', side: 'left' })).toMatchObject({ hand: 'left', rotation: 'clockwise' });
    expect(turn({ fastener: 'freewheel', side: 'right' })).toMatchObject({ hand: 'right' });
    expect(turn({ fastener: 'freewheel' })).toMatchObject({ hand: 'right', rotation: 'anticlockwise' });
  });

  test('“push it to the rear” is said only of what sits on the bicycle', () => {
    for (const fastener of ['freewheel', 'cassette-lockring', 'cone', 'cone-locknut', 'pedal-body'])
      for (const side of ['left', 'right']) {
        const { spannerUpMoves, words } = turn({ fastener, side });
        expect([fastener, spannerUpMoves]).toEqual([fastener, null]);
        expect(words).not.toMatch(/push it to/);
      }
    expect(turn({ fastener: 'pedal', side: 'left' })).toMatchObject({ spannerUpMoves: 'rear' });
    expect(turn({ fastener: 'axle-nut', side: 'right' }).spannerUpMoves).not.toBeNull();
  });
});

describe('the wash', () => {
  const HOT = 'hot ultrasonic, water-based degreaser';
  const baths = [
    { id: 'hot', process: HOT, capacityMl: 3000 },
    { id: 'acid', process: 'white vinegar soak', capacityMl: 3000 },
  ];
  const wash = (...parts: object[]) =>
    ask(cleanPlan, { parts: parts.map((part) => ({ volumeMl: 50, ...part })), baths });
  const afterOf = (plan: { loads: { after: string[] }[]; byHand: { after: string[] }[] }) =>
    [...plan.loads, ...plan.byHand].flatMap(({ after }) => after).join(' · ');

  test('nothing oiled, waxed or polished on discs, pads or the tracks of rims', () => {
    for (const soil of ['oil', 'old-grease', 'mud', 'rust'])
      for (const part of [
        { id: 'disc', materials: ['brake rotors'], soil },
        { id: 'pad', materials: ['brake pads'], soil },
        { id: 'rim', materials: ['anodised aluminium'], brakeTrack: true, soil },
        { id: 'steel rim', materials: ['chrome plate'], brakeTrack: true, soil },
      ]) {
        const plan = wash(part);
        expect(afterOf(plan)).not.toMatch(/\b(oil|grease|wax|polish)/i);
        for (const { process } of plan.byHand) expect(process).not.toMatch(/polish|wax/);
      }
  });

  test('what shares a bath with a chain is named where the chain is oiled', () => {
    const plan = wash(
      { id: 'chain', materials: ['plain steel'], soil: 'old-grease' },
      { id: 'a rim', materials: ['plain steel'], soil: 'old-grease', brakeTrack: true },
    );
    expect(afterOf(plan)).toMatch(/Oil or grease at once.*But a rim: wiped with isopropyl alcohol/);
  });

  test('oil is for what rusts bare: rubber, plastics and carbon get none', () => {
    for (const material of ['rubber grips/hoods', 'plastics', 'carbon', 'leather'])
      expect(afterOf(wash({ id: 'part', materials: [material], soil: 'mud' }))).not.toMatch(/\boil/i);
    expect(afterOf(wash({ id: 'part', materials: ['plain steel'], soil: 'mud' }))).toMatch(/\boil/i);
  });

  test('oily pads are refused: they are renewed; muddy ones are brushed', () => {
    for (const soil of ['oil', 'old-grease']) {
      const plan = wash({ id: 'pads', materials: ['brake pads', 'anodised aluminium'], soil });
      expect(plan.refused).toMatchObject([{ partId: 'pads', reason: expect.stringMatching(/renew/) as string }]);
    }
    expect(wash({ id: 'pads', materials: ['brake pads'], soil: 'mud' }).refused).toEqual([]);
  });

  test('zinc plate never goes into vinegar', () => {
    const plan = wash({ id: 'bolt', materials: ['zinc-plated steel'], soil: 'rust' });
    expect(plan.loads).toEqual([]);
    expect(plan.byHand).toHaveLength(1);
  });
});

describe('the adviser of a cone', () => {
  const feels = ['loose', 'tick', 'smooth', 'tight'] as const;
  const advised = (allowanceDeg: number, trials: unknown[], school: string) =>
    ask(bearingsAdjustCone, { pitchMm: 1, school, allowanceDeg, trials }).next?.turnDeg;

  test('a tenth of a degree of allowance moves its advice by six degrees at most', () => {
    const trial = fc.record({
      turnDeg: fc.integer({ min: -30, max: 30 }),
      feel: fc.constantFrom(...feels),
      clamped: fc.boolean(),
    });
    fc.assert(
      fc.property(
        fc.array(trial, { maxLength: 3 }),
        fc.integer({ min: 0, max: 250 }),
        fc.constantFrom('from-tight', 'from-loose'),
        (trials, tenths, school) => {
          const [before, after] = [tenths, tenths + 1].map((each) => advised(each / 10, trials, school));
          if (before === undefined || after === undefined) return;
          expect(Math.abs(after - before)).toBeLessThanOrEqual(6);
        },
      ),
      { numRuns: runs(40, 12) },
    );
  });

  test('one loose, felt at allowances round 12.4°: 18, 18, 17 and not 18, 4, 16', () => {
    const turns = [12.2, 12.3, 12.4, 12.5, 13].map((allowance) =>
      advised(allowance, [{ turnDeg: 0, feel: 'loose' }], 'from-tight')!,
    );
    expect(Math.max(...turns) - Math.min(...turns)).toBeLessThanOrEqual(6);
  });
});

describe('the bolts that a bicycle has', () => {
  const bolts = (kind: object = {}, more: object = {}) => ask(rebuildBolts, { kind, ...more }).bolts;
  const ids = (kind: object = {}, more: object = {}) => bolts(kind, more).map(({ id }) => id);
  const one = (id: string, kind: object = {}, more: object = {}) => bolts(kind, more).find((bolt) => bolt.id === id)!;
  const GEARLESS = { chain: 'single-or-hub-gear' } as const;

  test('one-piece cranks have pedals of 1/2 in, no ring bolts, and no cups of a bracket', () => {
    const kind = { cranks: 'one-piece' };
    expect(one('pedal-left', kind)).toMatchObject({ size: '1/2 in x 20 tpi', hand: 'left' });
    expect(one('pedal-right', {})).toMatchObject({ size: '9/16 in x 20 tpi', hand: 'right' });
    expect(ids(kind)).toContain('crank-onepiece');
    expect(ids(kind).filter((id) => id.startsWith('bb-') || id === 'chainring-bolts')).toEqual([]);
  });

  test('a hub gear has no derailleur bolts, axle nuts with anti-turn washers, and a sprocket of its own', () => {
    for (const chain of ['single-or-hub-gear', '5-8-speed']) {
      const has = ids({ gears: 'hub', chain });
      expect(has.filter((id) => /derailleur|pulley|hanger|freewheel|cassette/.test(id))).toEqual([]);
      expect(one('axle-nut-rear', { gears: 'hub', chain }).notes).toMatch(/anti-turn washers/i);
      expect(has).not.toContain('skewer-rear');
    }
  });

  test('cups and their lockrings, the fixed cup, the preload cap, lockrings and the freewheel are there where they are', () => {
    expect(ids({ cranks: 'cottered' })).toEqual(expect.arrayContaining(['bb-fixed-cup', 'bb-lockring']));
    expect(ids({}, { assemblies: { 'bottom-bracket': 'bb-cartridge' } })).toEqual(
      expect.arrayContaining(['bb-drive-body', 'bb-left-cup']),
    );
    expect(ids({}, { assemblies: { 'bottom-bracket': 'bb-cartridge' } })).not.toContain('bb-lockring');
    expect(ids({ cranks: 'pinch-bolt' })).toEqual(
      expect.arrayContaining(['crank-preload-cap', 'bb-outboard-drive', 'bb-outboard-left']),
    );
    expect(ids({ cranks: 'other' })).toEqual(expect.arrayContaining(['crank-left-bolt', 'crank-right-bolt']));
    expect(ids({}, { assemblies: { 'hub.rear': 'hub-rear-freewheel' } })).toContain('freewheel-body');
    expect(ids({ chain: '9-10-speed' })).toContain('cassette-lockring');
    expect(ids({}, { cogs: 'fixed' })).toContain('fixed-cog-lockring');
    expect(ids({ brakes: 'disc' }, { rotor: 'splined' })).toContain('disc-lockring-front');
  });

  test('a drive-side cup of no known standard is identified first', () => {
    expect(one('bb-fixed-cup', { cranks: 'cottered' }).hand).toBe('unknown');
    expect(one('bb-fixed-cup', { cranks: 'cottered', bottomBracket: 'english' }).hand).toBe('left');
    expect(one('bb-fixed-cup', { cranks: 'cottered', bottomBracket: 'italian' }).hand).toBe('right');
    expect(one('bb-lockring', { cranks: 'cottered' }).hand).toBe('right');
  });

  test('shifters are clamped to flat bars, expand in bar ends, and are nowhere without gears', () => {
    expect(ids({ bars: 'flat' })).toEqual(expect.arrayContaining(['shifter-left', 'shifter-right']));
    expect(ids({ bars: 'flat', gears: 'hub' })).not.toContain('shifter-left');
    expect(ids({ bars: 'flat', gears: 'single', ...GEARLESS }).filter((id) => id.startsWith('shifter'))).toEqual([]);
    expect(one('shifter-bar-end-right', { bars: 'drop' }, { shifters: 'bar-end' })).toMatchObject({ hand: 'left' });
  });

  test('cantilever pads are no caliper pads, and their cable hangs on a yoke', () => {
    expect(one('pads-front', { brakes: 'cantilever' })).toMatchObject({ torqueMinNm: 8, torqueMaxNm: 10 });
    expect(one('pads-front', { brakes: 'caliper' })).toMatchObject({ torqueMinNm: 5, torqueMaxNm: 7 });
    expect(one('brake-cable-rear', { brakes: 'cantilever' }).notes).toMatch(/yoke/);
    const mixed = ids({ brakes: 'caliper' }, { rearBrake: 'cantilever' });
    expect(mixed).toEqual(expect.arrayContaining(['brake-front', 'brake-pivot-rear']));
    expect(mixed).not.toContain('brake-rear');
  });

  test('a carbon steerer, bar or post has its lower figure, and the wrench is asked for', () => {
    const carbon = one('steerer-clamp', { stem: 'threadless' }, { steerer: 'carbon' });
    expect(carbon).toMatchObject({ torqueMaxNm: 5, wrenchAsked: true, preparation: 'carbon assembly paste' });
    expect(one('steerer-clamp', { stem: 'threadless' }).torqueMaxNm).toBe(6);
    expect(one('steerer-clamp', { stem: 'threadless', frameMaterial: 'carbon' }).torqueMaxNm).toBe(5);
    expect(one('faceplate', { stem: 'threadless' }, { bar: 'carbon' }).torqueMaxNm).toBe(5);
    expect(one('post-binder', {}, { seatPost: 'carbon' })).toMatchObject({ torqueMaxNm: 6, wrenchAsked: true });
    expect(one('post-binder').wrenchAsked).toBe(false);
  });

  test('a size that differs is chosen by hand and brings its figures; one that no table knows has none', () => {
    expect(one('saddle-clamp').sizes).toEqual(expect.arrayContaining(['M5', 'M6', 'M8']));
    expect(one('saddle-clamp', {}, { sizes: { 'saddle-clamp': 'M6' } })).toMatchObject({ size: 'M6', torqueMaxNm: 12 });
    expect(one('steerer-clamp', { stem: 'threadless' }, { sizes: { 'steerer-clamp': 'M6' } })).toMatchObject({
      torqueMinNm: 8,
      torqueMaxNm: 10,
    });
    const odd = one('saddle-clamp', {}, { sizes: { 'saddle-clamp': 'M7' } });
    expect(odd).toMatchObject({ size: 'M7', torqueMinNm: null, torqueMaxNm: null });
    expect(odd.feel).toMatch(/on the part/);
  });

  test('on a left-side drive the freewheel is on the left and left-handed', () => {
    expect(one('freewheel-body', {}, { cogs: 'freewheel', leftDrive: true })).toMatchObject({
      side: 'left',
      hand: 'left',
    });
  });

  test('every kind of bicycle has what turns, steers and stops it, once, at places that it has', () => {
    const shape = bicycleKind.shape;
    const every = fc.record({
      frame: fc.constantFrom(...FRAMES),
      frameMaterial: fc.constantFrom('steel', 'aluminium', 'carbon'),
      bars: fc.constantFrom('drop', 'flat', 'swept'),
      stem: fc.constantFrom('quill', 'threadless'),
      gears: fc.constantFrom(...GEARS),
      brakes: fc.constantFrom(...BRAKES),
      chain: fc.constantFrom(...(shape.chain.def.innerType.options as string[])),
      cranks: fc.constantFrom(...(shape.cranks.def.innerType.options as string[])),
      wheels: fc.constantFrom('quick-release', 'nutted'),
      fork: fc.constantFrom('rigid', 'suspension'),
      rack: fc.boolean(),
      mudguards: fc.boolean(),
    });
    fc.assert(
      fc.property(every, (kind) => {
        const found = bolts(kind);
        const has = found.map(({ id }) => id);
        expect(new Set(has).size).toBe(has.length);
        const safe = found.filter((bolt) => bolt.safetyCritical).map(({ place }) => place);
        const levers = kind.brakes === 'back-pedal' ? ['brake-lever.right'] : ['brake-lever.left', 'brake-lever.right'];
        for (const place of ['stem', 'bars', ...levers, 'brake.front', 'brake.rear'])
          expect([place, safe.includes(place)]).toEqual([place, true]);
        for (const place of [
          'axle.front',
          'axle.rear',
          'pedal.left',
          'pedal.right',
          'crank.left',
          'seat-clamp',
          'saddle',
        ])
          expect([place, safe.includes(place)]).toEqual([place, true]);
        expect(has.some((id) => /derailleur|pulley/.test(id))).toBe(kind.gears === 'derailleur');
        expect(has.includes('pads-rear') || has.includes('pads-rear-direct-pull')).toBe(
          ['caliper', 'cantilever', 'direct-pull'].includes(kind.brakes),
        );
        expect(has.some((id) => id.startsWith('disc-'))).toBe(kind.brakes === 'disc');
        for (const end of ['front', 'rear'])
          expect(
            has.filter((id) => [`skewer-${end}`, `axle-nut-${end}`, `thru-axle-${end}`].includes(id)),
          ).toHaveLength(1);
        for (const bolt of found) expect(places.some(({ id }) => id === bolt.place)).toBe(true);
      }),
      { numRuns: runs(400) },
    );
  });
});

describe('jobs', () => {
  const jobs = (check: string, verdict: string, more: { kind?: object; outcome?: string } = {}) =>
    ask(decideJobs, {
      brief: 'rideable',
      kind: more.kind ?? {},
      findings: [{ check, label: check, place: 'frame', verdict, outcome: more.outcome ?? null, reasons: [] }],
    }).jobs.filter((job) => job.check === check);

  test('a hub renewed unopened, or for its cup, means relacing: hours, and spokes', () => {
    for (const end of ['front', 'rear']) {
      const swap = jobs(`hub-${end}`, 'look-inside').find(({ need }) => need === 'alternative')!;
      const unit = jobs(`hub-${end}`, 'renew-unit')[0]!;
      for (const job of [swap, unit]) {
        expect(job.title).toMatch(/laced anew/);
        expect(job.minutes.low).toBeGreaterThanOrEqual(120);
        expect(job.why).toMatch(/spoke/);
      }
      const [cartridges] = jobs(`hub-${end}`, 'renew-cartridge');
      expect(cartridges!.title).toMatch(/cartridges/);
      expect(cartridges!.minutes.high).toBeLessThan(120);
    }
  });

  test('a tyre’s age alone advises and asks for a look; cord, bulge, deep cracks, hard rubber and a bad bead are needed', () => {
    const old = ask(inspectTyreAge, { code: '0108', today: '2026-11-27' });
    expect(old.verdict).toBe('renew');
    expect(old.reasons.join()).toMatch(/looked at/);
    expect(stateOf('inspect.tyreAge', 'renew')).toBe('watch');
    for (const end of ['front', 'rear']) {
      const [look] = jobs(`tyre-age-${end}`, 'renew');
      expect(look).toMatchObject({ need: 'advised', parts: { high: 0 } });
      expect(look!.title).toMatch(/^Look/);
      for (const outcome of ['cord', 'cracks', 'hard', 'bead'])
        expect([outcome, jobs(`tyre-${end}`, 'replace', { outcome })[0]?.need]).toEqual([outcome, 'needed']);
    }
  });

  test('a headset has races and a bottom bracket a spindle where a hub has cones', () => {
    const words = { headset: 'race', 'bottom-bracket': 'spindle', 'hub-front': 'cone' };
    for (const [check, word] of Object.entries(words)) expect(jobs(check, 'renew-cone')[0]!.title).toContain(word);
    for (const [place, word] of Object.entries({ headset: 'race', 'bottom-bracket': 'spindle', 'hub.front': 'cone' })) {
      const found = ask(bearingsGrade, { kind: 'cup-and-cone', place, cone: 'pitted', brief: 'donor' });
      expect([...found.reasons, ...found.needs].join()).toContain(word);
      if (word !== 'cone') expect([...found.reasons, ...found.needs].join()).not.toMatch(/cone/);
    }
  });

  test('a loose cottered arm is its cotter pin, pressed, and not a new arm', () => {
    const titles = (cranks: string) => jobs('cranks', 'arm-fixing', { kind: { cranks } }).map(({ title }) => title);
    expect(titles('cottered')).toEqual(['New cotter pin, pressed home']);
    expect(titles('square-taper')).toEqual(['Put the loose crank arm right']);
  });
});

describe('steps and checks that belong where they stand', () => {
  const benches = (kind: object, chosen: Record<string, string> = {}) => ask(bearingsBenches, { kind, chosen }).benches;
  const every = GEARS.flatMap((gears) =>
    BRAKES.flatMap((brakes) =>
      (['quill', 'threadless'] as const).map((stem) => bicycleKind.parse({ gears, brakes, stem })),
    ),
  );

  test('no quill is struck at a threadless headset, and a turn’s note is of what is turned', () => {
    const words = ask(stripTurn, { fastener: 'stem-bolt', action: 'loosen' }).words;
    expect(words).not.toMatch(/quill|wedge|blow/);
    const steps = benches({ stem: 'threadless' }).find(({ place }) => place === 'headset')!.steps;
    expect(steps.map(({ title, forget }) => `${title} ${forget}`).join()).not.toMatch(/quill|expander|wedge/i);
  });

  test('a point of the turn is told by what turns: the valve only at a hub', () => {
    expect(roundPointWords('hub.rear', '12')).toMatch(/valve/i);
    for (const place of ['headset', 'bottom-bracket', 'pedal.left', 'crank.right'])
      for (const point of ROUND_POINTS) expect(roundPointWords(place, point)).not.toMatch(/valve/i);
    expect(new Set(ROUND_POINTS.map((point) => roundPointWords('headset', point))).size).toBe(4);
  });

  test('a bracket of cup and cone has its fixed cup tried, and no other has', () => {
    const ids = (assembly: string) =>
      benches({}, { 'bottom-bracket': assembly })
        .find(({ place }) => place === 'bottom-bracket')!
        .steps.map(({ id }) => id);
    expect(ids('bb-cup-cone')).toContain('fixed-cup');
    expect(ids('bb-cartridge')).not.toContain('fixed-cup');
  });

  test('no outcome of another brake is offered: hoses to discs, pads at the tyre to rims', () => {
    for (const kind of every)
      for (const check of checksFor(kind).filter(({ id }) => id.startsWith('brake-'))) {
        const offered = outcomesFor(check, kind).map(({ id }) => id);
        const rim = ['caliper', 'cantilever', 'direct-pull'].includes(kind.brakes) || kind.brakes === 'back-pedal';
        expect([kind.brakes, offered.includes('hose')]).toEqual([kind.brakes, kind.brakes === 'disc']);
        expect([kind.brakes, offered.includes('tyre')]).toEqual([kind.brakes, rim]);
        // What was once put down is still told.
        expect(outcomesFor(check, kind, 'hose').some(({ id }) => id === 'hose')).toBe(true);
      }
  });

  test('a rim that no brake works on is not held as close: the rear one of a back-pedal brake', () => {
    const runout = (place: string) => runoutOf({ kind: 'runout-rim', place }, { brakes: 'back-pedal' });
    expect([runout('rim.front'), runout('rim.rear')]).toEqual(['rim-braked', 'rim-free']);
  });

  test('no ring bolts are looked for at one-piece cranks, no pads at a drum', () => {
    expect(checksFor(bicycleKind.parse({ cranks: 'one-piece' })).map(({ id }) => id)).not.toContain('ring-bolts');
    expect(doorChecksFor(bicycleKind.parse({ brakes: 'drum' })).map(({ id }) => id)).not.toContain('pads');
  });
});

describe('what is it', () => {
  const match = (kind: string, readings: object) => ask(identifyMatch, { kind, readings });

  test('rows that interchange are one answer: an English thread in any width, two names of one pedal thread', () => {
    const english = match('bottom-bracket', { diameterMm: 34.8, tpi: 24 });
    expect(english.verdict).toBe('identified');
    expect(english.reasons[0]).toMatch(/English.* or .*wide.*interchange/);
    expect(english.nextReading).toMatchObject({ field: 'shellWidthMm' });
    expect(match('pedal', { diameterMm: 14.28, tpi: 20 }).verdict).toBe('identified');
    expect(match('headset', { steererMm: 25.4, tpi: 24, crownRaceMm: 26.45, headTubeMm: 30.1 }).verdict).toBe(
      'identified',
    );
    // French and Swiss read alike and come out different ways: they are two answers.
    expect(match('bottom-bracket', { diameterMm: 35, pitchMm: 1 }).verdict).toBe('ambiguous');
  });

  test('hollow or solid can be said of an axle, and decides', () => {
    const readings = { diameterMm: 10, pitchMm: 1 };
    expect(match('hub-axle', readings).verdict).toBe('ambiguous');
    expect(match('hub-axle', { ...readings, axle: 'hollow' }).candidates[0]!.name).toMatch(/hollow/);
    expect(match('hub-axle', { ...readings, axle: 'solid' }).candidates[0]!.name).toMatch(/solid/);
  });

  test('a bare shell measured inside is understood, and said to be', () => {
    const inside = match('bottom-bracket', { diameterMm: 33.65, tpi: 24 });
    expect(inside.verdict).toBe('identified');
    expect(inside.candidates[0]!.name).toMatch(/English/);
    expect(inside.reasons.join()).toMatch(/bare shell, measured inside/);
    const italian = match('bottom-bracket', { diameterMm: 34.85, tpi: 24, driveHand: 'right', shellWidthMm: 70 });
    expect(italian.candidates[0]!.name).toMatch(/Italian/);
    expect(match('bottom-bracket', { diameterMm: 34.8, tpi: 24 }).reasons.join()).not.toMatch(/inside/);
  });

  const found = (search: string, table: string | null = null) =>
    ask(identifyTables, { search, table }).rows.map(({ cells }) => Object.values(cells).join(' '));

  test('the tables are searched by meaning, not by raw digits', () => {
    // 24 threads to the inch, and nothing that only has these digits in it.
    for (const row of found('24 tpi', 'bottom-brackets')) expect(row).toMatch(/(^|\D)24(\D|$)/);
    expect(found('24 tpi', 'bottom-brackets').length).toBeGreaterThan(2);
    expect(found('26 tpi', 'bottom-brackets').every((row) => /26/.test(row))).toBe(true);
    // A size is met however it is written.
    expect(found('4.76', 'balls')).toEqual(found('3/16', 'balls'));
    expect(found('3/16 in', 'balls')).toHaveLength(1);
    expect(found('34.8', 'bottom-brackets').length).toBe(found('34,798 mm', 'bottom-brackets').length);
    expect(found('1 3/8 in', 'bottom-brackets').some((row) => /1 3\/8/.test(row))).toBe(true);
    // Digits inside other digits are no answer.
    expect(found('47', 'bottom-brackets').every((row) => /(^|\D)47(\D|$)/.test(row))).toBe(true);
    expect(found('7', 'bottom-brackets').every((row) => /(^|\D)7(\D|$)/.test(row))).toBe(true);
    // Words by their beginning, in any order, with what people call them.
    expect(found('italian bottom').length).toBeGreaterThan(0);
    expect(found('bb italian')).toEqual(found('italian bottom'));
    expect(found('talian')).toEqual([]);
  });
});

describe('the practice room', () => {
  test('no "tracks unharmed" beside "it marks the tracks"', () => {
    for (const level of ask(practiceLevels, {}).levels)
      for (let seed = 1; seed <= 12; seed++) {
        const hub = hiddenHub(level, seed);
        for (const deg of [-120, -40, -10, 0, 10, 40, 120]) {
          const score = scoreRound(hub, { ...freshState(hub), coneDeg: deg, locked: true });
          if (/marks the tracks/.test(score.words)) expect(score.unharmed).toBe(0);
        }
      }
  });
});

describe.each(tables())('$csv', (table) => {
  test('is what the core reads, and every row says where it comes from', async () => {
    const rows = await rowsOf(table);
    expect(JSON.parse(readFileSync(table.json, 'utf8'))).toEqual(rows);
    for (const [n, { source }] of rows.entries())
      if (typeof source !== 'string' || source.trim().length < 4) throw new Error(`line ${n + 2}: no source`);
  });
});

test('every condition of a table names what is known of a bicycle, or of how it is built', async () => {
  const facts = {
    applies: Object.keys(bicycleKind.shape),
    when: Object.keys(buildFacts(buildInput.parse({}))),
  };
  let seen = 0;
  for (const table of tables())
    for (const row of await rowsOf(table))
      for (const column of ['applies', 'when'] as const) {
        const condition = row[column];
        // The rungs of the ladder have a column of that name which is in words.
        if (typeof condition !== 'string' || table.csv.endsWith('stuck_steps.csv')) continue;
        seen++;
        expect([table.csv, condition, isCondition(condition, facts[column])]).toEqual([table.csv, condition, true]);
      }
  expect(seen).toBeGreaterThan(150);
});

test('the normal distribution has the coefficients that it is credited with: Abramowitz and Stegun 26.2.17', () => {
  const known = [
    [0, 0.5],
    [1, 0.841344746],
    [1.96, 0.975002105],
    [-2.5, 0.006209665],
    [4, 0.999968329],
  ] as const;
  for (const [z, share] of known) expect(Math.abs(normalCdf(z) - share)).toBeLessThan(7.5e-8 + 1e-9);
});

describe('every kind of bicycle that the record can describe', () => {
  const shape = bicycleKind.shape;
  const kinds = fc.record({
    frame: fc.constantFrom(...FRAMES),
    frameMaterial: fc.constantFrom(...shape.frameMaterial.def.innerType.options),
    bars: fc.constantFrom(...shape.bars.def.innerType.options),
    stem: fc.constantFrom(...shape.stem.def.innerType.options),
    gears: fc.constantFrom(...GEARS),
    brakes: fc.constantFrom(...BRAKES),
    chain: fc.constantFrom(...shape.chain.def.innerType.options),
    cranks: fc.constantFrom(...shape.cranks.def.innerType.options),
    wheels: fc.constantFrom(...shape.wheels.def.innerType.options),
    fork: fc.constantFrom(...shape.fork.def.innerType.options),
    rack: fc.boolean(),
    mudguards: fc.boolean(),
    electric: fc.boolean(),
  });
  const RIM = ['caliper', 'cantilever', 'direct-pull'];

  test('has trays for what it has: one a place, and none of another gear, brake, crank or headset', () => {
    fc.assert(
      fc.property(kinds, (kind) => {
        const { trays } = ask(stripTrays, { kind });
        const at = new Map(trays.map(({ place, id }) => [place, id]));
        expect(at.size).toBe(trays.length);
        const has = (id: string) => trays.some((tray) => tray.id === id);
        expect(has('derailleur-rear')).toBe(kind.gears === 'derailleur');
        expect(has('hub-rear-coaster')).toBe(kind.gears === 'coaster');
        expect(has('disc-brake')).toBe(kind.brakes === 'disc');
        expect(has('brake-cantilever')).toBe(['cantilever', 'direct-pull'].includes(kind.brakes));
        expect(has('cranks-cottered')).toBe(kind.cranks === 'cottered');
        expect(has('cranks-one-piece')).toBe(kind.cranks === 'one-piece');
        expect(has('stem-quill')).toBe(kind.stem === 'quill');
        expect(at.get('headset')).toMatch(kind.stem === 'quill' ? /^headset-threaded/ : /^headset-threadless/);
      }),
      { numRuns: runs(400) },
    );
  });

  test('is asked for what it has: no track without a rim brake, no disc without one, no derailleur without gears of that sort', () => {
    fc.assert(
      fc.property(kinds, (kind) => {
        const ids = new Set(checksFor(bicycleKind.parse(kind)).map(({ id }) => id));
        const rimFront = RIM.includes(kind.brakes) || kind.brakes === 'back-pedal';
        expect(ids.has('braking-front')).toBe(rimFront);
        expect(ids.has('braking-rear')).toBe(RIM.includes(kind.brakes));
        for (const end of ['front', 'rear']) expect(ids.has(`disc-${end}`)).toBe(kind.brakes === 'disc');
        expect(ids.has('pads-rear')).toBe(RIM.includes(kind.brakes) || kind.brakes === 'disc');
        expect(ids.has('hanger')).toBe(kind.gears === 'derailleur');
        expect(ids.has('coaster-arm')).toBe(kind.gears === 'coaster');
        expect(ids.has('crank-plate')).toBe(kind.cranks === 'pinch-bolt');
        expect(ids.has('fork-holding')).toBe(kind.fork === 'suspension');
        expect(ids.has('battery')).toBe(kind.electric);
      }),
      { numRuns: runs(400) },
    );
  });

  test('every job that its findings call for is at a place that it has, and of its own brakes and cranks', () => {
    fc.assert(
      fc.property(kinds, fc.constantFrom('rideable', 'preserve', 'period', 'modernise'), (kind, brief) => {
        const parsed = bicycleKind.parse(kind);
        const found = checksFor(parsed).flatMap((check) =>
          check.kind === 'outcome'
            ? outcomesFor(check, parsed).map((outcome) => ({ check, verdict: outcome.state, outcome: outcome.id }))
            : [],
        );
        const findings = found.slice(0, 400).map(({ check, verdict, outcome }) => ({
          check: check.id,
          label: check.label,
          place: check.place,
          verdict,
          outcome,
          reasons: [],
        }));
        const { jobs } = ask(decideJobs, { brief, kind, findings });
        const titles = jobs.map(({ title }) => title).join(' · ');
        for (const job of jobs) expect(places.some(({ id }) => id === job.place)).toBe(true);
        if (kind.brakes !== 'disc') expect(titles).not.toMatch(/brake disc|hose|bleed/i);
        if (kind.gears !== 'derailleur') expect(titles).not.toMatch(/derailleur|hanger/i);
        if (kind.cranks !== 'cottered') expect(titles).not.toMatch(/cotter/i);
      }),
      { numRuns: runs(150) },
    );
  });
});
