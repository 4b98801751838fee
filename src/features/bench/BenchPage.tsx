'use client';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import { Close } from '@/ui/icons';
import { useSearchParams } from 'next/navigation';
import { Suspense, useCallback, useState, type ReactNode } from 'react';
import { knownPlace } from '@/core/vocabulary/vocabulary';
import type { Command } from '@/model/commands';
import type { Bicycle } from '@/model/record';
import { useBenchClock } from '../clock/useBenchClock';
import { WorkClock } from '../clock/WorkClock';
import { UndoButtons } from '../top-bar/UndoButtons';
import { WayBack } from '../top-bar/WayBack';
import { useTasks, type DeclaredTask, type Known } from '../workshop/declared';
import { useFindings } from '../workshop/useFindings';
import { useOpenBicycle } from '../workshop/useOpenBicycle';
import { useToday } from '../workshop/useToday';
import { useTrays } from '../workshop/useTrays';
import { useSettings, useWorkshop } from '../workshop/WorkshopProvider';
import { BenchFoot } from './BenchFoot';
import { Progress } from './Progress';
import { StepView } from './StepView';
import { useAwake } from './useAwake';
import { useBenchSteps } from './useBenchSteps';
import { useWalk } from './useWalk';

function Opening() {
  return (
    <p role="status" style={{ padding: '20vh 24px', textAlign: 'center' }}>
      Opening the bench…
    </p>
  );
}

function Heading({
  title,
  of,
  children,
  onLeave,
}: {
  title: string;
  of: string;
  children: ReactNode;
  onLeave(): void;
}) {
  return (
    <Box component="header" sx={{ display: 'flex', alignItems: 'center', gap: 2, px: { xs: 1.5, md: 3 }, pt: 1 }}>
      <IconButton aria-label="Leave the bench" onClick={onLeave}>
        <Close />
      </IconButton>
      <Box
        sx={{
          flex: 1,
          minWidth: 0,
          fontWeight: 620,
          overflow: 'hidden',
          textOverflow: 'ellipsis',
          whiteSpace: 'nowrap',
        }}
      >
        <Box component="h1" sx={{ all: 'unset', fontWeight: 640 }}>
          {title}
        </Box>
        <Box component="span" sx={{ color: 'text.secondary', fontWeight: 400 }}>
          {' '}
          · {of}
        </Box>
      </Box>
      {children}
    </Box>
  );
}

function OpenBench({ bicycle, task, place }: { bicycle: Bicycle; task: DeclaredTask; place: string }) {
  const workshop = useWorkshop();
  const settings = useSettings();
  const send = useCallback((command: Command) => workshop.send(bicycle.id, command), [workshop, bicycle.id]);
  const known: Known = { settings, lookOver: useFindings(bicycle), trays: useTrays(bicycle) };
  const around = { settings, today: useToday() };
  const { steps, of, pending } = useBenchSteps(bicycle, task.id, place, known, around);
  const { index, last, go, leave, forward, pass, finished } = useWalk({ bicycle, send }, task, place, steps);
  const owned = steps[index];
  const step = owned?.step;
  // A step of the kept jobs is a job itself.
  const job = bicycle.jobs.some(({ id, done }) => id === step?.id && !done) ? (step?.id ?? null) : null;
  const clock = useBenchClock(bicycle, send, task.timedAs ?? task.stage, step?.place ?? null, job);
  const awake = useAwake();
  return (
    <Box sx={{ minHeight: '100dvh', display: 'flex', flexDirection: 'column', bgcolor: 'sheet.paper' }}>
      <Heading title={of ? `${task.label}: ${of}` : task.label} of={bicycle.name} onLeave={() => leave(false)}>
        <UndoButtons bicycleId={bicycle.id} />
        <WorkClock bicycle={bicycle} send={send} stage={task.stage} clock={clock} />
      </Heading>
      <Box component="nav" aria-label="Steps of the job" sx={{ px: { xs: 1.5, md: 5.5 } }}>
        <Progress steps={steps.map((each) => each.step)} at={index} onGo={go} />
      </Box>
      {owned ? (
        <StepView
          key={owned.step.id}
          bicycle={bicycle}
          send={send}
          owned={owned}
          number={index + 1}
          of={steps.length}
          lookOver={known.lookOver}
        />
      ) : (
        <Box
          component="main"
          sx={{ flex: 1, display: 'grid', placeItems: 'center', p: 4, fontSize: '1.6rem', textAlign: 'center' }}
        >
          {pending || !task.empty ? 'Getting the steps…' : task.empty}
        </Box>
      )}
      <BenchFoot
        bicycle={bicycle}
        step={step}
        index={index}
        last={last}
        finished={finished}
        empty={[...new Set(steps.flatMap((each) => each.step.leftEmpty ?? []))]}
        onBack={() => go(index - 1)}
        onForward={forward}
        onPass={pass}
      />
      <Box className="visually-hidden" role="status">
        {awake === 'awake' ? 'The screen stays awake.' : ''}
      </Box>
    </Box>
  );
}

/** The bench as the address says, else where it was left; leaving it clears that and must not turn to another job. */
function LeftBench({ bicycle }: { bicycle: Bicycle }) {
  const params = useSearchParams();
  const tasks = useTasks();
  const [left] = useState(bicycle.bench);
  const taskOf = (id: string | null | undefined) => tasks.find((task) => task.id === id);
  const task = taskOf(params.get('task')) ?? taskOf(left?.task) ?? tasks[0];
  if (!task) return null;
  const leftPlace = left && taskOf(left.task)?.byPlace ? left.place : null;
  const place = knownPlace(params.get('place')) ?? leftPlace ?? 'hub.front';
  return (
    <Suspense fallback={<Opening />}>
      <OpenBench key={`${task.id} ${place}`} bicycle={bicycle} task={task} place={place} />
    </Suspense>
  );
}

/** The bench: one job, one step at a time, full screen. */
export function BenchPage() {
  const params = useSearchParams();
  const { bicycle, missing } = useOpenBicycle(params.get('id') ?? '');
  if (missing)
    return (
      <WayBack
        title="There is no such bicycle here"
        detail="It may have been kept in another browser, or in the other workshop."
      />
    );
  return bicycle ? <LeftBench key={bicycle.id} bicycle={bicycle} /> : <Opening />;
}
