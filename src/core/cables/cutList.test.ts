import fc from 'fast-check';
import type * as z from 'zod/mini';
import { answer } from '../calculator';
import { cablesCutList, type CutList } from './cutList';

type Asked = z.input<typeof cablesCutList.input>;
const cut = (question: Partial<Asked>): CutList => {
  const said = answer(cablesCutList, { pieces: [], stock: [], ...question });
  if (!said.ok) throw new Error(JSON.stringify(said));
  return said.output;
};
const outer = (id: string, lengthMm: number) => ({ id, lengthMm, kind: 'brake-outer' as const });
const coil = (id: string, lengthMm: number, more: Partial<Asked['stock'][number]> = {}) => ({
  id,
  lengthMm,
  count: 1,
  price: 0,
  maxPieces: null,
  kind: 'brake-outer' as const,
  ...more,
});

test('two pieces from a rest in the drawer: nothing is bought, what is over is waste where it is short', () => {
  expect(cut({ pieces: [outer('rear', 900), outer('front', 700)], stock: [coil('rest', 1700)] })).toMatchObject({
    cuts: [{ stockId: 'rest', pieceIds: ['rear', 'front'], restMm: 100 }],
    cost: 0,
    wasteMm: 100,
    shortfall: [],
    proven: true,
  });
});

test('index outer is never used for a brake, however long it is', () => {
  const told = cut({ pieces: [outer('rear', 900)], stock: [coil('index', 5000, { kind: 'index-outer' })] });
  expect(told).toMatchObject({ cuts: [], shortfall: ['rear'] });
  expect(told.reasons.join(' ')).toContain('no brake outer is there');
});

test('an inner with one head gives one piece, one with two heads one of each', () => {
  const inner = (id: string, head: string) => ({ id, lengthMm: 600, kind: 'brake-inner' as const, head });
  const one = coil('one', 1800, { kind: 'brake-inner', heads: ['pear'], maxPieces: 1 });
  const both = coil('both', 1800, { kind: 'brake-inner', heads: ['pear', 'barrel'], maxPieces: 2 });
  expect(cut({ pieces: [inner('a', 'pear'), inner('b', 'pear')], stock: [one] }).shortfall).toHaveLength(1);
  expect(cut({ pieces: [inner('a', 'pear'), inner('b', 'barrel')], stock: [both] }).shortfall).toEqual([]);
  expect(cut({ pieces: [inner('a', 'pear'), inner('b', 'pear')], stock: [both] }).shortfall).toHaveLength(1);
});

test('first most pieces, then their length, then money, then waste, then fewest opened', () => {
  // Two short ones come before a long one.
  expect(
    cut({ pieces: [outer('long', 900), outer('a', 500), outer('b', 400)], stock: [coil('c', 900)] }).shortfall,
  ).toEqual(['long']);
  expect(cut({ pieces: [outer('long', 900), outer('a', 500)], stock: [coil('c', 900)] }).shortfall).toEqual(['a']);
  expect(
    cut({ pieces: [outer('a', 500)], stock: [coil('bought', 500, { price: 400 }), coil('drawer', 900)] }).cost,
  ).toBe(0);
  expect(
    cut({ pieces: [outer('a', 500)], stock: [coil('x', 700), coil('y', 600), coil('z', 900)] }).cuts[0],
  ).toMatchObject({
    stockId: 'z',
  });
  expect(
    cut({ pieces: [outer('a', 500), outer('b', 400)], stock: [coil('x', 500), coil('y', 400), coil('z', 900)] }).cuts,
  ).toHaveLength(1);
});

test('spare and kerf go with every piece', () => {
  expect(
    cut({ pieces: [outer('a', 500)], stock: [coil('x', 510)], kerfMm: 2, spareMm: 8 }).cuts[0]?.restMm,
  ).toBeCloseTo(0, 9);
  expect(cut({ pieces: [outer('a', 500)], stock: [coil('x', 509)], kerfMm: 2, spareMm: 8 }).shortfall).toEqual(['a']);
});

const length = fc.integer({ min: 100, max: 1500 });
const pieces = (most: number) =>
  fc.array(length, { maxLength: most }).map((list) => list.map((mm, i) => outer(`p${i}`, mm)));
const stock = fc
  .array(
    fc.record({
      lengthMm: fc.integer({ min: 200, max: 3000 }),
      count: fc.integer({ min: 0, max: 3 }),
      price: fc.integer({ min: 0, max: 500 }),
      maxPieces: fc.constantFrom(null, 1, 2),
    }),
    { maxLength: 4 },
  )
  .map((list) => list.map((each, i) => ({ ...coil(`s${i}`, 1), ...each })));

test('never more is cut than there is, each piece once, and what is cut and what is wanting are all of them', () => {
  fc.assert(
    fc.property(pieces(14), stock, (asked, there) => {
      const told = cut({ pieces: asked, stock: there });
      const ids = told.cuts.flatMap(({ pieceIds }) => pieceIds);
      expect([...ids, ...told.shortfall].sort()).toEqual(asked.map(({ id }) => id).sort());
      for (const each of there)
        expect(told.cuts.filter(({ stockId }) => stockId === each.id).length).toBeLessThanOrEqual(each.count);
      for (const { stockId, pieceIds, restMm } of told.cuts) {
        const from = there.find(({ id }) => id === stockId)!;
        const taken = asked.filter(({ id }) => pieceIds.includes(id)).reduce((sum, { lengthMm }) => sum + lengthMm, 0);
        expect(restMm).toBeCloseTo(from.lengthMm - taken, 6);
        expect(restMm).toBeGreaterThanOrEqual(-1e-6);
        if (from.maxPieces !== null) expect(pieceIds.length).toBeLessThanOrEqual(from.maxPieces);
      }
    }),
    { numRuns: 120 },
  );
});

test('a longer piece never makes the same pieces cheaper', () => {
  fc.assert(
    fc.property(pieces(5), stock, fc.nat(4), fc.integer({ min: 1, max: 400 }), (asked, there, at, more) => {
      const longer = asked.map((piece, i) => (i === at ? { ...piece, lengthMm: piece.lengthMm + more } : piece));
      const [before, after] = [cut({ pieces: asked, stock: there }), cut({ pieces: longer, stock: there })];
      if (before.shortfall.length === 0 && after.shortfall.length === 0)
        expect(after.cost).toBeGreaterThanOrEqual(before.cost);
      expect(after.shortfall.length).toBeGreaterThanOrEqual(before.shortfall.length);
    }),
    { numRuns: 120 },
  );
});

test('the proven list is as good as trying every way of handing pieces out', () => {
  fc.assert(
    fc.property(pieces(4), stock, (asked, there) => {
      const told = cut({ pieces: asked, stock: there });
      const units = there.flatMap((each) => Array.from({ length: Math.min(each.count, 4) }, () => each));
      let best: number[] | null = null;
      const ways = (units.length + 1) ** asked.length;
      if (ways > 4000) return;
      for (let way = 0; way < ways; way++) {
        let left = way;
        const into = asked.map(() => {
          const at = left % (units.length + 1);
          left = Math.floor(left / (units.length + 1));
          return at;
        });
        let worth: number[] | null = [0, 0, 0, 0, 0];
        for (const [u, unit] of units.entries()) {
          const here = asked.filter((_, i) => into[i] === u + 1);
          if (here.length === 0) continue;
          const rest = unit.lengthMm - here.reduce((sum, each) => sum + each.lengthMm, 0);
          if (rest < 0 || (unit.maxPieces !== null && here.length > unit.maxPieces)) {
            worth = null;
            break;
          }
          worth = [
            worth[0]! - here.length,
            worth[1]! - here.reduce((sum, each) => sum + each.lengthMm, 0),
            worth[2]! + unit.price,
            worth[3]! + (rest < 300 ? rest : 0),
            worth[4]! + 1,
          ];
        }
        if (
          worth &&
          (best === null ||
            worth.some((each, i) => each < best![i]! && worth.slice(0, i).every((same, k) => same === best![k])))
        )
          best = worth;
      }
      const length = asked.filter(({ id }) => !told.shortfall.includes(id));
      expect([
        0 - length.length,
        0 - length.reduce((sum, each) => sum + each.lengthMm, 0),
        told.cost,
        told.wasteMm,
        told.cuts.length,
      ]).toEqual(best);
    }),
    { numRuns: 150 },
  );
});

test('forty pieces are planned within a second, and said not to be proven', () => {
  const asked = Array.from({ length: 40 }, (_, i) => outer(`p${i}`, 200 + ((i * 137) % 900)));
  const from = performance.now();
  const told = cut({ pieces: asked, stock: [coil('coil', 5000, { count: 8 }), coil('rest', 900, { count: 5 })] });
  expect(performance.now() - from).toBeLessThan(4000);
  expect(told).toMatchObject({ shortfall: [], proven: false });
});

test('two pieces of one name, none of a length, and more than forty are refused', () => {
  for (const pieces of [
    [outer('a', 500), outer('a', 600)],
    [outer('a', 0)],
    Array.from({ length: 41 }, (_, i) => outer(`p${i}`, 500)),
  ])
    expect(answer(cablesCutList, { pieces, stock: [] })).toMatchObject({ ok: false });
});
