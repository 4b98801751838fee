'use client';
import AccessTime from '@mui/icons-material/AccessTime';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import type { Stage } from '@/model/stages';
import { workedMinutes } from '@/model/work/hours';
import { newId } from '@/store/browser';
import { clockTime, hours } from '@/ui/format';
import { useNow } from '../workshop/useNow';
import type { StageProps } from '../workshop/WorkshopProvider';
import { useStageLabel } from '../workshop/declared';
import type { BenchClock } from './useBenchClock';

const CORRECTIONS = [-15, -5, 5, 15] as const;

/** The time put down so far, running while the bench is open; one tap opens the correction. */
export function WorkClock({ bicycle, send, stage, clock }: StageProps & { stage: Stage; clock: BenchClock }) {
  const stageLabel = useStageLabel();
  const now = useNow(10_000);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const { clock: running } = bicycle;
  const extra = running ? Math.max(0, (now.getTime() - Date.parse(running.startedAt)) / 60_000) : 0;
  const whole = workedMinutes(bicycle) + extra;
  const here = bicycle.minutes.filter((entry) => entry.stage === stage).reduce((sum, entry) => sum + entry.minutes, 0);
  function correct(by: number): void {
    setAnchor(null);
    if (by > 0) {
      send({
        type: 'putMinutes',
        entry: { id: newId(), stage, minutes: by, at: new Date().toISOString(), place: null },
      });
      return;
    }
    let left = -by;
    for (const entry of bicycle.minutes.filter((row) => row.stage === stage).reverse()) {
      if (left <= 0) return;
      if (entry.minutes <= left) send({ type: 'removeMinutes', entry: entry.id });
      else send({ type: 'putMinutes', entry: { ...entry, minutes: entry.minutes - left } });
      left -= entry.minutes;
    }
  }
  return (
    <>
      <Button
        color="inherit"
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-label={`${hours(Math.floor(whole))} put down${running ? ', the clock runs' : ''}: correct it`}
        aria-haspopup="menu"
        sx={{
          p: 0,
          minWidth: 0,
          minHeight: 0,
          lineHeight: 1.45,
          fontSize: '1.05rem',
          fontWeight: 660,
          gap: 0.75,
          fontVariantNumeric: 'tabular-nums',
        }}
      >
        {running && <AccessTime sx={{ fontSize: 18, color: 'primary.main' }} />}
        {hours(Math.floor(whole))}
      </Button>
      <Menu
        anchorEl={anchor}
        open={anchor !== null}
        onClose={() => setAnchor(null)}
        disablePortal
        // Beside the button and not over it: a second tap must not put time down.
        anchorOrigin={{ vertical: 'top', horizontal: 'left' }}
        transformOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      >
        {running ? (
          <MenuItem
            onClick={() => {
              clock.stop();
              setAnchor(null);
            }}
          >
            Stop the clock at {hours(Math.floor(extra))}
          </MenuItem>
        ) : (
          <MenuItem
            onClick={() => {
              clock.start();
              setAnchor(null);
            }}
          >
            Start the clock
          </MenuItem>
        )}
        {CORRECTIONS.filter((by) => by > 0 || here > 0).map((by) => (
          <MenuItem key={by} onClick={() => correct(by)}>
            {by > 0 ? `${by} min more` : `${-by} min less`} on {stageLabel(stage)}
          </MenuItem>
        ))}
      </Menu>
      <IdleQuestion clock={clock} />
    </>
  );
}

function IdleQuestion({ clock }: { clock: BenchClock }) {
  const since = clock.idleSince;
  return (
    <Dialog open={since !== null} aria-labelledby="idle-title">
      {since && (
        <>
          <DialogTitle id="idle-title">It has been quiet since {clockTime(since)}</DialogTitle>
          <DialogContent>Were you at it? What counts goes on the job at hand.</DialogContent>
          <DialogActions sx={{ px: 3, pb: 2, flexWrap: 'wrap', gap: 1 }}>
            <Box sx={{ flex: 1 }}>
              <Button color="inherit" onClick={() => clock.answer('none')}>
                Count none of it
              </Button>
            </Box>
            <Button variant="outlined" onClick={() => clock.answer('all')}>
              Count all of it
            </Button>
            <Button variant="contained" autoFocus onClick={() => clock.answer('until-seen')}>
              Count until {clockTime(since)}
            </Button>
          </DialogActions>
        </>
      )}
    </Dialog>
  );
}
