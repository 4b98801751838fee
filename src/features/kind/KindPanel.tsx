'use client';
import Box from '@mui/material/Box';
import Drawer from '@mui/material/Drawer';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { Close } from '@/ui/icons';
import type { BicycleKind } from '@/core/bicycle';
import { KindFields } from './KindFields';

/** What the bicycle is, beside its drawing and never over it: what is chosen is seen at once. */
export function KindPanel({
  kind,
  onChange,
  onClose,
}: {
  kind: BicycleKind;
  onChange(changes: Partial<BicycleKind>): void;
  onClose(): void;
}) {
  return (
    <Drawer
      anchor="right"
      open
      onClose={onClose}
      hideBackdrop
      // The page behind stays alive: the drawing is looked at meanwhile.
      sx={{ inset: { md: '0 0 0 auto' }, width: { xs: '100%', md: '54%' } }}
      slotProps={{
        root: { disableScrollLock: true },
        paper: {
          'aria-labelledby': 'kind-title',
          sx: {
            width: { xs: '100%', md: '54%' },
            p: { xs: 2, md: 3 },
            borderLeft: '1px solid',
            borderColor: 'divider',
            bgcolor: 'background.default',
            backgroundImage: 'none',
          },
        },
      }}
    >
      <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'start', mb: 2 }}>
        <Typography id="kind-title" variant="h2" sx={{ fontSize: '1.5rem' }}>
          What it is
        </Typography>
        <IconButton aria-label="Close" onClick={onClose} sx={{ mt: -1, mr: -1 }}>
          <Close />
        </IconButton>
      </Box>
      <Typography sx={{ color: 'text.secondary', mb: 2, maxWidth: '60ch' }}>
        The drawing, the checks, the trays and the bolts follow from it. What was found in a tray or read by the gauges
        stands here already.
      </Typography>
      <KindFields kind={kind} onChange={onChange} />
    </Drawer>
  );
}
