'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { useCallback, useEffect, useState, useSyncExternalStore } from 'react';
import { hiddenHub, scoreRound, toldInWords, type PracticeLevel } from '@/core/practice/hub';
import { practised } from '@/model/settings/practice';
import { nowIso } from '@/store/now';
import { useKeys } from '@/ui/keys/useKeys';
import { useSettings, useWorkshop } from '../workshop/WorkshopProvider';
import { Adviser } from './Adviser';
import { createRoom } from './room';
import { RoomDrawing } from './RoomDrawing';
import type { RoomSound } from './sound';

const Score = dynamic(() => import('./Score').then((module) => module.Score), { ssr: false });

const STEP_DEG = 2;
const FAR_DEG = 12;
const frames = {
  request: (frame: (ms: number) => void) => requestAnimationFrame(frame),
  cancel: (id: number) => cancelAnimationFrame(id),
};

/** One round: turn, lock, rock, spin, and say when it is right. */
export function Round({
  level,
  seed,
  sound,
  inWords,
  adviser,
  still,
  nextTitle,
  onAgain,
  onNext,
}: {
  level: PracticeLevel;
  seed: number;
  sound: RoomSound | null;
  inWords: boolean;
  adviser: boolean;
  still: boolean;
  nextTitle: string | null;
  onAgain(): void;
  onNext(): void;
}) {
  const workshop = useWorkshop();
  const settings = useSettings();
  const [room] = useState(() => createRoom(hiddenHub(level, seed), frames));
  const view = useSyncExternalStore(room.subscribe, room.view, room.view);
  const [playing, setPlaying] = useState(false);
  const [done, setDone] = useState(false);
  useEffect(() => () => room.end(), [room]);

  const { locked, clamped } = view.state;
  const hasSkewer = level.squeezeDeg > 0;
  const finish = useCallback(() => {
    const { total } = scoreRound(room.hub, room.view().state);
    setDone(true);
    const at = nowIso();
    void workshop.changeSettings((kept) => practised(kept, level.id, total, at));
  }, [room, level.id, workshop]);
  const hands = done || playing;
  const act = (deed: () => void) => () => {
    if (!hands) deed();
  };
  const canFinish = locked && view.trials.length > 0;
  useKeys(
    ['practice'],
    {
      'cone-open': act(() => room.turn(-STEP_DEG)),
      'cone-tighten': act(() => room.turn(STEP_DEG)),
      'cone-open-far': act(() => room.turn(-FAR_DEG)),
      'cone-tighten-far': act(() => room.turn(FAR_DEG)),
      'cone-lock': act(() => room.toggleLock()),
      skewer: act(() => room.toggleSkewer()),
      spin: act(() => room.spin()),
      rock: act(() => room.rock()),
      'round-done': act(() => canFinish && finish()),
    },
    settings.letterKeys,
  );
  const button = { minHeight: 56, fontSize: '1.02rem' } as const;
  return (
    <Box>
      <Typography variant="h2" sx={{ fontSize: '1.5rem' }}>
        {level.title}
      </Typography>
      <Typography sx={{ color: 'text.secondary', mb: 1.5 }}>{level.words}</Typography>
      <RoomDrawing room={room} view={view} sound={sound} still={still} />
      <Box sx={{ display: 'flex', justifyContent: 'space-between', mt: 1, fontWeight: 640, fontSize: '1.05rem' }}>
        <span>
          {locked
            ? 'Locked'
            : view.turnedDeg === 0
              ? 'Unlocked'
              : `Unlocked, ${view.turnedDeg > 0 ? 'tightened' : 'opened'} ${Math.abs(view.turnedDeg)}°`}
        </span>
        {hasSkewer && <span>Skewer {clamped ? 'closed' : 'open'}</span>}
      </Box>
      {done ? (
        <Score room={room} view={view} nextTitle={nextTitle} onAgain={onAgain} onNext={onNext} />
      ) : (
        <>
          <Box
            sx={{
              display: 'grid',
              gridTemplateColumns: { xs: 'repeat(4, 1fr)', sm: 'repeat(4, 1fr) 1.4fr' },
              gap: 1,
              mt: 1.5,
            }}
            role="group"
            aria-label="The cone"
          >
            {(
              [
                [-FAR_DEG, 'Open by 12 degrees'],
                [-STEP_DEG, 'Open by 2 degrees'],
                [STEP_DEG, 'Tighten by 2 degrees'],
                [FAR_DEG, 'Tighten by 12 degrees'],
              ] as const
            ).map(([deg, label]) => (
              <Button
                key={deg}
                variant="outlined"
                color="inherit"
                disabled={locked || hands}
                aria-label={label}
                sx={{ ...button, minWidth: 0 }}
                onClick={() => room.turn(deg)}
              >
                {deg > 0 ? `+${deg}°` : `−${-deg}°`}
              </Button>
            ))}
            <Button
              variant={locked ? 'outlined' : 'contained'}
              color={locked ? 'inherit' : 'primary'}
              disabled={hands}
              sx={{ ...button, gridColumn: { xs: '1 / -1', sm: 'auto' } }}
              onClick={() => room.toggleLock()}
            >
              {locked ? 'Unlock' : 'Lock it'}
            </Button>
          </Box>
          <Box sx={{ display: 'flex', gap: 1, mt: 1, flexWrap: 'wrap', '& > *': { flex: '1 1 110px' } }}>
            <Button
              variant="outlined"
              color="inherit"
              disabled={!locked || hands}
              sx={button}
              onClick={() => room.rock()}
            >
              {level.what === 'hub' ? 'Rock the rim' : 'Rock the fork'}
            </Button>
            <Button
              variant="outlined"
              color="inherit"
              disabled={!locked || hands}
              sx={button}
              onClick={() => room.spin()}
            >
              {level.what === 'hub' ? 'Spin it' : 'Swing the bars'}
            </Button>
            {hasSkewer && (
              <Button
                variant="outlined"
                color="inherit"
                disabled={hands}
                sx={button}
                onClick={() => room.toggleSkewer()}
              >
                {clamped ? 'Open the skewer' : 'Close the skewer'}
              </Button>
            )}
            <Button
              variant={locked ? 'contained' : 'outlined'}
              disabled={!canFinish || hands}
              sx={button}
              onClick={finish}
            >
              It is right
            </Button>
          </Box>
          <Box aria-live="polite" role="status" sx={{ mt: 1.5, minHeight: 28, fontSize: '1.1rem' }}>
            {!locked
              ? 'Turn the cone, lock it, then rock and spin.'
              : !view.felt
                ? 'Locked. Rock it, spin it.'
                : inWords
                  ? toldInWords(room.hub, view.state)
                  : ''}
          </Box>
          {adviser && (
            <Adviser room={room} view={view} playing={playing} quick={still} onPlay={setPlaying} onDone={finish} />
          )}
          {view.trials.length > 0 && (
            <Box component="ol" aria-label="Locks so far" sx={{ m: 0, mt: 2, pl: 3, color: 'text.secondary' }}>
              {view.trials.map(({ turnDeg, feel, clamped: closed }, i) => (
                <li key={i}>
                  {turnDeg === 0 ? 'not turned' : `${turnDeg > 0 ? 'tightened' : 'opened'} ${Math.abs(turnDeg)}°`}
                  {feel && `, ${hasSkewer ? `skewer ${closed ? 'closed' : 'open'}, ` : ''}${feel}`}
                </li>
              ))}
            </Box>
          )}
        </>
      )}
    </Box>
  );
}
