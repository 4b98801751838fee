'use client';
import AccessTime from '@mui/icons-material/AccessTime';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Stage } from '@/model/record';
import { newId } from '@/store/browser';
import { hours } from '@/ui/format';
import { useNow } from '../workshop/useNow';
import type { StageProps } from '../workshop/WorkshopProvider';

/** Starts and stops the clock of a bicycle; it runs on when the page is closed. */
export function WorkClock({ bicycle, send, stage }: StageProps & { stage: Stage }) {
  const now = useNow(10_000);
  const { clock } = bicycle;
  if (!clock) {
    return (
      <Button
        size="small"
        variant="outlined"
        onClick={() => send({ type: 'startClock', at: new Date().toISOString(), stage })}
        aria-label="Start the clock"
      >
        <AccessTime fontSize="small" />
        <Box component="span" sx={{ display: { xs: 'none', sm: 'inline' }, ml: 0.75 }}>
          Start the clock
        </Box>
      </Button>
    );
  }
  const minutes = Math.max(0, (now.getTime() - Date.parse(clock.startedAt)) / 60_000);
  const stop = () => {
    const whole = Math.round((Date.now() - Date.parse(clock.startedAt)) / 60_000);
    send({
      type: 'stopClock',
      entry:
        whole > 0
          ? { id: newId(), stage: clock.stage, minutes: Math.min(whole, 10_080), at: new Date().toISOString() }
          : null,
    });
  };
  return (
    <Button
      size="small"
      variant="contained"
      onClick={stop}
      aria-label={`${hours(Math.floor(minutes))} on the clock: stop`}
    >
      {hours(Math.floor(minutes))}
      <Box component="span" sx={{ display: { xs: 'none', sm: 'inline' } }}>
        &nbsp;on the clock: stop
      </Box>
    </Button>
  );
}
