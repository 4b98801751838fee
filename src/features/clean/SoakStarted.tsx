'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { addMinutes, parseISO } from 'date-fns';
import type { Timer } from '@/model/clean/part';
import { clockTime } from '@/ui/format';
import { PrintAlone } from '@/ui/PrintAlone';
import { saveAlarm } from './alarm';

/** After a soak was started: a closed page is silent, so an alarm for the calendar and a large note for the door. */
export function SoakStarted({ timer, onClose }: { timer: Timer; onClose(): void }) {
  const after = (minutes: number) => addMinutes(parseISO(timer.startedAt), minutes);
  const dueAt = after(timer.minutes);
  return (
    <PrintAlone
      label="The soak is running"
      onClose={onClose}
      extra={
        <Button variant="outlined" onClick={() => void saveAlarm(timer, dueAt.getTime())}>
          Calendar alarm
        </Button>
      }
    >
      <Box sx={{ fontSize: '1.1rem' }}>{timer.label}</Box>
      <Box sx={{ fontSize: { xs: '3.2rem', sm: '5rem' }, fontWeight: 700, lineHeight: 1.05, my: 1 }}>
        take out at {clockTime(dueAt)}
      </Box>
      {timer.maxMinutes !== null && (
        <Box sx={{ fontSize: '1.3rem', fontWeight: 640 }}>never past {clockTime(after(timer.maxMinutes))}</Box>
      )}
      <Box sx={{ mt: 1.5 }}>{timer.next}</Box>
      <Box className="no-print" sx={{ mt: 2, borderLeft: '3px solid #111', pl: 1.5 }}>
        A closed page is silent: put the alarm into the calendar, or print this and hang it up.
      </Box>
    </PrintAlone>
  );
}
