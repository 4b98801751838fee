'use client';
import { own } from '@/core/own';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Redo, Undo } from '@/ui/icons';
import type { HistoryRow } from '@/model/history';
import { stacks } from '@/model/undoStacks';
import { useKeys } from '@/ui/keys/useKeys';
import { useSettings, useWorkshop, useWorkshopState } from '../workshop/WorkshopProvider';

const NONE: HistoryRow[] = [];

/** Takes the last change of this bicycle back, in words, or does it again. */
export function UndoButtons({ bicycleId }: { bicycleId: string }) {
  const workshop = useWorkshop();
  const { letterKeys } = useSettings();
  const rows = useWorkshopState((state) => own(state.histories, bicycleId) ?? NONE);
  const { undo, redo } = stacks(rows);
  const last = undo.at(-1);
  const again = redo.at(-1);
  useKeys(['everywhere'], { undo: () => workshop.undo(bicycleId), redo: () => workshop.redo(bicycleId) }, letterKeys);
  return (
    <Box sx={{ display: 'flex', gap: 0.5, minWidth: 0 }}>
      {last && (
        <Button
          color="inherit"
          size="small"
          onClick={() => workshop.undo(bicycleId)}
          aria-label={`Undo: ${last.words}`}
          title={`Undo: ${last.words}`}
          sx={{ minWidth: 44, px: 1, fontWeight: 500, maxWidth: { xs: 44, md: 240 } }}
        >
          <Undo fontSize="small" />
          <Box
            component="span"
            sx={{
              display: { xs: 'none', md: 'inline' },
              ml: 0.75,
              overflow: 'hidden',
              textOverflow: 'ellipsis',
              whiteSpace: 'nowrap',
            }}
          >
            Undo: {last.words}
          </Box>
        </Button>
      )}
      {again && (
        <Button
          color="inherit"
          size="small"
          onClick={() => workshop.redo(bicycleId)}
          aria-label={`Do again: ${again.words}`}
          title={`Do again: ${again.words}`}
          sx={{ minWidth: 44, px: 1 }}
        >
          <Redo fontSize="small" />
        </Button>
      )}
    </Box>
  );
}
