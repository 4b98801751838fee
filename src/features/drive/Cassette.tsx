'use client';
import Box from '@mui/material/Box';
import type { Feel, Way } from '@/core/drive/shifts';
import { stateColour } from '@/ui/StateMark';
import { sameShift, shiftWords, type Shift } from './walk';

export const FEEL_WORDS: Record<Feel, string> = {
  fails: 'Fails',
  slow: 'Slow',
  crisp: 'Crisp',
  noisy: 'Noisy',
  skips: 'Skips past',
};
const FEEL_COLOUR: Record<Feel, string> = {
  fails: stateColour('replace'),
  slow: stateColour('service'),
  crisp: stateColour('fine'),
  noisy: stateColour('service'),
  skips: stateColour('replace'),
};
/** What stands in a cell, so that colour is not the only sign. */
const FEEL_SIGNS: Record<Feel, string> = { fails: '✕', slow: '<', crisp: '✓', noisy: '>', skips: '»' };

/** The cogs seen from behind, each with its two arrivals; the one that is asked for stands in the accent. */
export function Cassette({
  cogs,
  teeth,
  at,
  felt,
  onGo,
}: {
  cogs: number;
  teeth: readonly number[] | null;
  at: Shift | null;
  felt(shift: Shift): Feel | null;
  /** Goes to a shift by a tap; where it is left out nothing is tapped. */
  onGo?(shift: Shift): void;
}) {
  const tall = (gear: number) => {
    const size = teeth?.[gear - 1] ?? 11 + gear * 2;
    return 14 + (size / Math.max(...(teeth ?? [11 + cogs * 2]))) * 56;
  };
  const cell = (gear: number, way: Way) => {
    const shift = { gear, way };
    const feel = felt(shift);
    const isAt = sameShift(at, shift);
    const none = (way === 'toLarger' && gear === 1) || (way === 'toSmaller' && gear === cogs);
    if (none) return <Box />;
    const look = {
      boxSizing: 'border-box',
      width: '100%',
      minHeight: 44,
      display: 'grid',
      placeItems: 'center',
      fontWeight: 700,
      border: '2px solid',
      borderColor: isAt ? 'primary.main' : 'divider',
      borderStyle: feel || isAt ? 'solid' : 'dashed',
      color: feel ? FEEL_COLOUR[feel] : 'text.secondary',
    } as const;
    const words = `${shiftWords(shift)}${feel ? `, ${FEEL_WORDS[feel].toLowerCase()}` : ''}`;
    const sign = feel ? FEEL_SIGNS[feel] : '';
    if (!onGo)
      return (
        <Box role="img" aria-label={words} sx={look}>
          {sign}
        </Box>
      );
    return (
      <Box
        component="button"
        aria-label={words}
        aria-pressed={isAt}
        onClick={() => onGo(shift)}
        sx={{
          all: 'unset',
          cursor: 'pointer',
          ...look,
          '&:focus-visible': { outline: '3px solid', outlineColor: 'primary.main', outlineOffset: 2 },
        }}
      >
        {sign}
      </Box>
    );
  };
  const gears = Array.from({ length: cogs }, (_, i) => i + 1);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: `repeat(${cogs}, minmax(0, 1fr))`, gap: 0.5, maxWidth: 620 }}>
      {gears.map((gear) => (
        <Box
          key={`cog ${gear}`}
          sx={{ height: 92, display: 'flex', flexDirection: 'column', justifyContent: 'end', alignItems: 'center' }}
        >
          <Box sx={{ fontSize: '0.8rem', fontVariantNumeric: 'tabular-nums' }}>{teeth?.[gear - 1] ?? gear}</Box>
          <Box
            sx={{
              width: 10,
              height: tall(gear),
              border: '1.5px solid',
              borderColor: at?.gear === gear ? 'primary.main' : 'text.primary',
              bgcolor: at?.gear === gear ? 'primary.main' : 'transparent',
            }}
          />
        </Box>
      ))}
      <Words>To a larger cog</Words>
      {gears.map((gear) => (
        <Box key={`larger ${gear}`}>{cell(gear, 'toLarger')}</Box>
      ))}
      <Words>To a smaller cog</Words>
      {gears.map((gear) => (
        <Box key={`smaller ${gear}`}>{cell(gear, 'toSmaller')}</Box>
      ))}
    </Box>
  );
}

const Words = ({ children }: { children: string }) => (
  <Box sx={{ gridColumn: '1 / -1', fontSize: '0.88rem', color: 'text.secondary', mt: 0.5 }}>{children}</Box>
);
