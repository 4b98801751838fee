'use client';
import useMediaQuery from '@mui/material/useMediaQuery';
import { scaleLinear } from 'd3-scale';

export interface EraBar {
  id: string;
  label: string;
  earliest: number;
  latest: number;
  commonFrom: number;
  commonUntil: number;
}

const ROW = 27;
const TOP = 24;

/** The years of each feature under one another: thin where it was sold at all, thick where it was common, and what all leave. */
export function EraBars({
  bars,
  possible,
  likely,
  thisYear,
}: {
  bars: EraBar[];
  possible: { from: number; to: number } | null;
  likely: { from: number; to: number } | null;
  thisYear: number;
}) {
  const narrow = useMediaQuery('(max-width: 600px)');
  const W = narrow ? 360 : 700;
  const left = narrow ? 8 : 250;
  const step = narrow ? ROW + 16 : ROW;
  const H = TOP + bars.length * step + 26;
  const from = Math.min(...bars.map((bar) => bar.earliest)) - 3;
  const x = scaleLinear([from, thisYear + 1], [left, W - 10]);
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      role="img"
      aria-label={bars
        .map((bar) => `${bar.label}: from ${bar.earliest}, common ${bar.commonFrom} to ${bar.commonUntil}`)
        .join('; ')}
      style={{ width: '100%', height: 'auto', display: 'block', maxWidth: 760 }}
    >
      {possible && (
        <rect
          x={x(possible.from)}
          width={Math.max(3, x(possible.to) - x(possible.from))}
          y={TOP - 6}
          height={H - TOP - 16}
          fill="var(--mui-palette-primary-main)"
          opacity="0.09"
        />
      )}
      {likely && (
        <rect
          x={x(likely.from)}
          width={Math.max(3, x(likely.to) - x(likely.from))}
          y={TOP - 6}
          height={H - TOP - 16}
          fill="var(--mui-palette-primary-main)"
          opacity="0.2"
        />
      )}
      {bars.map((bar, i) => {
        const y = TOP + i * step + (narrow ? 22 : 8);
        return (
          <g key={bar.id}>
            <text
              x={narrow ? left : left - 12}
              y={narrow ? y - 8 : y + 5}
              textAnchor={narrow ? 'start' : 'end'}
              fontSize="13"
              fill="var(--mui-palette-text-primary)"
            >
              {bar.label.length > 38 ? `${bar.label.slice(0, 36)}…` : bar.label}
            </text>
            <path
              d={`M${x(bar.earliest)} ${y}H${x(bar.latest)}`}
              stroke="var(--mui-palette-sheet-faint)"
              strokeWidth="2"
            />
            <path
              d={`M${x(Math.max(bar.commonFrom, bar.earliest))} ${y}H${x(Math.min(bar.commonUntil, bar.latest))}`}
              stroke="var(--mui-palette-sheet-line)"
              strokeWidth="8"
            />
            <path d={`M${x(bar.earliest)} ${y - 6}V${y + 6}`} stroke="var(--mui-palette-sheet-line)" strokeWidth="2" />
          </g>
        );
      })}
      {x.ticks(narrow ? 4 : 7).map((tick) => (
        <text
          key={tick}
          x={x(tick)}
          y={H - 6}
          textAnchor="middle"
          fontSize="12.5"
          fill="var(--mui-palette-text-secondary)"
        >
          {tick}
        </text>
      ))}
    </svg>
  );
}
