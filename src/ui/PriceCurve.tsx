'use client';
import useMediaQuery from '@mui/material/useMediaQuery';
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { limit, money, percent } from './format';

const H = 210;
const PAD = { left: 44, right: 14, top: 22, bottom: 30 };

export interface CurvePoint {
  price: number;
  chance: number;
}

/** The price against the chance of reaching what is wanted, with the asking price and the ceiling on it. */
export function PriceCurve({
  points,
  asking,
  ceiling,
  confidence,
  currency,
}: {
  points: CurvePoint[];
  asking: number;
  ceiling: number;
  confidence: number;
  currency: string;
}) {
  const narrow = useMediaQuery('(max-width: 600px)');
  const W = narrow ? 360 : 640;
  const last = points.at(-1)?.price ?? 1;
  const x = scaleLinear([0, Math.max(last, asking * 1.05, 100)], [PAD.left, W - PAD.right]);
  const y = scaleLinear([0, 1], [H - PAD.bottom, PAD.top]);
  const path = line<CurvePoint>()
    .x((point) => x(point.price))
    .y((point) => y(point.chance))(points);
  const fill = area<CurvePoint>()
    .x((point) => x(point.price))
    .y0(y(0))
    .y1((point) => y(point.chance))(points);
  const askedAt = points.findLast((point) => point.price <= asking)?.chance ?? 0;
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      role="img"
      aria-label={`Chance of reaching what is wanted: ${percent(askedAt)} at the asking price of ${money(asking, currency)}, ${percent(confidence)} at ${limit(ceiling, currency)}`}
      style={{ width: '100%', height: 'auto', display: 'block', overflow: 'visible' }}
    >
      {[0, 0.25, 0.5, 0.75, 1].map((tick) => (
        <g key={tick}>
          <path d={`M${PAD.left} ${y(tick)}H${W - PAD.right}`} stroke="var(--mui-palette-divider)" />
          <text
            x={PAD.left - 6}
            y={y(tick) + 4}
            textAnchor="end"
            fontSize="12.5"
            fill="var(--mui-palette-text-secondary)"
          >
            {tick * 100} %
          </text>
        </g>
      ))}
      <path d={fill ?? ''} fill="var(--mui-palette-primary-main)" opacity="0.1" />
      <path d={path ?? ''} fill="none" stroke="var(--mui-palette-primary-main)" strokeWidth="2.4" />
      {x.ticks(narrow ? 4 : 7).map((tick) => (
        <text
          key={tick}
          x={x(tick)}
          y={H - 9}
          textAnchor="middle"
          fontSize="12.5"
          fill="var(--mui-palette-text-secondary)"
        >
          {money(tick, currency)}
        </text>
      ))}
      <path
        d={`M${PAD.left} ${y(confidence)}H${x(ceiling)}V${y(0)}`}
        fill="none"
        stroke="var(--mui-palette-text-primary)"
        strokeWidth="1.6"
        strokeDasharray="5 4"
      />
      <circle
        cx={x(ceiling)}
        cy={y(confidence)}
        r="6"
        fill="var(--mui-palette-background-default)"
        stroke="var(--mui-palette-text-primary)"
        strokeWidth="2.2"
      />
      <text
        x={x(ceiling) + 10}
        y={y(confidence) - 8}
        fontSize="13.5"
        fontWeight="660"
        fill="var(--mui-palette-text-primary)"
      >
        {limit(ceiling, currency)} at {percent(confidence)}
      </text>
      {asking > 0 && (
        <g>
          <path d={`M${x(asking)} ${y(0)}V${y(askedAt)}`} stroke="var(--mui-palette-state-replace)" strokeWidth="2" />
          <circle cx={x(asking)} cy={y(askedAt)} r="5" fill="var(--mui-palette-state-replace)" />
          <text
            x={x(asking)}
            y={Math.max(12, y(askedAt) - 10)}
            textAnchor="middle"
            fontSize="12.5"
            fontWeight="640"
            fill="var(--mui-palette-state-replace)"
          >
            asked
          </text>
        </g>
      )}
    </svg>
  );
}
