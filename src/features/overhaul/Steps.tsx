'use client';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import { useEffect, useRef, type ReactNode } from 'react';
import { openSteps, type BearingBench, type OverhaulStep } from '@/core/bearings/benchTypes';
import { turnAt } from '@/core/strip/tray';
import { workedSteps } from '@/model/bearings/questions';
import type { Bearing } from '@/model/bearings/part';
import { Disclosure } from '@/ui/Disclosure';
import { StateMark } from '@/ui/StateMark';
import { NextOfThread, StageAction } from '../workshop/StageAction';
import { WhichWay } from '../workshop/WhichWay';
import { leftEmpty } from './parts';
import type { StageProps } from '../workshop/WorkshopProvider';

function Now({
  bicycle,
  step,
  onDone,
  onBack,
  children,
}: Pick<StageProps, 'bicycle'> & { step: OverhaulStep; onDone(): void; onBack(): void; children: ReactNode }) {
  const question = step.turn && turnAt({ turn: { ...step.turn, nuttedOnly: false } }, bicycle.kind, 'tighten');
  const title = useRef<HTMLDivElement>(null);
  const first = useRef(step.id);
  // The next step is read from its title, wherever the hand had scrolled to on the one before.
  useEffect(() => {
    if (first.current !== step.id) title.current?.scrollIntoView({ block: 'nearest' });
    first.current = step.id;
  }, [step.id]);
  return (
    <Box>
      <Box aria-live="polite" ref={title} sx={{ scrollMarginTop: 12 }}>
        <Box sx={{ fontSize: '1.45rem', fontWeight: 660, lineHeight: 1.25 }}>{step.title}</Box>
        {step.forget && <Box sx={{ mt: 0.75, fontSize: '1.05rem' }}>{step.forget}</Box>}
        {step.compound && (
          <Box sx={{ mt: 0.75 }}>
            <Box component="span" sx={{ color: 'text.secondary' }}>
              With{' '}
            </Box>
            <b>{step.compound}</b>
          </Box>
        )}
        {question && <WhichWay question={question} />}
      </Box>
      {children && <Box sx={{ mt: 2.5 }}>{children}</Box>}
      <StageAction label="Done, next" onDo={onDone} onBack={onBack} />
    </Box>
  );
}

/** The steps of this bearing: the one at hand large, all of them to look up and to take back. */
export function Steps({
  bicycle,
  send,
  bearing,
  bench,
  now,
  onNow,
  onBack,
  children,
}: StageProps & {
  bearing: Bearing;
  bench: BearingBench;
  /** The step at hand; null where every one is done. */
  now: OverhaulStep | null;
  onNow(step: string | null): void;
  onBack(): void;
  /** What the step at hand asks for. */
  children: ReactNode;
}) {
  const worked = workedSteps(bearing);
  const open = openSteps(bench.steps, worked);
  const work = (step: string, isDone: boolean) => {
    if (isDone !== worked.includes(step)) send({ type: 'overhaulStep', place: bearing.place, step, done: isDone });
    const then = isDone ? [...worked, step] : worked.filter((each) => each !== step);
    onNow(isDone ? (openSteps(bench.steps, then)[0]?.id ?? null) : step);
  };
  const empty = [
    ...new Set(
      bench.steps.flatMap((step) => (worked.includes(step.id) ? (leftEmpty(step, bearing, bench) ?? []) : [])),
    ),
  ];
  const done = bench.steps.filter((step) => worked.includes(step.id)).length;
  const canBe = new Set(open.map((step) => step.id));
  const title = (id: string) => bench.steps.find((step) => step.id === id)?.title.toLowerCase() ?? id;
  return (
    <>
      {now ? (
        <Now bicycle={bicycle} step={now} onDone={() => work(now.id, true)} onBack={onBack}>
          {children}
        </Now>
      ) : (
        <>
          <Box sx={{ fontSize: '1.3rem', fontWeight: 660, mb: 2 }}>
            <StateMark state={empty.length > 0 ? 'watch' : 'fine'} word={false} size={26} /> Every step is done
            {empty.length > 0 && `; left empty: ${empty.join(', ')}`}
          </Box>
          {children}
          <NextOfThread onBack={onBack} />
        </>
      )}
      <Disclosure
        summary={
          <>
            All {bench.steps.length} steps, {done} done
          </>
        }
      >
        <Box component="ol" sx={{ p: 0, m: 0, listStyle: 'none' }} aria-label="Steps of the overhaul">
          {bench.steps.map((step, i) => {
            const ticked = worked.includes(step.id);
            const waits = step.after.filter((id) => !worked.includes(id));
            return (
              <Box
                key={step.id}
                component="li"
                sx={{
                  display: 'grid',
                  gridTemplateColumns: '48px 26px minmax(0, 1fr)',
                  alignItems: 'start',
                  borderTop: '1px solid',
                  borderColor: 'divider',
                  py: 0.5,
                }}
              >
                <Checkbox
                  checked={ticked}
                  disabled={ticked ? !bearing.doneSteps.includes(step.id) : !canBe.has(step.id)}
                  sx={{ mt: -0.75 }}
                  slotProps={{ input: { 'aria-label': step.title } }}
                  onChange={() => work(step.id, !ticked)}
                />
                <Box sx={{ color: 'text.secondary', fontVariantNumeric: 'tabular-nums' }}>{i + 1}</Box>
                <Box>
                  <Box>{step.title}</Box>
                  {(step.compound || step.forget) && (
                    <Box sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>
                      {[step.compound && `With ${step.compound}.`, step.forget].filter(Boolean).join(' ')}
                    </Box>
                  )}
                  {!ticked && waits.length > 0 && waits.length < 4 && (
                    <Box sx={{ fontSize: '0.9rem' }}>First: {waits.map(title).join('; ')}</Box>
                  )}
                </Box>
              </Box>
            );
          })}
        </Box>
      </Disclosure>
    </>
  );
}
