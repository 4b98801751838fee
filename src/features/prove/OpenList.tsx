import Box from '@mui/material/Box';
import type { Missing } from '@/core/prove/ready';
import { openLines } from './missingGroups';

/** What stands open, as it goes along in writing: what is alike in one line. */
export function OpenList({ items }: { items: Missing[] }) {
  return (
    <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
      {openLines(items).map(({ what, of }) => (
        <li key={what}>
          {what && (
            <>
              <b>{what.charAt(0).toUpperCase() + what.slice(1)}</b>:{' '}
            </>
          )}
          {of.join(', ')}.
        </li>
      ))}
    </Box>
  );
}
