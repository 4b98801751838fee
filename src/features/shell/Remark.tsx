'use client';
import Snackbar from '@mui/material/Snackbar';

const SHOWN_MS = 6000;

/** A sentence about what has just been done or refused; it goes by itself. */
export function Remark({ words, onClose }: { words: string; onClose(): void }) {
  return (
    <Snackbar
      key={words}
      open
      autoHideDuration={SHOWN_MS}
      onClose={(_event, reason) => reason !== 'clickaway' && onClose()}
      message={words}
      anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      sx={{ bottom: { xs: 76, md: 24 } }}
    />
  );
}
