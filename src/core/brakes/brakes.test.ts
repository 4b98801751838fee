import fc from 'fast-check';
import { answer } from '../calculator';
import { brakesCantilever, type Cantilever } from './cantilever';
import { brakesChain, type HandToPad } from './chain';

const GEOMETRY: Cantilever = {
  pivotHalfSpacingMm: 40,
  anchor: { outMm: 30, upMm: 20 },
  pad: { inMm: 10, upMm: 25 },
  yokeHeightMm: 80,
};
const cantilever = (changes: Partial<Cantilever> = {}) => {
  const said = answer(brakesCantilever, { ...GEOMETRY, ...changes });
  if (!said.ok) throw new Error(JSON.stringify(said));
  return said.output;
};
const CHAIN: HandToPad = { handN: 60, leverRatio: 4, bendsDeg: 200, armRatio: 2.2, pullMm: 14, padTravelMm: 3 };
const chain = (changes: Partial<HandToPad> = {}) => {
  const said = answer(brakesChain, { ...CHAIN, ...changes });
  if (!said.ok) throw new Error(JSON.stringify(said));
  return said.output;
};

describe('a cantilever', () => {
  test('P 40, anchor 30 out and 20 up, pad 25 up, yoke at 80: 1.07 N a newton, 2.13 mm of cable a millimetre', () => {
    expect(cantilever().padForcePerCableN).toBeCloseTo((30 + (20 * 70) / 60) / 50, 9);
    expect(cantilever().cableMmPerPadMm).toBeCloseTo(2 * cantilever().padForcePerCableN, 12);
    expect(cantilever().verdict).toBe('balanced');
  });
  test('a lower yoke is stronger and needs more cable; what is gained in force is lost in travel', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 25, max: 290, noNaN: true }),
        fc.double({ min: 1, max: 40, noNaN: true }),
        (low, more) => {
          const [down, up] = [
            cantilever({ yokeHeightMm: low }),
            cantilever({ yokeHeightMm: Math.min(300, low + more) }),
          ];
          expect(down.padForcePerCableN).toBeGreaterThan(up.padForcePerCableN - 1e-12);
          expect(down.cableMmPerPadMm / down.padForcePerCableN).toBeCloseTo(2, 9);
        },
      ),
    );
  });
  test('soft under 0.7, hard over 1.3; at either it is balanced', () => {
    const of = (force: number) =>
      cantilever({ anchor: { outMm: 2 * 25 * force, upMm: 0 }, pad: { inMm: 10, upMm: 25 } }).verdict;
    expect([of(0.69), of(0.7), of(1.3), of(1.31)]).toEqual(['soft', 'balanced', 'balanced', 'hard']);
  });
  test('a yoke that is not above the anchor is refused', () => {
    for (const yokeHeightMm of [20, 20.0001 - 0.0001])
      expect(answer(brakesCantilever, { ...GEOMETRY, yokeHeightMm })).toMatchObject({ ok: false });
  });
});

describe('from hand to pad', () => {
  test('450 degrees at 0.1 leave 0.456 of the force', () =>
    expect(chain({ bendsDeg: 450 }).efficiency).toBeCloseTo(0.456, 3));
  test('more bends, more friction: never more force', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1400, noNaN: true }),
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        fc.double({ min: 0, max: 40, noNaN: true }),
        (bendsDeg, mu, more) => {
          expect(chain({ bendsDeg: bendsDeg + more, mu }).padN).toBeLessThanOrEqual(
            chain({ bendsDeg, mu }).padN + 1e-9,
          );
          expect(chain({ bendsDeg, mu: mu + more / 400 }).padN).toBeLessThanOrEqual(
            chain({ bendsDeg, mu }).padN + 1e-9,
          );
        },
      ),
    );
  });
  test('a lever that pulls just what is needed takes up; a hair less and it comes to the bar', () => {
    expect(chain({ pullMm: 6.6 }).verdict).not.toBe('to-the-bar');
    expect(chain({ pullMm: 6.5 })).toMatchObject({ verdict: 'to-the-bar', takesUp: false });
  });
  test('a short-pull lever on a long-pull brake comes to the bar; the other way round it is weak; both are said', () => {
    const short = chain({ armRatio: 5, pullMm: 8, leverRatio: 5 });
    expect(short.verdict).toBe('to-the-bar');
    expect(short.reasons.join(' ')).toContain('do not match in pull');
    const long = chain({ armRatio: 1.6, pullMm: 16, leverRatio: 2 });
    expect(long.verdict).toBe('weak');
    expect(long.reasons.join(' ')).toContain('do not match in pull');
  });
  test('what it slows by is rough: grip by the pads over ninety kilograms, less in the wet, and never over six', () => {
    const { padN, slowsMs2 } = chain();
    expect(slowsMs2.dry).toBeCloseTo(Math.min(6, (0.45 * padN) / 90), 9);
    expect(slowsMs2.wet).toBeLessThan(slowsMs2.dry);
    expect(chain({ handN: 400, leverRatio: 8 }).slowsMs2.dry).toBe(6);
  });
  test('weak is judged in proportion to the squeeze', () =>
    expect(chain({ handN: 120, leverRatio: 1 }).verdict).toBe(chain({ handN: 60, leverRatio: 1 }).verdict));
});
