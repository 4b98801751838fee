'use client';
import Box from '@mui/material/Box';
import { ChevronRight } from '@/ui/icons';
import type { ReactNode } from 'react';

/** A row of a ruled list that opens what it names: the whole width is the target. `columns` are those before the arrow. */
export function OpenRow({ columns, onOpen, children }: { columns: string; onOpen(): void; children: ReactNode }) {
  return (
    <Box component="li">
      <Box
        component="button"
        onClick={onOpen}
        sx={{
          all: 'unset',
          cursor: 'pointer',
          boxSizing: 'border-box',
          width: '100%',
          minHeight: 60,
          py: 1,
          display: 'grid',
          gridTemplateColumns: `${columns} 28px`,
          gap: 1.75,
          alignItems: 'center',
          '&:hover': { bgcolor: 'sheet.soft' },
          '&:focus-visible': { outline: '3px solid', outlineColor: 'primary.main', outlineOffset: '-3px' },
        }}
      >
        {children}
        <ChevronRight aria-hidden />
      </Box>
    </Box>
  );
}
