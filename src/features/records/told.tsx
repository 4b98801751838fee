'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';

// Packing and its tables come when they are asked for.
export const archive = () => import('@/store/archive');

/** What is being done with the records, or what came of it. */
export type Doing = { busy: string } | { said: ReactNode } | { wrong: string } | null;

/** Says it. */
export function Told({ doing }: { doing: Doing }) {
  if (!doing) return null;
  if ('busy' in doing) return <Typography role="status">{doing.busy}</Typography>;
  if ('wrong' in doing)
    return (
      <Typography role="alert" color="error" sx={{ mt: 1.5 }}>
        {doing.wrong}
      </Typography>
    );
  return (
    <Box role="status" sx={{ mt: 1.5 }}>
      {doing.said}
    </Box>
  );
}

export function zipBlob(data: Uint8Array): Blob {
  return new Blob([data as Uint8Array<ArrayBuffer>], { type: 'application/zip' });
}
