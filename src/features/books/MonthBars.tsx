'use client';
import useMediaQuery from '@mui/material/useMediaQuery';
import { scaleBand, scaleLinear } from 'd3-scale';
import { money } from '@/ui/format';

const H = 170;
const PAD = { left: 56, right: 8, top: 12, bottom: 26 };

/** What was earned month by month; what was lost hangs below the line. */
export function MonthBars({
  months,
  currency,
}: {
  months: readonly { month: string; earned: number; count: number }[];
  currency: string;
}) {
  const narrow = useMediaQuery('(max-width: 600px)');
  const W = narrow ? 360 : 930;
  const shown = months.slice(-24);
  const x = scaleBand(
    shown.map(({ month }) => month),
    [PAD.left, W - PAD.right],
  ).padding(0.25);
  const earned = shown.map((each) => each.earned);
  const y = scaleLinear([Math.min(0, ...earned), Math.max(1, ...earned)], [H - PAD.bottom, PAD.top]).nice();
  const every = Math.ceil(shown.length / (narrow ? 5 : 12));
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      role="img"
      aria-label={`Earned by month: ${shown.map(({ month, earned: sum }) => `${month} ${money(sum, currency)}`).join(', ')}`}
      style={{ width: '100%', maxWidth: W, display: 'block' }}
    >
      {y.ticks(4).map((tick) => (
        <g key={tick}>
          <path d={`M${PAD.left},${y(tick)}H${W - PAD.right}`} stroke="var(--mui-palette-divider)" />
          <text
            x={PAD.left - 6}
            y={y(tick) + 4}
            textAnchor="end"
            fontSize={12.5}
            fill="var(--mui-palette-text-secondary)"
          >
            {money(tick, currency)}
          </text>
        </g>
      ))}
      {shown.map(({ month, earned: sum }, i) => (
        <g key={month}>
          <rect
            x={x(month)}
            width={x.bandwidth()}
            y={Math.min(y(sum), y(0))}
            height={Math.abs(y(sum) - y(0))}
            fill={sum < 0 ? 'var(--mui-palette-state-replace)' : 'currentColor'}
          />
          {i % every === 0 && (
            <text
              x={x(month)! + x.bandwidth() / 2}
              y={H - 8}
              textAnchor="middle"
              fontSize={12.5}
              fill="var(--mui-palette-text-secondary)"
            >
              {month.slice(2).replace('-', '/')}
            </text>
          )}
        </g>
      ))}
    </svg>
  );
}
