'use client';
import { useId } from 'react';
import type { Detail } from '@/core/drawing/details';
import { LINE, PAPER, ACCENT, penOf, type DrawnStates } from './pen';

/** An assembly that is no bearing: cut metal hatched, what is at hand in the accent, what is off as a dashed ghost. */
export function DetailDrawing({
  detail,
  stateOf,
  isAtHand,
  onTap,
  mostPx,
}: DrawnStates & { detail: Detail; mostPx: number }) {
  const hatch = useId();
  const { widthMm, heightMm, strokes } = detail;
  const scale = widthMm / 420;
  return (
    <svg
      viewBox={`0 0 ${widthMm} ${heightMm}`}
      role="img"
      aria-label={detail.title}
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
          const state = stateOf(part);
          const pen = penOf(state, isAtHand(part));
          const solid = isAtHand(part) ? ACCENT : LINE;
          const fill = style === 'cut' ? `url(#${hatch})` : style === 'solid' ? solid : PAPER;
          const tap = onTap && part !== null ? () => onTap({ part, track: null }) : undefined;
          return (
            <path
              key={i}
              d={d}
              fill={pen.ghost || style === 'line' ? 'none' : fill}
              stroke={pen.stroke}
              strokeWidth={1.6 * pen.weight * scale}
              strokeDasharray={pen.dash ? `${4 * scale} ${4 * scale}` : undefined}
              opacity={pen.ghost && !isAtHand(part) ? 0.55 : 1}
              style={tap && { cursor: 'pointer' }}
              onClick={tap}
            >
              {state && <title>{state.words}</title>}
            </path>
          );
        })}
      </g>
    </svg>
  );
}
