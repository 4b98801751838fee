'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { stateOf } from '@/core/vocabulary/verdicts';
import { toggled } from '@/model/command';
import { brokenInput } from '@/model/wheels/brokenInput';
import type { BrokenSpoke, WheelBuild, WheelEnd } from '@/model/wheels/part';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { Choices } from '@/ui/Choices';
import { LargeFigures } from '@/ui/LargeFigures';
import { RuledList } from '@/ui/RuledList';
import { StateMark, stateColour } from '@/ui/StateMark';
import { useHand } from '../workshop/useHand';
import { useReckon } from '../workshop/useReckon';
import type { StageProps } from '../workshop/WorkshopProvider';
import { spokeWords } from './words';

const BROKE: { id: BrokenSpoke['broke']; label: string }[] = [
  { id: 'elbow', label: 'At the elbow' },
  { id: 'thread', label: 'At the thread' },
  { id: 'middle', label: 'In the middle' },
  { id: 'unknown', label: 'Not known' },
];

/** One that broke: how long its successor is, and its renewal step by step. */
function Broken({ bicycle, send, build, row }: StageProps & { build: WheelBuild; row: BrokenSpoke }) {
  const { output } = useReckon('wheels.brokenSpoke', brokenInput(bicycle, row));
  const put = (changes: Partial<BrokenSpoke>) => send({ type: 'putBrokenSpoke', row: { ...row, ...changes } });
  return (
    <Box component="li" sx={{ py: 1.5 }}>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 2, flexWrap: 'wrap' }}>
        <Box sx={{ fontSize: '1.25rem', fontWeight: 660 }}>{spokeWords(build, row.spoke)}</Box>
        <Button color="inherit" onClick={() => send({ type: 'dropBrokenSpoke', row: row.id })}>
          It is whole
        </Button>
      </Box>
      <Choices label="Where it broke" options={BROKE} value={row.broke} onChoose={(broke) => put({ broke })} />
      {output && (
        <>
          <Box role="status" sx={{ mt: 1 }}>
            <StateMark state={stateOf('wheels.brokenSpoke', output.verdict)} word={false} size={20} /> {output.words}
          </Box>
          <LargeFigures
            figures={[{ value: `${output.buyMm} mm`, words: `to buy; reckoned ${output.lengthMm.toFixed(1)}` }]}
          />
          <Box component="ol" aria-label="Renewed step by step" sx={{ listStyle: 'none', p: 0, m: 0 }}>
            {output.steps.map((step) => (
              <li key={step.id}>
                <FormControlLabel
                  control={
                    <Checkbox
                      checked={row.done.includes(step.id)}
                      onChange={({ target: { checked } }) => put({ done: toggled(row.done, step.id, checked) })}
                    />
                  }
                  label={<b>{step.label}</b>}
                  sx={{ minHeight: 44 }}
                />
                <Box sx={{ pl: 4, fontSize: '0.95rem', maxWidth: '62ch' }}>
                  {step.how}
                  {step.stop && <Box sx={{ color: stateColour('unsafe'), fontWeight: 620 }}>{step.stop}</Box>}
                </Box>
              </li>
            ))}
          </Box>
        </>
      )}
    </Box>
  );
}

/** Spokes that broke: each renewed in its order; the third says rebuild. */
export function BrokenSpokes({
  bicycle,
  send,
  end,
  build,
  chosen,
}: StageProps & { end: WheelEnd; build: WheelBuild; chosen: number | null }) {
  const { name: by } = useHand();
  const [named, setNamed] = useState<number | null>(null);
  const spoke = chosen ?? named;
  const rows = bicycle.brokenSpokes.filter((row) => row.end === end).toReversed();
  return (
    <Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
        <TextField
          select
          label="Which broke"
          value={spoke ?? ''}
          onChange={({ target: { value } }) => setNamed(Number(value))}
          sx={{ width: 190 }}
        >
          {Array.from({ length: build.spokes }, (_, i) => (
            <MenuItem key={i} value={i}>
              {spokeWords(build, i)}
            </MenuItem>
          ))}
        </TextField>
        <Button
          variant="outlined"
          sx={{ minHeight: 56 }}
          disabled={spoke === null || rows.some((row) => row.spoke === spoke && !row.done.includes('whole'))}
          onClick={() => {
            send({
              type: 'putBrokenSpoke',
              row: { id: newId(), at: nowIso(), by, end, spoke: spoke!, broke: 'unknown', done: [] },
            });
            setNamed(null);
          }}
        >
          It broke
        </Button>
      </Box>
      {rows.length > 0 && (
        <RuledList aria-label="Broken spokes">
          {rows.map((row) => (
            <Broken key={row.id} bicycle={bicycle} send={send} build={build} row={row} />
          ))}
        </RuledList>
      )}
    </Box>
  );
}
