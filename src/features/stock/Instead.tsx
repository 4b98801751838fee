'use client';
import Box from '@mui/material/Box';
import type { PartMark } from '@/model/strip/part';
import { bestOfTwo, insteadOf } from '@/model/stock/drawer';
import { useWorkshopState } from '../workshop/WorkshopProvider';

/** What the drawer has in place of a part that is missing, wrong or worn: the better of the two is named. */
export function Instead({ place, label, mark }: { place: string; label: string; mark: PartMark }) {
  const stock = useWorkshopState((state) => state.stock);
  const [best] = insteadOf(place, label, stock);
  if (!best) return null;
  const better = mark !== 'worn' || bestOfTwo('worn', best.state) === 'other';
  return (
    <Box sx={{ fontSize: '0.92rem' }}>
      In the drawer: <b>{best.label}</b> {best.size}, {best.state}
      {best.from && ` (from ${best.from})`}. {better ? 'It is the better of the two.' : 'No better than this one.'}
    </Box>
  );
}
