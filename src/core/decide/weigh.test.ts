import { answer } from '../calculator';
import { decideWeigh, type Weighed } from './weigh';

function weigh(input: unknown): Weighed {
  const told = answer(decideWeigh, input);
  if (!told.ok) throw new Error(JSON.stringify(told.errors));
  return told.output;
}
const flat = (value: number) => ({ low: value, likely: value, high: value });
const overhaul = { id: 'open', label: 'Overhaul', minutes: flat(70), parts: flat(300) };
const renew = { id: 'new', label: 'New hub', minutes: flat(45), parts: flat(4000) };

describe('ways to do one thing', () => {
  test('at 15 an hour the overhaul at 20.50 beats the new hub at 51.25', () => {
    const found = weigh({ options: [overhaul, renew], ratePerHour: 1500 });
    expect(found.options.map((each) => [each.id, each.cost, each.verdict])).toEqual([
      ['open', 2050, 'cheapest'],
      ['new', 5125, 'dearer'],
    ]);
  });
  test('at 150 an hour the new hub wins', () => {
    expect(weigh({ options: [overhaul, renew], ratePerHour: 15000 }).options[1]!.verdict).toBe('cheapest');
  });
  test('a part from the drawer costs nothing and does not wait', () => {
    const found = weigh({ options: [{ ...renew, source: 'drawer' }], ratePerHour: 0 });
    expect(found.options[0]).toMatchObject({ cost: 0, waitDays: 0 });
  });
  test('a day of waiting can turn it, and a way that may fail carries the other', () => {
    expect(weigh({ options: [renew], ratePerHour: 0, dayWorth: 100 }).options[0]!.cost).toBe(4500);
    const found = weigh({ options: [{ ...overhaul, works: 0.5 }, renew], ratePerHour: 0 });
    expect(found.options[0]!.cost).toBe(300 + 300 / 2 + 4000 * 0.5 - 300 / 2);
  });
});
