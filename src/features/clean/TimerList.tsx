'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { runningTimers } from '@/model/clean/timers';
import { keyParts } from '@/model/clean/wash';
import { nowIso } from '@/store/now';
import { clockTime, hours } from '@/ui/format';
import { stateColour } from '@/ui/StateMark';
import { saveAlarm } from './alarm';
import { useNow } from '../workshop/useNow';
import type { StageProps } from '../workshop/WorkshopProvider';

/** What soaks or runs, counted from the time it was started and not from the time the page was opened. */
export function TimerList({ bicycle, send }: StageProps) {
  const now = useNow(1000);
  const running = runningTimers(bicycle);
  if (running.length === 0) return <Typography sx={{ color: 'text.secondary' }}>Nothing is running.</Typography>;
  return (
    <Box component="ul" sx={{ p: 0, m: 0 }}>
      {running.map(({ timer, dueAtMs }) => {
        const left = dueAtMs - now.getTime();
        const latestMs = timer.maxMinutes === null ? null : Date.parse(timer.startedAt) + timer.maxMinutes * 60_000;
        const up = left <= 0;
        const seconds = Math.max(0, Math.ceil(left / 1000));
        return (
          <Box
            key={timer.id}
            component="li"
            sx={{
              listStyle: 'none',
              borderTop: '1px solid',
              borderColor: 'divider',
              py: 1.5,
              display: 'grid',
              gridTemplateColumns: { xs: '1fr', sm: '210px minmax(0, 1fr) auto' },
              gap: { xs: 1, sm: 3 },
              alignItems: 'center',
              '&:first-of-type': { borderTop: 0 },
            }}
          >
            <Box>
              <Box
                role="timer"
                sx={{
                  fontSize: '2rem',
                  fontWeight: 660,
                  lineHeight: 1,
                  color: up ? stateColour('unsafe') : 'text.primary',
                }}
              >
                {up ? 'Time is up' : `take out at ${clockTime(new Date(dueAtMs))}`}
              </Box>
              <Box sx={{ color: 'text.secondary', fontSize: '0.88rem' }}>
                {up
                  ? `since ${clockTime(new Date(dueAtMs))}`
                  : seconds >= 3600
                    ? `${Math.floor(seconds / 3600)} h ${String(Math.floor((seconds % 3600) / 60)).padStart(2, '0')} left`
                    : `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')} left`}
                {latestMs !== null && `, never past ${clockTime(new Date(latestMs))}`}
              </Box>
            </Box>
            <Box>
              <b>{timer.label}</b>{' '}
              <Box component="span" sx={{ color: 'text.secondary' }}>
                for {hours(timer.minutes)}
              </Box>
              {timer.next && (
                <Box sx={{ fontSize: '0.92rem' }}>
                  {up ? 'Now: ' : 'Then: '}
                  {timer.next}
                </Box>
              )}
              {up && latestMs !== null && now.getTime() > latestMs && (
                <Box sx={{ color: stateColour('unsafe'), fontWeight: 620 }}>
                  Past its longest time: take it out and look at every part.
                </Box>
              )}
            </Box>
            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
              {!up && (
                <Button
                  color="inherit"
                  aria-label={`Calendar alarm for ${timer.label}`}
                  onClick={() => void saveAlarm(timer, dueAtMs)}
                >
                  Alarm
                </Button>
              )}
              <Button
                variant={up ? 'contained' : 'outlined'}
                onClick={() => {
                  send({ type: 'endTimer', timer: timer.id, at: nowIso() });
                  if (timer.parts.length) send({ type: 'cleanParts', parts: timer.parts.map(keyParts), clean: true });
                }}
              >
                It is out
              </Button>
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}
