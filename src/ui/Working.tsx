'use client';
import Box from '@mui/material/Box';
import type { WorkingRow } from '@/core/verdict';
import { workingValue } from './format';
import { Disclosure } from './Disclosure';

/** A calculation laid open: symbol, meaning, value. */
export function Working({ rows, label = 'Show the working' }: { rows: WorkingRow[]; label?: string }) {
  if (rows.length === 0) return null;
  return (
    <Disclosure summary={<>{label}</>}>
      <Box
        component="table"
        sx={{
          borderCollapse: 'collapse',
          width: '100%',
          fontSize: '0.9rem',
          '& td': { borderTop: '1px solid', borderColor: 'divider', py: 0.6, verticalAlign: 'top' },
        }}
      >
        <tbody>
          {rows.map((row, i) => (
            <tr key={`${row.symbol}${i}`}>
              <Box component="td" sx={{ fontStyle: 'italic', pr: 2, whiteSpace: 'nowrap' }}>
                {row.symbol}
              </Box>
              <Box component="td" sx={{ color: 'text.secondary', pr: 2 }}>
                {row.meaning}
              </Box>
              <Box component="td" sx={{ textAlign: 'right', whiteSpace: 'nowrap', fontWeight: 600 }}>
                {workingValue(row)}
              </Box>
            </tr>
          ))}
        </tbody>
      </Box>
    </Disclosure>
  );
}
