'use client';
import Box from '@mui/material/Box';
import type { ProofEvidence } from '@/core/prove/evidence';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import { provedPairs, type ProvedPair } from '@/model/prove/pairs';
import type { Bicycle } from '@/model/record';
import { Disclosure } from '@/ui/Disclosure';
import { Section } from '@/ui/Section';

function Pairs({ pairs, label }: { pairs: ProvedPair[]; label: string }) {
  return (
    <Box
      component="table"
      aria-label={label}
      sx={{
        width: '100%',
        maxWidth: 620,
        borderCollapse: 'collapse',
        tableLayout: 'fixed',
        '& td, & th': { textAlign: 'left', verticalAlign: 'top', py: 0.75, pr: 2 },
        '& tr + tr': { borderTop: '1px solid', borderColor: 'divider' },
        '& th': { color: 'text.secondary', fontWeight: 400, fontSize: '0.92rem' },
        '& td:last-of-type': { fontWeight: 640 },
      }}
    >
      <thead>
        <tr>
          <th scope="col">What</th>
          <th scope="col">Before</th>
          <th scope="col">After</th>
        </tr>
      </thead>
      <tbody>
        {pairs.map(({ id, place, what, before, after }) => (
          <tr key={id}>
            <td>
              {placeLabel(place)}
              {what && (
                <Box component="span" sx={{ color: 'text.secondary' }}>
                  , {what}
                </Box>
              )}
            </td>
            <td>{before ?? 'not read'}</td>
            <td>{after ?? 'not yet'}</td>
          </tr>
        ))}
      </tbody>
    </Box>
  );
}

/** Before and after beside one another: every bearing that was opened and every brake that was touched, the rest if one likes. */
export function BeforeAndAfter({ bicycle, evidence }: { bicycle: Bicycle; evidence: ProofEvidence }) {
  const { worked, others } = provedPairs(bicycle, evidence);
  if (worked.length + others.length === 0) return null;
  return (
    <Section title="Before and after">
      {worked.length > 0 ? (
        <Pairs pairs={worked} label="Before and after, where it was worked on" />
      ) : (
        <Box sx={{ color: 'text.secondary' }}>No bearing was opened and no brake touched.</Box>
      )}
      {others.length > 0 && (
        <Disclosure summary={<>The rest, {others.length}</>}>
          <Pairs pairs={others} label="Before and after, elsewhere" />
        </Disclosure>
      )}
    </Section>
  );
}
