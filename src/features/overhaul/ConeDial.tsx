'use client';
import { arc } from 'd3-shape';

const R = 88;
const FULL_SCALE_DEG = 120;
const RAD = Math.PI / 180;

/** A dial seen from the spanner's side: where the cone is thought to stand, how sure, and the advised turn. */
export function ConeDial({
  toIdealDeg,
  sdDeg,
  turnDeg,
  done,
  known,
}: {
  toIdealDeg: number;
  sdDeg: number;
  turnDeg: number;
  done: boolean;
  known: boolean;
}) {
  const shownAt = Math.max(-FULL_SCALE_DEG, Math.min(FULL_SCALE_DEG, -toIdealDeg));
  const band = Math.min(FULL_SCALE_DEG, sdDeg);
  const path = arc();
  const doubt = path({
    innerRadius: R - 16,
    outerRadius: R - 4,
    startAngle: (shownAt - band) * RAD,
    endAngle: (shownAt + band) * RAD,
  });
  const ideal = path({ innerRadius: R - 2, outerRadius: R + 6, startAngle: -6 * RAD, endAngle: 6 * RAD });
  const words = known
    ? `${Math.abs(Math.round(toIdealDeg))} degrees too ${toIdealDeg < 0 ? 'tight' : 'loose'}, give or take ${Math.round(sdDeg)}`
    : 'not felt yet';
  return (
    <svg viewBox="-110 -110 220 220" role="img" aria-label={`Cone: ${words}`} style={{ width: '100%', maxWidth: 190 }}>
      <circle r={R} fill="none" stroke="var(--mui-palette-sheet-faint)" strokeWidth="1.5" />
      {Array.from({ length: 24 }, (_, i) => (
        <path
          key={i}
          d={`M0 ${-R}V${-R + (i % 6 === 0 ? 10 : 5)}`}
          transform={`rotate(${i * 15})`}
          stroke="var(--mui-palette-sheet-faint)"
          strokeWidth="1.5"
        />
      ))}
      <path d={ideal ?? ''} fill="var(--mui-palette-state-fine)" />
      {known && <path d={doubt ?? ''} fill="var(--mui-palette-primary-main)" opacity="0.28" />}
      <path
        d="M-24 0L-12 -20.8H12L24 0L12 20.8H-12Z"
        fill="var(--mui-palette-background-paper)"
        stroke="var(--mui-palette-sheet-line)"
        strokeWidth="3"
        transform={`rotate(${known ? shownAt : 0})`}
      />
      <g transform={`rotate(${known ? shownAt : 0})`} opacity={known ? 1 : 0.3}>
        <path d={`M0 -24V${-R + 18}`} stroke="var(--mui-palette-sheet-line)" strokeWidth="6" strokeLinecap="round" />
      </g>
      {known && !done && turnDeg !== 0 && (
        <text y="58" textAnchor="middle" fontSize="15" fontWeight="650" fill="var(--mui-palette-text-primary)">
          {turnDeg > 0 ? 'tighten' : 'open'} {Math.abs(turnDeg)}°
        </text>
      )}
      <text x="-58" y="-94" textAnchor="middle" fontSize="12" fill="var(--mui-palette-text-secondary)">
        loose
      </text>
      <text x="58" y="-94" textAnchor="middle" fontSize="12" fill="var(--mui-palette-text-secondary)">
        tight
      </text>
    </svg>
  );
}
