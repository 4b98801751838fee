import { bicycleKind } from '@/core/bicycle';
import { dialTurn } from './dialGauge';
import { soldPrices } from './soldPrices';

describe('stand-ins', () => {
  test('the dial gauge reads the same wheel alike, to the hundredth, and another otherwise', () => {
    expect(dialTurn(12, 3)).toEqual(dialTurn(12, 3));
    expect(dialTurn(12, 3)).not.toEqual(dialTurn(12, 4));
    for (const value of dialTurn(24, 9)) expect(Math.round(value * 100) / 100).toBe(value);
  });
  test('the feed answers a question alike on one day; sales lie in the past and one is another sort', () => {
    const kind = bicycleKind.parse({});
    const sales = soldPrices(kind, '2026-11-25');
    expect(sales).toEqual(soldPrices(kind, '2026-11-25'));
    expect(new Set(sales.map((sale) => sale.id)).size).toBe(sales.length);
    for (const sale of sales) expect(sale.soldOn <= '2026-11-25').toBe(true);
    const prices = sales.map((sale) => sale.price).sort((a, b) => a - b);
    expect(prices.at(-1)!).toBeGreaterThan(2 * prices[4]!);
  });
});
