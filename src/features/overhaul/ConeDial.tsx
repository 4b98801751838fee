'use client';
import { sector } from './sector';

const R = 88;
const FULL_SCALE_DEG = 120;
const RAD = Math.PI / 180;
const FLAT = 'M-24 0L-12 -20.8H12L24 0L12 20.8H-12Z';

/**
 * A dial seen from the spanner's side: a spanner on its flats where the cone is thought to stand, a ghost where it stood at
 * the trial before, the right place, and the advised turn as an arc of the spanner's tip.
 */
export function ConeDial({
  toIdealDeg,
  sdDeg,
  turnDeg,
  lastTurnDeg,
  tipTravelMm,
  smoothDeg,
  done,
  known,
}: {
  toIdealDeg: number;
  sdDeg: number;
  turnDeg: number;
  /** What was turned last; null before the first trial. */
  lastTurnDeg: number | null;
  tipTravelMm: number;
  /** Width of the smooth band. */
  smoothDeg: number;
  done: boolean;
  known: boolean;
}) {
  const clamp = (deg: number) => Math.max(-FULL_SCALE_DEG, Math.min(FULL_SCALE_DEG, deg));
  const now = clamp(-toIdealDeg);
  const next = clamp(-toIdealDeg + turnDeg);
  const before = lastTurnDeg === null || lastTurnDeg === 0 ? null : clamp(-toIdealDeg - lastTurnDeg);
  const band = Math.min(FULL_SCALE_DEG, sdDeg);
  const turns = known && !done && turnDeg !== 0;
  const tip = { x: Math.sin(next * RAD) * (R + 2), y: -Math.cos(next * RAD) * (R + 2) };
  const words = known
    ? `${Math.abs(Math.round(toIdealDeg))} degrees too ${toIdealDeg < 0 ? 'tight' : 'loose'}, give or take ${Math.round(sdDeg)}${turns ? `; ${turnDeg > 0 ? 'tighten' : 'open'} by ${Math.round(tipTravelMm)} millimetres at the tip` : ''}`
    : 'not felt yet';
  return (
    <svg viewBox="-122 -112 244 224" role="img" aria-label={`Cone: ${words}`} style={{ width: '100%', maxWidth: 230 }}>
      <circle r={R} fill="none" stroke="var(--mui-palette-sheet-faint)" strokeWidth="1.5" />
      {Array.from({ length: 24 }, (_, i) => (
        <path
          key={i}
          d={`M0 ${-R}V${-R + (i % 4 === 0 ? 10 : 5)}`}
          transform={`rotate(${i * 15})`}
          stroke="var(--mui-palette-sheet-faint)"
          strokeWidth="1.5"
        />
      ))}
      <path d={sector(-smoothDeg / 2, smoothDeg / 2, R - 2, R + 7)} fill="var(--mui-palette-state-fine)" />
      {known && (
        <path d={sector(now - band, now + band, R - 17, R - 4)} fill="var(--mui-palette-sheet-faint)" opacity="0.45" />
      )}
      {known && before !== null && (
        <path
          d={`M0 -24V${-R + 20}`}
          transform={`rotate(${before})`}
          stroke="var(--mui-palette-sheet-faint)"
          strokeWidth="5"
          strokeDasharray="4 5"
        />
      )}
      {turns && (
        <>
          <path d={sector(now, next, R + 10, R + 16)} fill="var(--mui-palette-primary-main)" />
          <circle cx={tip.x} cy={tip.y} r="5" fill="var(--mui-palette-primary-main)" />
        </>
      )}
      <g transform={`rotate(${known ? now : 0})`} opacity={known ? 1 : 0.3}>
        <path d={`M-6 -22L-5 ${-R + 6}A5 5 0 0 1 5 ${-R + 6}L6 -22Z`} fill="var(--mui-palette-sheet-line)" />
        <path
          d="M-15 -20A26 26 0 0 0 -24 12L-12 20.8L-24 0L-12 -20.8H12L24 0L12 20.8L24 12A26 26 0 0 0 15 -20Z"
          fill="var(--mui-palette-sheet-line)"
        />
        <path
          d={FLAT}
          fill="var(--mui-palette-background-paper)"
          stroke="var(--mui-palette-sheet-line)"
          strokeWidth="2.5"
        />
      </g>
      <text x="-74" y="-84" textAnchor="middle" fontSize="12.5" fill="var(--mui-palette-text-secondary)">
        loose
      </text>
      <text x="74" y="-84" textAnchor="middle" fontSize="12.5" fill="var(--mui-palette-text-secondary)">
        tight
      </text>
    </svg>
  );
}
