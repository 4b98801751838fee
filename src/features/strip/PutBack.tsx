'use client';
import { own } from '@/core/own';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { ballsDue, checkCounts } from '@/core/bearings/counts';
import { backwards, ballRowOf, partIn, partWords, skippedBy, turnAt } from '@/core/strip/tray';
import { bearingFor } from '@/model/bearings/bearingFor';
import { countsOf } from '@/model/bearings/questions';
import { isSettled, orderOf } from '@/model/strip/trays';
import { Disclosure } from '@/ui/Disclosure';
import { RuledList } from '@/ui/RuledList';
import { stateColour } from '@/ui/StateMark';
import { StepPhotos } from '../photos/StepPhotos';
import { Instead } from '../stock/Instead';
import { CountOut } from './CountOut';
import { CountQuestion } from './CountQuestion';
import type { TrayProps } from './TakeApart';
import { NextOfThread, StageAction } from '../workshop/StageAction';
import { WhichWay } from '../workshop/WhichWay';

/** The tray read from its other end. A part that would be passed over is named before it can be. */
export function PutBack({ bicycle, send, assembly, tray, onBack }: TrayProps & { onBack(): void }) {
  const bearing = bearingFor(bicycle, tray.place);
  const cameOff = orderOf(tray);
  const [asked, setAsked] = useState<string | null>(null);
  const order = backwards(cameOff);
  const next = order.find((id) => !isSettled(tray, id));
  const named = (id: string) => partWords(partIn(assembly, tray.extra, id));
  const put = (part: string, back: boolean) => {
    setAsked(null);
    send({ type: 'putBack', place: tray.place, part, back });
  };
  if (order.length === 0)
    return <Typography sx={{ color: 'text.secondary' }}>Nothing is off here: there is nothing to put back.</Typography>;
  const row = (id: string) => {
    const part = partIn(assembly, tray.extra, id);
    const step = assembly.steps.find((each) => each.takes.includes(id));
    const row = ballRowOf(id);
    const due = row ? ballsDue(countsOf(bearing, row)) : null;
    const back = tray.backIn.includes(id);
    const current = id === next;
    const question = step ? turnAt(step, bicycle.kind, 'tighten') : null;
    const over = skippedBy(id, cameOff, [...tray.backIn, ...tray.leftOff]);
    const gone = own(tray.marks, id);
    const uncounted = row !== null && countsOf(bearing, row).in === null;
    return (
      <Box component="li" key={id} sx={{ py: 0.5, color: back ? 'text.secondary' : 'text.primary' }}>
        <Box sx={{ display: 'grid', gridTemplateColumns: '56px minmax(0, 1fr)', gap: 0.5 }}>
          <Checkbox
            checked={back}
            slotProps={{ input: { 'aria-label': `Back in: ${named(id)}` } }}
            onChange={(event) => {
              if (event.target.checked && over.length > 0) setAsked(id);
              else put(id, event.target.checked);
            }}
            sx={{ alignSelf: 'start', width: 56, height: 56 }}
          />
          <Box sx={{ pt: current ? 1.4 : 1.9, pb: current ? 1.5 : 0 }}>
            <Box sx={{ fontWeight: 640, fontSize: current ? '1.3rem' : '1rem', lineHeight: 1.25 }}>
              {named(id)}
              {due !== null && (
                <Box component="span" sx={{ color: 'primary.main' }}>
                  {' '}
                  · {due} belong
                </Box>
              )}
            </Box>
            {part.facing && <Box sx={{ fontSize: current ? '1.1rem' : '0.9rem' }}>{part.facing}</Box>}
            {tray.fates[id] && (
              <Box sx={{ color: stateColour('replace'), fontWeight: 620 }}>
                {tray.fates[id] === 'stock' ? 'This one went into stock' : 'This one was scrapped'}: another goes in
                here.
              </Box>
            )}
            {tray.leftOff.includes(id) && <Box sx={{ color: 'text.secondary' }}>Left off on purpose.</Box>}
            {gone && (
              <>
                <Box sx={{ color: stateColour('replace'), fontWeight: 620 }}>
                  {gone === 'missing' ? 'It was missing' : gone === 'wrong' ? 'It was the wrong part' : 'It is worn'}:
                  the right one first.
                </Box>
                <Instead place={tray.place} label={part.label} mark={gone} />
              </>
            )}
            {asked === id && (
              <Box role="alert" sx={{ mt: 1, borderLeft: '3px solid', borderColor: stateColour('replace'), pl: 1.5 }}>
                <b>
                  {over.length === 1 ? 'One part goes' : `${over.length} parts go`} in before it:{' '}
                  {over.map(named).join('; ')}.
                </b>
                <Box sx={{ display: 'flex', gap: 1, mt: 1, flexWrap: 'wrap' }}>
                  <Button variant="contained" sx={{ minHeight: 56 }} onClick={() => setAsked(null)}>
                    Those first
                  </Button>
                  <Button variant="outlined" color="inherit" sx={{ minHeight: 56 }} onClick={() => put(id, true)}>
                    It is back in all the same
                  </Button>
                </Box>
              </Box>
            )}
            {current && (
              <>
                {question && <WhichWay question={question} />}
                {row && <CountOut send={send} assembly={assembly} bearing={bearing} row={row} what="in" />}
                {row && (
                  <CountQuestion
                    check={checkCounts(countsOf(bearing, row))}
                    answer={countsOf(bearing, row).answer}
                    onAnswer={(answer) =>
                      send({ type: 'countBalls', place: tray.place, side: row, changes: { answer } })
                    }
                  />
                )}
                {step && (
                  <StepPhotos
                    bicycle={bicycle}
                    send={send}
                    place={tray.place}
                    step={step.id}
                    title={step.title}
                    height={130}
                  />
                )}
                <StageAction
                  label="It is back in"
                  waits={uncounted ? 'Count them in first.' : null}
                  onDo={() => put(id, true)}
                  onBack={onBack}
                />
              </>
            )}
          </Box>
        </Box>
      </Box>
    );
  };
  const back = order.filter((id) => tray.backIn.includes(id));
  return (
    <>
      {next === undefined ? (
        <>
          <Typography sx={{ mb: 1, fontWeight: 620 }}>All of it is back in.</Typography>
          <NextOfThread onBack={onBack} />
        </>
      ) : (
        <RuledList>{row(next)}</RuledList>
      )}
      <Disclosure
        summary={
          <>
            All {order.length} parts, {back.length} back in
          </>
        }
      >
        <RuledList ordered aria-label="Put back, last off first">
          {order.filter((id) => id !== next).map(row)}
        </RuledList>
      </Disclosure>
    </>
  );
}
