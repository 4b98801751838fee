import fc from 'fast-check';
import { parseLengthMm } from '@/core/units/parseReading';
import { caliperKeys, caliperReading, REPEATS_TO_MM } from './caliper';

describe('the made-up caliper', () => {
  test('it reads what is there, to as much as it repeats', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 150, noNaN: true }), fc.integer(), (size, seed) => {
        const reading = caliperReading(size, seed);
        expect(Math.abs(reading - size)).toBeLessThanOrEqual(REPEATS_TO_MM + 0.0051);
        expect(caliperReading(size, seed)).toBe(reading);
      }),
    );
  });
  test('what it types is a reading that a field takes', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 150, noNaN: true }), (size) => {
        const keys = caliperKeys(size);
        expect(keys.at(-1)).toBe('Enter');
        expect(parseLengthMm(keys.slice(0, -1).join(''))).toMatchObject({ ok: true });
      }),
    );
  });
});
