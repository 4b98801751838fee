import Box from '@mui/material/Box';
import { extent } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';

const WIDTH = 96;
const HEIGHT = 22;

/** Earlier readings as a small line: does it repeat, does it drift? The last one stands out. */
export function Trace({ values, unit }: { values: number[]; unit: string }) {
  const shown = values.slice(-12);
  const [low = 0, high = 0] = extent(shown);
  const x = scaleLinear([0, Math.max(1, shown.length - 1)], [4, WIDTH - 4]);
  const y = scaleLinear(low === high ? [low - 1, high + 1] : [low, high], [HEIGHT - 4, 4]);
  const path = line<number>()
    .x((_value, i) => x(i))
    .y((value) => y(value))(shown);
  const figure = (value: number) => Math.round(value * 1e3) / 1e3;
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, mt: 0.25, fontSize: '0.78rem', color: 'text.secondary' }}>
      <svg
        width={WIDTH}
        height={HEIGHT}
        role="img"
        aria-label={`${shown.length} readings from ${figure(low)} to ${figure(high)} ${unit}`}
      >
        <path d={path ?? ''} fill="none" stroke="currentColor" strokeWidth="1.4" />
        {shown.map((value, i) => (
          <circle
            key={i}
            cx={x(i)}
            cy={y(value)}
            r={i === shown.length - 1 ? 3.2 : 1.8}
            fill={i === shown.length - 1 ? 'var(--mui-palette-primary-main)' : 'currentColor'}
          />
        ))}
      </svg>
      {figure(low)} to {figure(high)}
    </Box>
  );
}
