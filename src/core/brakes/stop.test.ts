import { answer } from '../calculator';
import { stopLimits } from './data/stops';
import { STOPPED_BY, SURFACES, type MeasuredStop } from './measuredStop';
import { brakesStop } from './stop';

const stop = (changes: Partial<MeasuredStop> = {}) => {
  const said = answer(brakesStop, { speedKmh: 20, distanceM: 3.5, brakes: 'both', surface: 'dry', ...changes });
  if (!said.ok) throw new Error(JSON.stringify(said));
  return said.output;
};

test('20 km/h in 3.5 m is 4.41 m/s², and passes', () => {
  expect(stop().decelerationMs2).toBeCloseTo(4.409, 3);
  expect(stop()).toMatchObject({ verdict: 'passes', limitMs2: 3.4 });
});
test('at its limit it is weak, under it it fails, from 1.15 of it it passes', () => {
  const at = (ms2: number, brakes: MeasuredStop['brakes'] = 'both') =>
    stop({ brakes, distanceM: (20 / 3.6) ** 2 / (2 * ms2) }).verdict;
  expect([at(3.39), at(3.4), at(3.9), at(3.91)]).toEqual(['fails', 'weak', 'weak', 'passes']);
  expect([at(1.59, 'rear'), at(1.6, 'rear')]).toEqual(['fails', 'weak']);
});
test('every surface and every brake has its limit, wet under dry, the rear under the front, both over either', () => {
  const limit = (surface: string, brakes: string) =>
    stopLimits.find((row) => row.surface === surface && row.brakes === brakes)!.leastMs2;
  expect(stopLimits).toHaveLength(STOPPED_BY.length * SURFACES.length);
  for (const brakes of STOPPED_BY) expect(limit('wet', brakes)).toBeLessThan(limit('dry', brakes));
  for (const surface of SURFACES) {
    expect(limit(surface, 'rear')).toBeLessThan(limit(surface, 'front'));
    expect(limit(surface, 'front')).toBeLessThan(limit(surface, 'both'));
  }
});
test('the band holds the figure, and says so where it may be otherwise', () => {
  const { betweenMs2, decelerationMs2, reasons } = stop({ distanceM: 4.2 });
  expect(betweenMs2.low).toBeLessThan(decelerationMs2);
  expect(betweenMs2.high).toBeGreaterThan(decelerationMs2);
  expect(reasons.join(' ')).toContain('second stop');
});
test('a stop in no metres, and from a speed that nobody rides, is refused', () => {
  for (const changes of [{ distanceM: 0 }, { speedKmh: 200 }, { distanceM: -3 }])
    expect(
      answer(brakesStop, { speedKmh: 20, distanceM: 3.5, brakes: 'both', surface: 'dry', ...changes }),
    ).toMatchObject({ ok: false });
});
