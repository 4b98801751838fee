'use client';
import Box from '@mui/material/Box';
import { useId } from 'react';
import type { Detail } from '@/core/drawing/details';

const LINE = 'var(--mui-palette-sheet-line)';
const PAPER = 'var(--mui-palette-sheet-paper)';
const ACCENT = 'var(--mui-palette-primary-main)';

/** An assembly cut open: cut metal hatched, the parts at hand in the accent, what is off as a dashed ghost. */
export function DetailDrawing({
  mostPx = 320,
  detail,
  hand = [],
  off = [],
}: {
  detail: Detail;
  hand?: string[];
  off?: string[];
  mostPx?: number;
}) {
  const hatch = useId();
  const { widthMm, heightMm, strokes, parts } = detail;
  const scale = widthMm / 420;
  const named = parts.filter((part) => hand.includes(part.id));
  const words =
    named.length > 0 ? `${detail.title}; at hand: ${named.map((part) => part.label).join(', ')}` : detail.title;
  return (
    <Box component="figure" sx={{ m: 0 }}>
      <svg
        viewBox={`0 0 ${widthMm} ${heightMm}`}
        role="img"
        aria-label={words}
        style={{ width: '100%', maxHeight: mostPx, display: 'block' }}
      >
        <defs>
          <pattern
            id={hatch}
            width={4 * scale}
            height={4 * scale}
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <rect width={4 * scale} height={4 * scale} fill={PAPER} />
            <path d={`M0 0V${4 * scale}`} stroke={LINE} strokeWidth={1.1 * scale} />
          </pattern>
        </defs>
        <g transform={`translate(0 ${heightMm}) scale(1 -1)`} strokeLinejoin="round" strokeLinecap="round">
          {strokes.map(({ part, d, style }, i) => {
            const atHand = hand.includes(part);
            const gone = off.includes(part) && !atHand;
            const fill =
              style === 'cut' ? `url(#${hatch})` : style === 'solid' ? LINE : style === 'shape' ? PAPER : 'none';
            return (
              <path
                key={i}
                d={d}
                fill={gone || style === 'line' ? 'none' : atHand && style === 'solid' ? ACCENT : fill}
                stroke={atHand ? ACCENT : LINE}
                strokeWidth={(atHand ? 3 : part === 'axis' ? 0.7 : 1.6) * scale}
                strokeDasharray={
                  gone
                    ? `${4 * scale} ${4 * scale}`
                    : part === 'axis'
                      ? `${14 * scale} ${4 * scale} ${3 * scale} ${4 * scale}`
                      : undefined
                }
                opacity={gone ? 0.55 : 1}
              />
            );
          })}
        </g>
      </svg>
      <Box component="figcaption" sx={{ fontSize: '0.82rem', color: 'text.secondary', mt: 0.5 }}>
        {detail.title}
        {named.length > 0 && (
          <>
            {'. At hand: '}
            <Box component="b" sx={{ color: 'primary.main' }}>
              {named.map((part) => part.label).join(', ')}
            </Box>
          </>
        )}
      </Box>
    </Box>
  );
}
