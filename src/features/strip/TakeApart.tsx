'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import { checkAlike } from '@/core/bearings/counts';
import type { StripOrder } from '@/core/strip/order';
import { ballRowLabel, turnAt, type Assembly, type AssemblyStep } from '@/core/strip/tray';
import type { Tray } from '@/model/strip/part';
import { isUnread, UNREAD_WORDS } from '@/model/strip/reads';
import { bearingFor } from '@/model/bearings/bearingFor';
import { countsOf } from '@/model/bearings/questions';
import { Disclosure } from '@/ui/Disclosure';
import { RuledList } from '@/ui/RuledList';
import { stateColour } from '@/ui/StateMark';
import { StepPhotos } from '../photos/StepPhotos';
import type { StageProps } from '../workshop/WorkshopProvider';
import { OPEN_GAUGES } from '../top-bar/openGauges';
import { CountOut } from './CountOut';
import { CountQuestion } from './CountQuestion';
import { Tricks } from './Tricks';
import { NextOfThread, StageAction } from '../workshop/StageAction';
import { WhichWay } from '../workshop/WhichWay';

export interface TrayProps extends StageProps {
  assembly: Assembly;
  tray: Tray;
}

function Step({
  bicycle,
  send,
  assembly,
  tray,
  step,
  number,
  current,
  blocked,
  onBack,
}: TrayProps & { step: AssemblyStep; number: number; current: boolean; blocked: string[]; onBack(): void }) {
  const done = tray.doneSteps.includes(step.id);
  const question = turnAt(step, bicycle.kind, 'loosen');
  const mark = (to: boolean) =>
    send({ type: 'markStep', place: assembly.place, step: step.id, done: to, takes: step.takes });
  const bearing = bearingFor(bicycle, tray.place);
  const uncounted = step.count !== null && countsOf(bearing, step.count).out === null;
  const unread = isUnread(bicycle, assembly.place, step);
  return (
    <Box component="li" sx={{ py: 0.5, color: done && !current ? 'text.secondary' : 'text.primary' }}>
      <Box sx={{ display: 'grid', gridTemplateColumns: '56px minmax(0, 1fr)', gap: 0.5 }}>
        <Checkbox
          checked={done}
          disabled={!done && unread}
          onChange={(event) => mark(event.target.checked)}
          slotProps={{ input: { id: `step-${step.id}`, 'aria-label': `Step ${number}: ${step.title}` } }}
          sx={{ alignSelf: 'start', width: 56, height: 56 }}
        />
        <Box sx={{ pt: current ? 1.4 : 1.9, pb: current ? 1 : 0 }}>
          <Box sx={{ fontWeight: 620, fontSize: current ? '1.3rem' : '1rem', lineHeight: 1.25 }}>{step.title}</Box>
          {current && (
            <>
              <Box sx={{ mt: 0.5 }}>
                <Box component="span" sx={{ color: 'text.secondary' }}>
                  Tool:{' '}
                </Box>
                {step.tool}
              </Box>
              {blocked.map((words) => (
                <Box
                  key={words}
                  role="note"
                  sx={{
                    mt: 1,
                    borderLeft: '3px solid',
                    borderColor: stateColour('service'),
                    pl: 1.5,
                    maxWidth: '58ch',
                  }}
                >
                  {words}
                </Box>
              ))}
              {question && <WhichWay question={question} />}
              {step.forget && (
                <Box sx={{ mt: 0.5, maxWidth: '58ch' }}>
                  <b>Often forgotten:</b> {step.forget}
                </Box>
              )}
              {step.photo && (
                <StepPhotos bicycle={bicycle} send={send} place={assembly.place} step={step.id} title={step.title} />
              )}
            </>
          )}
          {step.count && (current || done) && (
            <CountOut send={send} assembly={assembly} bearing={bearing} row={step.count} what="out" />
          )}
          {current && (
            <>
              <StageAction
                label="Done, next step"
                waits={uncounted ? 'Count them out first.' : unread ? UNREAD_WORDS : null}
                onDo={() => mark(true)}
                onBack={onBack}
              />
              {unread && (
                <Box sx={{ mt: 2, display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
                  <Button
                    variant="outlined"
                    sx={{ minHeight: 56 }}
                    onClick={() => window.dispatchEvent(new Event(OPEN_GAUGES))}
                  >
                    Measure it
                  </Button>
                  <Box sx={{ fontSize: '0.9rem' }}>
                    Put it on the record from the gauge drawer; a thread that nobody has read is not identified.
                  </Box>
                </Box>
              )}
              <Tricks bicycle={bicycle} send={send} assembly={assembly.id} step={step.id} />
            </>
          )}
        </Box>
      </Box>
    </Box>
  );
}

/** The steps of one assembly, the one at hand opened: tool, which way, what is forgotten, photograph, count. */
export function TakeApart({
  bicycle,
  send,
  assembly,
  tray,
  order,
  onBack,
}: TrayProps & { order: StripOrder | null; onBack(): void }) {
  const current = assembly.steps.find((step) => !tray.doneSteps.includes(step.id));
  const bearing = bearingFor(bicycle, tray.place);
  const by = order?.blocked.find((each) => each.place === assembly.place)?.by ?? [];
  const alike = checkAlike(
    assembly.balls.map((row) => ({ ...row, label: ballRowLabel(row.id), counts: countsOf(bearing, row.id) })),
  );
  const firstRow = assembly.balls[0]?.id;
  const done = assembly.steps.filter((step) => tray.doneSteps.includes(step.id));
  const row = (step: AssemblyStep) => (
    <Step
      key={step.id}
      bicycle={bicycle}
      send={send}
      assembly={assembly}
      tray={tray}
      step={step}
      number={assembly.steps.indexOf(step) + 1}
      current={step.id === current?.id}
      onBack={onBack}
      blocked={
        step.id === current?.id ? [...new Set(by.filter((each) => each.at === step.id).map((each) => each.why))] : []
      }
    />
  );
  return (
    <>
      {firstRow && (
        <CountQuestion
          check={alike}
          answer={assembly.balls.map((row) => countsOf(bearing, row.id).answer).find((each) => each !== null) ?? null}
          onAnswer={(answer) => send({ type: 'countBalls', place: tray.place, side: firstRow, changes: { answer } })}
        />
      )}
      {current && <RuledList>{row(current)}</RuledList>}
      <Disclosure
        summary={
          <>
            All {assembly.steps.length} steps, {done.length} done
          </>
        }
      >
        <RuledList ordered aria-label="Steps of this tray">
          {assembly.steps.filter((step) => step !== current).map(row)}
        </RuledList>
      </Disclosure>
      {!current && <NextOfThread onBack={onBack} />}
    </>
  );
}
