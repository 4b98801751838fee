'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Link from 'next/link';

/** A page that is not there, with the way back. */
export function WayBack({ title, detail }: { title: string; detail: string }) {
  return (
    <Box component="main" sx={{ maxWidth: 560, mx: 'auto', px: 3, py: '18vh' }}>
      <Typography variant="h1" gutterBottom>
        {title}
      </Typography>
      <Typography sx={{ mb: 3, color: 'text.secondary' }}>{detail}</Typography>
      <Button component={Link} href="/" variant="contained">
        Back to the floor
      </Button>
    </Box>
  );
}
