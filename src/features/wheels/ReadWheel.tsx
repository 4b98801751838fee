'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { Spun } from '@/core/wheels/spin';
import type { Bicycle } from '@/model/record';
import { emptyReading } from '@/model/wheels/readOne';
import { feltAtLookOver, fromLookOver } from '@/model/wheels/questions';
import type { WheelBuild, WheelEnd, WheelReading } from '@/model/wheels/part';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { Choices } from '@/ui/Choices';
import { useHand } from '../workshop/useHand';
import type { StageProps } from '../workshop/WorkshopProvider';
import { ByEye } from './ByEye';
import { BySpoke } from './BySpoke';

type Means = 'eye' | 'gauge';
const MEANS: { id: Means; label: string }[] = [
  { id: 'eye', label: 'By eye' },
  { id: 'gauge', label: 'Spoke by spoke' },
];

/** What of a reading is taken over from one round to the next: how the hand felt the spokes before the first turn. */
function knownFirst(bicycle: Bicycle, end: WheelEnd, spokes: number, isFirst: boolean): Pick<WheelReading, 'feels'> {
  const feels = isFirst ? feltAtLookOver(bicycle, end, spokes) : null;
  return feels ? { feels } : {};
}

/** A wheel that is read whole: past the gauge, by eye, or spoke by spoke. */
export function ReadWheel({
  bicycle,
  send,
  end,
  build,
  last,
  open,
  spun,
  chosen,
  choose,
  onOpen,
}: StageProps & {
  end: WheelEnd;
  build: WheelBuild;
  last: WheelReading | null;
  /** The reading that is being taken spoke by spoke. */
  open: WheelReading | null;
  /** The made-up wheel of the demonstration. */
  spun: Spun | null;
  chosen: number | null;
  choose(spoke: number | null): void;
  onOpen(id: string | null): void;
}) {
  const { name: by } = useHand();
  const [means, setMeans] = useState<Means>(open ? 'gauge' : 'eye');
  const fresh = (): WheelReading => ({
    ...emptyReading({ id: newId(), at: nowIso(), by, end }, build.spokes),
    ...knownFirst(bicycle, end, build.spokes, last === null),
  });
  const read = (of: Partial<WheelReading>) => {
    send({ type: 'readWheel', reading: { ...fresh(), ...of } });
    choose(null);
  };
  const known = last === null ? fromLookOver(bicycle, end, build.spokes) : null;
  return (
    <Box>
      {spun && (
        <Button
          variant={last ? 'outlined' : 'contained'}
          sx={{ minHeight: 64, mb: 1.5 }}
          onClick={() => {
            const { lateralMm, radialMm, tensionN, dishMm } = spun;
            read({ lateralMm, radialMm, tensionN, dishMm });
            onOpen(null);
          }}
        >
          Spin it past the dial gauge (stand-in)
        </Button>
      )}
      {known && !open && (
        <Button
          variant="outlined"
          sx={{ minHeight: 56, mb: 1.5, ml: spun ? 1 : 0 }}
          onClick={() => read({ lateralMm: known })}
        >
          Begin with what the look-over read
        </Button>
      )}
      <Choices
        label="Read it"
        options={MEANS}
        value={open ? 'gauge' : means}
        onChoose={(next) => {
          setMeans(next);
          if (next === 'gauge' && !open) {
            const reading = fresh();
            send({ type: 'readWheel', reading });
            onOpen(reading.id);
          }
          if (next === 'eye') onOpen(null);
        }}
      />
      <Box sx={{ mt: 2 }}>
        {open ? (
          <>
            <BySpoke
              build={build}
              reading={open}
              onRead={(reading) => send({ type: 'readWheel', reading })}
              onSpoke={choose}
            />
            <Button
              variant="contained"
              sx={{ minHeight: 56, mt: 1.5 }}
              disabled={open.lateralMm.filter((each) => each !== null).length < 3}
              onClick={() => {
                onOpen(null);
                choose(null);
              }}
            >
              That is all
            </Button>
          </>
        ) : (
          <ByEye spokes={build.spokes} chosen={chosen} onChoose={choose} onRead={read} />
        )}
      </Box>
    </Box>
  );
}
