import fc from 'fast-check';
import { fromSchema } from '../../tests/fromSchema';
import { runs } from '../../tests/runs';
import type { Calculator } from './calculator';
import { reckon } from './reckon';
import { registry } from './registry';
import { verdictStates } from './vocabulary/verdicts';

const calculators = registry as unknown as readonly Calculator[];

/** Processor time that no question may take; under this test runner a calculator is six to eight times slower than in its thread. */
const LONGEST_MS = 12_000;
/** Questions that take a second are asked less often. */
const SLOW = [
  'drive.index',
  'wheels.spin',
  'wheels.cause',
  'wheels.score',
  'wheels.true',
  'money.appraise',
  'money.samples',
  'money.drive',
  'buy.appraise',
  'bearings.adjustCone',
  'bearings.learnDrag',
];

/** Every number in an answer, however deep. */
function numbersIn(value: unknown): number[] {
  if (typeof value === 'number') return [value];
  if (typeof value !== 'object' || value === null) return [];
  return Object.values(value).flatMap(numbersIn);
}

/** A question as it comes from outside. */
const asSent = (question: unknown): unknown => JSON.parse(JSON.stringify(question));

function expectManners(id: string, question: unknown): 'answered' | 'refused' {
  const from = process.cpuUsage();
  const first = reckon(id, question);
  const { user, system } = process.cpuUsage(from);
  const tookMs = (user + system) / 1000;
  if (tookMs > LONGEST_MS)
    throw new Error(`${id} took ${tookMs.toFixed(0)} ms over ${JSON.stringify(question).slice(0, 2000)}`);
  if (first.status === 'refused') {
    expect(first.errors.length).toBeGreaterThan(0);
    for (const { path, message } of first.errors) {
      expect(typeof path).toBe('string');
      expect(message).not.toMatch(/^Invalid input/);
    }
    return 'refused';
  }
  expect(first.status).toBe('ok');
  const output = first.status === 'ok' ? (first.output as Record<string, unknown>) : {};
  for (const number of numbersIn(output))
    if (!Number.isFinite(number) || Object.is(number, -0))
      throw new Error(`${id} gives ${number} for ${JSON.stringify(question)}`);
  // What is no number was made nothing on the way out, and would be told from it here.
  expect(asSent(output)).toEqual(output);
  expect(reckon(id, question)).toEqual(first);
  if ('verdict' in output && typeof output.verdict === 'string' && verdictStates.some((row) => row.calculator === id))
    expect((output.reasons as string[]).length).toBeGreaterThan(0);
  return 'answered';
}

const feels = ['loose', 'tick', 'smooth', 'tight'];
/** Questions that were found to take long, or might: all at the ends of their ranges. */
const HEAVY: [string, string, unknown][] = [
  ...[1, 10, 90].flatMap((deg) =>
    [0, 3, 30].map((sdDeg): [string, string, unknown] => [
      'bearings.adjustCone',
      `bands of ${deg}°, a spread of ${sdDeg}°, sixty trials of two turns each`,
      {
        pitchMm: 1,
        bands: { tickDeg: deg, smoothDeg: deg },
        handSdDeg: sdDeg,
        lockShift: { meanDeg: 60, sdDeg },
        allowanceDeg: 90,
        missShare: 0.4,
        trials: Array.from({ length: 60 }, (_, i) => ({
          turnDeg: (i % 2 ? 1 : -1) * (720 - i * 1.37),
          feel: feels[i % 4],
          clamped: i % 2 === 0,
        })),
      },
    ]),
  ),
  [
    'clean.plan',
    'three hundred parts, thirty baths',
    {
      parts: Array.from({ length: 300 }, (_, i) => ({
        id: `p${i}`,
        materials: [['plain steel', 'chrome plate', 'anodised aluminium'][i % 3]],
        soil: ['oil', 'mud', 'rust'][i % 3],
        volumeMl: 50 + i,
      })),
      baths: Array.from({ length: 30 }, (_, i) => ({
        id: `b${i}`,
        process: ['hot ultrasonic, water-based degreaser', 'white vinegar soak'][i % 2],
        capacityMl: 3000,
      })),
    },
  ],
];

test.each(HEAVY)('%s is soon done with %s', (id, _words, question) => {
  expect(expectManners(id, question)).toBe('answered');
});

test('more trials of more lines than can be drawn in time are refused with how many may be', () => {
  const costs = Array.from({ length: 260 }, (_, i) => ({
    label: `line ${i}`,
    parts: { low: 1, likely: 50, high: 900 + i },
    minutes: { low: 1, likely: 50, high: 900 + i },
  }));
  const [usual] = calculators.filter(({ id }) => id === 'money.appraise').map(({ example }) => example as object);
  expect(reckon('money.appraise', { ...usual, costs, trials: 200_000 })).toMatchObject({
    status: 'refused',
    errors: [{ path: 'trials', message: expect.stringContaining('42307 are the most') as string }],
  });
});

test('every id stands once, and every title says something', () => {
  expect(new Set(calculators.map(({ id }) => id)).size).toBe(calculators.length);
  for (const { title } of calculators) expect(title.length).toBeGreaterThan(5);
});

describe.each(calculators.map((each) => [each.id, each] as const))(
  '%s keeps the manners of all calculators',
  (id, { input, example }) => {
    test('its example is answered, in finite numbers without a signed zero, alike each time', () => {
      expect(expectManners(id, asSent(example))).toBe('answered');
    });

    test('whatever its schema lets in is answered or refused with its paths, soon', () => {
      fc.assert(
        fc.property(fromSchema(input), (question) => void expectManners(id, asSent(question))),
        { numRuns: runs(SLOW.includes(id) ? 20 : 200, SLOW.includes(id) ? 3 : 12), endOnFailure: true },
      );
    });

    test('with every list as long as it may be it answers or refuses, soon', () => {
      fc.assert(
        fc.property(fromSchema(input, 'most'), (question) => {
          const [sent, usual] = [
            asSent(question) as Record<string, unknown>,
            asSent(example) as Record<string, unknown>,
          ];
          for (const asked of [sent, ...Object.keys(sent).map((key) => ({ ...usual, [key]: sent[key] }))]) {
            const from = process.cpuUsage();
            reckon(id, asked);
            const { user, system } = process.cpuUsage(from);
            if ((user + system) / 1000 > LONGEST_MS) throw new Error(`${id}: ${JSON.stringify(asked).slice(0, 300)}`);
          }
        }),
        { numRuns: 1, seed: 5, endOnFailure: true },
      );
    });

    test('its example with one field of its schema otherwise is answered or refused with its paths', () => {
      fc.assert(
        fc.property(fromSchema(input), fc.nat(), (other, n) => {
          const keys = Object.keys(other as object);
          if (keys.length === 0) return;
          const key = keys[n % keys.length]!;
          expectManners(id, asSent({ ...(example as object), [key]: (other as Record<string, unknown>)[key] }));
        }),
        { numRuns: runs(SLOW.includes(id) ? 20 : 200, SLOW.includes(id) ? 3 : 12), endOnFailure: true },
      );
    });

    test('an unknown key is refused with the key as its path', () => {
      expect(reckon(id, { ...(asSent(example) as object), colour: 'green' })).toMatchObject({
        status: 'refused',
        errors: [{ path: 'colour' }],
      });
    });

    test('what is no question at all is refused', () => {
      for (const question of [null, 5, 'x', [], true])
        expect(reckon(id, question)).toMatchObject({ status: 'refused', errors: [{ path: '' }] });
    });
  },
);
