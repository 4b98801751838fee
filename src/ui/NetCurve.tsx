'use client';
import useMediaQuery from '@mui/material/useMediaQuery';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { money } from './format';

const H = 190;
const PAD = { left: 52, right: 58, top: 22, bottom: 30 };

/** What is left of each price once the waiting is paid, and how long that is (dashed); with the best of them and the one that is asked. */
export function NetCurve({
  points,
  ask,
  asked,
  currency,
}: {
  points: { price: number; days: number; net: number }[];
  ask: number;
  /** What is asked now, where it is another. */
  asked: number | null;
  currency: string;
}) {
  const narrow = useMediaQuery('(max-width: 600px)');
  const W = narrow ? 360 : 620;
  const top = Math.max(...points.map(({ net }) => net), 1);
  const shown = points.filter(({ net }) => net > -0.25 * top);
  const [first, last] = [shown[0]!, shown.at(-1)!];
  const x = scaleLinear([first.price, Math.max(last.price, ask)], [PAD.left, W - PAD.right]);
  const y = scaleLinear([Math.min(0, ...shown.map(({ net }) => net)), top], [H - PAD.bottom, PAD.top]);
  const path = line<(typeof shown)[number]>()
    .x(({ price }) => x(price))
    .y(({ net }) => y(net))(shown);
  const y2 = scaleLinear([0, Math.max(...shown.map(({ days }) => days))], [H - PAD.bottom, PAD.top]);
  const waits = line<(typeof shown)[number]>()
    .x(({ price }) => x(price))
    .y(({ days }) => y2(days))(shown);
  const netAt = (price: number) => {
    const after = shown.findIndex((each) => each.price >= price);
    if (after <= 0) return (shown.at(after) ?? last).net;
    const [a, b] = [shown[after - 1]!, shown[after]!];
    return a.net + ((b.net - a.net) * (price - a.price)) / (b.price - a.price);
  };
  const marks = [
    { price: ask, words: `best ${money(ask, currency)}`, colour: 'var(--mui-palette-primary-main)' },
    ...(asked !== null && asked !== ask && asked >= first.price && asked <= last.price
      ? [{ price: asked, words: 'asked', colour: 'var(--mui-palette-state-replace)' }]
      : []),
  ];
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      role="img"
      aria-label={`What is left of each price, the waiting paid: most at ${money(ask, currency)}`}
      style={{ width: '100%', maxWidth: W, height: 'auto', display: 'block', overflow: 'visible' }}
    >
      {y.ticks(4).map((tick) => (
        <g key={tick}>
          <path d={`M${PAD.left} ${y(tick)}H${W - PAD.right}`} stroke="var(--mui-palette-divider)" />
          <text
            x={PAD.left - 6}
            y={y(tick) + 4}
            textAnchor="end"
            fontSize="12.5"
            fill="var(--mui-palette-text-secondary)"
          >
            {money(tick, currency)}
          </text>
        </g>
      ))}
      {y2.ticks(4).map((tick) => (
        <text
          key={tick}
          x={W - PAD.right + 6}
          y={y2(tick) + 4}
          fontSize="12.5"
          fill="var(--mui-palette-text-secondary)"
        >
          {tick} d
        </text>
      ))}
      <path
        d={waits ?? ''}
        fill="none"
        stroke="var(--mui-palette-text-secondary)"
        strokeWidth="1.6"
        strokeDasharray="5 4"
      />
      <path d={path ?? ''} fill="none" stroke="var(--mui-palette-text-primary)" strokeWidth="2.2" />
      {x.ticks(narrow ? 4 : 7).map((tick) => (
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
      {marks.map(({ price, words, colour }) => (
        <g key={words}>
          <path d={`M${x(price)} ${H - PAD.bottom}V${y(netAt(price))}`} stroke={colour} strokeWidth="2" />
          <circle cx={x(price)} cy={y(netAt(price))} r="5.5" fill={colour} />
          <text x={x(price)} y={y(netAt(price)) - 9} textAnchor="middle" fontSize="13" fontWeight="640" fill={colour}>
            {words}
          </text>
        </g>
      ))}
    </svg>
  );
}
