'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';

/** A fault of ours: what was entered is safe, and there is a way on. */
export default function ErrorPage({ reset }: { error: Error; reset(): void }) {
  return (
    <Box component="main" sx={{ maxWidth: 560, mx: 'auto', px: 3, py: '18vh' }}>
      <Typography variant="h1" gutterBottom>
        This page broke
      </Typography>
      <Typography sx={{ mb: 3, color: 'text.secondary' }}>
        That is a fault of ours. What you entered before is kept. Draw the page again, or go back to the floor.
      </Typography>
      <Button variant="contained" onClick={reset} sx={{ mr: 1.5 }}>
        Draw it again
      </Button>
      <Button href="/" variant="outlined">
        Back to the floor
      </Button>
    </Box>
  );
}
