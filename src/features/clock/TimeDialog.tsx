'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { localDay } from '@/model/localDay';
import type { Bicycle } from '@/model/record';
import type { Stage } from '@/model/stages';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { ReadingField } from '@/ui/ReadingField';
import { TextInput } from '@/ui/TextInput';
import { useStages } from '../workshop/declared';
import { useHand } from '../workshop/useHand';
import { useToday } from '../workshop/useToday';
import type { StageProps } from '../workshop/WorkshopProvider';

type Entry = Bicycle['minutes'][number];
const MOST_MINUTES = 10_080;

/** The moment of an entry that falls on another day: noon there, since nobody says the hour. */
function momentOn(day: string, today: string): string {
  return day === today ? nowIso() : new Date(`${day}T12:00:00`).toISOString();
}

/** Time put down after the fact, or an entry put right: how long, on which day, at what, on which job. */
export function TimeDialog({
  bicycle,
  send,
  entry,
  stage: at,
  onClose,
}: StageProps & {
  /** The entry that is put right; null for a new one. */
  entry: Entry | null;
  stage: Stage;
  onClose(): void;
}) {
  const today = useToday();
  const { name: by } = useHand();
  const stages = useStages();
  const [minutes, setMinutes] = useState<number | null>(entry?.minutes ?? null);
  const [day, setDay] = useState(entry ? localDay(new Date(entry.at)) : today);
  const [stage, setStage] = useState<Stage>(entry?.stage ?? at);
  const [job, setJob] = useState(entry?.job ?? '');
  const kept = bicycle.jobs.filter(({ id, decision }) => decision === 'keep' || id === entry?.job);
  const isDay = /^\d{4}-\d\d-\d\d$/.test(day) && day <= today;
  const put = () => {
    if (minutes === null || !isDay) return;
    const chosen = kept.find(({ id }) => id === job);
    const moved = entry && localDay(new Date(entry.at)) === day ? entry.at : momentOn(day, today);
    send({
      type: 'putMinutes',
      entry: {
        id: entry?.id ?? newId(),
        minutes,
        stage,
        at: moved,
        place: chosen?.place ?? entry?.place ?? null,
        ...(job !== '' && { job }),
        ...((entry?.by ?? by) && { by: entry?.by ?? by }),
      },
    });
    onClose();
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="time-title">
      <DialogTitle id="time-title">{entry ? 'Put this time right' : 'Log time'}</DialogTitle>
      <DialogContent>
        <Box data-readings sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 2, pt: 1 }}>
          <ReadingField
            label="Minutes"
            kind="number"
            unit="min"
            value={minutes}
            onCommit={setMinutes}
            onClear={() => setMinutes(null)}
            refuse={(m) => (m <= 0 || m > MOST_MINUTES ? 'more than nothing, a week at most' : null)}
          />
          <TextInput
            label="Day"
            type="date"
            value={day}
            onChange={({ target }) => setDay(target.value)}
            error={!isDay}
            helperText={isDay ? ' ' : 'That day is still to come'}
            slotProps={{ htmlInput: { max: today } }}
          />
          <TextField select label="At what" value={stage} onChange={({ target }) => setStage(target.value as Stage)}>
            {stages.map(({ id, label }) => (
              <MenuItem key={id} value={id}>
                {label}
              </MenuItem>
            ))}
          </TextField>
          <TextField
            select
            label="On which job"
            value={job}
            slotProps={{ select: { displayEmpty: true } }}
            onChange={({ target }) => setJob(target.value)}
          >
            <MenuItem value="">None of them</MenuItem>
            {kept.map(({ id, title }) => (
              <MenuItem key={id} value={id}>
                {title}
              </MenuItem>
            ))}
          </TextField>
        </Box>
      </DialogContent>
      <DialogActions sx={{ px: 3, pb: 2 }}>
        {entry && (
          <Box sx={{ flex: 1 }}>
            <Button
              color="inherit"
              onClick={() => {
                send({ type: 'removeMinutes', entry: entry.id });
                onClose();
              }}
            >
              Remove it
            </Button>
          </Box>
        )}
        <Button color="inherit" onClick={onClose}>
          Not now
        </Button>
        {/* What is typed is put down as the field is left, which is what pressing this does: it waits for no Enter. */}
        <Button variant="contained" disabled={!isDay} onClick={put}>
          Add it
        </Button>
      </DialogActions>
    </Dialog>
  );
}
