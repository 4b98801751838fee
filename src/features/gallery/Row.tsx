import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** Pieces beside one another. */
export function Row({ children }: { children: ReactNode }) {
  return <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'start', mb: 2 }}>{children}</Box>;
}
