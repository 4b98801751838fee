import fc from 'fast-check';
import { shareByWorth } from '@/core/stock/share';
import { harmless, plainCell } from '../exchange/csv';
import { readStockCsv, stockCsv } from '../exchange/stockCsv';
import type { StockItem } from './item';
import { ballsInDrawer, bestOfTwo, inStock, namedInDrawer, stockCosts, stockFor, takeOne } from './drawer';

const AT = '2026-11-25T10:00:00.000Z';
const item = (id: string, changes: Partial<StockItem> = {}): StockItem => ({
  id,
  label: `Part ${id}`,
  place: 'pads.front',
  size: '',
  state: 'good',
  from: '',
  bicycle: null,
  quantity: 1,
  worth: 0,
  cost: null,
  at: AT,
  goneAt: null,
  ...changes,
});
const donor = { d: { id: 'd', brief: 'donor', paid: 1000 } };
let ids = 0;
const newId = () => `new-${ids++}`;

describe('what a donor costs', () => {
  test('its price is shared over its parts by their worth, to the last unit', () => {
    fc.assert(
      fc.property(fc.nat(100_000), fc.array(fc.nat(5000), { minLength: 1, maxLength: 30 }), (cost, worths) => {
        const shares = shareByWorth(cost, worths);
        expect(shares.reduce((a, b) => a + b, 0)).toBe(cost);
        worths.forEach((worth, i) =>
          worths.forEach((other, j) => worth > other && expect(shares[i]!).toBeGreaterThanOrEqual(shares[j]! - 1)),
        );
      }),
    );
    expect(shareByWorth(1000, [2, 1])).toEqual([667, 333]);
    expect(shareByWorth(10, [0, 0])).toEqual([5, 5]);
  });

  test('a part that has gone keeps its share; the others do not get dearer for it', () => {
    const [a, b] = [item('a', { bicycle: 'd', worth: 300 }), item('b', { bicycle: 'd', worth: 100 })];
    const before = stockCosts([a, b], donor);
    expect([before.get('a'), before.get('b')]).toEqual([750, 250]);
    const { rows, cost } = takeOne(a, before.get('a')!, AT, 'used');
    expect(cost).toBe(750);
    const after = stockCosts([...rows, b], donor);
    expect(after.get('b')).toBe(250);
  });

  test('a bicycle that is no donor shares nothing', () => {
    expect(
      stockCosts([item('a', { bicycle: 'x' })], { x: { id: 'x', brief: 'rideable', paid: 900 } }).get('a'),
    ).toBeNull();
  });
});

describe('the drawer', () => {
  test('taking one of a pack leaves the rest at the rest of what it cost', () => {
    const pack = item('p', { quantity: 3, cost: 1000 });
    const { rows, cost } = takeOne(pack, 1000, AT, 'used');
    expect(cost).toBe(333);
    expect(rows.find((row) => row.id === 'p')).toMatchObject({ quantity: 2, cost: 667, goneAt: null });
    expect(rows.reduce((sum, row) => sum + (row.cost ?? 0), 0)).toBe(1000);
    expect(inStock(Object.fromEntries(rows.map((row) => [row.id, row])))).toHaveLength(1);
  });

  test('a job at one end finds parts from the other, the best first', () => {
    const stock = {
      a: item('a', { state: 'worn' }),
      b: item('b', { place: 'pads.rear', state: 'new' }),
      c: item('c', { place: 'chain' }),
    };
    expect(stockFor('pads.front', stock).map((row) => row.id)).toEqual(['b', 'a']);
  });

  test('of two parts the better goes on; level, the original stays', () => {
    expect(bestOfTwo('worn', 'good')).toBe('other');
    expect(bestOfTwo('good', 'good')).toBe('original');
  });
});

describe('stock as a table', () => {
  test('out and in again it is the same, whatever the words', () => {
    const words = fc
      .string({ minLength: 1, maxLength: 30 })
      .filter((text) => text.trim() === text && text !== '' && !text.startsWith("'"));
    fc.assert(
      fc.property(
        words,
        fc.string({ maxLength: 20 }).filter((t) => !t.startsWith("'") && !/[\r\n]/.test(t)),
        fc.nat(100_000),
        (label, size, cost) => {
          const items = [item('a', { label, size, cost, quantity: 2.5 }), item('b', { cost: null, goneAt: AT })];
          const read = readStockCsv(stockCsv(items), newId, AT);
          expect(read).toEqual({ ok: true, items });
        },
      ),
      { numRuns: 100 },
    );
  });

  test('a list of one’s own needs three columns', () => {
    const read = readStockCsv('what,state,quantity\nBrake pads,new,4\n', newId, AT);
    expect(read.ok && read.items[0]).toMatchObject({ label: 'Brake pads', state: 'new', quantity: 4, cost: null });
  });

  test('rows that cannot be read are named and nothing is taken', () => {
    expect(readStockCsv('what,state,quantity\nPads,shiny,4\nChain,new,many\n', newId, AT)).toEqual({
      ok: false,
      errors: ['Row 2: state: give new, good, worn', 'Row 3: quantity: give a number'],
    });
    expect(readStockCsv('a,b\n1,2\n', newId, AT)).toMatchObject({
      ok: false,
      errors: [expect.stringContaining('what')],
    });
  });
});

describe('what is looked for by its size', () => {
  const drawer = {
    a: item('a', { label: 'Balls', size: '3/16 in', state: 'new', quantity: 40 }),
    b: item('b', { label: 'Balls', size: '3/16 in', state: 'new', quantity: 12 }),
    c: item('c', { label: 'Balls', size: '3/16 in', state: 'worn', quantity: 90 }),
    d: item('d', { label: 'Cartridge', size: '6902, sealed', state: 'new', quantity: 2 }),
    e: item('e', { label: 'Head bearing', size: '41.8x8.0 45x45', state: 'new' }),
    f: item('f', { label: 'Screw', size: '3/16 in', state: 'new', quantity: 500 }),
  };
  test('balls of one lot and new: the largest bag, never two together, never worn ones', () => {
    expect(ballsInDrawer('3/16', drawer)).toBe(40);
    expect(ballsInDrawer('1/4', drawer)).toBe(0);
  });
  test('a cartridge by its code, also one of two words, and never by a piece of it', () => {
    expect(namedInDrawer('6902', drawer).map(({ id }) => id)).toEqual(['d']);
    expect(namedInDrawer('41.8x8.0 45x45', drawer).map(({ id }) => id)).toEqual(['e']);
    expect(namedInDrawer('690', drawer)).toEqual([]);
  });
});

describe('a cell that a spreadsheet might run', () => {
  const risky = [
    '=1+1',
    '+1',
    '-1',
    '@x',
    '\n=1+1',
    '\r\n=1',
    ' =1',
    '\t-1',
    '\u00a0=1',
    '\u200b=1',
    '\ufeff=1',
    "'=1",
    '＝1',
    '\n\n@x',
  ];
  test.each(risky)('%j is led by an apostrophe, and comes back as it was', (text) => {
    expect(harmless(text)).toBe(`'${text}`);
    expect(plainCell(harmless(text))).toBe(text);
  });
  test('any text comes back as it was, and numbers stay numbers', () => {
    fc.assert(
      fc.property(
        fc.string({ unit: fc.constantFrom("'", '=', '-', ' ', '\n', 'a') }),
        (text) => plainCell(harmless(text)) === text,
      ),
    );
    expect(harmless(-5)).toBe('-5');
    expect(harmless('a-b=c')).toBe('a-b=c');
  });
});
