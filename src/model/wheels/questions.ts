import { own } from '@/core/own';
import type { QuestionOf } from '@/core/questions';
import { kindAt } from '@/core/bicycle';
import type { Command } from '../commands';
import type { Bicycle } from '../record';
import type { WheelBuild, WheelEnd, WheelReading, WheelRound } from './part';

type Known = Pick<Bicycle, 'wheelBuilds' | 'wheelReadings' | 'wheelRounds' | 'nipples' | 'kind'>;

export const buildOf = ({ wheelBuilds }: Pick<Bicycle, 'wheelBuilds'>, end: WheelEnd): WheelBuild | null =>
  wheelBuilds[end] ?? null;

/** A usual build to begin from: shown to be put right, and not put down as measured. */
export function usualBuild({ kind }: Pick<Bicycle, 'kind'>, end: WheelEnd): WheelBuild {
  const seat = kindAt(kind, `rim.${end}`).beadSeatMm;
  const isDished = end === 'rear' && kind.gears === 'derailleur';
  return {
    spokes: 36,
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

const readingsOf = ({ lateralMm, radialMm, tensionN }: WheelReading) => ({
  lateralMm,
  ...(radialMm && { radialMm }),
  ...(tensionN && { tensionN }),
});

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

const marked = ({ nipples }: Known, end: WheelEnd, spokes: number, as: 'loose' | 'stuck') =>
  Array.from({ length: spokes }, (_, i) => i).filter((i) => own(nipples, `${end}/${i}`) === as);

/** The question for `wheels.true`; null until the wheel is described and three spots are read. */
export function trueInput(bicycle: Known, end: WheelEnd): QuestionOf<'wheels.true'> | null {
  const build = buildOf(bicycle, end);
  const last = build && lastReading(bicycle, end, build.spokes);
  if (!build || !last || last.lateralMm.filter((each) => each !== null).length < 3) return null;
  const isBraked = ['caliper', 'cantilever', 'direct-pull'].includes(kindAt(bicycle.kind, `rim.${end}`).brakes);
  return {
    ...wheelOf(build),
    readings: readingsOf(last),
    history: historyOf(bicycle, end, build.spokes),
    loose: marked(bicycle, end, build.spokes, 'loose'),
    stuck: marked(bicycle, end, build.spokes, 'stuck'),
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

/** The command that puts a wheel's last reading down where look-over and proof know it: what it swings once it is trued. */
export function asTrued(
  { seenAs }: Pick<Bicycle, 'seenAs'>,
  reading: WheelReading,
  hand: { id: string; at: string; by: string },
): Command {
  return {
    type: 'addObservation',
    observation: {
      id: hand.id,
      check: runoutOf(reading.end),
      at: hand.at,
      evidence: { readingsMm: reading.lateralMm.filter((each) => each !== null) },
      seenAs,
      note: '',
      withdrawn: false,
      stage: 'prove',
      ...(hand.by && { by: hand.by }),
    },
  };
}
