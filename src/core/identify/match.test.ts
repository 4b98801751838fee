import fc from 'fast-check';
import { answer } from '../calculator';
import { identifyMatch, type MatchInput } from './match';
import { KINDS, READINGS } from './readings';
import { idOf, STANDARDS_OF, unclashed } from './standards';

function match(input: MatchInput) {
  const result = answer(identifyMatch, input);
  if (!result.ok) throw new Error(JSON.stringify(result.errors));
  return result.output;
}
const refused = (input: unknown) => {
  const result = answer(identifyMatch, input);
  return result.ok ? [] : result.errors.map(({ path }) => path);
};

describe('what a bottom bracket is', () => {
  test('36 mm by 24 to the inch is Italian, and both sides come out anticlockwise', () => {
    const found = match({ kind: 'bottom-bracket', readings: { diameterMm: 36, tpi: 24 } });
    expect(found.verdict).toBe('identified');
    expect(found.candidates[0]!.id).toBe('italian-thread');
    expect(found.removal.filter((words) => words.includes('anticlockwise to unscrew'))).toHaveLength(2);
  });

  test('35 mm by 1 mm may be French or Swiss: the hand of the drive side is asked for, and nobody is told to turn', () => {
    const found = match({ kind: 'bottom-bracket', readings: { diameterMm: 35, pitchMm: 1 } });
    expect(found.verdict).toBe('ambiguous');
    expect(found.candidates.slice(0, 2).map(({ id }) => id)).toEqual(['french-thread', 'swiss-thread']);
    expect(found.nextReading?.field).toBe('driveHand');
    expect(found.removal.join()).not.toMatch(/clockwise/);
  });

  test('the hand then settles it', () => {
    const left = match({ kind: 'bottom-bracket', readings: { diameterMm: 35, pitchMm: 1, driveHand: 'left' } });
    expect(left.candidates[0]!.id).toBe('swiss-thread');
    expect(left.candidates.find(({ id }) => id === 'french-thread')!.probability).toBeLessThan(0.05);
  });

  test('English of one width and another come out alike, so the way out is told before the width is known', () => {
    const found = match({ kind: 'bottom-bracket', readings: { diameterMm: 34.8, tpi: 24 } });
    expect(found.verdict).toBe('identified');
    expect(found.nextReading?.field).toBe('shellWidthMm');
    expect(found.removal[0]).toMatch(/drive side, turn clockwise to unscrew/);
  });

  test('a thread gauge that bites rules out a pressed shell', () => {
    const bare = match({ kind: 'bottom-bracket', readings: { diameterMm: 37 } });
    const threaded = match({ kind: 'bottom-bracket', readings: { diameterMm: 37, pitchMm: 1 } });
    const share = (found: typeof bare) =>
      found.candidates.filter(({ id }) => id.startsWith('37-mm')).reduce((sum, each) => sum + each.probability, 0);
    expect(share(threaded)).toBeLessThan(share(bare));
  });
});

describe('what other parts are', () => {
  test('14.0 against 14.29 mm: a French pedal is told by the caliper alone, with its warning', () => {
    const found = match({ kind: 'pedal', readings: { diameterMm: 14 } });
    expect(found.candidates[0]!.id).toBe('14-mm-x-1-25-mm-french');
    expect(found.warnings.join()).toMatch(/ruins the arm/);
  });

  test('seat posts stand 0.2 mm apart and are told from each other', () => {
    for (const read of [26.2, 26.4, 26.6, 26.8, 27, 27.2])
      expect(match({ kind: 'seat-post', readings: { diameterMm: read } })).toMatchObject({ verdict: 'identified' });
  });

  test('590 and 597 are both called 26 inch and are told apart', () => {
    expect(match({ kind: 'wheel-size', readings: { beadSeatMm: 590.5 } }).candidates[0]!.name).toMatch(/^590 mm/);
    expect(match({ kind: 'wheel-size', readings: { beadSeatMm: 596.4 } }).candidates[0]!.name).toMatch(/^597 mm/);
  });

  test('9.5 mm of axle may be metric or 26 to the inch: the thread gauge is asked for', () => {
    const found = match({ kind: 'hub-axle', readings: { diameterMm: 9.5 } });
    expect(found.nextReading?.field).toBe('pitchMm');
    expect(match({ kind: 'hub-axle', readings: { diameterMm: 9.5, pitchMm: 1 } }).candidates[0]!.name).toMatch(/^M9.5/);
  });

  test('something far from every size is unknown, not the nearest', () => {
    const found = match({ kind: 'pedal', readings: { diameterMm: 20 } });
    expect(found.verdict).toBe('unknown');
    expect(found.removal.join()).toMatch(/before anyone heaves/);
  });
});

describe('laws of the match', () => {
  test.each(KINDS)('every %s measured dead on comes out first, or level with one that reads the same', (kind) => {
    for (const standard of STANDARDS_OF[kind]) {
      const readings = Object.fromEntries(
        READINGS[kind].flatMap(({ field }) => {
          const expects = standard.expects[field]!;
          return typeof expects === 'string' ? [] : [[field, 'word' in expects ? expects.word : expects.sizes[0]]];
        }),
      );
      const found = match({ kind, readings });
      const own = found.candidates.find(({ id }) => id === standard.id)!;
      expect(own.misses).toEqual([]);
      expect(own.probability).toBeCloseTo(found.candidates[0]!.probability, 9);
    }
  });

  test('probabilities sum to one and a surer instrument never lowers what is dead on', () => {
    // Between two sizes it may: then it was the one over its thread, or another one's bare shell.
    const sizes = STANDARDS_OF['bottom-bracket'].flatMap(({ expects }) =>
      typeof expects.diameterMm === 'object' && 'sizes' in expects.diameterMm ? expects.diameterMm.sizes : [],
    );
    fc.assert(
      fc.property(fc.constantFrom(...sizes), (diameterMm) => {
        const rough = match({ kind: 'bottom-bracket', readings: { diameterMm }, sigma: { diameterMm: 0.2 } });
        const fine = match({ kind: 'bottom-bracket', readings: { diameterMm }, sigma: { diameterMm: 0.05 } });
        expect(rough.candidates.reduce((sum, each) => sum + each.probability, 0)).toBeCloseTo(1, 9);
        const leading = fine.candidates[0]!;
        const before = rough.candidates.find(({ id }) => id === leading.id)!;
        expect(leading.probability).toBeGreaterThanOrEqual(before.probability - 1e-9);
      }),
      { numRuns: 60 },
    );
  });

  test('threads to the inch and the same pitch in millimetres say the same', () => {
    const inch = match({ kind: 'freewheel', readings: { diameterMm: 34.8, tpi: 24 } });
    const metric = match({ kind: 'freewheel', readings: { diameterMm: 34.8, pitchMm: 25.4 / 24 } });
    expect(inch).toEqual(metric);
  });

  test('names that make one id are refused', () => {
    const [first] = STANDARDS_OF.pedal;
    expect(() => unclashed([first!, { ...first!, name: first!.name.toUpperCase() }])).toThrow(/would both be called/);
    expect(idOf('1 in threadless, external cups')).toBe('1-in-threadless-external-cups');
  });

  test('what is refused', () => {
    expect(refused({ kind: 'pedal', readings: {} })).toEqual(['readings']);
    expect(refused({ kind: 'pedal', readings: { diameterMm: 14, pitchMm: 1.27, tpi: 20 } })).toEqual(['readings.tpi']);
    expect(refused({ kind: 'pedal', readings: { steererMm: 25.4 } })).toEqual(['readings.steererMm']);
    expect(refused({ kind: 'bicycle', readings: { diameterMm: '14' } })).toEqual(['kind', 'readings.diameterMm']);
  });
});
