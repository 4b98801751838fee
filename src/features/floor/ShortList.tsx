'use client';
import Box from '@mui/material/Box';
import type { Summary } from '@/model/summary';
import { FloorRow } from './FloorRow';
import { useDrawnRows } from './useDrawnRows';

export interface FloorListProps {
  label: string;
  rows: Summary[];
  /** The minute that it is, for what is due. */
  minute: number;
  currency: string;
  onArchive(id: string, put: boolean): void;
}

/** A floor that is drawn whole. */
export function ShortList({ label, rows, ...shown }: FloorListProps) {
  useDrawnRows(rows);
  return (
    <Box component="ul" aria-label={label} sx={{ p: 0, m: 0, borderBottom: '1px solid', borderColor: 'divider' }}>
      {rows.map((row) => (
        <FloorRow key={row.id} row={row} {...shown} />
      ))}
    </Box>
  );
}
