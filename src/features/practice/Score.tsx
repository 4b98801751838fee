'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { scaleLinear } from 'd3-scale';
import { extremes, scoreRound } from '@/core/practice/hub';
import { BigNumber } from '@/ui/Section';
import type { Room, RoomView } from './room';

const W = 640;
const H = 92;

/** How the round went, and what was hidden: the band, and where the tightest and the loosest of the turn stand in it. */
export function Score({
  room,
  view,
  nextTitle,
  onAgain,
  onNext,
}: {
  room: Room;
  view: RoomView;
  nextTitle: string | null;
  onAgain(): void;
  onNext(): void;
}) {
  const score = scoreRound(room.hub, view.state);
  const { level } = room.hub;
  const { tightest, loosest } = extremes(room.hub, { ...view.state, clamped: level.squeezeDeg > 0 });
  const x = scaleLinear([-45, 60], [10, W - 10]).clamp(true);
  const bands = [
    { from: -45, to: -level.tickDeg, label: 'loose' },
    { from: -level.tickDeg, to: 0, label: 'tick' },
    { from: 0, to: level.smoothDeg, label: 'smooth' },
    { from: level.smoothDeg, to: 60, label: 'tight' },
  ];
  return (
    <Box aria-live="polite" sx={{ mt: 2 }}>
      <Box sx={{ display: 'flex', gap: 5, flexWrap: 'wrap', alignItems: 'end' }}>
        <Box>
          <Box sx={{ fontSize: '3.4rem', fontWeight: 680, lineHeight: 1, letterSpacing: '-0.03em' }}>{score.total}</Box>
          <Box sx={{ color: 'text.secondary', fontSize: '0.86rem' }}>of 100</Box>
        </Box>
        <BigNumber value={score.result} label="of 60: where it stands" />
        <BigNumber
          value={score.trials}
          label={`of 20: ${view.state.trials === 1 ? 'one lock' : `${view.state.trials} locks`}`}
        />
        <BigNumber value={score.unharmed} label="of 20: tracks unharmed" />
      </Box>
      <Typography sx={{ mt: 1.5, fontSize: '1.15rem', fontWeight: 620 }}>{score.words}</Typography>
      <svg
        viewBox={`0 0 ${W} ${H}`}
        role="img"
        aria-label={`As it is ridden the turn stands from ${Math.round(loosest)} to ${Math.round(tightest)} degrees; smooth is 0 to ${level.smoothDeg}`}
        style={{ width: '100%', maxWidth: W, display: 'block', marginTop: 8 }}
      >
        {bands.map(({ from, to, label }) => (
          <g key={label}>
            <rect
              x={x(from)}
              y="20"
              width={x(to) - x(from)}
              height="26"
              fill={label === 'smooth' ? 'var(--mui-palette-state-fine)' : 'var(--mui-palette-sheet-faint)'}
              opacity={label === 'smooth' ? 0.55 : label === 'tick' ? 0.34 : 0.16}
            />
            <text
              x={(x(from) + x(to)) / 2}
              y="14"
              textAnchor="middle"
              fontSize="13"
              fill="var(--mui-palette-text-secondary)"
            >
              {label}
            </text>
          </g>
        ))}
        <path
          d={`M${x(loosest)} 60H${x(tightest)}`}
          stroke="var(--mui-palette-text-primary)"
          strokeWidth="5"
          strokeLinecap="round"
        />
        <path d={`M${x(tightest)} 20V66`} stroke="var(--mui-palette-text-primary)" strokeWidth="3" />
        <text
          x={x((tightest + loosest) / 2)}
          y="86"
          textAnchor="middle"
          fontSize="13"
          fill="var(--mui-palette-text-primary)"
        >
          the turn as you left it
        </text>
      </svg>
      <Box sx={{ display: 'flex', gap: 1.5, mt: 2, flexWrap: 'wrap' }}>
        <Button variant="contained" sx={{ minHeight: 56, minWidth: 150 }} onClick={onAgain}>
          Another one
        </Button>
        {nextTitle && (
          <Button variant="outlined" color="inherit" sx={{ minHeight: 56 }} onClick={onNext}>
            Next: {nextTitle.toLowerCase()}
          </Button>
        )}
      </Box>
    </Box>
  );
}
