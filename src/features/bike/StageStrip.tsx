'use client';
import Box from '@mui/material/Box';
import { useEffect, useRef } from 'react';
import type { Bicycle } from '@/model/record';
import type { Stage } from '@/model/stages';
import { useDeclared, useStages, type Known } from '../workshop/declared';
import { onStageClick, stageHref } from '../workshop/stageLink';

/** The nine stages in the order of the work; none is locked. */
export function StageStrip({ bicycle, current, known }: { bicycle: Bicycle; current: Stage; known: Known }) {
  const declared = useDeclared();
  const stages = useStages();
  /** What the subjects say of a stage, its own first. */
  const noteOf = (stage: Stage) =>
    declared
      .toSorted((a, b) => Number(b.stage?.id === stage) - Number(a.stage?.id === stage))
      .flatMap(({ notes }) => notes?.[stage]?.(bicycle, known) || [])
      .join(', ');
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
      {stages.map(({ id: stage, label }, i) => (
        <Box
          key={stage}
          ref={stage === current ? here : undefined}
          component="a"
          href={stageHref(bicycle.id, stage)}
          onClick={onStageClick(bicycle.id, stage)}
          aria-current={stage === current ? 'step' : undefined}
          sx={{
            flex: { xs: '0 0 auto', md: '1 1 0' },
            px: 1.5,
            py: 1.1,
            minHeight: 56,
            minWidth: 0,
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
            {label}
          </Box>
          <Box
            sx={{
              fontSize: '0.78rem',
              color: 'text.secondary',
              whiteSpace: 'nowrap',
              minHeight: '1.1em',
              overflow: 'hidden',
              textOverflow: 'ellipsis',
            }}
          >
            {noteOf(stage)}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
