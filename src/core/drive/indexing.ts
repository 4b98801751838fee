import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { roundTo } from '../numbers';
import { believe, spanOf, type Believed, type IndexModel, type Round } from './indexPosterior';
import { FEELS, WAYS, type Feel, type Way } from './shifts';
import { turnWords } from './turnWords';

const feel = z._default(z.nullable(z.enum(FEELS)), null);
const cogs = z.number().check(z.multipleOf(1), z.gte(2), z.lte(14));

const shape = z.strictObject({
  cogs,
  cogPitchMm: z.number().check(z.gt(2), z.lt(8)),
  moveMmPerTurn: z
    ._default(z.number().check(z.gt(0.1), z.lte(5)), 1.2)
    .check(z.describe('sideways travel of a whole turn of the barrel, + towards the larger cogs')),
  bands: z.prefault(
    z.strictObject({
      crispMm: z._default(z.number().check(z.gt(0.05), z.lte(2)), 0.4),
      slowMm: z._default(z.number().check(z.gt(0.1), z.lte(4)), 0.9),
    }),
    {},
  ),
  missShare: z._default(z.number().check(z.gte(0), z.lte(0.4)), 0.05).check(z.describe('feels read as a neighbour')),
  spring: z
    ._default(z.enum(['normal', 'reversed']), 'normal')
    .check(z.describe('reversed: the cable pulls towards the smaller cogs')),
  trials: z
    .array(
      z.strictObject({
        turns: z
          .number()
          .check(z.gte(-20), z.lte(20), z.describe('made before these shifts, + towards the larger; the first is 0')),
        gears: z
          .array(
            z.strictObject({
              gear: z.number().check(z.multipleOf(1), z.gte(1), z.lte(14)),
              toLarger: feel,
              toSmaller: feel,
            }),
          )
          .check(z.maxLength(14)),
      }),
    )
    .check(z.minLength(1), z.maxLength(12)),
});
const input = rule(
  rule(
    shape,
    ['trials'],
    ({ trials, cogs: n }) => trials.every(({ gears }) => gears.every(({ gear }) => gear <= n)),
    ({ cogs: n }) => `there are ${n} gears, 1 the smallest cog`,
  ),
  ['bands', 'slowMm'],
  ({ bands }) => bands.slowMm > bands.crispMm,
  'a shift fails further out than where it is slow',
);
export type IndexQuestion = z.input<typeof shape>;
type Question = z.output<typeof shape>;

export type IndexCause = 'set' | 'cable-tension' | 'friction' | 'hanger-or-mismatch' | 'unclear';
export interface Estimate {
  mean: number;
  sd: number;
}
export interface IndexAdvice {
  /** Turns of the barrel in quarters, nought to shift through again; null where the barrel is done, or is not what is wrong. */
  next: { turns: number; words: string } | null;
  cause: IndexCause;
  done: boolean;
  /** Where it stands now, + towards the larger cogs. */
  offsetMm: Estimate;
  driftMmPerGear: Estimate;
  frictionMm: Estimate;
  reasons: string[];
}

const QUARTER = 0.25;
const MOST_TURNS = 4;
/** Settings of the barrel, the smallest first. */
const CHOICES = Array.from({ length: MOST_TURNS / QUARTER }, (_, i) => (i + 1) * QUARTER).flatMap((turns) => [
  turns,
  -turns,
]);
/** From this chance on it counts as crisp throughout. */
const ENOUGH = 0.8;
/** A setting has to promise so much more than leaving it. */
const WORTH = 0.12;
/** A cause other than the barrel is told from this chance on; far beside the cogs from this. */
const CLEAR = 0.65;
const SURE = 0.95;

function roundsOf({ trials }: Question): Round[] {
  let turnsSoFar = 0;
  return trials.map(({ turns, gears }) => {
    turnsSoFar += turns;
    const arrivals = gears.flatMap((row) =>
      WAYS.flatMap((way): { gear: number; way: Way; feel: Feel }[] => {
        const said = row[way];
        // Nobody comes to the smallest cog from a smaller one.
        return said === null ? [] : [{ gear: row.gear, way, feel: said }];
      }),
    );
    return { turnsSoFar, arrivals };
  });
}

function estimate(believed: readonly Believed[], of: (cell: Believed) => number): Estimate {
  const mean = believed.reduce((sum, cell) => sum + cell.chance * of(cell), 0);
  const variance = believed.reduce((sum, cell) => sum + cell.chance * (of(cell) - mean) ** 2, 0);
  return { mean: roundTo(mean, 3), sd: roundTo(Math.sqrt(variance), 3) };
}

/** Of a cell: what is wrong with it, whatever its offset. A barrel that goes by quarters cures only what leaves it half of one. */
function causeOf(
  cell: Believed,
  { cogs: n, bands, moveMmPerTurn }: IndexModel,
): 'cable-tension' | 'friction' | 'hanger-or-mismatch' {
  const [least, most] = spanOf(cell, n);
  if (most - least <= 2 * bands.crispMm - (moveMmPerTurn * QUARTER) / 2) return 'cable-tension';
  return cell.frictionMm >= Math.abs(cell.driftMm) ? 'friction' : 'hanger-or-mismatch';
}

/** The chance that it is crisp in every gear both ways once the barrel was turned so far from the first round. */
function crispAfter(
  believed: readonly Believed[],
  spans: readonly [number, number][],
  shiftMm: number,
  crispMm: number,
): number {
  return believed.reduce((sum, cell, i) => {
    const [least, most] = spans[i]!;
    const at = cell.offsetMm + shiftMm;
    return at + least >= -crispMm - 0.03 && at + most <= crispMm + 0.03 ? sum + cell.chance : sum;
  }, 0);
}

const CAUSE_WORDS: Record<Exclude<IndexCause, 'unclear'>, string> = {
  set: 'Every gear takes, both ways: it is set.',
  'cable-tension': 'It stands beside its cogs by the same everywhere: that is the cable’s tension.',
  friction:
    'Slow both ways: that is friction in the cable and its outer, and no barrel cures it. Look at the last loop at the rear first.',
  'hanger-or-mismatch':
    'Right at one end and wrong at the other: the hanger, or parts that do not match. Measure the hanger at four points, then ask whether they work together; a cable on the wrong side of its peg does the same.',
};

interface Felt {
  gear: number;
  way: Way;
  feel: Feel;
}

/** Where only the very last shift at one end is short, its limit screw stands in the way. */
function limitWords(bad: readonly Felt[], n: number): string | null {
  const [only] = bad;
  if (bad.length !== 1 || (only!.feel !== 'slow' && only!.feel !== 'fails')) return null;
  const end = only!.gear === n && only!.way === 'toLarger' ? 'largest' : only!.gear === 1 ? 'smallest' : null;
  return end && `Only the ${end} cog is not reached: its limit screw, before anything else.`;
}

/** Where it rattles on the largest cog and nowhere else, the upper pulley stands too near. */
function gapWords(bad: readonly Felt[], n: number): string | null {
  const isNoise = bad.length > 0 && bad.every(({ gear, feel: said }) => gear >= n - 1 && said === 'noisy');
  return isNoise ? 'It rattles on the largest cogs alone: look at the room between them and the upper pulley.' : null;
}

/** What stands out in the last round besides where the derailleur stands, in words. */
function besides({ trials, cogs: n }: Question): string[] {
  const bad = trials.at(-1)!.gears.flatMap((row) =>
    WAYS.flatMap((way): Felt[] => {
      const said = row[way];
      return said === null || said === 'crisp' ? [] : [{ gear: row.gear, way, feel: said }];
    }),
  );
  return [limitWords(bad, n), gapWords(bad, n)].filter((words) => words !== null);
}

const stood = (questions: Question) => questions.trials.slice(-2).every(({ turns }) => turns === 0);

/**
 * What to do with a rear derailleur from what each shift did: turn the barrel, and how far, or look at something else.
 *
 * Arriving at gear k it stands at offset + drift·(k − (n + 1)/2), friction short along its way; within the crisp band it is crisp,
 * short of the cog slow and then fails, past it noisy and then skips; a feel is read as its neighbour in `missShare`. Bayes' rule over a
 * grid of offset, drift and friction, each turn of the barrel known to an eighth; the next setting is the one that most likely makes every
 * gear crisp. A derailleur whose span no quarter turn fits is not the barrel's.
 *
 * Units: mm, turns. Errors: a gear that there is not, bands the wrong way round. Source: geometry of a parallelogram on a cable; workshop consensus
 * for the causes. Example: nine cogs, slow to every larger cog and crisp to the smaller: half a turn more tension.
 */
function run(question: Question): IndexAdvice {
  const { cogs: n, moveMmPerTurn, bands, missShare, spring } = question;
  const model: IndexModel = { cogs: n, moveMmPerTurn, bands, missShare };
  const rounds = roundsOf(question);
  const soFar = rounds.at(-1)!.turnsSoFar;
  const believed = believe(model, rounds);
  const spans = believed.map((cell) => spanOf(cell, n));
  const chanceAt = (turns: number) => crispAfter(believed, spans, (soFar + turns) * moveMmPerTurn, bands.crispMm);
  const estimates = {
    offsetMm: estimate(believed, (cell) => cell.offsetMm + soFar * moveMmPerTurn),
    driftMmPerGear: estimate(believed, (cell) => (n > 1 ? cell.driftMm / ((n - 1) / 2) : 0)),
    frictionMm: estimate(believed, (cell) => cell.frictionMm),
  };
  const seen = besides(question);
  const tell = (cause: IndexCause, next: IndexAdvice['next'], more: string[] = []): IndexAdvice => ({
    next,
    cause,
    done: cause === 'set',
    ...estimates,
    reasons: [...seen, ...(cause === 'unclear' ? [] : [CAUSE_WORDS[cause]]), ...more],
  });
  const again = (why: string): IndexAdvice =>
    tell('unclear', { turns: 0, words: 'Shift through all gears again, both ways.' }, [why]);

  const felt = rounds.reduce((sum, { arrivals }) => sum + arrivals.length, 0);
  if (felt === 0) return again('Nothing was felt yet.');
  const now = chanceAt(0);
  if (now >= ENOUGH) return tell('set', null);

  const causes = new Map<IndexCause, number>();
  for (const cell of believed) {
    const cause = causeOf(cell, model);
    causes.set(cause, (causes.get(cause) ?? 0) + cell.chance);
  }
  const [cause, chance] = [...causes].toSorted((a, b) => b[1] - a[1])[0]!;
  const best = CHOICES.reduce((a, b) => (chanceAt(b) > chanceAt(a) + 1e-9 ? b : a), 0);
  const turned = { turns: best, words: turnWords(best, spring) };
  if (cause !== 'cable-tension') {
    // Far beside its cogs everything fails or skips alike: brought near, it tells what it is.
    const isFar = Math.abs(estimates.offsetMm.mean) > bands.slowMm;
    if (chance < SURE && isFar && best !== 0)
      return tell('unclear', turned, ['It stands far beside its cogs: bring it near, then it tells.']);
    if (chance < CLEAR && rounds.length < 3 && !stood(question))
      return again('It may be the tension, and it may not: what was felt does not tell yet.');
    return tell(cause, null);
  }
  if (best !== 0 && chanceAt(best) >= now + WORTH) return tell('cable-tension', turned);
  return now >= 0.5 || stood(question)
    ? tell('set', null)
    : tell('cable-tension', { turns: 0, words: 'Shift through all gears again, both ways.' });
}

export const driveIndex = defineCalculator({
  id: 'drive.index',
  title: 'Set a rear derailleur from what each shift does',
  example: {
    cogs: 9,
    cogPitchMm: 4.35,
    trials: [
      {
        turns: 0,
        gears: [
          { gear: 1, toSmaller: 'crisp' },
          { gear: 3, toLarger: 'slow', toSmaller: 'crisp' },
          { gear: 6, toLarger: 'slow', toSmaller: 'crisp' },
          { gear: 9, toLarger: 'slow' },
        ],
      },
    ],
  },
  input,
  run,
});
