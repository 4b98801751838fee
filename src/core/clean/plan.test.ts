import { runs } from '../../../tests/runs';
import fc from 'fast-check';
import { answer } from '../calculator';
import { cleanPlan, type CleanPlanInput } from './plan';
import { packLoads, volumeBound, type Bathed } from './pack';
import { MATERIALS, SOILS, waysFor } from './ways';

const HOT = 'hot ultrasonic, water-based degreaser';
const COLD = 'cold ultrasonic, water-based degreaser';
const VINEGAR = 'white vinegar soak';
const BATHS = [
  { id: 'hot', process: HOT, capacityMl: 3000 },
  { id: 'cold', process: COLD, capacityMl: 2000 },
  { id: 'acid', process: VINEGAR, capacityMl: 1000 },
];
type Part = CleanPlanInput['parts'][number];
const part = (id: string, soil: Part['soil'], volumeMl: number, ...materials: string[]): Part => ({
  id,
  materials,
  soil,
  volumeMl,
});

function plan(parts: Part[], baths: CleanPlanInput['baths'] = BATHS) {
  const result = answer(cleanPlan, { parts, baths });
  if (!result.ok) throw new Error(JSON.stringify(result.errors));
  return result.output;
}

describe('bath night', () => {
  const night = plan([
    part('cassette', 'old-grease', 300, 'plain steel'),
    part('chain', 'oil', 120, 'plain steel'),
    part('derailleur', 'old-grease', 200, 'anodised aluminium', 'plain steel'),
    part('stem', 'rust', 200, 'chrome plate'),
    part('bolts', 'rust', 50, 'plain steel'),
    part('hard bolt', 'rust', 10, 'hardened or spring steel'),
    part('hoods', 'mud', 100, 'rubber grips/hoods'),
    part('strap', 'mud', 40, 'leather'),
  ]);
  const load = (process: string) => night.loads.find((each) => each.process === process)!;
  const hand = (id: string) => night.byHand.find((each) => each.partId === id)!.process;

  test('steel chain and cassette go hot together', () => {
    expect(load(HOT).partIds.sort()).toEqual(['cassette', 'chain']);
    expect(load(HOT).minutes).toBe(10);
    expect(load(HOT).tempC).toBe(65);
  });
  test('the anodised derailleur never goes hot', () => {
    expect(load(COLD)).toMatchObject({ partIds: ['derailleur'], tempC: 30 });
  });
  test('ordinary bolts into the vinegar, 8 h and never past 12, lid off, each asked about; the hard one stays out', () => {
    expect(load(VINEGAR)).toMatchObject({ partIds: ['bolts'], minutes: 480, maxMinutes: 720 });
    expect(load(VINEGAR).cautions.join()).toMatch(/lid off.*hardened/);
    expect([load(VINEGAR), load(HOT)].map((each) => each.asksHardened)).toEqual([true, false]);
    expect(load(VINEGAR).after.join()).toMatch(/Brush.*Rinse.*Neutralise.*Dry.*Oil/);
    expect(hand('hard bolt')).not.toBe(VINEGAR);
  });
  test('chrome by hand, hoods with water only, the strap with a damp cloth', () => {
    expect(hand('stem')).toBe('chrome polish');
    expect(hand('hoods')).toBe('water');
    expect(hand('strap')).toBe('damp cloth');
  });
  test('what must not meet is said', () => {
    expect(night.neverTogether.map((row) => row.with)).toContain('chlorine bleach');
  });
});

const anyPart = fc
  .record({
    materials: fc.uniqueArray(fc.constantFrom(...MATERIALS), { minLength: 1, maxLength: 3 }),
    soil: fc.constantFrom(...SOILS),
    volumeMl: fc.integer({ min: 1, max: 2500 }),
  })
  .map((each) => each);
const anyParts = fc.array(anyPart, { maxLength: 14 }).map((list) => list.map((each, i) => ({ id: `p${i}`, ...each })));
const anyBaths = fc.subarray(BATHS).map((list) => list.map((bath) => ({ ...bath })));

describe('laws of the wash', () => {
  test('every part comes back once; none meets what it never may; no load is too long, too warm or too full', () => {
    fc.assert(
      fc.property(anyParts, anyBaths, (parts, baths) => {
        const { loads, byHand, refused } = plan(parts, baths);
        const back = [
          ...loads.flatMap((load) => load.partIds),
          ...byHand.map((each) => each.partId),
          ...refused.map((each) => each.partId),
        ];
        expect([...back].sort()).toEqual(parts.map(({ id }) => id).sort());
        const wayOf = (id: string, process: string) => {
          const { materials, soil } = parts.find((each) => each.id === id)!;
          return waysFor(materials, soil).find((way) => way.process === process)!;
        };
        for (const load of loads) {
          const bath = baths.find((each) => each.id === load.bathId)!;
          expect(bath.process).toBe(load.process);
          const volume = load.partIds.reduce((sum, id) => sum + parts.find((each) => each.id === id)!.volumeMl, 0);
          expect(volume).toBeLessThanOrEqual(bath.capacityMl * 0.6 + 1e-6);
          for (const id of load.partIds) {
            const way = wayOf(id, load.process);
            expect(way.verdict).not.toBe('never');
            expect(load.minutes).toBeGreaterThanOrEqual(way.minMinutes);
            expect(load.minutes).toBeLessThanOrEqual(way.maxMinutes ?? Infinity);
            if (way.maxTempC !== null) expect(load.tempC).toBeLessThanOrEqual(way.maxTempC);
          }
        }
        for (const { partId, process } of byHand) expect(wayOf(partId, process).verdict).not.toBe('never');
        for (const { partId } of refused) {
          const { materials, soil } = parts.find((each) => each.id === partId)!;
          const open = waysFor(materials, soil).filter((way) => way.verdict !== 'never');
          expect(open.every((way) => way.where === 'bath')).toBe(true);
        }
      }),
      { numRuns: runs(300) },
    );
  });

  test('what the first open way puts into a bath is never refused nor done by hand, however many there are', () => {
    fc.assert(
      fc.property(anyParts, (parts) => {
        const { loads } = plan(parts);
        const bathed = new Set(loads.flatMap((load) => load.partIds));
        for (const { id, materials, soil, volumeMl } of parts) {
          const ways = waysFor(materials, soil).filter((way) => {
            const bath = BATHS.find((each) => each.process === way.process);
            return way.verdict !== 'never' && (way.where === 'hand' || (bath && volumeMl <= bath.capacityMl * 0.6));
          });
          const first = ways.find((way) => way.verdict === 'good') ?? ways[0];
          expect(bathed.has(id)).toBe(first?.where === 'bath');
        }
      }),
      { numRuns: runs(200) },
    );
  });

  test('as few loads as any packing of a few parts has (all of them tried)', () => {
    const item = fc.record({
      volumeMl: fc.integer({ min: 1, max: 60 }),
      minMinutes: fc.constantFrom(5, 8, 10),
      maxMinutes: fc.constantFrom(8, 10, 15, null),
    });
    const least = (items: Bathed[]): number => {
      let best = items.length;
      const place = (at: number, groups: Bathed[][]): void => {
        if (groups.length >= best) return;
        if (at === items.length) {
          best = groups.length;
          return;
        }
        groups.forEach((group, i) => {
          const next = [...group, items[at]!];
          const fitsIn =
            next.reduce((sum, each) => sum + each.volumeMl, 0) <= 60 &&
            Math.max(...next.map((each) => each.minMinutes)) <=
              Math.min(...next.map((each) => each.maxMinutes ?? Infinity));
          if (fitsIn)
            place(
              at + 1,
              groups.map((each, j) => (j === i ? next : each)),
            );
        });
        place(at + 1, [...groups, [items[at]!]]);
      };
      if (items.length) place(0, []);
      return best;
    };
    fc.assert(
      fc.property(fc.array(item, { maxLength: 7 }), (list) => {
        const items = list
          .map((each, i) => ({ id: `i${i}`, ...each }))
          .filter((each) => each.minMinutes <= (each.maxMinutes ?? Infinity));
        const loads = packLoads(items, 60);
        expect(loads).toHaveLength(least(items));
        expect(loads.length).toBeGreaterThanOrEqual(volumeBound(items, 60));
      }),
      { numRuns: runs(300) },
    );
  });

  test('a bath that is busy lets its next load wait', () => {
    const [load] = plan([part('chain', 'oil', 100, 'plain steel')], [{ ...BATHS[0]!, busyMinutes: 6 }]).loads;
    expect(load!.startMinute).toBe(6);
  });

  test('what is larger than the filling goes the next way', () => {
    const { byHand } = plan([part('ring', 'oil', 1900, 'plain steel')]);
    expect(byHand[0]).toMatchObject({ partId: 'ring', process: 'solvent degreaser' });
  });

  test('unknown materials, baths and ids given twice are refused', () => {
    const result = answer(cleanPlan, {
      parts: [part('a', 'oil', 1, 'cheese'), part('a', 'oil', 1, 'plain steel')],
      baths: [{ id: 'x', process: 'tea', capacityMl: 1 }],
    });
    expect(!result.ok && result.errors.map(({ path }) => path)).toEqual([
      'parts.0.materials.0',
      'baths.0.process',
      'parts',
    ]);
  });
});
