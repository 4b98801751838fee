'use client';
import type { BearingBench } from '@/core/bearings/benchTypes';
import { sectionInput } from '@/model/bearings/questions';
import type { Bearing } from '@/model/bearings/part';
import { bearingFor } from '@/model/bearings/bearingFor';
import { useReckon } from '../workshop/useReckon';
import type { StageProps } from '../workshop/WorkshopProvider';
import { SectionDrawing } from './SectionDrawing';
import { useSetting, type Setting } from './useSetting';

const NEXT_TRACK = { bright: 'dull', dull: 'pitted', pitted: 'bright' } as const;
/** Play that is smaller is not said: nobody sets a cone finer. */
const LEAST_PLAY_MM = 0.002;

/** The bearing at hand as it stands: its counts, what was seen of its tracks, its play and the way left. */
export function BearingDrawing({
  send,
  bearing,
  bench,
  setting: { advice },
}: Pick<StageProps, 'send'> & { bearing: Bearing; bench: BearingBench; setting: Setting }) {
  const { output: ball } = useReckon(
    'bearings.identifyBall',
    bearing.ballReadingsMm.length ? { readingsMm: bearing.ballReadingsMm, instrument: bearing.instrument } : null,
  );
  const felt = bearing.trials.length > 0 ? advice : null;
  const next = felt?.next && felt.next.turnDeg !== 0 ? felt.next : null;
  const playMm = felt?.playMm ?? 0;
  return (
    <SectionDrawing
      input={sectionInput(bearing, bench, ball?.nominal?.diameterMm ?? null, playMm)}
      tracks={bearing.tracks}
      names={bench.tracks}
      title={`${bench.title}, cut along its axle`}
      play={playMm > LEAST_PLAY_MM ? `Play along the axle: about ${playMm.toFixed(2)} mm` : ''}
      way={
        next && {
          words: `${next.turnDeg > 0 ? 'To close' : 'To open'}: ${next.travelMm.toFixed(3)} mm of thread`,
          outwards: next.turnDeg < 0,
        }
      }
      onTrack={
        bench.rows.length > 0
          ? (track) =>
              send({
                type: 'seeTrack',
                place: bench.place,
                track,
                state: bearing.tracks[track] ? NEXT_TRACK[bearing.tracks[track]] : 'bright',
              })
          : undefined
      }
    />
  );
}

/** The drawing beside a step of the bench. */
export function BearingAside({ bicycle, send, bench }: StageProps & { bench: BearingBench }) {
  const bearing = bearingFor(bicycle, bench.place);
  const setting = useSetting(bicycle, bearing, bench);
  return <BearingDrawing send={send} bearing={bearing} bench={bench} setting={setting} />;
}
