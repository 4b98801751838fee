'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { measuredStop, STOPPED_BY, SURFACES, type MeasuredStop } from '@/core/brakes/measuredStop';
import type { ProofEvidence } from '@/core/prove/evidence';
import { stateOf } from '@/core/vocabulary/verdicts';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { Choices } from '@/ui/Choices';
import { ReadingField } from '@/ui/ReadingField';
import { stateColour, StateMark } from '@/ui/StateMark';
import { useHand } from '../workshop/useHand';
import type { StageProps } from '../workshop/WorkshopProvider';

const BRAKE_WORDS = { both: 'Both', front: 'Front', rear: 'Rear' } as const;
const SURFACE_WORDS = { dry: 'Dry', wet: 'Wet' } as const;
const BRAKES = STOPPED_BY.map((id) => ({ id, label: BRAKE_WORDS[id] }));
const GROUND = SURFACES.map((id) => ({ id, label: SURFACE_WORDS[id] }));

/** The most that is drawn, in m/s²: no bicycle stops harder. */
const SCALE_MS2 = 8;
const share = (ms2: number) => `${(Math.min(ms2, SCALE_MS2) / SCALE_MS2) * 100}%`;

/** A stop on the scale: where it lies, how far it may be off, and the least that is asked. */
function OnScale({ stop }: { stop: ProofEvidence['stops'][number] }) {
  const { decelerationMs2, betweenMs2, limitMs2, verdict } = stop;
  const colour = stateColour(stateOf('brakes.stop', verdict));
  return (
    <Box
      role="img"
      aria-label={`${decelerationMs2.toFixed(1)} m/s², between ${betweenMs2.low.toFixed(1)} and ${betweenMs2.high.toFixed(1)}; at least ${limitMs2} is asked`}
      sx={{ position: 'relative', height: 22, my: 0.5, borderBottom: '1.5px solid', borderColor: 'text.primary' }}
    >
      <Box
        sx={{
          position: 'absolute',
          bottom: 0,
          height: 12,
          left: share(betweenMs2.low),
          width: `calc(${share(betweenMs2.high)} - ${share(betweenMs2.low)})`,
          bgcolor: colour,
          opacity: 0.35,
        }}
      />
      <Box
        sx={{
          position: 'absolute',
          bottom: 0,
          height: 18,
          width: 4,
          ml: '-2px',
          left: share(decelerationMs2),
          bgcolor: colour,
        }}
      />
      <Box
        sx={{
          position: 'absolute',
          bottom: -4,
          height: 26,
          left: share(limitMs2),
          borderLeft: '2px dashed',
          borderColor: 'text.primary',
        }}
      />
    </Box>
  );
}

/** A measured stop, for whoever cares: speed and distance to deceleration, with its band. Nobody has to. */
export function MeasuredStops({
  send,
  stops,
  big,
}: Pick<StageProps, 'send'> & { stops: ProofEvidence['stops']; big?: boolean }) {
  const { name: by } = useHand();
  const [draft, setDraft] = useState<Partial<MeasuredStop>>({ brakes: 'both', surface: 'dry' });
  const whole = measuredStop.safeParse(draft);
  const put = () => {
    if (!whole.success) return;
    send({ type: 'putStop', stop: { id: newId(), ...whole.data, at: nowIso(), by } });
    setDraft({ brakes: whole.data.brakes, surface: whole.data.surface, speedKmh: whole.data.speedKmh });
  };
  return (
    <Box>
      <Box data-readings sx={{ display: 'flex', gap: 1.25, flexWrap: 'wrap', alignItems: 'start', mt: 1 }}>
        <ReadingField
          label="Speed"
          kind="speed"
          unit="km/h"
          width={big ? 160 : 130}
          value={draft.speedKmh ?? null}
          onCommit={(speedKmh) => setDraft({ ...draft, speedKmh })}
          refuse={(value) => (value < 5 || value > 60 ? '5 to 60 km/h' : null)}
        />
        <ReadingField
          label="Stopped within"
          kind="distance"
          unit="m"
          width={big ? 160 : 150}
          value={draft.distanceM ?? null}
          onCommit={(distanceM) => setDraft({ ...draft, distanceM })}
          refuse={(value) => (value < 0.3 || value > 100 ? '0.3 to 100 m' : null)}
        />
      </Box>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'end', mt: 1 }}>
        <Choices
          label="With"
          options={BRAKES}
          value={draft.brakes ?? null}
          onChoose={(brakes) => setDraft({ ...draft, brakes })}
        />
        <Choices
          label="On"
          options={GROUND}
          value={draft.surface ?? null}
          onChoose={(surface) => setDraft({ ...draft, surface })}
        />
        <Button variant="outlined" disabled={!whole.success} onClick={put} sx={{ minHeight: 44 }}>
          Put the stop down
        </Button>
      </Box>
      {stops.map((stop) => (
        <Box key={stop.id} sx={{ mt: 1.5, maxWidth: 520 }}>
          <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline', flexWrap: 'wrap' }}>
            <StateMark state={stateOf('brakes.stop', stop.verdict)} word={false} size={18} />
            <Box sx={{ fontSize: '1.35rem', fontWeight: 660, fontVariantNumeric: 'tabular-nums' }}>
              {stop.decelerationMs2.toFixed(1)} m/s²
            </Box>
            <Box sx={{ color: 'text.secondary', flex: 1 }}>
              {BRAKE_WORDS[stop.brakes].toLowerCase()}, {stop.surface}, from {stop.speedKmh} km/h within{' '}
              {stop.distanceM} m
            </Box>
            <Button
              size="small"
              color="inherit"
              aria-label={`Take back the stop within ${stop.distanceM} m`}
              onClick={() => send({ type: 'takeStop', stop: stop.id })}
            >
              Back
            </Button>
          </Box>
          <OnScale stop={stop} />
          <Box sx={{ fontSize: '0.92rem' }}>{stop.reasons.join(' ')}</Box>
        </Box>
      ))}
    </Box>
  );
}
