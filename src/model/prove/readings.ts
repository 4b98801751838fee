import type { ReadingHere } from '@/core/prove/evidence';
import type { QuestionOf } from '@/core/questions';
import { own } from '@/core/own';
import { bearingFor } from '../bearings/bearingFor';
import type { Command } from '../commands';
import type { Bicycle } from '../record';

/** The question for `prove.evidence`: what was read here, the stops, and how the gears took. */
export function evidenceInput({
  kind,
  proofReadings,
  stops,
  shifts,
}: Pick<Bicycle, 'kind' | 'proofReadings' | 'stops' | 'shifts'>): QuestionOf<'prove.evidence'> {
  return {
    kind,
    readings: proofReadings.flatMap(({ reading, when, value }) => (when === 'after' ? [{ reading, value }] : [])),
    stops: stops.map(({ id, speedKmh, distanceM, brakes, surface }) => ({ id, speedKmh, distanceM, brakes, surface })),
    shifts: Object.fromEntries(Object.entries(shifts).map(([id, { said }]) => [id, said])),
  };
}

/** A reading as it was, and as it is now. */
export interface ReadPair {
  before: number | null;
  after: number | null;
}

/** The last of some readings of one length, or how far those of a turn lie apart. */
function lengthOf(readingsMm: readonly number[] | undefined): number | null {
  if (!readingsMm || readingsMm.length === 0) return null;
  if (readingsMm.length < 3) return readingsMm.at(-1)!;
  return Math.max(...readingsMm) - Math.min(...readingsMm);
}

const lastOf = (bicycle: Bicycle, reading: string, when: 'before' | 'after') =>
  bicycle.proofReadings.findLast((row) => row.reading === reading && row.when === when)?.value ?? null;

/** What a check of the look-over read before any work, and what was read of it since. */
function atCheck(bicycle: Bicycle, check: string): ReadPair {
  const rows = bicycle.observations.filter((row) => row.check === check && !row.withdrawn);
  const read = rows.flatMap(({ evidence, stage, seenAs }) => {
    const value = evidence.rimMm ?? lengthOf(evidence.readingsMm);
    return value === null ? [] : [{ value, isAfter: stage === 'prove' || seenAs === 'serviced' }];
  });
  return {
    before: read.find(({ isAfter }) => !isAfter)?.value ?? null,
    after: read.findLast(({ isAfter }) => isAfter)?.value ?? null,
  };
}

/** How far a wheel swung when it was first read in the stand, where a runout is asked for; null for every other reading. */
function firstSwing({ wheelReadings }: Pick<Bicycle, 'wheelReadings'>, reading: string): number | null {
  const end = /^runout-(front|rear)$/.exec(reading)?.[1];
  const first = wheelReadings.find((row) => row.end === end);
  return lengthOf(first?.lateralMm.filter((each) => each !== null));
}

/** A reading before and after, from wherever the record knows it: look-over, bearing, or this stage. */
export function readPair(bicycle: Bicycle, { id, from, ref }: Pick<ReadingHere, 'id' | 'from' | 'ref'>): ReadPair {
  if (from === 'check') return atCheck(bicycle, ref!);
  if (from === 'bearing') {
    const { before, after } = bearingFor(bicycle, ref!);
    return { before: before?.spinS ?? null, after: after?.spinS ?? null };
  }
  return {
    before:
      lastOf(bicycle, id, 'before') ?? (ref === null ? null : atCheck(bicycle, ref).before) ?? firstSwing(bicycle, id),
    after: lastOf(bicycle, id, 'after'),
  };
}

/** The command that puts a reading down where the record keeps it: now, by whoever reads. */
export function putReading(
  bicycle: Bicycle,
  { id, from, ref }: Pick<ReadingHere, 'id' | 'from' | 'ref'>,
  value: number,
  hand: { id: string; at: string; by: string },
): Command {
  if (from === 'check')
    return {
      type: 'addObservation',
      observation: {
        id: hand.id,
        check: ref!,
        at: hand.at,
        evidence: { readingsMm: [value] },
        seenAs: bicycle.seenAs,
        note: '',
        withdrawn: false,
        stage: 'prove',
        ...(hand.by && { by: hand.by }),
      },
    };
  if (from === 'bearing')
    return {
      type: 'feelBearing',
      place: ref!,
      when: 'after',
      changes: { spinS: value, ...(hand.by && { by: hand.by }) },
    };
  return {
    type: 'putProofReading',
    reading: { id: hand.id, reading: id, when: 'after', value, at: hand.at, by: hand.by },
  };
}

/** The command that takes the last such reading back; null where it stands at another stage. */
export function clearReading(bicycle: Bicycle, { id, from }: Pick<ReadingHere, 'id' | 'from'>): Command | null {
  const last = bicycle.proofReadings.findLast((row) => row.reading === id && row.when === 'after');
  return from !== 'check' && from !== 'bearing' && last ? { type: 'takeProofReading', reading: last.id } : null;
}

/** How one change of gear took. */
export const shiftSaid = ({ shifts }: Pick<Bicycle, 'shifts'>, shift: string) => own(shifts, shift)?.said ?? null;
