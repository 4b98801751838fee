'use client';
import { knownPlace } from '@/core/vocabulary/vocabulary';
import Close from '@mui/icons-material/Close';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import { useRouter, useSearchParams } from 'next/navigation';
import { useCallback, useEffect, useState } from 'react';
import { detailOf } from '@/core/drawing/details';
import type { Assembly } from '@/core/strip/assembly';
import type { Command } from '@/model/commands';
import type { Bicycle } from '@/model/record';
import type { Stage } from '@/model/stages';
import { BENCH_TASKS, type BenchTask } from '@/model/work/part';
import { bearingFor } from '@/model/bearings/bearingFor';
import { countsOf } from '@/model/bearings/questions';
import { runningTimers } from '@/model/clean/timers';
import { boltsInput } from '@/model/rebuild/questions';
import { trayFor, partsOff } from '@/model/strip/trays';
import { DetailDrawing } from '@/ui/drawing/DetailDrawing';
import { clockTime } from '@/ui/format';
import { useKeys } from '@/ui/keys/useKeys';
import { UndoButtons } from '../bike/UndoButtons';
import { useBenchClock } from '../bike/useBenchClock';
import { useFindings } from '../bike/useFindings';
import { WayBack } from '../bike/WayBack';
import { WorkClock } from '../bike/WorkClock';
import { StepPhotos } from '../photos/StepPhotos';
import { useTrays } from '../strip/useTrays';
import { WhichWay } from '../strip/WhichWay';
import { useNow } from '../workshop/useNow';
import { useOpenBicycle } from '../workshop/useOpenBicycle';
import { useReckon } from '../workshop/useReckon';
import { useSettings, useWorkshop } from '../workshop/WorkshopProvider';
import { Asks } from './Asks';
import { BearingAsk } from '../overhaul/BearingAsk';
import { BearingAside } from '../overhaul/BearingDrawing';
import { partOf } from '../overhaul/parts';
import { useBenches } from '../overhaul/useBenches';
import { Progress } from './Progress';
import { benchSteps, firstStep, TASK_WORDS, type BenchStep } from './steps';
import { useAwake } from './useAwake';

const atTray = (task: BenchTask) => task === 'strip' || task === 'put-back' || task === 'overhaul';

/** What an empty task says. */
const NO_STEPS: Partial<Record<BenchTask, string>> = {
  'put-back': 'The tray is empty: nothing is off here.',
  jobs: 'No job has been kept yet: decide first.',
};

const STAGE_OF_TASK: Record<BenchTask, Stage> = {
  'look-over': 'look-over',
  jobs: 'decide',
  strip: 'strip',
  overhaul: 'overhaul',
  'put-back': 'overhaul',
  torque: 'rebuild',
  prove: 'prove',
};

function Timers({ bicycle }: { bicycle: Bicycle }) {
  const now = useNow(1000);
  const timers = runningTimers(bicycle);
  if (timers.length === 0) return null;
  return (
    <Box sx={{ fontSize: '1.05rem' }}>
      {timers.map(({ timer, dueAtMs }) => (
        <Box key={timer.id} sx={{ fontWeight: dueAtMs <= now.getTime() ? 700 : 400 }}>
          {dueAtMs <= now.getTime()
            ? `Time is up: ${timer.label}`
            : `${timer.label}: out by ${clockTime(new Date(dueAtMs))}`}
        </Box>
      ))}
    </Box>
  );
}

function OpenBench({ bicycle, task, place }: { bicycle: Bicycle; task: BenchTask; place: string }) {
  const workshop = useWorkshop();
  const router = useRouter();
  const { letterKeys } = useSettings();
  const send = useCallback((command: Command) => workshop.send(bicycle.id, command), [workshop, bicycle.id]);
  const findings = useFindings(bicycle)?.findings ?? [];
  const { output } = useReckon('rebuild.bolts', boltsInput(bicycle));
  const bolts = output?.bolts ?? [];
  const trays = useTrays(bicycle);
  const assembly = trays?.trays.find((each) => each.place === place) ?? null;
  const bearing = useBenches(bicycle)?.benches.find((each) => each.place === place) ?? null;
  const atBearing = task === 'overhaul' ? bearing : null;
  const steps = benchSteps(task, bicycle, { assembly, bench: bearing, bolts, findings });
  const left =
    bicycle.bench?.task === task && (!atTray(task) || bicycle.bench.place === place) ? bicycle.bench.step : null;
  const [at, setAt] = useState<string | null>(left);
  const index = firstStep(steps, at ?? left);
  const step = steps[index];
  const working = atBearing?.steps.find((each) => each.id === step?.id);
  // Where much is asked the hand is near the screen, and what it asks must fit beneath the title.
  const asksMuch = Boolean(atBearing && working && partOf(working, atBearing));
  const stage = STAGE_OF_TASK[task];
  // Hours of a job are hours of work, whichever page it is kept on.
  const clock = useBenchClock(bicycle, send, task === 'jobs' ? 'overhaul' : stage, step?.place ?? null);
  const awake = useAwake();
  const finished = steps.length > 0 && steps.every((each) => each.done);
  const last = index === steps.length - 1;

  // Where the bench stands is kept, so that it opens there again after a crash and on another day.
  const stepId = step?.id ?? null;
  useEffect(() => {
    if (!stepId || !step) return;
    if (left !== stepId) send({ type: 'benchAt', bench: { place: step.place, task, step: stepId } });
  }, [stepId]); // oxlint-disable-line react/exhaustive-deps -- once a step, not once a change of the record

  const go = (to: number) => setAt(steps[Math.min(Math.max(to, 0), steps.length - 1)]?.id ?? null);
  const leave = (put: boolean) => {
    if (put) send({ type: 'benchAt', bench: null });
    const tray = task === 'strip' || task === 'overhaul' ? `&tray=${place}` : '';
    router.push(`/bike?id=${encodeURIComponent(bicycle.id)}&stage=${stage}${tray}`);
  };
  const forward = () => {
    if (!step) return;
    if (step.waitsFor && !step.done) {
      workshop.say(step.waitsFor);
      return;
    }
    if (step.finish && !step.done) send(step.finish);
    if (last) leave(steps.every((each) => each.done || each.id === step.id));
    else go(index + 1);
  };
  const count = (by: number) => {
    if (!step?.count) return;
    const { side, what } = step.count;
    const was = countsOf(bearingFor(bicycle, step.place), side)[what] ?? 0;
    send({
      type: 'countBalls',
      place: step.place,
      side,
      changes: { [what]: Math.min(200, Math.max(0, was + by)), answer: null },
    });
  };
  useKeys(
    ['bench'],
    {
      'step-done': forward,
      'step-back': () => go(index - 1),
      'leave-bench': () => leave(false),
      'ball-more': () => count(1),
      'ball-less': () => count(-1),
      'bench-photo': () => document.getElementById('bench-photo')?.click(),
    },
    letterKeys,
    true,
  );
  const detail = step ? detailOf(step.place, bicycle.kind) : null;
  const tray = step ? trayFor(bicycle, step.place) : null;
  const off = tray ? partsOff(tray) : [];
  return (
    <Box sx={{ minHeight: '100dvh', display: 'flex', flexDirection: 'column', bgcolor: 'sheet.paper' }}>
      <Box component="header" sx={{ display: 'flex', alignItems: 'center', gap: 2, px: { xs: 1.5, md: 3 }, pt: 1 }}>
        <IconButton aria-label="Leave the bench" onClick={() => leave(false)}>
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
            {TASK_WORDS[task]}
            {atTray(task) && assembly && `: ${assembly.title.toLowerCase()}`}
          </Box>
          <Box component="span" sx={{ color: 'text.secondary', fontWeight: 400 }}>
            {' '}
            · {bicycle.name}
          </Box>
        </Box>
        <UndoButtons bicycleId={bicycle.id} />
        <WorkClock bicycle={bicycle} send={send} stage={stage} clock={clock} />
      </Box>
      <Box component="nav" aria-label="Steps of the job" sx={{ px: { xs: 1.5, md: 3 } }}>
        <Progress steps={steps} at={index} onGo={go} />
      </Box>
      {step ? (
        <Box
          component="main"
          key={step.id}
          sx={{
            flex: 1,
            display: 'grid',
            gridTemplateColumns: {
              xs: 'minmax(0, 1fr)',
              md:
                (detail && (step.parts.length > 0 || task === 'jobs')) || atBearing
                  ? 'minmax(0, 1.25fr) minmax(0, 1fr)'
                  : 'minmax(0, 1fr)',
            },
            gap: { xs: 2, md: 5 },
            px: { xs: 2, md: 6 },
            py: { xs: 1.5, md: 3 },
            alignContent: 'start',
          }}
        >
          <Box>
            <Box sx={{ color: 'text.secondary', fontSize: '1.1rem' }}>
              Step {index + 1} of {steps.length}
              {step.done && ', done'}
            </Box>
            <Box
              component="h2"
              aria-live="polite"
              sx={{
                m: 0,
                fontSize: { xs: '1.9rem', md: asksMuch ? '2.4rem' : '3.6rem' },
                lineHeight: 1.08,
                fontWeight: 680,
                letterSpacing: '-0.015em',
                textWrap: 'balance',
                overflowWrap: 'anywhere',
              }}
            >
              {step.title}
            </Box>
            {step.large && (
              <Box
                sx={{
                  fontSize: { xs: '2.8rem', md: '5.4rem' },
                  fontWeight: 700,
                  lineHeight: 1.1,
                  letterSpacing: '-0.025em',
                  mt: 1,
                  color: 'primary.main',
                }}
              >
                {step.large}
              </Box>
            )}
            {step.aside && (
              <Box sx={{ fontSize: { xs: '1.1rem', md: '1.4rem' }, mt: 1, maxWidth: '46ch' }}>{step.aside}</Box>
            )}
            {step.turn && (
              <Box sx={{ mt: 1.5 }}>
                <WhichWay question={step.turn} large />
              </Box>
            )}
            {step.tool && (
              <Box sx={{ fontSize: { xs: '1.1rem', md: '1.35rem' }, mt: 1 }}>
                <Box component="span" sx={{ color: 'text.secondary' }}>
                  Tool:{' '}
                </Box>
                {step.tool}
              </Box>
            )}
            {step.forget && (
              <Box
                sx={{
                  fontSize: { xs: '1.2rem', md: asksMuch ? '1.25rem' : '1.8rem' },
                  fontWeight: 620,
                  mt: 2,
                  borderLeft: '5px solid',
                  borderColor: 'text.primary',
                  pl: 2,
                  maxWidth: '40ch',
                }}
              >
                {step.forget}
              </Box>
            )}
            <Box sx={{ mt: 2.5 }}>
              <Asks bicycle={bicycle} send={send} task={task} step={step} bolts={bolts} />
              {atBearing && <BearingAsk bicycle={bicycle} send={send} bench={atBearing} step={step.id} />}
            </Box>
          </Box>
          <Box>
            {detail && (step.parts.length > 0 || task === 'jobs') && (
              <DetailDrawing detail={detail} hand={step.parts} off={off} />
            )}
            {atBearing && (
              <Box sx={{ display: { xs: 'none', md: 'block' } }}>
                <BearingAside bicycle={bicycle} send={send} bench={atBearing} />
              </Box>
            )}
            <StepPhotos
              bicycle={bicycle}
              send={send}
              place={step.place}
              step={photoStep(task, step, assembly)}
              title={step.title}
              height={150}
              inputId="bench-photo"
            />
          </Box>
        </Box>
      ) : (
        <Box
          component="main"
          sx={{ flex: 1, display: 'grid', placeItems: 'center', p: 4, fontSize: '1.6rem', textAlign: 'center' }}
        >
          {NO_STEPS[task] ?? 'Getting the steps…'}
        </Box>
      )}
      <Box component="footer" sx={{ position: 'sticky', bottom: 0, zIndex: 2 }}>
        <Box sx={{ px: { xs: 2, md: 6 }, pb: 1, bgcolor: 'sheet.paper' }}>
          <Timers bicycle={bicycle} />
          {finished && <Box sx={{ fontWeight: 640 }}>Every step is done.</Box>}
          {step?.waitsFor && !step.done && <Box role="status">{step.waitsFor}</Box>}
        </Box>
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 3fr' }}>
          <Button
            onClick={() => go(index - 1)}
            disabled={index === 0}
            variant="outlined"
            color="inherit"
            sx={{
              minHeight: { xs: 76, md: 92 },
              borderRadius: 0,
              fontSize: '1.2rem',
              bgcolor: 'sheet.paper',
              '&:hover': { bgcolor: 'sheet.soft' },
            }}
          >
            Back
          </Button>
          <Button
            onClick={forward}
            disabled={!step}
            variant="contained"
            aria-keyshortcuts="Space"
            sx={{ minHeight: { xs: 76, md: 92 }, borderRadius: 0, fontSize: { xs: '1.4rem', md: '1.7rem' } }}
          >
            {forwardWords(step, last)}
          </Button>
        </Box>
      </Box>
      <Box className="visually-hidden" role="status">
        {awake === 'awake' ? 'The screen stays awake.' : ''}
      </Box>
    </Box>
  );
}

/** Photographs of a part's way off are shown on its way back. */
function photoStep(task: BenchTask, step: BenchStep, assembly: Assembly | null): string {
  if (task !== 'put-back' || !assembly) return step.id;
  return assembly.steps.find((each) => each.takes.includes(step.id))?.id ?? step.id;
}

function forwardWords(step: BenchStep | undefined, last: boolean): string {
  if (!step) return '…';
  if (last) return step.done || !step.finish ? 'Back to the sheet' : 'Done, that is all';
  return step.finish && !step.done ? 'Done, next step' : 'Next';
}

/** The bench as the address says, else where it was left; leaving it clears that and must not turn to another job. */
function LeftBench({ bicycle }: { bicycle: Bicycle }) {
  const params = useSearchParams();
  const [left] = useState(bicycle.bench);
  const task = BENCH_TASKS.find((each) => each === params.get('task')) ?? left?.task ?? 'look-over';
  const leftAt = left && atTray(left.task) ? left.place : null;
  const place = knownPlace(params.get('place')) ?? leftAt ?? 'hub.front';
  return <OpenBench key={`${task} ${place}`} bicycle={bicycle} task={task} place={place} />;
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
  if (!bicycle)
    return (
      <p role="status" style={{ padding: '20vh 24px', textAlign: 'center' }}>
        Opening the bench…
      </p>
    );
  return <LeftBench key={bicycle.id} bicycle={bicycle} />;
}
