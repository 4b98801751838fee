'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import GlobalStyles from '@mui/material/GlobalStyles';
import type { ReactNode } from 'react';

/** Something to be printed by itself: on paper only this stands, black on white. */
export function PrintAlone({
  label,
  onClose,
  extra,
  children,
}: {
  label: string;
  onClose(): void;
  extra?: ReactNode;
  children: ReactNode;
}) {
  return (
    <Dialog open onClose={onClose} aria-label={label} className="print-alone" maxWidth="sm" fullWidth>
      <GlobalStyles
        styles={{
          '@media print': {
            'body > *:not(.print-alone)': { display: 'none !important' },
            '.print-alone': { position: 'static !important' },
            '.print-alone .MuiBackdrop-root, .print-alone .no-print': { display: 'none !important' },
          },
        }}
      />
      <Box sx={{ bgcolor: '#fff', color: '#111', p: 3 }}>{children}</Box>
      <Box
        className="no-print"
        sx={{
          display: 'flex',
          gap: 1,
          justifyContent: 'flex-end',
          flexWrap: 'wrap',
          p: 2,
          position: 'sticky',
          bottom: 0,
          bgcolor: 'background.paper',
        }}
      >
        {extra}
        <Button color="inherit" onClick={() => window.print()}>
          Print
        </Button>
        <Button variant="contained" autoFocus onClick={onClose}>
          Close
        </Button>
      </Box>
    </Dialog>
  );
}
