'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Evidence } from '@/core/inspect/evidence';
import type { SpokeFeel } from '@/core/inspect/evidence';

const FEELS: { id: SpokeFeel; label: string; fill: string }[] = [
  { id: 'even', label: 'Even', fill: 'var(--mui-palette-state-fine)' },
  { id: 'soft', label: 'Soft', fill: 'var(--mui-palette-state-watch)' },
  { id: 'slack', label: 'Slack', fill: 'var(--mui-palette-state-service)' },
  { id: 'hard', label: 'Hard', fill: 'var(--mui-palette-state-replace)' },
  { id: 'broken', label: 'Broken', fill: 'var(--mui-palette-state-unsafe)' },
];
const USUAL_PAIRS = 18;
const R = 84;
/** How far out a pair stands on the ring by its tension: told by place as well as by colour. */
const OUT: Record<SpokeFeel, number> = { broken: 0.35, slack: 0.55, soft: 0.78, even: 1, hard: 1.16 };

/** The squeeze map: one tap a pair, in order from the valve; drawn as a ring that is round where the wheel is even. */
export function SpokeFields({
  dished,
  seen,
  note,
}: {
  dished: boolean;
  seen: Evidence;
  note(changes: Evidence): void;
}) {
  const pairs = seen.pairs ?? [];
  const count = Math.max(USUAL_PAIRS, pairs.length);
  const at = (i: number, out: number) => {
    const angle = ((i + 0.5) / count) * 2 * Math.PI - Math.PI / 2;
    return [110 + R * out * Math.cos(angle), 110 + R * out * Math.sin(angle)] as const;
  };
  return (
    <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'center' }}>
      <svg
        width="190"
        height="190"
        viewBox="0 0 220 220"
        role="img"
        aria-label={`${pairs.length} pairs squeezed: ${pairs.map((feel, i) => `${i + 1} ${feel}`).join(', ') || 'none yet'}`}
      >
        <circle cx="110" cy="110" r={R} fill="none" stroke="var(--mui-palette-divider)" strokeWidth="1.5" />
        <path d="M110 6v14" stroke="var(--mui-palette-sheet-line)" strokeWidth="3" />
        {Array.from({ length: count }, (_, i) => {
          const feel = pairs[i];
          const [x, y] = at(i, feel ? OUT[feel] : 1);
          return (
            <g key={i}>
              <path d={`M110 110L${x} ${y}`} stroke="var(--mui-palette-divider)" strokeWidth={feel ? 1.6 : 0.8} />
              <circle
                cx={x}
                cy={y}
                r={feel ? 6 : 2.5}
                fill={feel ? FEELS.find((each) => each.id === feel)!.fill : 'var(--mui-palette-divider)'}
              />
            </g>
          );
        })}
        <text x="110" y="115" textAnchor="middle" fontSize="24" fontWeight="660" fill="var(--mui-palette-text-primary)">
          {pairs.length}
        </text>
      </svg>
      <Box sx={{ flex: 1, minWidth: 220 }}>
        <Box sx={{ fontSize: '0.85rem', color: 'text.secondary', mb: 0.5 }}>
          {pairs.length === 0 ? 'Begin at the valve: how does the first pair feel?' : `Pair ${pairs.length + 1} feels`}
          {dished && (
            <Box>
              Two of one side, then two of the other, by turns: one side is softer by right, and is compared with
              itself.
            </Box>
          )}
        </Box>
        <Box role="group" aria-label="The next pair feels" sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          {FEELS.map((feel) => (
            <Button
              key={feel.id}
              variant="outlined"
              color="inherit"
              disabled={pairs.length >= 24}
              onClick={() => note({ pairs: [...pairs, feel.id] })}
            >
              {feel.label}
            </Button>
          ))}
          <Button color="inherit" disabled={pairs.length === 0} onClick={() => note({ pairs: pairs.slice(0, -1) })}>
            Back one
          </Button>
        </Box>
      </Box>
    </Box>
  );
}
