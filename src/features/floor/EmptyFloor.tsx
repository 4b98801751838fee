'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { BicycleDrawing } from '@/ui/drawing/BicycleDrawing';
import { USUAL_KIND } from '../kind/usualKind';
import { AddBicycle } from './AddBicycle';

/** The floor before the first bicycle. */
export function EmptyFloor() {
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', md: '5fr 6fr' },
        gap: { xs: 4, md: 7 },
        alignItems: 'center',
        py: { xs: 4, md: 8 },
      }}
    >
      <Box>
        <Typography variant="h1" sx={{ fontSize: '2.1rem', mb: 2 }}>
          The stand is empty
        </Typography>
        <Typography sx={{ mb: 1.5 }}>
          Add a bicycle and take it through nine stages: what it may cost, what is wrong with it, what is done, apart,
          clean, overhauled, together again, proved, sold.
        </Typography>
        <Typography sx={{ mb: 3, color: 'text.secondary' }}>
          Everything is kept in this browser, as you enter it. Nothing leaves this machine.
        </Typography>
        <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
          <AddBicycle label="Add a bicycle" />
          <Button component="a" href="/?workshop=demo" variant="outlined">
            Look round a made-up workshop
          </Button>
        </Box>
      </Box>
      <BicycleDrawing kind={USUAL_KIND} label="A bicycle, drawn" />
    </Box>
  );
}
