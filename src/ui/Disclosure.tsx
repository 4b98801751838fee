'use client';
import Box from '@mui/material/Box';
import { useState, type ReactNode } from 'react';

/** Something that can be opened. What lies inside is drawn only once it is opened, so that a long page stays light. */
export function Disclosure({
  summary,
  children,
  wide = false,
}: {
  summary: ReactNode;
  children: ReactNode;
  wide?: boolean;
}) {
  const [open, setOpen] = useState(false);
  return (
    <Box
      component="details"
      open={open}
      sx={{
        '& > summary': { cursor: 'pointer', color: 'primary.main', fontWeight: 600, py: 1, width: 'fit-content' },
        ...(wide && { '&[open]': { width: '100%' } }),
      }}
    >
      <summary
        onClick={(event) => {
          event.preventDefault();
          setOpen(!open);
        }}
      >
        {summary}
      </summary>
      {open && children}
    </Box>
  );
}
