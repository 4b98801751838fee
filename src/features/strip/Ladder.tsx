import Box from '@mui/material/Box';
import type { LadderRung } from '@/core/strip/stuck';

const STATE_WORDS: Record<LadderRung['state'], string> = {
  tried: 'tried',
  next: 'now',
  later: 'after that',
  'not worth it': 'does not pay',
  never: 'never here',
};

/** The ladder as a picture: gentle at the foot, what gives something up at the top, and the rung that one stands on. */
export function Ladder({ rungs }: { rungs: LadderRung[] }) {
  const shown = rungs.filter((rung) => rung.state !== 'never');
  const never = rungs.filter((rung) => rung.state === 'never' && rung.why?.startsWith('never on'));
  return (
    <>
      <Box
        component="ol"
        reversed
        aria-label="The ladder, gentle last"
        sx={{ listStyle: 'none', p: 0, m: 0, position: 'relative' }}
      >
        {[...shown].reverse().map((rung) => {
          const now = rung.state === 'next';
          const shut = rung.state === 'not worth it';
          return (
            <Box
              component="li"
              key={rung.step}
              aria-current={now ? 'step' : undefined}
              sx={{
                display: 'grid',
                gridTemplateColumns: '74px minmax(0, 1fr) 96px',
                alignItems: 'center',
                minHeight: 30,
              }}
            >
              <Box
                aria-hidden
                sx={{
                  alignSelf: 'stretch',
                  mx: 1.5,
                  borderLeft: '2px solid',
                  borderRight: '2px solid',
                  borderColor: 'text.primary',
                  display: 'flex',
                  alignItems: 'center',
                }}
              >
                <Box
                  sx={{
                    width: '100%',
                    height: now ? 12 : 3,
                    bgcolor: now ? 'primary.main' : shut ? 'transparent' : 'text.primary',
                    borderTop: shut ? '2px dotted' : 0,
                    borderColor: 'text.secondary',
                  }}
                />
              </Box>
              <Box
                sx={{
                  fontWeight: now ? 680 : 400,
                  color: shut ? 'text.secondary' : 'text.primary',
                  lineHeight: 1.2,
                  py: 0.25,
                }}
              >
                {rung.label}
              </Box>
              <Box
                sx={{
                  textAlign: 'right',
                  fontSize: '0.86rem',
                  color: now ? 'primary.main' : 'text.secondary',
                  fontWeight: now ? 680 : 400,
                }}
              >
                {STATE_WORDS[rung.state]}
              </Box>
            </Box>
          );
        })}
      </Box>
      {never.length > 0 && (
        <Box sx={{ fontSize: '0.86rem', color: 'text.secondary', mt: 1 }}>
          {never.map((rung) => `${rung.label}: ${rung.why}`).join('. ')}.
        </Box>
      )}
    </>
  );
}
