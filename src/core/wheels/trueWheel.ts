import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { atLeast, moreThan, plainZero, roundTo } from '../numbers';
import { row, type Judged } from '../verdict';
import { crossings, flanges, rimRadiusMm, spokeCount } from './laced';
import { learnStiffness } from './learnStiffness';
import { tensionOf, tensionReadings, type TensionMeans } from './readTension';
import { isInside, planRound, spread, stateAfter, type State, type Wanted } from './round';
import { sideOf } from './spokes';
import { ratioOf } from './tensionRatio';
import { influenceFor, RIM_CLASSES, rimRow, type WheelOf } from './wheelInfluence';

const reading = z.nullable(z.number().check(z.gte(-15), z.lte(15)));
const readings = z.strictObject({
  lateralMm: z.array(reading).check(z.describe('at each spoke from the valve hole, left +; at least three known')),
  radialMm: z.optional(z.array(reading)).check(z.describe('outwards +')),
  ...tensionReadings,
});
const spoke = z.number().check(z.multipleOf(1), z.gte(0), z.lte(47), z.describe('from the valve hole, the first is 0'));

const shape = z.strictObject({
  spokes: spokeCount,
  crossings,
  mirrored: z._default(z.boolean(), false).check(z.describe('the first spoke from the valve is of the right side')),
  rimRadiusMm,
  flanges,
  spokeDiameterMm: z._default(z.number().check(z.gte(1), z.lte(4)), 2),
  nipplePitchMm: z._default(z.number().check(z.gte(0.2), z.lte(1)), 0.4536),
  rimClass: z
    .string()
    .check(z.refine((id) => RIM_CLASSES.includes(id), { error: `one of: ${RIM_CLASSES.join(', ')}` })),
  readings,
  history: z._default(
    z
      .array(
        z.strictObject({
          turns: z
            .array(z.strictObject({ spoke, turns: z.number().check(z.gte(-10), z.lte(10)) }))
            .check(z.maxLength(48)),
          before: readings,
          after: readings,
        }),
      )
      .check(z.maxLength(12)),
    [],
  ),
  loose: z._default(z.array(spoke).check(z.maxLength(48)), []).check(z.describe('turned by finger')),
  dishMm: z
    ._default(z.nullable(z.number().check(z.gte(-30), z.lte(30))), null)
    .check(z.describe('rim’s middle off the middle between the locknuts, + left')),
  stuck: z._default(z.array(spoke).check(z.maxLength(48)), []),
  limits: z.prefault(
    z.strictObject({
      lateralMm: z._default(z.number().check(z.gt(0), z.lte(10)), 0.5),
      radialMm: z._default(z.number().check(z.gt(0), z.lte(10)), 0.6),
      tensionShare: z._default(z.number().check(z.gt(0), z.lte(1)), 0.25),
      dishMm: z._default(z.number().check(z.gt(0), z.lte(10)), 1),
      maxTensionN: z.optional(z.number().check(z.gt(0), z.lte(4000))),
    }),
    {},
  ),
  stepTurns: z._default(z.number().check(z.gt(0), z.lte(1)), 0.25),
  maxTurns: z._default(z.number().check(z.gt(0), z.lte(4)), 1),
});
type Question = z.output<typeof shape>;
type Readings = Question['readings'];

const listsOf = ({ readings: now, history }: Question): Readings[] => [
  now,
  ...history.flatMap(({ before, after }) => [before, after]),
];
const known = (list: readonly (number | null)[]) => list.filter((each) => each !== null);
const input = rule(
  rule(
    rule(
      shape,
      ['readings'],
      (q) =>
        listsOf(q).every((each) =>
          [each.lateralMm, each.radialMm, each.tensionN, each.toneHz, each.feels].every(
            (list) => list === undefined || list.length === q.spokes,
          ),
        ),
      ({ spokes }) => `a reading, or null, for each of the ${spokes} spokes`,
    ),
    ['readings', 'lateralMm'],
    ({ readings: now }) => known(now.lateralMm).length >= 3,
    'three readings at least',
  ),
  ['stuck'],
  ({ spokes, stuck, loose, history, readings: { metered } }) =>
    [
      ...stuck,
      ...loose,
      ...(metered ? [metered.spoke] : []),
      ...history.flatMap(({ turns }) => turns.map((each) => each.spoke)),
    ].every((each) => each < spokes),
  ({ spokes }) => `there are ${spokes} spokes, the first is 0`,
);
export type TrueQuestion = z.input<typeof shape>;

export interface WheelFigures {
  lateralMm: number;
  radialMm: number | null;
  tensionShare: number | null;
  dishMm: number | null;
}
export type TrueVerdict = 'true' | 'adjust' | 'tension-first' | 're-nipple' | 'rim-or-hub';
export interface TrueRound extends Judged<TrueVerdict> {
  turns: { spoke: number; turns: number }[];
  now: WheelFigures;
  predicted: WheelFigures;
  words: string;
  /** How many times as stiff as its class its rounds showed it to be. */
  timesAsStiff: number;
  /** Why truing stops here, whatever the trace says; null where it may go on. */
  stop: string | null;
  /** How tension was read, and each spoke against the mean of its side; newtons where a meter stands behind them. */
  tension: {
    by: TensionMeans;
    isAbsolute: boolean;
    shares: (number | null)[];
    meanN: { left: number; right: number };
  } | null;
}

/** More than so many stuck nipples and the wheel gets new ones. */
const MOST_STUCK = 1 / 6;
/** More than so many loose ones and the whole wheel is brought up. */
const MANY_LOOSE = 1 / 4;

/** Readings all round: those that were not taken straight between their neighbours. */
function filled(list: readonly (number | null)[]): Float64Array {
  const n = list.length;
  const at = [...list.keys()].filter((i) => list[i] !== null);
  return Float64Array.from({ length: n }, (_, i) => {
    if (list[i] !== null) return list[i]!;
    const before = at.findLast((each) => each < i) ?? at.at(-1)! - n;
    const after = at.find((each) => each > i) ?? at[0]! + n;
    const [low, high] = [list[(before + n) % n]!, list[after % n]!];
    return low + ((high - low) * (i - before)) / (after - before);
  });
}

/** Tensions all round: one that was not read is as the mean of its side. */
function filledTension(list: readonly (number | null)[], isLeft: readonly boolean[]): Float64Array {
  const meanOf = (left: boolean) => {
    const side = list.filter((each, i) => each !== null && isLeft[i] === left) as number[];
    return side.length === 0 ? null : side.reduce((a, b) => a + b, 0) / side.length;
  };
  const [left, right] = [meanOf(true), meanOf(false)];
  return Float64Array.from(list, (each, i) => each ?? (isLeft[i] ? (left ?? right) : (right ?? left)) ?? 0);
}

const sideMean = (tension: Float64Array, isLeft: readonly boolean[], left: boolean): number => {
  const side = tension.filter((_, i) => isLeft[i] === left);
  return side.reduce((a, b) => a + b, 0) / side.length;
};

/** The figures of a state, from the spokes that were read. */
function figuresOf(
  state: State,
  { readings: now, dishMm }: Question,
  wanted: Wanted,
  tensionRead: readonly (number | null)[] | null,
): WheelFigures {
  const read = (values: Float64Array, list: readonly (number | null)[]) =>
    spread(values.filter((_, i) => list[i] !== null));
  const moved = state.lateral.reduce((a, b) => a + b, 0) - wanted.lateralMm.reduce((a, b) => a + b, 0);
  const share = (i: number, at: number) => {
    const usual = sideMean(state.tension, wanted.isLeft, wanted.isLeft[i]!);
    return Math.abs(at - usual) / Math.max(usual, 1e-9);
  };
  return {
    lateralMm: plainZero(read(state.lateral, now.lateralMm)),
    radialMm: now.radialMm && known(now.radialMm).length > 0 ? read(state.radial, now.radialMm) : null,
    tensionShare:
      tensionRead === null
        ? null
        : Math.max(...[...state.tension].map((at, i) => (tensionRead[i] === null ? 0 : share(i, at)))),
    dishMm: dishMm === null ? null : plainZero(dishMm + moved / state.lateral.length),
  };
}

/** So many rounds without gain are enough, and gain is more than this. */
const GAINLESS_ROUNDS = 3;
const GAIN_MM = 0.05;
/** Of its side's mean: slack, and tight beside it. */
const SLACK_SHARE = 0.4;
const TIGHT_SHARE = 1.5;

/** Why truing stops here, whatever the trace still says; null where it may go on. */
function stopOf({ history, spokes }: Question, shares: readonly (number | null)[], over: number[]): string | null {
  const gained = history.slice(-GAINLESS_ROUNDS).map(({ before, after }) => {
    const [was, is] = [known(before.lateralMm), known(after.lateralMm)];
    return was.length === 0 || is.length === 0 ? Infinity : spread(was) - spread(is);
  });
  if (gained.length === GAINLESS_ROUNDS && gained.every((each) => each < GAIN_MM))
    return 'Three rounds without gain: stop here. The rim is bent, or the wheel wanders on its bearing.';
  if (over.length > 0)
    return over.length === 1
      ? `Spoke ${over[0]! + 1} has more than this rim takes: it may only be let off.`
      : `Spokes ${over.map((each) => each + 1).join(', ')} have more than this rim takes: they may only be let off.`;
  const tight = shares.findIndex((share, i) => {
    const neighbours = [shares[(i + 2) % spokes], shares[(i - 2 + spokes) % spokes]];
    return share !== null && share > TIGHT_SHARE && neighbours.some((each) => each != null && each < SLACK_SHARE);
  });
  return tight < 0
    ? null
    : `Spoke ${tight + 1} is tight beside a slack one: a rim that is held straight so is bent, and breaks spokes later.`;
}

const inQuarters = (turns: number, step: number, most: number) =>
  Math.min(Math.floor(most / step + 1e-9) * step, Math.max(step, Math.round(turns / step) * step));

interface Tight {
  side: 'left' | 'right';
  /** What the other side has for what this one has. */
  ratio: number;
  leastN: number;
  mostN: number;
}

/** Turns that bring loose spokes up to their neighbours, and where the whole wheel is slack all of each side alike. */
function upFirst(question: Question, wanted: Wanted, tight: Tight, all: boolean, ownGainN: number): Float64Array {
  const { spokes, loose, stepTurns, maxTurns } = question;
  const turns = new Float64Array(spokes);
  if (all)
    for (let i = 0; i < spokes; i++) {
      const isTight = (wanted.isLeft[i] ? 'left' : 'right') === tight.side;
      // Half a turn where it is tight, half of that on the other side: what dish asks.
      turns[i] = inQuarters(isTight ? 0.5 : 0.25, stepTurns, maxTurns);
    }
  for (const each of loose) {
    const neighbours = wanted.tensionN
      ? sideMean(wanted.tensionN, wanted.isLeft, wanted.isLeft[each]!)
      : wanted.usualN[wanted.isLeft[each] ? 'left' : 'right'] / 2;
    const missing = Math.max(0, neighbours - (wanted.tensionN?.[each] ?? 0));
    turns[each] = inQuarters(turns[each]! + missing / ownGainN, stepTurns, maxTurns);
  }
  for (const each of wanted.stuck) turns[each] = 0;
  return turns;
}

const WORDS: Record<TrueVerdict, string> = {
  true: 'True: all that was read lies inside.',
  adjust: 'One round: turn these, squeeze the pairs, read again.',
  'tension-first': 'Tension first: a slack wheel is brought up before it is trued.',
  're-nipple': 'Too many nipples are stuck: all of them new, or another wheel.',
  'rim-or-hub': 'No nipple cures this: the rim is bent, or the hub runs out.',
};

/**
 * The next round for a whole wheel: which nipples, by how many quarter turns, and what it will read then.
 *
 * The rim is an elastic ring of beams, each spoke a spring in its real direction (`influenceOf`); the round takes away, quarter by
 * quarter, whatever helps most until every reading lies within 0.7 of its limit. First match: more than a sixth stuck → new nipples;
 * a slack side or loose spokes → tension first; inside → true; three rounds' turns that do not bring it inside → rim or hub; else adjust.
 * What rounds did before teaches how stiff this rim is.
 *
 * Units: mm, N, turns; + tightens. Spokes count from the valve hole, the first is 0. Errors: readings that are not one a spoke, fewer than three, an unknown class. Source: finite
 * elements of a ring; tables of rims and tensions. Example: a wheel that swings 0.3 mm is true.
 */
function run(question: Question): TrueRound {
  const { spokes, mirrored, readings: now, history, loose, dishMm, limits, stepTurns, maxTurns } = question;
  const wheel: WheelOf = {
    spokes,
    crossings: question.crossings,
    mirrored,
    rimRadiusMm: question.rimRadiusMm,
    flanges: question.flanges,
    spokeDiameterMm: question.spokeDiameterMm,
    nipplePitchMm: question.nipplePitchMm,
    rimClass: question.rimClass,
  };
  const rim = rimRow(wheel.rimClass, wheel.rimRadiusMm);
  const times = learnStiffness(wheel, history);
  const influence = influenceFor({ wheel, times });
  const isLeft = Array.from({ length: spokes }, (_, i) => sideOf(wheel, i) === 'left');
  const tightSide = wheel.flanges.leftOffsetMm < wheel.flanges.rightOffsetMm ? 'left' : 'right';
  const tight: Tight = {
    side: tightSide,
    ratio: ratioOf(wheel, tightSide),
    leastN: rim.tensionMinN,
    mostN: (rim.tensionMinN + rim.tensionMaxN) / 2,
  };
  const usual = { tight: tight.mostN, other: tight.mostN * tight.ratio };
  const usualN =
    tightSide === 'left' ? { left: usual.tight, right: usual.other } : { left: usual.other, right: usual.tight };
  const told = tensionOf(now, isLeft, usualN);
  const tensionN = told ? filledTension(told.tensionN, isLeft) : null;
  // What is no newton is held against no limit in newtons.
  const maxTensionN = told?.isAbsolute === false ? Infinity : (limits.maxTensionN ?? rim.typicalMaxSpokeTensionN);
  const wanted: Wanted = {
    lateralMm: filled(now.lateralMm),
    radialMm: now.radialMm && known(now.radialMm).length > 0 ? filled(now.radialMm) : null,
    tensionN,
    dishMm,
    isLeft,
    limits: { ...limits, maxTensionN },
    usualN,
    stuck: new Set(question.stuck),
    stepTurns,
    maxTurns,
  };
  const shares =
    told && tensionN
      ? told.tensionN.map((each, i) =>
          each === null ? null : each / Math.max(sideMean(tensionN, isLeft, isLeft[i]!), 1e-9),
        )
      : [];
  const over = (told?.tensionN ?? []).flatMap((each, i) => (each !== null && moreThan(each, maxTensionN) ? [i] : []));
  const stop = stopOf(question, shares, over);
  const nothing = new Float64Array(spokes);
  const standing = stateAfter(influence, wanted, nothing);
  const tell = (verdict: TrueVerdict, turns: Float64Array, more: string[] = []): TrueRound => {
    const then = stateAfter(influence, wanted, turns);
    const list = [...turns.keys()].flatMap((i) => (turns[i] === 0 ? [] : [{ spoke: i, turns: turns[i]! }]));
    const figures = figuresOf(then, question, wanted, told?.tensionN ?? null);
    return {
      turns: list,
      now: figuresOf(standing, question, wanted, told?.tensionN ?? null),
      predicted: figures,
      verdict,
      words: WORDS[verdict],
      stop,
      reasons: [WORDS[verdict], ...more, ...(stop ? [stop] : [])],
      timesAsStiff: times,
      tension:
        told && tensionN
          ? {
              by: told.by,
              isAbsolute: told.isAbsolute,
              shares,
              meanN: { left: sideMean(tensionN, isLeft, true), right: sideMean(tensionN, isLeft, false) },
            }
          : null,
      working: [
        row('n', 'nipples turned', list.length),
        row(
          'l',
          'sideways, now to then',
          `${roundTo(spread(standing.lateral), 2)} → ${roundTo(figures.lateralMm, 2)}`,
          'mm',
        ),
        row('s', 'times as stiff as its class', times),
      ],
    };
  };

  if (moreThan(wanted.stuck.size, spokes * MOST_STUCK))
    return tell('re-nipple', nothing, [`${wanted.stuck.size} of ${spokes} do not turn.`]);
  const tightMean = tensionN && sideMean(tensionN, isLeft, tightSide === 'left');
  const otherMean = tensionN && sideMean(tensionN, isLeft, tightSide !== 'left');
  const isSlack =
    tightMean !== null &&
    otherMean !== null &&
    // Tones without a metered spoke tell evenness and nothing of how tight.
    (told?.isAbsolute === true || told?.by === 'feel') &&
    (!atLeast(tightMean, tight.leastN / 2) || !atLeast(otherMean, (tight.leastN * tight.ratio) / 2));
  const isLoose = moreThan(loose.length, spokes * MANY_LOOSE);
  if (isSlack || loose.length > 0) {
    const turns = upFirst(question, wanted, tight, isSlack || isLoose, influence.tension[0]!);
    return tell('tension-first', turns, [
      ...(loose.length > 0
        ? [`${loose.length === 1 ? 'One is' : `${loose.length} are`} turned by finger: up to the neighbours first.`]
        : []),
      ...(isSlack
        ? [
            told?.isAbsolute
              ? `The tighter side has ${Math.round(tightMean)} N: such a rim is built to ${rim.tensionMinN} and more.`
              : 'It feels slack all over.',
          ]
        : []),
    ]);
  }
  if (isInside(standing, wanted, 1)) return tell('true', nothing);
  const turns = planRound(influence, wanted);
  if (!isInside(stateAfter(influence, wanted, turns), wanted, 1)) {
    const far = planRound(influence, wanted, 3 * maxTurns);
    if (!isInside(stateAfter(influence, wanted, far), wanted, 1))
      return tell('rim-or-hub', nothing, [
        'Three rounds would not bring it inside: a kink is bent metal, and more tension there breaks spokes later.',
      ]);
  }
  return tell('adjust', turns);
}

export const wheelsTrue = defineCalculator({
  id: 'wheels.true',
  title: 'The next round for a whole wheel',
  lane: 'long',
  example: {
    spokes: 32,
    crossings: 3,
    rimRadiusMm: 300,
    flanges: { leftRadiusMm: 22.5, rightRadiusMm: 22.5, leftOffsetMm: 35, rightOffsetMm: 35 },
    rimClass: 'double-wall box alloy',
    readings: {
      lateralMm: Array.from({ length: 32 }, (_, i) => Math.round(80 * Math.exp(-((i - 8) ** 2) / 10)) / 100),
    },
  },
  input,
  run,
});
