import { axisTicks, timeShare } from './TimeAxis';

const at = (day: number, hour: number, minute = 0) => new Date(2026, 10, day, hour, minute).getTime();
const walls = (from: number, to: number) =>
  axisTicks({ fromMs: from, toMs: to }).map((ms) => new Date(ms).toTimeString().slice(0, 5));

test('a day has every second hour, an hour its quarters or less, a week its days; never so many that none can be read', () => {
  expect(walls(at(29, 7, 20), at(30, 7, 20))).toEqual(
    ['08', '10', '12', '14', '16', '18', '20', '22', '00', '02', '04', '06'].map((hour) => `${hour}:00`),
  );
  expect(walls(at(29, 7, 2), at(29, 8, 1)).slice(0, 3)).toEqual(['07:05', '07:10', '07:15']);
  expect(walls(at(20, 7), at(27, 7)).every((wall) => wall === '00:00' || wall === '12:00')).toBe(true);
  for (const days of [1, 2, 5, 12]) expect(walls(at(1, 0), at(1 + days, 0)).length).toBeLessThan(14);
});

test('hours of the wall stay round where the clocks change', () => {
  const zone = Array.from({ length: 365 }, (_, day) => new Date(2026, 0, 1 + day));
  const change = zone.find((day, i) => i > 0 && day.getTimezoneOffset() !== zone[i - 1]!.getTimezoneOffset());
  const around = change ?? zone[100]!;
  const from = around.getTime() - 36 * 3_600_000;
  for (const ms of axisTicks({ fromMs: from, toMs: from + 48 * 3_600_000 })) expect(new Date(ms).getMinutes()).toBe(0);
});

test('a moment lies in proportion, and what lies outside at its end', () => {
  const x = timeShare({ fromMs: 0, toMs: 200 });
  expect([x(-5), x(50), x(900)]).toEqual([0, 25, 100]);
});
