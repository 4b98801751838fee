'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { Found, TubeSide } from '@/core/tyres/puncture';
import type { Puncture } from '@/model/tyres/part';
import { whyFlatInput } from '@/model/tyres/questions';
import type { WheelEnd } from '@/model/wheels/part';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { Choices } from '@/ui/Choices';
import { dayOf } from '@/ui/format';
import { ReadingField } from '@/ui/ReadingField';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { useHand } from '../workshop/useHand';
import { useReckon } from '../workshop/useReckon';
import type { StageProps } from '../workshop/WorkshopProvider';

const HOLES: { id: Puncture['holes']; label: string }[] = [
  { id: 'one', label: 'One hole' },
  { id: 'two', label: 'Two side by side' },
  { id: 'at-valve', label: 'At the valve' },
  { id: 'seam', label: 'Along a seam' },
];
const SIDES: { id: TubeSide; label: string }[] = [
  { id: 'tread', label: 'Towards the tread' },
  { id: 'rim', label: 'Towards the rim' },
  { id: 'left', label: 'Left' },
  { id: 'right', label: 'Right' },
  { id: 'unknown', label: 'Cannot tell' },
];
const FOUND: { id: Found; label: string }[] = [
  { id: 'in-tyre', label: 'In the tyre' },
  { id: 'tape', label: 'The tape' },
  { id: 'spoke-end', label: 'A spoke’s end' },
  { id: 'pinched', label: 'Pinched' },
  { id: 'valve', label: 'The valve' },
  { id: 'old', label: 'An old tube' },
  { id: 'nothing', label: 'Nothing' },
];
const cm = (mm: number) => `${Math.round(mm / 10)} cm`;

/** One hole: what it is like, where to look, what was found; mended only once a cause was found, or said not to be. */
function Hole({ bicycle, send, row }: StageProps & { row: Puncture }) {
  const { output } = useReckon('tyres.whyFlat', whyFlatInput(bicycle, row));
  const put = (changes: Partial<Puncture>) => send({ type: 'putPuncture', puncture: { ...row, ...changes } });
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Choices label="The hole" options={HOLES} value={row.holes} onChoose={(holes) => put({ holes })} />
      <Choices label="On the tube" options={SIDES} value={row.side} onChoose={(side) => put({ side })} />
      <Box data-readings>
        <ReadingField
          label="From the valve"
          kind="signed"
          unit="mm"
          width={220}
          help="the way the wheel rolls is more"
          value={row.fromValveMm}
          onCommit={(fromValveMm) => put({ fromValveMm })}
          onClear={() => put({ fromValveMm: null })}
          refuse={(value) => (Math.abs(value) > 1200 ? 'half of a wheel at most: 1200 mm' : null)}
        />
      </Box>
      {output && (
        <Box role="status" aria-label="Where to look">
          <Box sx={{ fontWeight: 640, fontSize: '1.15rem' }}>{output.words}</Box>
          {output.verdict !== 'found' && (
            <RuledList>
              {output.places.map(({ id, label, look, mm, otherwiseMm, spoke, again }) => (
                <Box component="li" key={id} sx={{ py: 1 }}>
                  <b>{label}</b>
                  {mm !== null && (
                    <Box component="span" sx={{ fontWeight: 640 }}>
                      {' '}
                      · {cm(mm)} on from the valve
                      {spoke !== null && `, at spoke ${spoke + 1}`}
                      {otherwiseMm !== null && `; or ${cm(otherwiseMm)}, if the tube was turned over`}
                    </Box>
                  )}
                  <Box>{look}</Box>
                  {again && <Box sx={{ color: 'text.secondary' }}>{again}</Box>}
                </Box>
              ))}
            </RuledList>
          )}
        </Box>
      )}
      <Choices label="What was there" options={FOUND} value={row.found} onChoose={(found) => put({ found })} />
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button
          variant="contained"
          sx={{ minHeight: 56 }}
          disabled={row.found === null}
          onClick={() => put({ isMended: true })}
        >
          {row.found === null ? 'First the cause, then the tube' : 'Cause seen to, tube in'}
        </Button>
        <Button color="inherit" onClick={() => send({ type: 'dropPuncture', puncture: row.id })}>
          Not flat after all
        </Button>
      </Box>
    </Box>
  );
}

/** Punctures of a wheel: the cause before the new tube, and those that were. */
export function Punctures({ bicycle, send, end }: StageProps & { end: WheelEnd }) {
  const { name: by } = useHand();
  const [shown, setShown] = useState(false);
  const rows = bicycle.punctures.filter((row) => row.end === end);
  const open = rows.findLast((row) => !row.isMended);
  const past = rows.filter((row) => row.isMended).toReversed();
  return (
    <Section title="Flat" aside={past.length > 0 ? `${past.length} before` : undefined}>
      {open ? (
        <Hole key={open.id} bicycle={bicycle} send={send} row={open} />
      ) : (
        <Button
          variant="outlined"
          sx={{ minHeight: 56 }}
          onClick={() =>
            send({
              type: 'putPuncture',
              puncture: {
                id: newId(),
                at: nowIso(),
                by,
                end,
                fromValveMm: null,
                side: 'unknown',
                holes: 'one',
                found: null,
                isMended: false,
              },
            })
          }
        >
          It is flat
        </Button>
      )}
      {past.length > 0 && (
        <Box sx={{ mt: 1.5 }}>
          <Button color="inherit" aria-expanded={shown} onClick={() => setShown(!shown)}>
            What it was before
          </Button>
          {shown && (
            <RuledList>
              {past.map(({ id, at, by: hand, found, fromValveMm }) => (
                <Box component="li" key={id} sx={{ py: 0.75 }}>
                  {dayOf(at)}
                  {hand && `, ${hand}`}: {FOUND.find((each) => each.id === found)?.label.toLowerCase() ?? 'not said'}
                  {fromValveMm !== null && `, ${cm(fromValveMm)} from the valve`}
                </Box>
              ))}
            </RuledList>
          )}
        </Box>
      )}
    </Section>
  );
}
