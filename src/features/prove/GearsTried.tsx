'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import { useState } from 'react';
import type { ProofEvidence } from '@/core/prove/evidence';
import { shiftId, SHIFTS_SAID, type ShiftSaid } from '@/core/prove/shifting';
import { shiftSaid } from '@/model/prove/readings';
import type { Shift } from '@/model/prove/part';
import { nowIso } from '@/store/now';
import { Choices } from '@/ui/Choices';
import { stateColour } from '@/ui/StateMark';
import { useHand } from '../workshop/useHand';
import type { StageProps } from '../workshop/WorkshopProvider';

const SAID_WORDS: Record<ShiftSaid, string> = {
  crisp: 'Crisp',
  slow: 'Slow',
  noisy: 'Noisy',
  fails: 'Fails',
  over: 'Goes over',
};
const SIGN: Record<ShiftSaid, string> = { crisp: '✓', slow: 's', noisy: 'n', fails: '✕', over: '!' };
const STATE = { crisp: 'fine', slow: 'watch', noisy: 'watch', fails: 'service', over: 'unsafe' } as const;
const BRUSHES = SHIFTS_SAID.map((id) => ({ id, label: SAID_WORDS[id] }));
const WAYS = [
  { way: 'larger', words: 'to a larger cog' },
  { way: 'smaller', words: 'to a smaller cog' },
] as const;

/** How tall a cog stands in the row: the cassette seen from the side. */
const TALL_PX = { least: 10, step: 3 };

/** Every gear, both ways, under load: the cassette from the side, each cog with how it was reached from either neighbour. */
export function GearsTried({ bicycle, send, gears }: StageProps & { gears: NonNullable<ProofEvidence['gears']> }) {
  const { name: by } = useHand();
  const [brush, setBrush] = useState<ShiftSaid>('slow');
  const cogs = Array.from({ length: gears.cogs }, (_, i) => i + 1);
  const say = (shifts: string[], said: ShiftSaid | null) => {
    const tap: Shift | null = said && { said, at: nowIso(), by };
    send({ type: 'sayShifts', shifts: Object.fromEntries(shifts.map((shift) => [shift, tap])) });
  };
  const isThere = (cog: number, way: 'larger' | 'smaller') => (way === 'larger' ? cog > 1 : cog < gears.cogs);
  const what = bicycle.kind.gears === 'hub' ? 'gear' : 'cog';
  return (
    <Box sx={{ mt: 1 }}>
      <Box role="status" sx={{ fontWeight: 620, mb: 1 }}>
        {gears.tried} of {gears.of} changes tried
        {gears.bad.length > 0 && `, ${gears.bad.length} not crisp`}
      </Box>
      <Box sx={{ mb: 2 }}>
        <Choices label="A tap says" options={BRUSHES} value={brush} onChoose={(next) => setBrush(next)} />
      </Box>
      {Array.from({ length: gears.rings }, (_, i) => i + 1).map((ring) => (
        <Box key={ring} role="group" aria-label={`Ring ${ring}`} sx={{ mb: 2, maxWidth: 620 }}>
          <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'center', gap: 1 }}>
            <Box sx={{ fontWeight: 640 }}>
              {gears.rings === 1 ? 'Every gear' : `Ring ${ring}`}
              {gears.rings > 1 && (
                <Box component="span" sx={{ fontWeight: 400, color: 'text.secondary' }}>
                  {ring === 1 ? ', the smallest' : ring === gears.rings ? ', the largest' : ''}
                </Box>
              )}
            </Box>
            <Button
              variant="outlined"
              onClick={() =>
                say(
                  cogs.flatMap((cog) =>
                    WAYS.flatMap(({ way }) => (isThere(cog, way) ? [shiftId(ring, cog, way)] : [])),
                  ),
                  'crisp',
                )
              }
              aria-label={`All crisp on ring ${ring}`}
            >
              All crisp
            </Button>
          </Box>
          <Box aria-hidden sx={{ display: 'flex', gap: '3px', alignItems: 'end', mt: 1 }}>
            {cogs.map((cog) => (
              <Box
                key={cog}
                sx={{ flex: 1, display: 'grid', justifyItems: 'center', fontSize: '0.8rem', color: 'text.secondary' }}
              >
                {cog}
                <Box
                  sx={{
                    width: '55%',
                    maxWidth: 14,
                    height: TALL_PX.least + TALL_PX.step * cog,
                    bgcolor: 'text.primary',
                    opacity: 0.75,
                  }}
                />
              </Box>
            ))}
          </Box>
          {WAYS.map(({ way, words }) => (
            <Box key={way} sx={{ mt: '3px' }}>
              <Box sx={{ display: 'flex', gap: '3px' }}>
                {cogs.map((cog) => {
                  const shift = shiftId(ring, cog, way);
                  const said = shiftSaid(bicycle, shift);
                  if (!isThere(cog, way)) return <Box key={cog} sx={{ flex: 1 }} />;
                  return (
                    <ButtonBase
                      key={cog}
                      aria-label={`Ring ${ring}, ${what} ${cog}, ${words}: ${said ? SAID_WORDS[said].toLowerCase() : 'not tried'}`}
                      onClick={() => say([shift], said === brush ? 'crisp' : brush)}
                      sx={{
                        flex: 1,
                        minWidth: 0,
                        minHeight: 44,
                        border: '1.5px solid',
                        borderColor: said ? stateColour(STATE[said]) : 'divider',
                        borderStyle: said ? 'solid' : 'dashed',
                        color: said ? stateColour(STATE[said]) : 'text.secondary',
                        fontWeight: 700,
                        fontSize: '1.05rem',
                      }}
                    >
                      {said ? SIGN[said] : ''}
                    </ButtonBase>
                  );
                })}
              </Box>
              <Box sx={{ fontSize: '0.85rem', color: 'text.secondary' }}>{words}</Box>
            </Box>
          ))}
        </Box>
      ))}
    </Box>
  );
}
