import Box from '@mui/material/Box';
import { stateLabel, type StateId } from '@/core/vocabulary/vocabulary';

const VAR: Record<StateId, string> = {
  fine: 'fine',
  watch: 'watch',
  service: 'service',
  replace: 'replace',
  unsafe: 'unsafe',
  'not-looked-at': 'notLookedAt',
};

/** The colour of a state; it is never the only sign of it. */
export function stateColour(state: StateId): string {
  return `var(--mui-palette-state-${VAR[state]})`;
}

/** The sign of a state inside a 24-unit square, told apart by shape. */
export function StateGlyph({ state }: { state: StateId }) {
  const colour = stateColour(state);
  const paper = 'var(--mui-palette-background-paper)';
  const line = {
    fill: 'none',
    stroke: colour,
    strokeWidth: 2.4,
    strokeLinecap: 'round' as const,
    strokeLinejoin: 'round' as const,
  };
  switch (state) {
    case 'fine':
      return (
        <>
          <circle cx="12" cy="12" r="10" fill={colour} />
          <path d="M7.5 12.5l3 3 6-7" {...line} stroke={paper} />
        </>
      );
    case 'watch':
      return (
        <>
          <path d="M12 3.2L21.5 20H2.5Z" {...line} fill={paper} />
          <path d="M12 9.5v5" {...line} />
          <circle cx="12" cy="17.2" r="1.3" fill={colour} />
        </>
      );
    case 'service':
      return (
        <>
          <rect x="3" y="3" width="18" height="18" {...line} fill={paper} />
          <path d="M3 12h18v9H3z" fill={colour} />
        </>
      );
    case 'replace':
      return (
        <>
          <path d="M12 1.8L22.2 12 12 22.2 1.8 12Z" fill={colour} />
          <path d="M8.6 8.6l6.8 6.8M15.4 8.6l-6.8 6.8" {...line} stroke={paper} />
        </>
      );
    case 'unsafe':
      return (
        <>
          <path d="M7.8 1.8h8.4l6 6v8.4l-6 6H7.8l-6-6V7.8Z" fill={colour} />
          <path d="M6.5 12h11" {...line} stroke={paper} strokeWidth={3.4} />
        </>
      );
    case 'not-looked-at':
      return <circle cx="12" cy="12" r="9.6" {...line} fill={paper} strokeDasharray="3.6 3.9" />;
  }
}

/** Sign and word of a state. */
export function StateMark({ state, size = 22, word = true }: { state: StateId; size?: number; word?: boolean }) {
  return (
    <Box
      component="span"
      sx={{
        display: 'inline-flex',
        alignItems: 'center',
        gap: 0.75,
        color: stateColour(state),
        fontWeight: 640,
        whiteSpace: 'nowrap',
      }}
    >
      <svg
        width={size}
        height={size}
        viewBox="0 0 24 24"
        role={word ? undefined : 'img'}
        aria-hidden={word ? true : undefined}
        aria-label={word ? undefined : stateLabel(state)}
      >
        <StateGlyph state={state} />
      </svg>
      {word && stateLabel(state)}
    </Box>
  );
}
