import Box from '@mui/material/Box';
import { SIGNS } from '@/core/drawing/signs';
import type { PlacedSign } from '@/core/drawing/svg';
import { StateMark } from '../StateMark';

/** What the signs on the drawing mean, with how many of each there are; only those that are there. */
export function DrawingLegend({ signs, label }: { signs: PlacedSign[]; label: string }) {
  const counted = SIGNS.map((id) => ({ id, count: signs.filter((entry) => entry.sign === id).length })).filter(
    ({ count }) => count > 0,
  );
  if (counted.length === 0) return null;
  return (
    <Box
      component="ul"
      aria-label={label}
      sx={{ display: 'flex', flexWrap: 'wrap', gap: '4px 16px', p: 0, m: 0, listStyle: 'none', fontSize: '0.9rem' }}
    >
      {counted.map(({ id, count }) => (
        <li key={id}>
          <Box component="span" sx={{ display: 'inline-flex', alignItems: 'center', gap: 0.75 }}>
            <StateMark state={id} size={17} /> <b>{count}</b>
          </Box>
        </li>
      ))}
    </Box>
  );
}
