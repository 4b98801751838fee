import Box from '@mui/material/Box';
import { SIGN_SHAPES, signLabel, signTone, type SignId } from '@/core/drawing/signs';
import type { StateId } from '@/core/vocabulary/vocabulary';

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

/** The colour of a sign on the drawing. */
export function signColour(sign: SignId): string {
  const tone = signTone(sign);
  if (tone === 'ink') return 'var(--mui-palette-text-primary)';
  return tone === 'accent' ? 'var(--mui-palette-primary-main)' : stateColour(tone);
}

/** The shapes of a sign inside a 24-unit square, told apart without colour. */
export function StateGlyph({ state }: { state: SignId }) {
  const colour = { tone: signColour(state), paper: 'var(--mui-palette-background-paper)', none: 'none' };
  return SIGN_SHAPES[state].map(({ d, fill, stroke, width, dash }) => (
    <path
      key={d}
      d={d}
      fill={colour[fill]}
      stroke={colour[stroke]}
      strokeWidth={width}
      strokeDasharray={dash}
      strokeLinecap="round"
      strokeLinejoin="round"
    />
  ));
}

/** Sign and word of a state. */
export function StateMark({ state, size = 22, word = true }: { state: SignId; size?: number; word?: boolean }) {
  return (
    <Box
      component="span"
      sx={{
        display: 'inline-flex',
        alignItems: 'center',
        gap: 0.75,
        color: signColour(state),
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
        aria-label={word ? undefined : signLabel(state)}
      >
        <StateGlyph state={state} />
      </svg>
      {word && signLabel(state)}
    </Box>
  );
}
