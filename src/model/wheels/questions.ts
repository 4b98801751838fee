import { addDays, formatISO, parseISO } from 'date-fns';
import { own } from '@/core/own';
import type { QuestionOf } from '@/core/questions';
import { kindAt } from '@/core/bicycle';
import type { SpokeFeel } from '@/core/inspect/evidence';
import { feelsOfPairs } from '@/core/wheels/feelsOfPairs';
import type { Command } from '../commands';
import { AGAIN_DAYS, openLooks } from '../prove/secondLooks';
import type { Bicycle } from '../record';
import type { Lacing, NippleState, WheelBuild, WheelEnd, WheelReading, WheelRound } from './part';

type Known = Pick<Bicycle, 'wheelBuilds' | 'wheelReadings' | 'wheelRounds' | 'nipples' | 'kind'>;

export const buildOf = ({ wheelBuilds }: Pick<Bicycle, 'wheelBuilds'>, end: WheelEnd): WheelBuild | null =>
  wheelBuilds[end] ?? null;

/** Pairs of spokes as the look-over's hand felt them. */
const squeezed = (observations: Bicycle['observations'], end: WheelEnd): readonly SpokeFeel[] =>
  observations.findLast((row) => row.check === `spokes-${end}` && !row.withdrawn)?.evidence.pairs ?? [];

/** What the look-over's hand felt of each spoke, where it went all round; null where it did not. */
export const feltAtLookOver = ({ observations }: Pick<Bicycle, 'observations'>, end: WheelEnd, spokes: number) =>
  feelsOfPairs(squeezed(observations, end), spokes);

/** A usual build to begin from: shown to be put right, and not put down as measured. */
export function usualBuild(
  { kind, observations = [] }: Pick<Bicycle, 'kind'> & Partial<Pick<Bicycle, 'observations'>>,
  end: WheelEnd,
): WheelBuild {
  // Whoever squeezed it in pairs all round has counted its spokes.
  const counted = 2 * squeezed(observations, end).length;
  const seat = kindAt(kind, `rim.${end}`).beadSeatMm;
  const isDished = end === 'rear' && kind.gears === 'derailleur';
  return {
    spokes: counted >= 16 && counted <= 48 && counted % 4 === 0 ? counted : 36,
    crossings: 3,
    rimRadiusMm: Math.round((seat - 20) / 2),
    leftRadiusMm: end === 'rear' ? 22.5 : 19,
    rightRadiusMm: end === 'rear' ? 22.5 : 19,
    leftOffsetMm: 34,
    rightOffsetMm: isDished ? 20 : 34,
    rimClass: 'double-wall box alloy',
    mirrored: false,
  };
}

const wheelOf = ({ leftRadiusMm, rightRadiusMm, leftOffsetMm, rightOffsetMm, ...build }: WheelBuild) => ({
  ...build,
  flanges: { leftRadiusMm, rightRadiusMm, leftOffsetMm, rightOffsetMm },
});

/** The last reading of a wheel as it is built now; readings of another count of spokes say nothing of it. */
export function lastReading(
  { wheelReadings }: Pick<Bicycle, 'wheelReadings'>,
  end: WheelEnd,
  spokes: number,
): WheelReading | null {
  return wheelReadings.findLast((row) => row.end === end && row.lateralMm.length === spokes) ?? null;
}

/** The reading before the last, where a round was made between them; null where there is none. */
export function readingBefore(
  bicycle: Pick<Bicycle, 'wheelReadings' | 'wheelRounds'>,
  end: WheelEnd,
  spokes: number,
): WheelReading | null {
  const last = lastReading(bicycle, end, spokes);
  const round = bicycle.wheelRounds.findLast((row) => row.end === end && row.reading !== last?.id);
  return bicycle.wheelReadings.find((row) => row.id === round?.reading && row.lateralMm.length === spokes) ?? null;
}

/**
 * A round that was begun and not ended when the count of spokes was put otherwise: the count that it was read by, or null. Nothing of it is
 * lost; it stands again once the count does.
 */
export function roundOfAnother(
  { wheelReadings, wheelRounds }: Pick<Bicycle, 'wheelReadings' | 'wheelRounds'>,
  end: WheelEnd,
  spokes: number,
): number | null {
  const round = wheelRounds.findLast((row) => row.end === end);
  const reading = round && wheelReadings.find(({ id }) => id === round.reading);
  const isLast = reading && wheelReadings.findLast((row) => row.end === end) === reading;
  return isLast && reading.lateralMm.length !== spokes && round.turns.some(({ made }) => !made)
    ? reading.lateralMm.length
    : null;
}

/** The round that is under way: the last, where it answers the last reading. */
export function roundNow(
  bicycle: Pick<Bicycle, 'wheelReadings' | 'wheelRounds'>,
  end: WheelEnd,
  spokes: number,
): WheelRound | null {
  const last = lastReading(bicycle, end, spokes);
  const round = bicycle.wheelRounds.findLast((row) => row.end === end);
  return round && last && round.reading === last.id ? round : null;
}

const readingsOf = (
  { lateralMm, radialMm, tensionN, toneHz, metered, feels }: WheelReading,
  leaveOut: readonly number[] = [],
) => {
  const without = (list: (number | null)[]) => list.map((each, i) => (leaveOut.includes(i) ? null : each));
  return {
    lateralMm: without(lateralMm),
    ...(radialMm && { radialMm: without(radialMm) }),
    ...(tensionN && { tensionN }),
    ...(toneHz && { toneHz }),
    ...(metered && { metered }),
    ...(feels && { feels }),
  };
};

/** Rounds that were made and read again after: what they did teaches how stiff the rim is. */
function historyOf(bicycle: Known, end: WheelEnd, spokes: number): NonNullable<QuestionOf<'wheels.true'>['history']> {
  const readings = bicycle.wheelReadings.filter((row) => row.end === end && row.lateralMm.length === spokes);
  return bicycle.wheelRounds
    .filter((round) => round.end === end)
    .flatMap((round) => {
      const i = readings.findIndex(({ id }) => id === round.reading);
      const [before, after] = [readings[i], readings[i + 1]];
      const turns = round.turns.filter(({ made }) => made).map(({ spoke, turns: by }) => ({ spoke, turns: by }));
      return i >= 0 && before && after && turns.length > 0
        ? [{ turns, before: readingsOf(before), after: readingsOf(after) }]
        : [];
    })
    .slice(-6);
}

/** Spokes of a wheel that broke and are not renewed. */
export const brokenNow = ({ brokenSpokes }: Pick<Bicycle, 'brokenSpokes'>, end: WheelEnd) =>
  brokenSpokes.filter((row) => row.end === end && !row.done.includes('whole'));

/** Spokes whose nipples are one of these, counted from the valve hole from nought. */
export const marked = (
  { nipples }: Pick<Bicycle, 'nipples'>,
  end: WheelEnd,
  spokes: number,
  ...as: NippleState[]
): number[] =>
  Array.from({ length: spokes }, (_, i) => i).filter((i) => {
    const mark = own(nipples, `${end}/${i}`);
    return mark !== undefined && as.includes(mark);
  });

/** Fewer readings round a disc tell nothing. */
const LEAST_TRACE = 6;

/** The question for `wheels.cause`; null until the wheel is described and read. */
export function causeInput(bicycle: Known, end: WheelEnd): QuestionOf<'wheels.cause'> | null {
  const build = buildOf(bicycle, end);
  const last = build && lastReading(bicycle, end, build.spokes);
  if (!build || !last) return null;
  const { hubMm, hubAt } = last;
  return {
    ...wheelOf(build),
    readings: readingsOf(last),
    ...(hubMm && hubMm.length >= LEAST_TRACE && { hubMm }),
    ...(hubAt && { hubAt }),
  };
}

/**
 * The question for `wheels.true`; null until the wheel is described and three spots are read. What is left out is no work of nipples, the
 * joint of the rim.
 */
export function trueInput(
  bicycle: Known,
  end: WheelEnd,
  leaveOut: readonly number[] = [],
): QuestionOf<'wheels.true'> | null {
  const build = buildOf(bicycle, end);
  const last = build && lastReading(bicycle, end, build.spokes);
  if (!build || !last || last.lateralMm.filter((each, i) => each !== null && !leaveOut.includes(i)).length < 3)
    return null;
  const isBraked = ['caliper', 'cantilever', 'direct-pull'].includes(kindAt(bicycle.kind, `rim.${end}`).brakes);
  return {
    ...wheelOf(build),
    readings: readingsOf(last, leaveOut),
    history: historyOf(bicycle, end, build.spokes),
    loose: marked(bicycle, end, build.spokes, 'loose'),
    // What rounds off is turned by nobody until it is renewed.
    stuck: marked(bicycle, end, build.spokes, 'stuck', 'rounded'),
    dishMm: last.dishMm,
    // A rim that nothing brakes on may swing further.
    limits: { lateralMm: isBraked ? 0.5 : 1 },
  };
}

/** Turns that were made of every nipple so far, for the stand-in that spins a made-up wheel. */
export function turnsMade({ wheelRounds }: Pick<Bicycle, 'wheelRounds'>, end: WheelEnd, spokes: number): number[] {
  const made = Array.from({ length: spokes }, () => 0);
  for (const round of wheelRounds)
    if (round.end === end)
      for (const turn of round.turns) if (turn.made && turn.spoke < spokes) made[turn.spoke]! += turn.turns;
  return made;
}

/** The question for `wheels.spin`: the made-up wheel of this bicycle, with what was done to it. */
export function spinInput(bicycle: Known & Pick<Bicycle, 'id'>, end: WheelEnd): QuestionOf<'wheels.spin'> | null {
  const build = buildOf(bicycle, end);
  if (!build) return null;
  const seed =
    Array.from(`${bicycle.id} ${end}`, (letter) => letter.charCodeAt(0)).reduce(
      (sum, code) => (sum * 31 + code) % 1_000_003,
      7,
    ) + 1;
  const round = bicycle.wheelReadings.filter((row) => row.end === end).length;
  return { ...wheelOf(build), seed, made: turnsMade(bicycle, end, build.spokes), round };
}

const runoutOf = (end: WheelEnd) => `runout-${end}`;

/** What the look-over read of a rim once round, at each spoke: straight between its readings. Null where it read fewer than three. */
export function fromLookOver(
  { observations }: Pick<Bicycle, 'observations'>,
  end: WheelEnd,
  spokes: number,
): number[] | null {
  const seen = observations.findLast((row) => row.check === runoutOf(end) && !row.withdrawn);
  const list = seen?.evidence.readingsMm ?? [];
  if (list.length < 3) return null;
  return Array.from({ length: spokes }, (_, i) => {
    const at = (i * list.length) / spokes;
    const [low, share] = [Math.floor(at), at % 1];
    const value = list[low % list.length]! * (1 - share) + list[(low + 1) % list.length]! * share;
    return Math.round(value * 100) / 100;
  });
}

/**
 * What is put down once a wheel is true: how it swings now, where look-over and proof know it, and the look after fifty kilometres, since spokes
 * settle. Example: a wheel that was trued → an observation of `runout-rear` and a look in a week.
 */
export function asTrued(
  { seenAs, secondLooks }: Pick<Bicycle, 'seenAs' | 'secondLooks'>,
  reading: WheelReading,
  { at, by, today, newId }: { at: string; by: string; today: string; newId(): string },
): Command[] {
  const known = reading.lateralMm.filter((each) => each !== null);
  const isDated = openLooks({ secondLooks }).some(({ of }) => of === 'fifty-km');
  return [
    {
      type: 'addObservation',
      observation: {
        id: newId(),
        check: runoutOf(reading.end),
        at,
        evidence: { readingsMm: known },
        seenAs,
        note: '',
        withdrawn: false,
        stage: 'prove',
        ...(by && { by }),
      },
    },
    // The proof knows how it swings now: nobody reads it again for it.
    {
      type: 'putProofReading',
      reading: {
        id: newId(),
        reading: runoutOf(reading.end),
        when: 'after',
        value: Math.round((Math.max(...known) - Math.min(...known)) * 100) / 100,
        at,
        by,
      },
    },
    ...(isDated
      ? []
      : [
          {
            type: 'putSecondLook' as const,
            look: {
              id: newId(),
              of: 'fifty-km' as const,
              dueOn: formatISO(addDays(parseISO(today), AGAIN_DAYS), { representation: 'date' }),
              doneAt: null,
              by,
              words: 'Spokes settle: the wheels once more.',
              at,
            },
          },
        ]),
  ];
}

/** The question for `wheels.lacing`: a wheel as it is built, laced by the school that it was begun with. */
export function lacingInput(
  bicycle: Pick<Bicycle, 'wheelBuilds' | 'lacings'>,
  end: WheelEnd,
  pulling: Lacing['pulling'] = 'outside',
): QuestionOf<'wheels.lacing'> | null {
  const build = buildOf(bicycle, end);
  if (!build) return null;
  const { spokes, crossings, mirrored } = build;
  return { spokes, crossings, mirrored, pulling: bicycle.lacings[end]?.pulling ?? pulling };
}
