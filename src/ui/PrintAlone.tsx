'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import type { ReactNode } from 'react';
import { Paper } from './Paper';

/** Something to be printed by itself, in a window over the page: on paper only this stands, black on white. */
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
      <Paper sx={{ border: 0, p: 3, mt: 0 }}>{children}</Paper>
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
        <Button color="inherit" onClick={onClose}>
          Close
        </Button>
        <Button variant="contained" autoFocus onClick={() => window.print()}>
          Print
        </Button>
      </Box>
    </Dialog>
  );
}
