'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect } from 'react';
import type { AdjustConeInput, ConeAdvice } from '@/core/bearings/adjustCone';
import { useReckon } from '../workshop/useReckon';
import type { Room, RoomView } from './room';

const FEELS = [
  { id: 'loose', label: 'Loose' },
  { id: 'tick', label: 'A tick' },
  { id: 'smooth', label: 'Smooth' },
  { id: 'tight', label: 'Tight' },
] as const;
/** How long each move of the adviser is shown. */
const MOVE_MS = 700;

function question(room: Room, view: RoomView): AdjustConeInput {
  const { pitchMm, squeezeDeg, tickDeg, smoothDeg } = room.hub.level;
  return {
    pitchMm,
    allowanceDeg: squeezeDeg,
    bands: { tickDeg, smoothDeg },
    trials: view.trials.flatMap(({ turnDeg, feel, clamped }) => (feel === null ? [] : [{ turnDeg, feel, clamped }])),
  };
}

/** One move of the adviser on the simulated hub: unlock, turn, lock, close or open, feel. */
function move(room: Room, advice: ConeAdvice): void {
  const next = advice.next!;
  if (next.turnDeg !== 0 || !room.view().state.locked) {
    if (room.view().state.locked) room.toggleLock();
    room.turn(next.turnDeg);
    room.toggleLock();
  }
  if (room.view().state.clamped !== next.feelClamped) room.toggleSkewer();
  room.rock();
  room.say(room.hand());
}

/** The adviser beside the learner: it hears what was felt and says the next turn, or plays the round by itself. */
export function Adviser({
  room,
  view,
  playing,
  quick,
  onPlay,
  onDone,
}: {
  room: Room;
  view: RoomView;
  playing: boolean;
  /** Without the pauses that let the eye follow. */
  quick: boolean;
  onPlay(playing: boolean): void;
  onDone(): void;
}) {
  const { output: advice, pending } = useReckon('bearings.adjustCone', question(room, view));
  const last = view.trials.at(-1);
  const told = last === undefined || last.feel !== null;
  useEffect(() => {
    if (!playing || !advice || pending) return;
    const timer = setTimeout(
      () => {
        if (advice.next) move(room, advice);
        else {
          onPlay(false);
          onDone();
        }
      },
      quick ? 0 : MOVE_MS,
    );
    return () => clearTimeout(timer);
  }, [playing, advice, pending, room, quick, onPlay, onDone]);
  return (
    <Box sx={{ borderLeft: '3px solid', borderColor: 'primary.main', pl: 2, mt: 2 }}>
      {view.state.locked && (
        <Box
          role="group"
          aria-label="How does it feel to you?"
          sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mb: 1 }}
        >
          {FEELS.map(({ id, label }) => (
            <Button
              key={id}
              variant={last?.feel === id ? 'contained' : 'outlined'}
              sx={{ minHeight: 56, minWidth: 96 }}
              onClick={() => room.say(id)}
            >
              {label}
            </Button>
          ))}
        </Box>
      )}
      <Box aria-live="polite" sx={{ fontSize: '1.1rem', maxWidth: '60ch', minHeight: 28 }}>
        {!told
          ? 'Say how it feels, and it says the next turn.'
          : !advice
            ? ''
            : advice.next
              ? advice.next.words
              : 'It would stop here: it is right.'}
      </Box>
      <Button color="inherit" sx={{ mt: 0.5, minHeight: 48 }} onClick={() => onPlay(!playing)}>
        {playing ? 'Stop it' : 'Let it set this one'}
      </Button>
    </Box>
  );
}
