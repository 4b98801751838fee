import type { ProofEvidence } from '@/core/prove/evidence';
import { isBearing } from '@/core/vocabulary/vocabulary';
import { bearingFor } from '../bearings/bearingFor';
import type { Bicycle } from '../record';
import { feltWords } from './paper';
import { readPair } from './readings';

/** One thing as it was and as it is, in words; null where nobody said. */
export interface ProvedPair {
  id: string;
  place: string;
  /** What of it; empty where it is the thing itself. */
  what: string;
  before: string | null;
  after: string | null;
}

const BRAKE_PLACES = [
  'brake.front',
  'brake.rear',
  'pads.front',
  'pads.rear',
  'disc.front',
  'disc.rear',
  'cables.brake',
  'brake-lever.left',
  'brake-lever.right',
];

/**
 * Everything that was read or felt before and after: `worked` holds every bearing that was opened, what was read of every
 * brake that was touched and of every wheel that was trued, whether it was felt again or not; `others` the rest that anybody read.
 */
export function provedPairs(
  bicycle: Bicycle,
  { readings }: Pick<ProofEvidence, 'readings'>,
): { worked: ProvedPair[]; others: ProvedPair[] } {
  const touched = new Set(bicycle.worked.map(({ place }) => place));
  const isBrakeTouched = BRAKE_PLACES.some((place) => touched.has(place));
  const isTrued = (place: string) => place.startsWith('rim.') && touched.has(`spokes.${place.slice('rim.'.length)}`);
  const opened = new Set([
    ...bicycle.trays
      .filter(({ place, doneSteps }) => isBearing(place) && (doneSteps.length > 0 || touched.has(place)))
      .map(({ place }) => place),
    ...bicycle.bearings
      .filter(({ trials, doneSteps }) => trials.length + doneSteps.length > 0)
      .map(({ place }) => place),
  ]);
  const felt = [...new Set([...opened, ...bicycle.bearings.map(({ place }) => place)])].map((place) => {
    const { before, after } = bearingFor(bicycle, place);
    return {
      id: `felt ${place}`,
      place,
      what: '',
      before: before && feltWords(before),
      after: after && feltWords(after),
      isWorked: opened.has(place),
    };
  });
  const read = readings
    .filter(({ from }) => from === 'check' || from === 'own')
    .map((reading) => {
      const { before, after } = readPair(bicycle, reading);
      const words = (value: number | null) =>
        value === null ? null : `${Math.round(value * 100) / 100} ${reading.unit}`;
      return {
        id: `read ${reading.id}`,
        place: reading.place,
        what: reading.label,
        before: words(before),
        after: words(after),
        isWorked: (BRAKE_PLACES.includes(reading.place) && isBrakeTouched) || isTrued(reading.place),
      };
    })
    .filter((pair) => pair.isWorked || pair.before !== null || pair.after !== null);
  const all = [...felt, ...read];
  const bare = ({ id, place, what, before, after }: (typeof all)[number]): ProvedPair => ({
    id,
    place,
    what,
    before,
    after,
  });
  return {
    worked: all.filter(({ isWorked }) => isWorked).map(bare),
    others: all.filter(({ isWorked }) => !isWorked).map(bare),
  };
}
