'use client';
import { isClockwise, type SeenFrom } from './words';

const ACCENT = 'var(--mui-palette-primary-main)';

/**
 * Which way the key goes, drawn as the hand sees it: the nipple end on, the arrow bent round it, and the rim’s way between the two pads. From the tyre
 * the left pad is on the left; whoever looks from the hub has it on the right.
 */
export function KeyArrow({ turns, side, from }: { turns: number; side: 'left' | 'right'; from: SeenFrom }) {
  const clockwise = isClockwise(turns, from);
  const isToLeft = turns > 0 === (side === 'left');
  const isArrowLeft = isToLeft === (from === 'tyre');
  const sign = clockwise ? 1 : -1;
  const leftPad = from === 'tyre' ? 'left pad' : 'right pad';
  const rightPad = from === 'tyre' ? 'right pad' : 'left pad';
  return (
    <svg
      viewBox="-110 -62 220 124"
      width="170"
      role="img"
      aria-label={`Seen from the ${from}: the key ${clockwise ? 'clockwise' : 'anticlockwise'}, the rim moves towards the ${isToLeft ? 'left' : 'right'} pad`}
      style={{ display: 'block', maxWidth: '100%' }}
    >
      {[-1, 1].map((each) => (
        <g key={each}>
          <rect
            x={each === -1 ? -104 : 92}
            y={-30}
            width={12}
            height={60}
            fill="none"
            stroke="currentColor"
            strokeWidth={2}
          />
          <text
            x={each * 98}
            y={50}
            textAnchor={each === -1 ? 'start' : 'end'}
            dx={each === -1 ? -6 : 6}
            fontSize={13}
            fill="currentColor"
          >
            {each === -1 ? leftPad : rightPad}
          </text>
        </g>
      ))}
      <rect x={-9} y={-9} width={18} height={18} rx={2} fill="none" stroke="currentColor" strokeWidth={2} />
      <circle r={4} fill="currentColor" />
      <path
        d={`M${-26 * sign},14A30,30 0 1 ${clockwise ? 1 : 0} ${26 * sign},14`}
        fill="none"
        stroke={ACCENT}
        strokeWidth={5}
      />
      <path d={`M${26 * sign},24l${-11 * sign},-13l${17 * sign},-3z`} fill={ACCENT} />
      <path d={isArrowLeft ? 'M-44,0H-80' : 'M44,0H80'} stroke="currentColor" strokeWidth={2.5} strokeDasharray="6 4" />
      <path d={isArrowLeft ? 'M-86,0l12,-6v12z' : 'M86,0l-12,-6v12z'} fill="currentColor" />
    </svg>
  );
}
