'use client';
import useMediaQuery from '@mui/material/useMediaQuery';
import { max } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { money } from './format';

export interface SpreadBin {
  from: number;
  to: number;
  count: number;
}

const H = 170;
const PAD = { left: 8, right: 8, top: 20, bottom: 26 };

/** Width of the drawing in its own units: fewer on a phone, so that its words stay as large. */
const WIDE = 640;
const NARROW = 360;

/** The spread of outcomes: loss hatched, profit solid, the middle marked. */
export function SpreadChart({
  bins,
  middle,
  currency,
  label,
}: {
  bins: SpreadBin[];
  middle: number;
  currency: string;
  label: string;
}) {
  const narrow = useMediaQuery('(max-width: 600px)');
  const W = narrow ? NARROW : WIDE;
  const from = bins[0]!.from;
  const to = bins.at(-1)!.to;
  const x = scaleLinear()
    .domain(from === to ? [from - 100, to + 100] : [Math.min(from, 0), Math.max(to, 0)])
    .range([PAD.left, W - PAD.right]);
  const y = scaleLinear()
    .domain([0, max(bins, (bin) => bin.count) ?? 1])
    .range([H - PAD.bottom, PAD.top]);
  const ticks = x.ticks(narrow ? 4 : 6);
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      role="img"
      aria-label={label}
      style={{ width: '100%', height: 'auto', display: 'block', overflow: 'visible' }}
    >
      <defs>
        <pattern id="loss" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V5" stroke="var(--mui-palette-state-unsafe)" strokeWidth="2.4" />
        </pattern>
      </defs>
      {bins.map((bin) => (
        <rect
          key={bin.from}
          x={x(bin.from)}
          width={Math.max(1, x(bin.to) - x(bin.from) - 1)}
          y={y(bin.count)}
          height={y(0) - y(bin.count)}
          fill={bin.to <= 0 ? 'url(#loss)' : 'var(--mui-palette-primary-main)'}
          opacity={bin.to <= 0 ? 1 : 0.82}
        />
      ))}
      <path d={`M${PAD.left} ${y(0)}H${W - PAD.right}`} stroke="var(--mui-palette-sheet-line)" strokeWidth="1.5" />
      {ticks.map((tick) => (
        <text
          key={tick}
          x={x(tick)}
          y={H - 8}
          textAnchor="middle"
          fontSize="12.5"
          fill="var(--mui-palette-text-secondary)"
        >
          {money(tick, currency)}
        </text>
      ))}
      <path d={`M${x(0)} ${PAD.top - 6}V${y(0) + 5}`} stroke="var(--mui-palette-sheet-line)" strokeWidth="1.5" />
      <g transform={`translate(${x(middle)} 0)`}>
        <path
          d={`M0 ${PAD.top - 4}V${y(0)}`}
          stroke="var(--mui-palette-text-primary)"
          strokeWidth="2"
          strokeDasharray="4 3"
        />
        <text y={12} textAnchor="middle" fontSize="12.5" fontWeight="650" fill="var(--mui-palette-text-primary)">
          middle {money(middle, currency)}
        </text>
      </g>
    </svg>
  );
}
