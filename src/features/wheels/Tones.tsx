'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect, useRef, useState } from 'react';
import type { WheelBuild, WheelReading } from '@/model/wheels/part';
import { readOf, readOne } from '@/model/wheels/readOne';
import { ReadingField } from '@/ui/ReadingField';
import { useSettings } from '../workshop/WorkshopProvider';
import { listenForPlucks, pluckStandIn, type Listening } from './listen';
import { spokeWords } from './words';

/** Plucked spokes heard one after the other from the valve: each tone goes to its spoke, and the next is asked for. */
export function Tones({
  build,
  reading,
  standInN,
  onRead,
  onSpoke,
}: {
  build: WheelBuild;
  reading: WheelReading;
  /** Tensions of the made-up wheel, whose spokes can be plucked without a microphone. */
  standInN: readonly number[] | null;
  onRead(reading: WheelReading): void;
  onSpoke(spoke: number | null): void;
}) {
  const list = readOf(reading, 'toneHz');
  const firstOpen = Math.max(0, list.indexOf(null));
  const [at, setAt] = useState(firstOpen);
  const [state, setState] = useState<'off' | 'asking' | 'on' | 'refused'>('off');
  const listening = useRef<Listening | null>(null);
  const now = useRef({ at, reading });
  useEffect(() => {
    now.current = { at, reading };
  });
  useEffect(() => () => listening.current?.end(), []);
  const { name } = useSettings();
  const heard = (hz: number) => {
    const { at: spoke, reading: was } = now.current;
    onRead(readOne(was, 'toneHz', spoke, Math.round(hz * 10) / 10));
    go(spoke + 1);
  };
  const go = (spoke: number) => {
    const to = (spoke + build.spokes) % build.spokes;
    setAt(to);
    onSpoke(to);
  };
  async function listen() {
    setState('asking');
    try {
      listening.current = await listenForPlucks(heard);
      setState('on');
      onSpoke(at);
    } catch {
      setState('refused');
    }
  }
  const stop = () => {
    listening.current?.end();
    listening.current = null;
    setState('off');
  };
  const count = list.filter((each) => each !== null).length;
  const metered = reading.metered;
  return (
    <Box>
      <Box sx={{ maxWidth: '58ch', mb: 1 }}>
        Tyre down. Pluck near the middle of the free length, the other hand damping the rest. Tones tell evenness; for
        newtons one spoke is metered. Nothing is recorded or sent.
      </Box>
      <Box role="status" aria-label="Which spoke" sx={{ fontSize: '1.5rem', fontWeight: 660 }}>
        {spokeWords(build, at)}
        {list[at] !== null && `: ${list[at]} Hz`}
      </Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', my: 1 }}>
        {state === 'on' ? (
          <Button variant="outlined" sx={{ minHeight: 56 }} onClick={stop}>
            Stop listening
          </Button>
        ) : (
          <Button variant="outlined" sx={{ minHeight: 56 }} disabled={state === 'asking'} onClick={() => void listen()}>
            Listen
          </Button>
        )}
        {standInN && (
          <Button
            variant="outlined"
            sx={{ minHeight: 56 }}
            onClick={() => {
              const hz = pluckStandIn(standInN[at]!, at + name.length);
              if (hz !== null) heard(hz);
            }}
          >
            Pluck it (stand-in)
          </Button>
        )}
        <Button color="inherit" sx={{ minHeight: 56 }} onClick={() => go(at - 1)}>
          Back one
        </Button>
        <Button color="inherit" sx={{ minHeight: 56 }} onClick={() => go(at + 1)}>
          Leave it out
        </Button>
      </Box>
      <Box role="status">
        {state === 'on' && 'Listening: pluck it.'}
        {state === 'asking' && 'Asking for the microphone…'}
        {state === 'refused' && 'No microphone: it was refused, or there is none. Squeeze or meter them instead.'}
      </Box>
      <Box sx={{ color: 'text.secondary' }}>
        {count} of {build.spokes} heard
        {count > 0 && (metered ? '; newtons by the metered spoke' : '; evenness only')}
      </Box>
      {count > 0 && (
        <Box data-readings sx={{ mt: 1.5 }}>
          <ReadingField
            key={metered?.spoke ?? at}
            label={metered ? `Metered, spoke ${metered.spoke + 1}` : `Metered, spoke ${lastHeard(list, at) + 1}`}
            kind="number"
            unit="N"
            width={230}
            help="one spoke with a meter turns tones into newtons"
            value={metered?.tensionN ?? null}
            refuse={(value) => (value <= 0 || value > 4000 ? '1 to 4000 N' : null)}
            onCommit={(tensionN) =>
              onRead({ ...reading, metered: { spoke: metered?.spoke ?? lastHeard(list, at), tensionN } })
            }
            onClear={() => {
              const { metered: _gone, ...without } = reading;
              onRead(without);
            }}
          />
        </Box>
      )}
    </Box>
  );
}

/** The spoke that was heard last before one. */
function lastHeard(list: readonly (number | null)[], at: number): number {
  const n = list.length;
  for (let back = 1; back <= n; back++) if (list[(at - back + n) % n] !== null) return (at - back + n) % n;
  return at;
}
