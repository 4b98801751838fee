import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** Rows under one another, ruled like a ledger: the way every stage lists what it has. */
export function RuledList({
  ordered = false,
  columns = false,
  children,
  ...rest
}: {
  ordered?: boolean;
  /** Short rows stand beside one another where there is room. */
  columns?: boolean;
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
        ...(columns && {
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fill, minmax(290px, 1fr))',
          columnGap: 3,
        }),
        '& > li': { listStyle: 'none', borderTop: '1px solid', borderColor: 'divider' },
        ...(!columns && { '& > li:first-of-type': { borderTop: 0 } }),
      }}
    >
      {children}
    </Box>
  );
}
