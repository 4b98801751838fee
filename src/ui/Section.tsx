import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';

/** A part of a stage: a ruled heading and what belongs to it. Not a card. */
export function Section({
  title,
  aside,
  id,
  children,
}: {
  title: string;
  aside?: ReactNode;
  /** What it is gone to by. */
  id?: string;
  children: ReactNode;
}) {
  return (
    <Box component="section" id={id} sx={{ mt: 4, scrollMarginTop: 80, '&:first-of-type': { mt: 0 } }}>
      <Box
        sx={{
          display: 'flex',
          alignItems: 'baseline',
          justifyContent: 'space-between',
          gap: 2,
          borderBottom: '1.5px solid',
          borderColor: 'text.primary',
          pb: 0.5,
          mb: 2,
        }}
      >
        <Typography variant="h2">{title}</Typography>
        {aside && <Box sx={{ color: 'text.secondary', fontSize: '0.9rem', textAlign: 'right' }}>{aside}</Box>}
      </Box>
      {children}
    </Box>
  );
}

/** A number that decides something: large, with what it is beneath. */
export function BigNumber({ value, label, tone }: { value: ReactNode; label: ReactNode; tone?: string }) {
  return (
    <Box>
      <Box
        sx={{
          fontSize: '2rem',
          fontWeight: 660,
          lineHeight: 1.1,
          letterSpacing: '-0.02em',
          fontStretch: '92%',
          color: tone ?? 'text.primary',
          whiteSpace: 'nowrap',
        }}
      >
        {value}
      </Box>
      <Box sx={{ color: 'text.secondary', fontSize: '0.86rem', mt: 0.25 }}>{label}</Box>
    </Box>
  );
}
