import type { StockItem } from '../stock/item';
import type { Summary } from '../summary';
import { donorRows, savedByAll } from './donors';

const AT = '2026-11-25T10:00:00.000Z';
const item = (id: string, worth: number, more: Partial<StockItem> = {}): StockItem => ({
  id,
  label: id,
  place: 'hub.rear',
  size: '',
  state: 'good',
  from: '',
  bicycle: 'donor',
  quantity: 1,
  worth,
  cost: null,
  at: AT,
  goneAt: null,
  ...more,
});
const stockOf = (...items: StockItem[]) => Object.fromEntries(items.map((each) => [each.id, each]));
const bicycle = (more: Partial<Summary>) =>
  ({ id: 'donor', name: 'Donor', brief: 'donor', paid: 3000, saved: null, ...more }) as Summary;

test('a donor’s price is shared over the parts that it gave, to the cent, and its result is what they were worth less that', () => {
  const stock = stockOf(
    item('wheel', 4000),
    item('brake', 1000, { quantity: 0, cost: 700, goneAt: AT }),
    item('post', 500),
  );
  const [row] = donorRows(stock, { donor: bicycle({}) });
  expect(row).toMatchObject({
    paid: 3000,
    gone: { count: 1, cost: 700, worth: 1000 },
    left: { count: 2, cost: 2300, worth: 4500 },
    earned: 300,
  });
  expect(row!.gone.cost + row!.left.cost).toBe(row!.paid);
});

test('a bicycle that is no donor, or gave nothing yet, is none', () => {
  expect(donorRows(stockOf(item('wheel', 4000)), { donor: bicycle({ brief: 'rideable' }) })).toEqual([]);
  expect(donorRows({}, { donor: bicycle({}) })).toEqual([]);
});

test('what was saved adds up over the bicycles that were counted, and stays silent where none was', () => {
  const saved = { weightKg: 14.5, partsReused: 6, learners: 2, learningHours: 5 };
  expect(
    savedByAll({ a: bicycle({ saved, wentOut: 'ready' }), b: bicycle({ saved, wentOut: 'parts' }), c: bicycle({}) }),
  ).toEqual({ onTheRoad: 1, weightKg: 29, partsReused: 12, learners: 4, learningHours: 10 });
  expect(savedByAll({ c: bicycle({}) })).toBeNull();
});
