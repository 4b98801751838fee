import fc from 'fast-check';
import { cutOne, KEEP_FROM_MM } from './cutting';
import type { StockItem } from './item';

const AT = '2026-11-28T10:00:00.000Z';
const coil = (changes: Partial<StockItem> = {}): StockItem => ({
  id: 'coil',
  label: 'Coil of brake outer',
  place: 'cables.brake',
  size: '5 mm',
  state: 'new',
  from: '',
  bicycle: null,
  quantity: 1,
  cable: { kind: 'brake-outer', lengthMm: 5000, heads: [] },
  worth: 900,
  cost: 800,
  at: AT,
  goneAt: null,
  ...changes,
});
const ids = { used: 'used', rest: 'rest' };

test('1,250 of a coil of 5,000 at 8.00: 2.00 are used, the rest lies in the drawer at 6.00', () => {
  const { rows, cost } = cutOne(coil(), 800, 3750, AT, ids);
  expect(cost).toBe(200);
  expect(rows).toMatchObject([
    { id: 'coil', quantity: 0, cost: 200, goneAt: AT },
    { id: 'rest', label: 'Rest of coil of brake outer', quantity: 1, cost: 600, cable: { lengthMm: 3750 } },
  ]);
  expect(cutOne(rows[1]!, 600, 2000, AT, { used: 'u', rest: 'r' }).rows.at(-1)?.label).toBe(
    'Rest of coil of brake outer',
  );
});

test('a rest that is too short, or that has lost its head, is used up with the rest of its cost', () => {
  expect(cutOne(coil(), 800, KEEP_FROM_MM - 1, AT, ids)).toMatchObject({ cost: 800, rows: [{ goneAt: AT }] });
  const inner = coil({ cable: { kind: 'brake-inner', lengthMm: 1800, heads: ['pear'] } });
  expect(cutOne(inner, 250, 900, AT, ids)).toMatchObject({ cost: 250, rows: [{ id: 'coil' }] });
});

test('whatever is cut, the costs of all rows come to what they were, to the unit', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 5000 }),
      fc.integer({ min: 1, max: 6 }),
      fc.integer({ min: 0, max: 5000 }),
      (cost, quantity, restMm) => {
        const { rows, cost: used } = cutOne(coil({ cost, quantity }), cost, restMm, AT, ids);
        expect(rows.reduce((sum, row) => sum + row.cost!, 0)).toBe(cost);
        expect(used).toBeGreaterThanOrEqual(0);
        expect(rows.reduce((sum, row) => sum + row.quantity, 0)).toBe(quantity - (restMm < KEEP_FROM_MM ? 1 : 0));
      },
    ),
  );
});
