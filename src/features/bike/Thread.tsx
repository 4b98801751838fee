'use client';
import Box from '@mui/material/Box';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import type { Stage } from '@/model/stages';
import { nextBead } from '../workshop/useThread';
import type { Bead } from '../workshop/declared';

const SIGN: Record<Bead['state'], string> = { done: '✓', 'under way': '◐', ahead: '' };
const SAID: Record<Bead['state'], string> = { done: ', done', 'under way': ', under way', ahead: '' };

/** A place through all stages in one line: what was done there, what is under way, what lies ahead; each leads there. */
export function Thread({
  place,
  beads,
  stage,
  href,
  onGo,
}: {
  place: string;
  beads: readonly Bead[];
  stage: Stage;
  href(bead: Bead): string;
  onGo(bead: Bead): void;
}) {
  const next = nextBead(beads);
  return (
    <Box
      component="nav"
      aria-label={`${placeLabel(place)}, from strip to proof`}
      className="no-print"
      sx={{ flex: 1, minWidth: 0, overflowX: 'auto', scrollbarWidth: 'none' }}
    >
      <Box
        component="ol"
        sx={{
          display: 'flex',
          flexWrap: { md: 'wrap' },
          listStyle: 'none',
          p: 0,
          m: 0,
          ml: -0.6,
          fontSize: '0.92rem',
        }}
      >
        {beads.map((bead, i) => {
          const isNext = bead === next;
          return (
            <Box component="li" key={bead.id} sx={{ display: 'flex', alignItems: 'center', whiteSpace: 'nowrap' }}>
              {i > 0 && (
                <Box component="span" aria-hidden="true" sx={{ color: 'text.secondary' }}>
                  ·
                </Box>
              )}
              <Box
                component="a"
                href={href(bead)}
                onClick={(event) => {
                  if (event.metaKey || event.ctrlKey || event.shiftKey || event.altKey) return;
                  event.preventDefault();
                  onGo(bead);
                }}
                aria-label={`${bead.words}${SAID[bead.state]}`}
                aria-current={bead.stage === stage ? 'true' : undefined}
                sx={{
                  display: 'inline-flex',
                  alignItems: 'center',
                  gap: 0.5,
                  px: 0.6,
                  minHeight: 44,
                  textDecoration: 'none',
                  color: isNext ? 'primary.main' : bead.state === 'ahead' ? 'text.secondary' : 'text.primary',
                  fontWeight: isNext ? 680 : 500,
                  boxShadow: bead.stage === stage ? 'inset 0 -3px 0 currentColor' : 'none',
                  '&:hover': { textDecoration: 'underline' },
                }}
              >
                {SIGN[bead.state] && <span aria-hidden="true">{SIGN[bead.state]}</span>}
                {bead.words}
              </Box>
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}
