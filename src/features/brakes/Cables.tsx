'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useState } from 'react';
import { CABLE_WORDS } from '@/core/cables/kinds';
import type { CablePiece } from '@/core/cables/lengths';
import { own } from '@/core/own';
import { cableLengthsInput, cutListInput } from '@/model/brakes/questions';
import { PrintAlone } from '@/ui/PrintAlone';
import { ReadingField } from '@/ui/ReadingField';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { useReckon } from '../workshop/useReckon';
import { useWorkshopState, type StageProps } from '../workshop/WorkshopProvider';
import { AfterTheList } from './AfterTheList';
import { CutDrawing } from './CutDrawing';

const FROM_WORDS: Record<CablePiece['from'], string> = {
  old: 'as the old one',
  'old, longer': 'longer than the old one, which pulled tight',
  reckoned: 'reckoned',
};

const placeOf = ({ place }: CablePiece) => (place === 'cables.gear' ? 'cables.gear' : 'cables.brake');

/** One piece: what it is, how long it has to be, and the old one as it was measured. */
function Piece({ bicycle, send, piece }: StageProps & { piece: CablePiece }) {
  const old = own(bicycle.oldCables, piece.id) ?? null;
  const cut = own(bicycle.cutCables, piece.id) ?? null;
  return (
    <Box
      component="li"
      sx={{
        py: 1,
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: 'minmax(0, 1fr) 150px 170px' },
        gap: { xs: 1, sm: 2 },
        alignItems: 'center',
      }}
    >
      <Box>
        <Box sx={{ fontWeight: 640 }}>{piece.label}</Box>
        <Box sx={{ fontSize: '0.92rem', color: 'text.secondary' }}>
          {CABLE_WORDS[piece.kind]}
          {piece.head && `, ${piece.head} head`} · {FROM_WORDS[piece.from]}
        </Box>
        {cut && (
          <Box sx={{ fontSize: '0.92rem', fontWeight: 620, display: 'flex', gap: 1, alignItems: 'center' }}>
            Cut at {cut.lengthMm} mm{cut.by && `, ${cut.by}`}
            <Button
              size="small"
              color="inherit"
              aria-label={`Cut anew: ${piece.label}`}
              onClick={() => send({ type: 'cutCables', place: placeOf(piece), cut: { [piece.id]: null } })}
            >
              Cut anew
            </Button>
          </Box>
        )}
      </Box>
      <Box sx={{ fontSize: '1.35rem', fontWeight: 660, fontVariantNumeric: 'tabular-nums' }}>
        {piece.lengthMm} mm
        {piece.withinMm > 0 && (
          <Box component="span" sx={{ fontSize: '0.9rem', fontWeight: 400, color: 'text.secondary' }}>
            {' '}
            ±{piece.withinMm}
          </Box>
        )}
      </Box>
      <Box role="group" aria-label={piece.label} data-readings>
        <ReadingField
          label="Old one"
          kind="length"
          unit="mm"
          width="100%"
          value={old?.lengthMm ?? null}
          onCommit={(lengthMm) =>
            send({ type: 'measureOldCable', run: piece.id, old: { lengthMm, tooShort: old?.tooShort ?? false } })
          }
          onClear={() => send({ type: 'measureOldCable', run: piece.id, old: null })}
          refuse={(mm) => (mm <= 0 || mm > 10_000 ? 'no cable is that long' : null)}
        />
        {old && (
          <FormControlLabel
            control={
              <Checkbox
                size="small"
                checked={old.tooShort}
                onChange={(event) =>
                  send({ type: 'measureOldCable', run: piece.id, old: { ...old, tooShort: event.target.checked } })
                }
              />
            }
            label="Pulled tight at full lock"
            slotProps={{ typography: { sx: { fontSize: '0.88rem' } } }}
          />
        )}
      </Box>
    </Box>
  );
}

/** The cables of a bicycle: how long each is, and what it is cut from, out of coils, rests and inners in the drawer. */
export function Cables({ bicycle, send, place }: StageProps & { place: 'cables.brake' | 'cables.gear' }) {
  const stock = useWorkshopState((state) => state.stock);
  const [printed, setPrinted] = useState(false);
  const { output } = useReckon('cables.lengths', cableLengthsInput(bicycle));
  const pieces = output?.pieces.filter((piece) => piece.place === place) ?? [];
  const items = Object.values(stock);
  const toCut = pieces.filter(({ id }) => own(bicycle.cutCables, id) === undefined);
  const { output: list } = useReckon('cables.cutList', toCut.length > 0 ? cutListInput(toCut, items) : null);
  if (!output) return <p role="status">Measuring along the frame…</p>;
  const labels = new Map(pieces.map(({ id, label }) => [id, label]));
  const named = (words: string) =>
    [...labels].reduce((said, [id, label]) => said.replace(`${id}: `, `${label}: `), words);
  const drawing = list && <CutDrawing list={list} pieces={pieces} stock={items} />;
  return (
    <>
      <Section title="How long each is" aside={pieces.length === 1 ? 'one piece' : `${pieces.length} pieces`}>
        <RuledList>
          {pieces.map((piece) => (
            <Piece key={piece.id} bicycle={bicycle} send={send} piece={piece} />
          ))}
        </RuledList>
        {output.reasons.map((reason) => (
          <Box key={reason} sx={{ maxWidth: '62ch' }}>
            {reason}
          </Box>
        ))}
        {bicycle.barSettled !== true && (
          <Box role="note" sx={{ fontWeight: 620, mt: 1 }}>
            The height of the bar is not settled: nothing is cut yet.
          </Box>
        )}
      </Section>
      {list && (
        <Section
          title="The cut list"
          aside={
            <Button color="inherit" size="small" onClick={() => setPrinted(true)}>
              Print it
            </Button>
          }
        >
          {drawing}
          {list.reasons.map((reason, i) => (
            <Box key={reason} sx={i === 0 ? { fontWeight: 640, mt: 1 } : {}}>
              {named(reason)}
            </Box>
          ))}
          <AfterTheList bicycle={bicycle} send={send} place={place} list={list} pieces={toCut} />
          {printed && (
            <PrintAlone label={`Cut list of ${bicycle.name}`} onClose={() => setPrinted(false)}>
              <Box sx={{ fontSize: '1.4rem', fontWeight: 680, mb: 1 }}>{bicycle.name}: cut list</Box>
              {drawing}
              {list.reasons.map((reason) => (
                <Box key={reason}>{named(reason)}</Box>
              ))}
            </PrintAlone>
          )}
        </Section>
      )}
    </>
  );
}
