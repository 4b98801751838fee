import fc from 'fast-check';
import { clickedNm, OFF_SCALE, SLOW_S } from './wrench';

describe('the made-up wrench', () => {
  test('pulled slowly it clicks at its figure, within its own scale', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 100, noNaN: true }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        (set, scale) => {
          const said = clickedNm(set, SLOW_S + 1, scale);
          expect(Math.abs(said - set)).toBeLessThanOrEqual(set * OFF_SCALE + 1e-9);
        },
      ),
    );
  });
  test('the faster the pull, the further past: never under', () => {
    expect(clickedNm(10, 0.6)).toBeCloseTo(11.25, 9);
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 2, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (slow, faster) => {
          expect(clickedNm(10, slow * faster)).toBeGreaterThanOrEqual(clickedNm(10, slow));
        },
      ),
    );
  });
});
