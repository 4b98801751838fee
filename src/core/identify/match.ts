import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { lengthMm } from '../fields';
import { atLeast, moreThan, roundTo } from '../numbers';
import { IDENTIFIED, TOO_FAR_SIGMAS } from '../posterior';
import { beliefs, informationBits, sitting, type Reading } from './belief';
import { KINDS, READINGS, type IdentifyKind, type ReadingField } from './readings';
import { interchange, STANDARDS_OF, type Standard } from './standards';

/** Candidates under this are not worth a name in a warning. */
const STILL_POSSIBLE = 0.05;
const LEAST_BITS = 0.01;

const tpi = z.number().check(z.gte(4), z.lte(80), z.describe('threads to the inch'));
const standardError = z.number().check(z.gt(0), z.lte(20), z.describe('standard error, mm'));

const readings = z.strictObject({
  diameterMm: z.optional(lengthMm),
  pitchMm: z.optional(z.number().check(z.gt(0), z.lte(6), z.describe('millimetres'))),
  tpi: z.optional(tpi),
  shellWidthMm: z.optional(lengthMm),
  driveHand: z.optional(z.enum(['left', 'right', 'none'])),
  steererMm: z.optional(lengthMm),
  crownRaceMm: z.optional(lengthMm),
  headTubeMm: z.optional(lengthMm),
  overLocknutMm: z.optional(lengthMm),
  axle: z.optional(z.enum(['solid', 'hollow'])),
  beadSeatMm: z.optional(lengthMm),
  middleMm: z.optional(lengthMm),
  at: z.optional(z.enum(['clamp', 'grip'])),
  what: z.optional(z.enum(['freewheel', 'fixed-cog', 'lockring'])),
  hand: z.optional(z.enum(['left', 'right'])),
});
type Readings = z.output<typeof readings>;

const sigma = z._default(
  z.strictObject({
    diameterMm: z.optional(standardError),
    pitchMm: z.optional(standardError),
    tpi: z.optional(standardError.check(z.describe('standard error of the pitch, mm'))),
    shellWidthMm: z.optional(standardError),
    steererMm: z.optional(standardError),
    crownRaceMm: z.optional(standardError),
    headTubeMm: z.optional(standardError),
    overLocknutMm: z.optional(standardError),
    beadSeatMm: z.optional(standardError),
    middleMm: z.optional(standardError),
  }),
  {},
);

const shape = z
  .strictObject({ kind: z.enum(KINDS), readings, sigma })
  .check(z.describe('at least one reading, and only those of the kind; pitchMm or tpi, not both'));

/** The names under which a field of a kind may be given. */
const names = (field: ReadingField) => (field.field === 'pitchMm' ? ['pitchMm', 'tpi'] : [field.field]);
const allowed = (kind: IdentifyKind) => READINGS[kind].flatMap(names);

/** A reading that does not belong to the kind is refused by its own name, whatever else is wrong. */
const ruled = (['readings', 'sigma'] as const)
  .flatMap((at) => Object.keys(readings.shape).map((key) => [at, key] as const))
  .reduce(
    (schema, [at, key]) =>
      rule(
        schema,
        [at, key],
        (v) => !Object.hasOwn(v[at], key) || allowed(v.kind).includes(key),
        (v) => `a ${v.kind} is not told by ${key}; give ${allowed(v.kind).join(', ')}`,
      ),
    shape,
  );
const counted = rule(
  ruled,
  ['readings'],
  (v) => Object.keys(v.readings).length > 0,
  'give at least one reading: whatever the caliper or the thread gauge says',
);
const input = rule(
  counted,
  ['readings', 'tpi'],
  (v) => v.readings.pitchMm === undefined || v.readings.tpi === undefined,
  'give the pitch in millimetres or in threads to the inch, not both',
);
export type MatchInput = z.input<typeof shape>;

export interface Miss {
  field: string;
  read: number | string;
  expected: number | string;
  sigmas: number;
}

export interface Match {
  candidates: {
    id: string;
    name: string;
    probability: number;
    /** Every reading that is not dead on what the table has, the worst first. */
    misses: Miss[];
    note: string | null;
    source: string;
    confidence: Standard['confidence'];
  }[];
  verdict: 'identified' | 'ambiguous' | 'unknown';
  nextReading: { field: string; why: string } | null;
  removal: string[];
  warnings: string[];
  reasons: string[];
  working: { symbol: string; meaning: string; value: number; unit: string }[];
}

function taken(kind: IdentifyKind, given: Readings, errors: z.output<typeof sigma>): Reading[] {
  return READINGS[kind].flatMap((field): Reading[] => {
    if ('words' in field) {
      const value = given[field.field as 'driveHand'];
      return value === undefined ? [] : [{ field, value, sigmaMm: null }];
    }
    const key = field.field as 'diameterMm';
    const value = key === ('pitchMm' as string) && given.tpi !== undefined ? 25.4 / given.tpi : given[key];
    const sigmaMm = errors[key] ?? (key === ('pitchMm' as string) ? errors.tpi : undefined) ?? field.sigmaMm;
    return value === undefined ? [] : [{ field, value, sigmaMm }];
  });
}

function missesOf(standard: Standard, read: Reading[]): Miss[] {
  return read
    .flatMap((reading): Miss[] => {
      const sits = sitting(reading, standard.expects[reading.field.field]!);
      const sigmas = roundTo(sits.sigmas, 2);
      if (sits.expected === null || sigmas === 0) return [];
      const expected = typeof sits.expected === 'number' ? roundTo(sits.expected, 4) : sits.expected;
      const value = typeof reading.value === 'number' ? roundTo(reading.value, 4) : reading.value;
      return [{ field: reading.field.field, read: value, expected, sigmas }];
    })
    .sort((a, b) => b.sigmas - a.sigmas);
}

function nextReading(
  kind: IdentifyKind,
  standards: Standard[],
  probabilities: number[],
  read: Reading[],
  errors: z.output<typeof sigma>,
): Match['nextReading'] {
  const done = new Set(read.map((reading) => reading.field.field));
  const worth = READINGS[kind]
    .filter((field) => !done.has(field.field))
    .map((field) => {
      const sigmaMm = 'words' in field ? null : (errors[field.field as 'diameterMm'] ?? field.sigmaMm);
      return { field, bits: informationBits(standards, probabilities, field, sigmaMm) };
    })
    .filter(({ bits }) => bits > LEAST_BITS)
    .sort((a, b) => b.bits - a.bits);
  const best = worth[0];
  if (!best) return null;
  const { field, label, how } = best.field;
  return { field, why: `The ${label} tells the remaining apart best: ${how}.` };
}

/**
 * What a part is, from what the caliper and the thread gauge say.
 *
 * Equal priors over the table of its kind; each length weighs exp(−z²/2) with z = (read − nearest size)/sigma, a word that
 * differs weighs 0.02, so does a pitch read where there is no thread; what the table does not know weighs nothing. Threads
 * to the inch become a pitch, 25.4/tpi. The next reading is the untaken one with the largest expected fall in entropy.
 *
 * Units: millimetres; sigma of the pitch too. Errors: no reading, a reading of another kind, pitch and tpi together.
 * Verdict: identified from 0.95; unknown when the best is over four sigma away in any length. Where those that remain
 * come out different ways, no direction is given. Rows that interchange are one answer. A bare
 * shell measured inside its thread is understood, at three in a hundred. Source: the shipped tables.
 * Example: `{ kind: 'bottom-bracket', readings: { diameterMm: 36, tpi: 24 } }` → Italian thread, both sides right-hand.
 */
function run({ kind, readings: given, sigma: errors }: z.output<typeof shape>): Match {
  const standards = STANDARDS_OF[kind];
  const read = taken(kind, given, errors);
  const probabilities = beliefs(standards, read);
  const ranked = standards
    .map((standard, i) => ({ standard, probability: probabilities[i]! }))
    .sort((a, b) =>
      moreThan(Math.abs(a.probability - b.probability), 1e-9)
        ? b.probability - a.probability
        : a.standard.id < b.standard.id
          ? -1
          : 1,
    );
  const best = ranked[0]!;
  const far = read
    .filter((reading) => reading.sigmaMm !== null)
    .map((reading) => ({ reading, sits: sitting(reading, best.standard.expects[reading.field.field]!) }))
    .filter(({ sits }) => !sits.contradicts && moreThan(sits.sigmas, TOO_FAR_SIGMAS));
  const alike = ranked.filter(({ standard }) => interchange(kind, standard, best.standard));
  const share = alike.reduce((sum, each) => sum + each.probability, 0);
  const verdict = far.length ? 'unknown' : atLeast(share, IDENTIFIED) ? 'identified' : 'ambiguous';
  const possible = ranked.filter(({ probability }) => probability >= STILL_POSSIBLE);

  return {
    candidates: ranked.map(({ standard, probability }) => ({
      id: standard.id,
      name: standard.name,
      probability,
      misses: missesOf(standard, read),
      note: standard.note,
      source: standard.source,
      confidence: standard.confidence,
    })),
    verdict,
    nextReading:
      verdict === 'identified' && alike.length === 1 ? null : nextReading(kind, standards, probabilities, read, errors),
    removal: removalOf(
      verdict,
      possible.map(({ standard }) => standard),
    ),
    warnings: warningsOf(
      verdict,
      possible.map(({ standard }) => standard),
    ),
    reasons: [
      ...reasonsOf(verdict, { names: alike.map(({ standard }) => standard.name), share }, possible.length, far[0]),
      ...(verdict !== 'unknown' && readInside(read, best.standard)
        ? ['Read as the bare shell, measured inside over the crests of its thread.']
        : []),
    ],
    working: read.flatMap((reading) =>
      reading.sigmaMm === null
        ? []
        : [
            {
              symbol: `z(${reading.field.field})`,
              meaning: `${reading.field.label} off ${best.standard.name}, in standard errors of ${reading.sigmaMm} mm`,
              value: roundTo(sitting(reading, best.standard.expects[reading.field.field]!).sigmas, 3),
              unit: 'sigma',
            },
          ],
    ),
  };
}

/** Whether the best standard was met by the inside of its bare shell. */
const readInside = (read: Reading[], best: Standard) =>
  read.some((reading) => sitting(reading, best.expects[reading.field.field]!).inside === true);

function removalOf(verdict: Match['verdict'], possible: Standard[]): string[] {
  if (verdict === 'unknown') return ['Unknown: identify it before anyone heaves.'];
  const ways = new Set(possible.map((standard) => standard.removal.join(' ')));
  if (ways.size > 1)
    return [
      `Those that remain (${possible.map((standard) => standard.name).join('; ')}) do not come out alike: identify it before anyone heaves.`,
    ];
  const tools = new Set(possible.map((standard) => standard.tools.join('\n')));
  return [...possible[0]!.removal, ...(tools.size === 1 ? possible[0]!.tools : [])];
}

function warningsOf(verdict: Match['verdict'], possible: Standard[]): string[] {
  const unsure =
    possible[0]!.confidence === 'low' ? ['This row of the table is uncertain: trust the part, not the table.'] : [];
  const unknown =
    verdict === 'unknown'
      ? ['Nothing in the table is near enough: clean it and measure again, or it is another standard.']
      : [];
  const own =
    possible.length === 1
      ? possible[0]!.cautions
      : possible.flatMap((each) => each.cautions.map((words) => `${each.name}: ${words}`));
  return [...new Set([...unknown, ...unsure, ...own])];
}

function reasonsOf(
  verdict: Match['verdict'],
  best: { names: string[]; share: number },
  remaining: number,
  far: { reading: Reading } | undefined,
): string[] {
  const share = `${Math.round(best.share * 1000) / 10} % by these readings`;
  const leads = best.names.join(' or ');
  if (verdict === 'unknown')
    return [`Even the nearest, ${leads}, is over four standard errors off in its ${far!.reading.field.label}.`];
  if (verdict === 'identified')
    return [best.names.length > 1 ? `${leads}, which interchange: ${share}.` : `${leads}: ${share}.`];
  return [`${remaining} remain possible; ${leads} leads with ${share}.`];
}

export const identifyMatch = defineCalculator({
  id: 'identify.match',
  title: 'What is it',
  example: { kind: 'bottom-bracket', readings: { diameterMm: 36, tpi: 24 } },
  input,
  run,
});
