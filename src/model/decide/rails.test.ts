import { hoursRail, moneyRail } from './rails';

const piece = (id: string, amount: number) => ({ id, label: id, amount });

test('money reaches over its line by as much as the price lies over its limit', () => {
  const rail = moneyRail(piece('paid', 3000), [piece('pads', 1500), piece('chain', 2600)], 1100);
  expect(rail).toMatchObject({ total: 7100, limit: 5200 });
  expect(rail.total - rail.limit!).toBe(3000 - 1100);
  expect(moneyRail(piece('paid', 3000), [], null).limit).toBeNull();
});

test('a job without parts has no piece of the money, and nobody’s price none either', () => {
  expect(moneyRail(null, [piece('true', 0), piece('chain', 2600)], 1100).pieces.map(({ id }) => id)).toEqual(['chain']);
});

test('hours end where the wage is no longer earned; without a wage nothing ends them', () => {
  expect(hoursRail([piece('hub', 300), piece('true', 90)], -1900, 1500)).toMatchObject({ total: 390, limit: 314 });
  expect(hoursRail([piece('hub', 60)], 1500, 1500).limit).toBe(120);
  expect(hoursRail([piece('hub', 60)], -9000, 1500).limit).toBe(0);
  for (const wage of [0, null]) expect(hoursRail([piece('hub', 60)], 500, wage).limit).toBeNull();
});
