'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { hours } from '@/ui/format';
import { momentWords } from './planWords';
import { taskHref } from './taskHref';
import type { OpenTask, WholePlan } from './usePlan';

/** One task of the plan: where it lies, why it takes so long, and where else it may go, by thumb or keys. */
export function Chosen({
  task,
  whole: { plan, zeroMs },
  name,
  pinned,
  onMove,
  onLetGo,
}: {
  task: OpenTask;
  whole: WholePlan;
  name: string;
  pinned: boolean;
  onMove(by: -1 | 1): void;
  onLetGo(): void;
}) {
  const from = plan?.plan.find((piece) => piece.task === task.id)?.fromMin;
  return (
    <Box
      role="region"
      aria-label="The task chosen"
      sx={{ mt: 1.5, borderLeft: '4px solid', borderColor: 'primary.main', pl: 2 }}
    >
      <Box sx={{ fontWeight: 660, fontSize: '1.1rem' }}>
        {task.label}, {name}
      </Box>
      <Box sx={{ color: 'text.secondary' }}>
        {from === undefined ? 'Not planned' : momentWords(zeroMs + from * 60_000)}; {hours(task.range.low)} to{' '}
        {hours(task.range.high)}
        {task.why && `; ${task.why}`}
        {task.latest && `; out by ${momentWords(Date.parse(task.latest))} at the latest`}
      </Box>
      <Box sx={{ display: 'flex', gap: 1, mt: 1, flexWrap: 'wrap' }}>
        <Button variant="outlined" color="inherit" sx={{ minHeight: 48 }} onClick={() => onMove(-1)}>
          A session earlier
        </Button>
        <Button variant="outlined" color="inherit" sx={{ minHeight: 48 }} onClick={() => onMove(1)}>
          A session later
        </Button>
        {pinned && (
          <Button color="inherit" sx={{ minHeight: 48 }} onClick={onLetGo}>
            Let the plan decide
          </Button>
        )}
        <Button component={Link} href={taskHref(task)} color="inherit" sx={{ minHeight: 48 }}>
          Open it
        </Button>
      </Box>
    </Box>
  );
}
