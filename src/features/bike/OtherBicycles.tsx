'use client';
import Box from '@mui/material/Box';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Link from 'next/link';
import { floorRows, rowNext } from '@/model/summary';
import { useNow } from '../workshop/useNow';
import { useWorkshopState } from '../workshop/WorkshopProvider';
import { nextHref } from '../workshop/stageLink';

/** As many as stand in a menu without a search; the floor has them all. */
const MOST = 9;

/** The other bicycles, the most urgent first, each with its next step. */
export function OtherBicycles({ id, at, onClose }: { id: string; at: HTMLElement; onClose(): void }) {
  const summaries = useWorkshopState((state) => state.summaries);
  const nowMs = useNow().getTime();
  const others = floorRows(
    Object.values(summaries).filter((row) => row.id !== id),
    { search: '', order: 'next', archived: false, nowMs },
  );
  return (
    <Menu anchorEl={at} open onClose={onClose} disablePortal slotProps={{ list: { 'aria-label': 'Other bicycles' } }}>
      {others.slice(0, MOST).map((row) => {
        const next = rowNext(row);
        return (
          <MenuItem
            key={row.id}
            component={Link}
            prefetch={false}
            href={nextHref(row.id, next)}
            onClick={onClose}
            sx={{ minHeight: 56, display: 'block', whiteSpace: 'normal', maxWidth: 420 }}
          >
            <Box sx={{ fontWeight: 640 }}>{row.name}</Box>
            <Box sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>{next.words}</Box>
          </MenuItem>
        );
      })}
      <MenuItem component={Link} prefetch={false} href="/" onClick={onClose} sx={{ minHeight: 56 }}>
        {others.length > MOST ? `All bicycles, ${others.length - MOST} more` : 'All bicycles'}
      </MenuItem>
    </Menu>
  );
}
