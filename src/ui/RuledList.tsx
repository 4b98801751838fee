import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** Rows under one another, ruled like a ledger: the way every stage lists what it has. */
export function RuledList({
  ordered = false,
  children,
  ...rest
}: {
  ordered?: boolean;
  children: ReactNode;
  'aria-label'?: string;
  'data-readings'?: boolean;
}) {
  return (
    <Box
      component={ordered ? 'ol' : 'ul'}
      {...rest}
      sx={{
        p: 0,
        m: 0,
        '& > li': { listStyle: 'none', borderTop: '1px solid', borderColor: 'divider' },
        '& > li:first-of-type': { borderTop: 0 },
      }}
    >
      {children}
    </Box>
  );
}
