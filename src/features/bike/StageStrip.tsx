'use client';
import Box from '@mui/material/Box';
import { useEffect, useRef } from 'react';
import { STAGES, type Stage } from '@/model/stages';
import { onStageClick, stageHref } from './stageLink';
import { STAGE_LABELS } from './stages';

/** The nine stages in the order of the work; none is locked. */
export function StageStrip({
  bicycleId,
  current,
  notes,
}: {
  bicycleId: string;
  current: Stage;
  notes: Partial<Record<Stage, string>>;
}) {
  const here = useRef<HTMLAnchorElement>(null);
  useEffect(() => {
    // Braces matter: newer browsers give back a promise here, and an effect may only give back its clean-up.
    void here.current?.scrollIntoView({ inline: 'center', block: 'nearest' });
  }, [current]);
  return (
    <Box
      component="nav"
      aria-label="Stages"
      className="no-print"
      sx={{
        display: 'flex',
        overflowX: 'auto',
        bgcolor: 'background.paper',
        borderBottom: '1px solid',
        borderColor: 'divider',
        px: { xs: 1, md: 2 },
        scrollbarWidth: 'none',
      }}
    >
      {STAGES.map((stage, i) => (
        <Box
          key={stage}
          ref={stage === current ? here : undefined}
          component="a"
          href={stageHref(bicycleId, stage)}
          onClick={onStageClick(bicycleId, stage)}
          aria-current={stage === current ? 'step' : undefined}
          sx={{
            flex: { xs: '0 0 auto', md: '1 1 0' },
            px: 1.5,
            py: 1.1,
            minHeight: 56,
            textDecoration: 'none',
            color: stage === current ? 'primary.main' : 'text.primary',
            boxShadow: stage === current ? 'inset 0 -4px 0 var(--mui-palette-primary-main)' : 'none',
            '&:hover': { bgcolor: 'sheet.soft' },
          }}
        >
          <Box sx={{ display: 'flex', gap: 0.75, alignItems: 'baseline', fontWeight: 640, whiteSpace: 'nowrap' }}>
            <Box component="span" sx={{ fontSize: '0.8rem', fontWeight: 500, color: 'text.secondary' }}>
              {i + 1}
            </Box>
            {STAGE_LABELS[stage]}
          </Box>
          <Box sx={{ fontSize: '0.78rem', color: 'text.secondary', whiteSpace: 'nowrap', minHeight: '1.1em' }}>
            {notes[stage]}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
