'use client';
import type { BearingBench } from '@/core/bearings/benchTypes';
import { sectionInput } from '@/model/bearings/questions';
import { bearingFor } from '@/model/bearings/bearingFor';
import type { Bicycle } from '@/model/record';
import { orderOf, trayFor } from '@/model/strip/trays';
import { useReckon } from '../workshop/useReckon';
import type { DrawnStates } from './pen';
import { SectionDrawing } from './SectionDrawing';
import { useSetting } from './useSetting';

/** Play that is smaller is not said: nobody sets a cone finer. */
const LEAST_PLAY_MM = 0.002;

/** A bearing as it stands: what is off, its counts, what was seen of its tracks, its play and the way left. */
export function BearingSection({
  bicycle,
  bench,
  faceless = false,
  mostPx,
  ...states
}: DrawnStates & {
  bicycle: Bicycle;
  bench: BearingBench;
  /** Without the rows seen along the axle. */
  faceless?: boolean;
  mostPx?: number;
}) {
  const bearing = bearingFor(bicycle, bench.place);
  const { advice } = useSetting(bicycle, bearing, bench);
  const { output: ball } = useReckon(
    'bearings.identifyBall',
    bearing.ballReadingsMm.length ? { readingsMm: bearing.ballReadingsMm, instrument: bearing.instrument } : null,
  );
  const felt = bearing.trials.length > 0 ? advice : null;
  const next = felt?.next && felt.next.turnDeg !== 0 ? felt.next : null;
  const playMm = felt?.playMm ?? 0;
  const cameOut = orderOf(trayFor(bicycle, bench.place));
  return (
    <SectionDrawing
      {...states}
      input={{
        ...sectionInput(bearing, bench, { ballMm: ball?.nominal?.diameterMm ?? null, playMm, cameOut }),
        faceless,
      }}
      tracks={bearing.tracks}
      names={bench.tracks}
      title={`${bench.title}, cut along its axle`}
      mostPx={mostPx}
      play={playMm > LEAST_PLAY_MM ? `Play along the axle: about ${playMm.toFixed(2)} mm` : ''}
      way={
        next && {
          words: `${next.turnDeg > 0 ? 'To close' : 'To open'}: ${next.travelMm.toFixed(3)} mm of thread`,
          outwards: next.turnDeg < 0,
        }
      }
    />
  );
}
