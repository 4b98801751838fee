'use client';
import useMediaQuery from '@mui/material/useMediaQuery';
import { scaleLinear } from 'd3-scale';
import { money } from './format';

export interface PriceDot {
  id: string;
  label: string;
  price: number;
  /** How much it counts, 0 to 1. */
  weight: number;
  out: boolean;
}

const H = 96;
const LINE = 58;
const GAP = 9;

/** Sold prices as dots on a line, with this bicycle's range over it. What is left out is a hollow square. */
export function PriceDots({
  dots,
  range,
  currency,
}: {
  dots: PriceDot[];
  range: { low: number; likely: number; high: number } | null;
  currency: string;
}) {
  const narrow = useMediaQuery('(max-width: 600px)');
  const W = narrow ? 360 : 640;
  const counted = dots.filter((dot) => !dot.out);
  const most = Math.max(...dots.map((dot) => dot.price), range?.high ?? 0);
  const least = Math.min(...dots.map((dot) => dot.price), range?.low ?? Infinity);
  const margin = Math.max(500, (most - least) * 0.06);
  const x = scaleLinear([Math.max(0, least - margin), most + margin], [12, W - 12]);
  const taken: { x: number; level: number }[] = [];
  const placed = [...dots]
    .sort((a, b) => a.price - b.price)
    .map((dot) => {
      const at = x(dot.price);
      let level = 0;
      while (taken.some((other) => other.level === level && Math.abs(other.x - at) < GAP * 1.3)) level++;
      taken.push({ x: at, level });
      return { ...dot, x: at, y: LINE - GAP - level * GAP * 1.25 };
    });
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      role="img"
      aria-label={`${counted.length} sold prices from ${money(Math.min(...counted.map((dot) => dot.price)), currency)} to ${money(Math.max(...counted.map((dot) => dot.price)), currency)}${range ? `; this one ${money(range.low, currency)} to ${money(range.high, currency)}` : ''}`}
      style={{ width: '100%', height: 'auto', display: 'block', overflow: 'visible' }}
    >
      {range && (
        <g>
          <rect
            x={x(range.low)}
            width={Math.max(2, x(range.high) - x(range.low))}
            y={LINE - 3}
            height={6}
            fill="var(--mui-palette-primary-main)"
          />
          <path
            d={`M${x(range.likely)} ${LINE - 9}V${LINE + 9}`}
            stroke="var(--mui-palette-primary-main)"
            strokeWidth="3"
          />
        </g>
      )}
      <path d={`M12 ${LINE}H${W - 12}`} stroke="var(--mui-palette-sheet-line)" strokeWidth="1.2" />
      {placed.map((dot) =>
        dot.out ? (
          <rect
            key={dot.id}
            x={dot.x - 4}
            y={dot.y - 4}
            width="8"
            height="8"
            fill="none"
            stroke="var(--mui-palette-text-secondary)"
            strokeWidth="1.6"
          >
            <title>{`${dot.label}: ${money(dot.price, currency)}, left out`}</title>
          </rect>
        ) : (
          <circle
            key={dot.id}
            cx={dot.x}
            cy={dot.y}
            r={3.5 + 2.5 * dot.weight}
            fill="var(--mui-palette-sheet-line)"
            opacity={0.45 + 0.55 * dot.weight}
          >
            <title>{`${dot.label}: ${money(dot.price, currency)}`}</title>
          </circle>
        ),
      )}
      {x.ticks(narrow ? 4 : 7).map((tick) => (
        <text
          key={tick}
          x={x(tick)}
          y={LINE + 26}
          textAnchor="middle"
          fontSize="12.5"
          fill="var(--mui-palette-text-secondary)"
        >
          {money(tick, currency)}
        </text>
      ))}
    </svg>
  );
}
