'use client';
import Box from '@mui/material/Box';

const SIZE = 300;
const ACCENT = 'var(--mui-palette-primary-main)';
/** Pads stand so far from a rim that runs true, mm; a millimetre is drawn so large. */
const GAP_MM = 1.6;
const PX_PER_MM = 22;

/** The wheel from its side, a tap on a spoke brings it to the pads; and the rim as the eye sees it between them, from behind. */
export function WheelStand({
  spokes,
  at,
  turned,
  lateralMm,
  radialMm,
  onSpoke,
}: {
  spokes: number;
  at: number;
  turned: ReadonlySet<number>;
  /** As the eye sees it at the pads. */
  lateralMm: number;
  radialMm: number;
  onSpoke(spoke: number): void;
}) {
  const point = (spoke: number, radius: number) => {
    const angle = (2 * Math.PI * (spoke - at)) / spokes - Math.PI / 2;
    return { x: SIZE / 2 + radius * Math.cos(angle), y: SIZE / 2 + radius * Math.sin(angle) };
  };
  const rimX = 110 - Math.max(-GAP_MM, Math.min(GAP_MM, lateralMm)) * PX_PER_MM;
  const rimY = 60 - Math.max(-2, Math.min(2, radialMm)) * 12;
  const touches = Math.abs(lateralMm) >= GAP_MM - 0.05;
  return (
    <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'center' }}>
      <svg
        viewBox={`0 0 ${SIZE} ${SIZE}`}
        width="260"
        role="img"
        aria-label={`The wheel in the stand, spoke ${at + 1} at the pads`}
      >
        {Array.from({ length: spokes }, (_, i) => {
          const [from, to] = [point(i + (i % 2 === 0 ? 2 : -2), 18), point(i, 128)];
          return (
            <line
              key={i}
              x1={from.x}
              y1={from.y}
              x2={to.x}
              y2={to.y}
              stroke={i === at ? ACCENT : 'currentColor'}
              strokeWidth={i === at ? 3.5 : 1.3}
              strokeDasharray={i % 2 === 0 ? undefined : '8 2.5'}
            />
          );
        })}
        <circle cx={SIZE / 2} cy={SIZE / 2} r={18} fill="none" stroke="currentColor" strokeWidth={1.5} />
        <circle cx={SIZE / 2} cy={SIZE / 2} r={130} fill="none" stroke="currentColor" strokeWidth={3} />
        <path
          d={`M${point(-0.5, 120).x},${point(-0.5, 120).y}L${point(-0.5, 104).x},${point(-0.5, 104).y}`}
          stroke="currentColor"
          strokeWidth={5}
        />
        {[...turned].map((i) => (
          <circle key={i} cx={point(i, 116).x} cy={point(i, 116).y} r={4} fill="currentColor" />
        ))}
        {Array.from({ length: spokes }, (_, i) => (
          <circle
            key={i}
            cx={point(i, 130).x}
            cy={point(i, 130).y}
            r={13}
            fill="transparent"
            style={{ cursor: 'pointer' }}
            onClick={() => onSpoke(i)}
          />
        ))}
      </svg>
      <svg
        viewBox="0 0 220 130"
        width="250"
        role="img"
        aria-label={`Between the pads from behind: ${wordsOf(lateralMm, 'to the left', 'to the right')}, ${wordsOf(radialMm, 'out', 'in', 'no hop')}`}
      >
        {[-1, 1].map((side) => (
          <rect
            key={side}
            x={110 + side * (GAP_MM * PX_PER_MM + 24) - 7}
            y={40}
            width={14}
            height={44}
            fill={touches && Math.sign(-lateralMm) === side ? ACCENT : 'none'}
            stroke="currentColor"
            strokeWidth={2}
          />
        ))}
        <path d="M110,22V112" stroke="currentColor" strokeDasharray="3 5" strokeWidth={1} />
        <rect
          x={rimX - 24}
          y={rimY - 24}
          width={48}
          height={52}
          rx={6}
          fill="none"
          stroke="currentColor"
          strokeWidth={3}
        />
        <text x={14} y={124} fontSize={13} fill="currentColor">
          left
        </text>
        <text x={206} y={124} fontSize={13} textAnchor="end" fill="currentColor">
          right
        </text>
      </svg>
    </Box>
  );
}

/** What the eye sees, in words. Example: 0.4 → "0.4 mm to the left". */
export function wordsOf(mm: number, more: string, less: string, none = 'in the middle'): string {
  return Math.abs(mm) < 0.1 ? none : `${Math.abs(mm).toFixed(1)} mm ${mm > 0 ? more : less}`;
}
