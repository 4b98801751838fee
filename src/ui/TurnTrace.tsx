import Box from '@mui/material/Box';
import { extent } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { curveCatmullRom, line } from 'd3-shape';

const WIDTH = 420;
const HEIGHT = 110;
const PAD = { left: 34, right: 10, top: 10, bottom: 22 };

/** Readings round one turn as a trace from valve to valve, with what stands out furthest marked. */
export function TurnTrace({ readings, unit, label }: { readings: number[]; unit: string; label: string }) {
  if (readings.length < 2) return null;
  const [low = 0, high = 0] = extent(readings);
  const margin = Math.max(0.05, (high - low) * 0.15);
  const turn = [...readings, readings[0]!];
  const x = scaleLinear([0, readings.length], [PAD.left, WIDTH - PAD.right]);
  const y = scaleLinear([low - margin, high + margin], [HEIGHT - PAD.bottom, PAD.top]);
  const path = line<number>()
    .x((_value, i) => x(i))
    .y((value) => y(value))
    .curve(curveCatmullRom)(turn);
  const at = readings.indexOf(high);
  return (
    <Box sx={{ maxWidth: WIDTH }}>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={`${label}: from ${low} to ${high} ${unit} round one turn, furthest out ${Math.round((360 * at) / readings.length)}° from the start`}
        style={{ width: '100%', height: 'auto', display: 'block' }}
      >
        {y.ticks(3).map((tick) => (
          <g key={tick}>
            <path d={`M${PAD.left} ${y(tick)}H${WIDTH - PAD.right}`} stroke="var(--mui-palette-divider)" />
            <text
              x={PAD.left - 5}
              y={y(tick) + 4}
              fontSize="11.5"
              textAnchor="end"
              fill="var(--mui-palette-text-secondary)"
            >
              {tick}
            </text>
          </g>
        ))}
        {[0, 0.25, 0.5, 0.75, 1].map((share) => (
          <text
            key={share}
            x={x(share * readings.length)}
            y={HEIGHT - 6}
            fontSize="11.5"
            textAnchor={share === 0 ? 'start' : share === 1 ? 'end' : 'middle'}
            fill="var(--mui-palette-text-secondary)"
          >
            {`${share * 360}°`}
          </text>
        ))}
        <path d={path ?? ''} fill="none" stroke="var(--mui-palette-sheet-line)" strokeWidth="1.8" />
        {readings.map((value, i) => (
          <circle key={i} cx={x(i)} cy={y(value)} r="2.2" fill="var(--mui-palette-sheet-line)" />
        ))}
        <circle
          cx={x(at)}
          cy={y(high)}
          r="5.5"
          fill="none"
          stroke="var(--mui-palette-primary-main)"
          strokeWidth="2.4"
        />
      </svg>
    </Box>
  );
}
