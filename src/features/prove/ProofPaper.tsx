'use client';
import Box from '@mui/material/Box';
import type { SignedProof, WayOut } from '@/model/prove/part';
import { dayOf } from '@/ui/format';
import { PrintAlone } from '@/ui/PrintAlone';

const WAY_LINES: Record<WayOut['way'], string> = {
  ready: 'Proved and signed as listed below.',
  'as-it-is': 'Goes as it is: not roadworthy, not to be ridden.',
  parts: 'Goes for its parts: it does not go on as a bicycle.',
};

/** What the lines are told under, by the first word of their ids. */
const PARTS = [
  { title: 'Stands open', of: ['open'] },
  { title: 'Found', of: ['found'] },
  { title: 'Done and left', of: ['job'] },
  { title: 'Bearings', of: ['bearing'] },
  { title: 'Proved', of: ['proof', 'stop', 'gears'] },
  { title: 'Tightened', of: ['bolt'] },
];

/** The signed proof on paper: every line that was signed, and the signature. */
export function ProofPaper({
  name,
  workshop,
  signed,
  onClose,
}: {
  name: string;
  workshop: string;
  signed: SignedProof;
  onClose(): void;
}) {
  const { lines, by, at, way, left, accepted, qualified, sum } = signed;
  return (
    <PrintAlone label={`The proof of ${name}`} onClose={onClose}>
      <Box sx={{ fontSize: '0.92rem' }}>
        <Box sx={{ fontSize: '1.6rem', fontWeight: 680, lineHeight: 1.15 }}>{name}</Box>
        <Box>
          {workshop}, {dayOf(at)}
        </Box>
        <Box sx={{ mt: 1, fontWeight: 640 }}>{WAY_LINES[way]}</Box>
        {PARTS.map(({ title, of }) => {
          const here = lines.filter(({ id }) => of.includes(id.split(' ')[0]!));
          return here.length === 0 ? null : (
            <Box key={title} sx={{ mt: 2, breakInside: 'avoid-page' }}>
              <Box component="h3" sx={{ m: 0, mb: 0.5, fontSize: '1rem', borderBottom: '1px solid' }}>
                {title}
              </Box>
              {here.map(({ id, words }) => (
                <div key={id}>{words}</div>
              ))}
            </Box>
          );
        })}
        <Box sx={{ mt: 2, breakInside: 'avoid' }}>
          <Box component="h3" sx={{ m: 0, mb: 0.5, fontSize: '1rem', borderBottom: '1px solid' }}>
            Signed
          </Box>
          {left && <div>Left as it is: {left}</div>}
          {accepted && (
            <div>
              Accepted in writing by {accepted.by} on {dayOf(accepted.on)}: {accepted.words}
            </div>
          )}
          {qualified && <div>A qualified person: {qualified}</div>}
          <Box sx={{ mt: 3, display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 4 }}>
            <Box sx={{ borderTop: '1px solid', pt: 0.5 }}>
              {by}, {dayOf(at)}
            </Box>
            <Box sx={{ borderTop: '1px solid', pt: 0.5 }}>Received</Box>
          </Box>
          <Box sx={{ mt: 1.5, fontSize: '0.8rem', overflowWrap: 'anywhere' }}>
            This says what was seen and done; it is no certificate. Sum of these lines: {sum}
          </Box>
        </Box>
      </Box>
    </PrintAlone>
  );
}
