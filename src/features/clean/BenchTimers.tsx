'use client';
import Box from '@mui/material/Box';
import { runningTimers } from '@/model/clean/timers';
import type { Bicycle } from '@/model/record';
import { clockTime } from '@/ui/format';
import { useNow } from '../workshop/useNow';

/** What soaks while the hands are at the bench. */
export function BenchTimers({ bicycle }: { bicycle: Bicycle }) {
  const now = useNow(1000);
  const timers = runningTimers(bicycle);
  if (timers.length === 0) return null;
  return (
    <Box sx={{ fontSize: '1.05rem' }}>
      {timers.map(({ timer, dueAtMs }) => (
        <Box key={timer.id} sx={{ fontWeight: dueAtMs <= now.getTime() ? 700 : 400 }}>
          {dueAtMs <= now.getTime()
            ? `Time is up: ${timer.label}`
            : `${timer.label}: take out at ${clockTime(new Date(dueAtMs))}`}
        </Box>
      ))}
    </Box>
  );
}
