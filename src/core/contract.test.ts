import fc from 'fast-check';
import { reckon } from './reckon';

/** A number from a decimal grid, as instruments give them. */
const tenths = (low: number, high: number) => fc.integer({ min: low * 10, max: high * 10 }).map((n) => n / 10);
const minor = fc.integer({ min: 0, max: 100_000 });
const range = (value: fc.Arbitrary<number>) =>
  fc.tuple(value, value, value).map((ends) => {
    const [low, likely, high] = [...ends].sort((a, b) => a - b);
    return { low, likely, high };
  });
const feel = fc.constantFrom('loose', 'tick', 'smooth', 'tight');
const evidence = {
  feel: fc.constantFrom('smooth', 'light-rumble', 'gritty', 'notchy', 'tight', 'seized', 'unknown'),
  play: fc.constantFrom('none', 'slight', 'clear', 'unknown'),
  grease: fc.constantFrom('fresh', 'dirty', 'dry', 'rusty', 'unknown'),
  cup: fc.constantFrom('bright', 'dull', 'pitted', 'unknown'),
  cone: fc.constantFrom('bright', 'dull', 'pitted', 'unknown'),
  balls: fc.constantFrom('bright', 'dull', 'rusty', 'short', 'unknown'),
};

/** Inputs that every caller may send, and the fields that the answer must have. */
const CONTRACT: Record<string, { input: fc.Arbitrary<object>; fields: string[]; judges: boolean }> = {
  'money.appraise': {
    input: fc.record({
      currency: fc.constant('EUR'),
      asking: minor,
      resale: range(minor),
      costs: fc
        .array(
          fc.record({
            parts: range(minor),
            minutes: range(fc.integer({ min: 0, max: 600 })),
            chance: fc.integer({ min: 0, max: 10 }).map((n) => n / 10),
          }),
          { maxLength: 4 },
        )
        .map((lines) => lines.map((line, i) => ({ label: `line ${i}`, ...line }))),
      target: fc.record({ kind: fc.constantFrom('profit', 'hourly'), amount: minor }),
      confidence: fc.integer({ min: 50, max: 99 }).map((n) => n / 100),
      trials: fc.constant(1000),
      seed: fc.integer(),
    }),
    fields: ['ceiling', 'atAsking', 'minutes', 'drivers', 'resaleSpread', 'verdict', 'reasons', 'working'],
    judges: true,
  },
  'money.result': {
    input: fc.record({
      currency: fc.constant('EUR'),
      sale: fc.option(minor),
      fee: minor,
      purchase: minor,
      lines: fc.constant([]),
      minutes: fc.nat(5000),
      labourPerHour: minor,
    }),
    fields: ['charged', 'stockLeft', 'labour', 'outlay', 'profit', 'margin', 'returnOnOutlay', 'hourly', 'working'],
    judges: false,
  },
  'inspect.chainWear': {
    input: fc
      .record({
        chain: fc.constantFrom('single-or-hub-gear', '5-8-speed', '9-10-speed', '11-speed', '12-speed'),
        pitches: fc.constantFrom(24, 48, 100),
        worn: tenths(0, 4),
      })
      .map(({ chain, pitches, worn }) => ({ chain, pitches, lengthMm: 12.7 * pitches * (1 + worn / 100) })),
    fields: ['percent', 'plusMinusPercent', 'limitPercent', 'usedShare', 'verdict', 'reasons', 'working'],
    judges: true,
  },
  'inspect.disc': {
    input: fc.record({
      readingsMm: fc.array(tenths(1, 3), { minLength: 1, maxLength: 6 }),
      wornPastReading: fc.boolean(),
    }),
    fields: [
      'thinnestMm',
      'spreadMm',
      'minimumMm',
      'minimumFrom',
      'leftMm',
      'usedShare',
      'verdict',
      'reasons',
      'working',
    ],
    judges: true,
  },
  'inspect.crankPlay': {
    input: fc.record({
      left: fc.constantFrom('firm', 'loose'),
      right: fc.constantFrom('firm', 'loose'),
      crankType: fc.constantFrom('square-taper', 'cottered', 'pinch-bolt', 'one-piece', 'other'),
    }),
    fields: ['cause', 'verdict', 'reasons'],
    judges: true,
  },
  'bearings.ballCount': {
    input: fc
      .record({ ballDiameterMm: tenths(2, 9), ratio: tenths(3, 15) })
      .map(({ ballDiameterMm, ratio }) => ({ ballDiameterMm, pitchDiameterMm: ballDiameterMm * ratio })),
    fields: ['exact', 'full', 'use', 'gapMm'],
    judges: false,
  },
  'bearings.identifyBall': {
    input: fc.record({
      readingsMm: fc.array(tenths(2, 10), { minLength: 1, maxLength: 8 }),
      instrument: fc.constantFrom('caliper', 'micrometer'),
    }),
    fields: ['nominal', 'meanMm', 'undersizeMm', 'spreadMm', 'verdict', 'reasons', 'working'],
    judges: true,
  },
  'bearings.clampAllowance': {
    input: fc.record({
      axle: fc.record({ majorMm: tenths(8, 12), pitchMm: fc.constant(1), boreMm: tenths(0, 6) }),
      coneSpanMm: tenths(40, 100),
      clampForceN: fc.nat(6000),
    }),
    fields: ['stressAreaMm2', 'compressionMm', 'coneTurnDeg'],
    judges: false,
  },
  'bearings.adjustCone': {
    input: fc.record({
      pitchMm: fc.constant(1),
      allowanceDeg: fc.nat(20),
      school: fc.constantFrom('from-tight', 'from-loose'),
      trials: fc.array(fc.record({ turnDeg: fc.integer({ min: -60, max: 60 }), feel, clamped: fc.boolean() }), {
        maxLength: 5,
      }),
    }),
    fields: ['next', 'done', 'estimate', 'playMm', 'reasons'],
    judges: false,
  },
  'bearings.grade': {
    input: fc.record({
      kind: fc.constantFrom('cup-and-cone', 'cartridge', 'bushing'),
      place: fc.constant('hub.front'),
      openable: fc.boolean(),
      ...evidence,
    }),
    fields: ['verdict', 'needs', 'rule', 'reasons'],
    judges: true,
  },
  'strip.turn': {
    input: fc.record({
      fastener: fc.constantFrom(
        'pedal',
        'pedal-body',
        'bottom-bracket-cup',
        'crank-bolt',
        'cone',
        'headset-locknut',
        'axle-nut',
      ),
      side: fc.constantFrom('left', 'right', null),
      action: fc.constantFrom('loosen', 'tighten'),
      from: fc.constantFrom('outside', 'inside'),
    }),
    fields: ['hand', 'rotation', 'spannerUpMoves', 'words'],
    judges: false,
  },
};

/** Every number in an answer, however deep. */
function numbersIn(value: unknown): number[] {
  if (typeof value === 'number') return [value];
  if (typeof value !== 'object' || value === null) return [];
  return Object.values(value).flatMap(numbersIn);
}

describe.each(Object.entries(CONTRACT))('%s keeps the manners of all calculators', (id, { input, fields, judges }) => {
  test('it answers with its fields, in finite numbers without a signed zero, alike each time, and passes through JSON unchanged', () => {
    fc.assert(
      fc.property(input, (question) => {
        const first = reckon(id, question);
        if (first.status !== 'ok') throw new Error(JSON.stringify([question, first]));
        expect(Object.keys(first.output as object)).toEqual(expect.arrayContaining(fields));
        for (const number of numbersIn(first.output))
          expect(Number.isFinite(number) && !Object.is(number, -0)).toBe(true);
        expect(reckon(id, question)).toEqual(first);
        expect(JSON.parse(JSON.stringify(first.output))).toEqual(first.output);
        if (judges) expect((first.output as { reasons: string[] }).reasons.length).toBeGreaterThan(0);
      }),
      { numRuns: 30 },
    );
  });

  test('an unknown key is refused with the key as its path', () => {
    const [question] = fc.sample(input, { numRuns: 1, seed: 1 });
    expect(reckon(id, { ...question, colour: 'green' })).toMatchObject({
      status: 'refused',
      errors: [{ path: 'colour' }],
    });
  });
});
