import Box from '@mui/material/Box';
import type { SxProps, Theme } from '@mui/material/styles';
import type { ReactNode } from 'react';

/** A sheet of paper on the page: white whatever the screen is, and the only thing that is printed where one lies there. */
export function Paper({ id, sx, children }: { id?: string; sx?: SxProps<Theme>; children: ReactNode }) {
  return (
    <Box
      id={id}
      className="paper"
      data-light=""
      sx={[
        {
          bgcolor: '#fff',
          color: '#111',
          border: '1px solid',
          borderColor: 'divider',
          p: { xs: 2, sm: 4 },
          mt: 2.5,
          '@media print': { border: 0, p: 0, mt: 0 },
        },
        ...(Array.isArray(sx) ? (sx as SxProps<Theme>[]) : [sx]).map((each) => each as object),
      ]}
    >
      {children}
    </Box>
  );
}
