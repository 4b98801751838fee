'use client';
import Box from '@mui/material/Box';
import type { SteererCutInput } from '@/core/rebuild/steererCut';
import type { Spacer } from '@/model/rebuild/part';

const WIDE = 120;

/** The stack on its steerer, to scale: head tube with its cups, spacers, stem, and what comes off above. */
export function SpacerStack({
  stack,
  spacers,
  cutMm,
}: {
  stack: SteererCutInput;
  spacers: readonly Spacer[];
  cutMm: number;
}) {
  const onSide = (side: Spacer['side']) =>
    spacers.flatMap((each) => (each.side === side ? [{ label: 'spacer', mm: each.heightMm, wide: 40 }] : []));
  const pieces = [
    { label: 'head tube and headset', mm: stack.headTubeMm + stack.headsetStackMm, wide: 52 },
    ...onSide('below'),
    { label: 'stem', mm: stack.stemClampMm, wide: 60 },
    ...onSide('above'),
  ].filter(({ mm }) => mm > 0);
  const stackMm = pieces.reduce((sum, { mm }) => sum + mm, 0);
  const tall = Math.max(stackMm, stack.steererMm) + 12;
  let from = 0;
  return (
    <Box
      component="svg"
      role="img"
      aria-label={`The stack to scale: ${pieces.map(({ label, mm }) => `${label} ${mm} mm`).join(', ')}`}
      viewBox={`${-WIDE} ${-tall} ${WIDE * 3} ${tall + 6}`}
      sx={{ display: 'block', width: '100%', maxWidth: 420, maxHeight: 340 }}
    >
      <rect
        x={-14}
        y={-stack.steererMm}
        width={28}
        height={stack.steererMm}
        fill="var(--mui-palette-sheet-paper)"
        stroke="var(--mui-palette-sheet-line)"
        strokeWidth={1.4}
      />
      {pieces.map(({ label, mm, wide }, i) => {
        const y = -(from + mm);
        from += mm;
        return (
          <g key={i}>
            <rect
              x={-wide / 2}
              y={y}
              width={wide}
              height={mm}
              fill="none"
              stroke="var(--mui-palette-sheet-line)"
              strokeWidth={1.4}
            />
            {mm >= 8 && (
              <text x={44} y={y + mm / 2 + 3.5} fontSize={10} fill="var(--mui-palette-text-secondary)">
                {label}, {mm} mm
              </text>
            )}
          </g>
        );
      })}
      {cutMm > 1 && (
        <g>
          <path
            d={`M-40 ${-(stack.steererMm - cutMm)}H40`}
            stroke="var(--mui-palette-primary-main)"
            strokeWidth={2}
            strokeDasharray="5 3"
          />
          <text
            x={44}
            y={-(stack.steererMm - cutMm) - 4}
            fontSize={10}
            fontWeight={680}
            fill="var(--mui-palette-primary-main)"
          >
            cut here, {Math.round(cutMm * 10) / 10} mm off
          </text>
        </g>
      )}
    </Box>
  );
}
