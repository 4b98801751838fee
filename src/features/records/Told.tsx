'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import type { Doing } from './useRecordsJob';

/** Says what is being done with the records, how far it is, and what came of it. */
export function Told({ doing, onStop }: { doing: Doing; onStop?: () => void }) {
  if (!doing) return null;
  if ('wrong' in doing)
    return (
      <Typography role="alert" color="error" sx={{ mt: 1.5 }}>
        {doing.wrong}
      </Typography>
    );
  if ('said' in doing)
    return (
      <Box role="status" sx={{ mt: 1.5 }}>
        {doing.said}
      </Box>
    );
  const { busy, progress, silent, brief } = doing;
  return (
    <Box sx={{ mt: 2, maxWidth: 520 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
        <Typography role="status" sx={{ flex: 1 }}>
          {busy}
        </Typography>
        {progress && (
          <Box component="span" sx={{ fontVariantNumeric: 'tabular-nums' }}>
            {progress.done} of {progress.total}
          </Box>
        )}
        {onStop && !brief && (
          <Button color="inherit" onClick={onStop}>
            Stop
          </Button>
        )}
      </Box>
      <LinearProgress
        aria-label={busy}
        variant={progress ? 'determinate' : 'indeterminate'}
        value={progress ? (100 * progress.done) / Math.max(1, progress.total) : undefined}
        sx={{ height: 6 }}
      />
      {silent && (
        <Typography role="alert" sx={{ mt: 1 }}>
          Nothing has been heard of it for a while. It may still go on; it can be stopped, and nothing is lost by that.
        </Typography>
      )}
    </Box>
  );
}
