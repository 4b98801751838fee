'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { clockTime } from '@/ui/format';
import type { BenchClock } from './useBenchClock';

/** Asks once after a long quiet what of it counts. */
export function IdleQuestion({ since, onAnswer }: { since: Date; onAnswer: BenchClock['answer'] }) {
  return (
    <Dialog open aria-labelledby="idle-title">
      <DialogTitle id="idle-title">It has been quiet since {clockTime(since)}</DialogTitle>
      <DialogContent>Were you at it? What counts goes on the job at hand.</DialogContent>
      <DialogActions sx={{ px: 3, pb: 2, flexWrap: 'wrap', gap: 1 }}>
        <Box sx={{ flex: 1 }}>
          <Button color="inherit" onClick={() => onAnswer('none')}>
            Count none of it
          </Button>
        </Box>
        <Button variant="outlined" onClick={() => onAnswer('all')}>
          Count all of it
        </Button>
        <Button variant="contained" autoFocus onClick={() => onAnswer('until-seen')}>
          Count until {clockTime(since)}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
