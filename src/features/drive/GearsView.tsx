'use client';
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { Gears } from '@/core/drive/gears';
import { gearsInput, teethOf } from '@/model/drive/questions';
import { Disclosure } from '@/ui/Disclosure';
import { Section } from '@/ui/Section';
import { TextInput } from '@/ui/TextInput';
import { useReckon } from '../workshop/useReckon';
import type { StageProps } from '../workshop/WorkshopProvider';
import { LargeFigures } from '@/ui/LargeFigures';
import { DriveField } from './DriveField';
import { GearsChart } from './GearsChart';
import { readTeeth, refuseTeeth } from './readTeeth';

/** What other rings or cogs would make of it, in one sentence. */
function gained(now: Gears, then: Gears): string {
  const [low, high] = [then.gears[0]!.developmentM, then.gears.at(-1)!.developmentM];
  const change = (of: number, was: number) => {
    const percent = Math.abs((of / was - 1) * 100).toFixed(0);
    return percent === '0' ? 'as now' : `${of > was ? '+' : '−'}${percent} %`;
  };
  return `Lowest ${low.toFixed(2)} m (${change(low, now.gears[0]!.developmentM)}), highest ${high.toFixed(2)} m (${change(high, now.gears.at(-1)!.developmentM)}), steepest hill ${then.steepestPercent.toFixed(0)} % against ${now.steepestPercent.toFixed(0)} %, ${then.capacityTeeth} teeth to take up against ${now.capacityTeeth}.`;
}

/** How large the jumps are: between cogs, or of a gear hub between its gears. */
function jumpWords({ jumpsPercent, gears }: Gears): string {
  const percent = (list: readonly number[]) => list.map((jump) => jump.toFixed(0)).join(', ');
  if (jumpsPercent.length > 0) return `Jumps between cogs ${percent(jumpsPercent)} %.`;
  const jumps = gears.slice(1).map((gear, i) => (gear.ratio / gears[i]!.ratio - 1) * 100);
  return jumps.length > 0 ? `Jumps between gears ${percent(jumps)} %.` : 'One gear.';
}

/** A text of teeth that is only tried, and never put down. */
function useTried(most: number) {
  const [text, setText] = useState('');
  const hint = refuseTeeth(text, most);
  return { text, setText, hint, teeth: text.trim() === '' || hint ? null : readTeeth(text) };
}

function WhatIf({ rings, cogs }: { rings: ReturnType<typeof useTried>; cogs: ReturnType<typeof useTried> }) {
  const field = (label: string, of: ReturnType<typeof useTried>, width: number) => (
    <TextInput
      label={label}
      value={of.text}
      error={of.hint !== null}
      helperText={of.hint}
      onChange={(event) => of.setText(event.target.value.slice(0, 80))}
      sx={{ width, maxWidth: '100%' }}
    />
  );
  return (
    <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', py: 1 }}>
      {field('Rings instead', rings, 200)}
      {field('Cogs instead', cogs, 330)}
    </Box>
  );
}

/** The gears of a bicycle: how far each goes, how wide they reach, which are there twice, and what others would gain. */
export function GearsView({ bicycle, send }: StageProps) {
  const rings = useTried(4);
  const cogs = useTried(14);
  const isHub = bicycle.kind.gears === 'hub' || bicycle.kind.gears === 'coaster';
  const hubs = useReckon('drive.usual', isHub ? {} : null).output?.hubGears ?? [];
  const hub = hubs.find(({ id }) => id === bicycle.driveFamilies['hub-gear'])?.ratios ?? null;
  const { output } = useReckon('drive.gears', gearsInput(bicycle, hub));
  const tried = rings.teeth ?? cogs.teeth;
  const { output: other } = useReckon(
    'drive.gears',
    tried
      ? gearsInput(bicycle, hub, {
          ...(rings.teeth && { rings: rings.teeth }),
          ...(cogs.teeth && { cogs: cogs.teeth }),
        })
      : null,
  );
  const isCounted = teethOf(bicycle, 'rings') !== null && teethOf(bicycle, 'cogs') !== null;
  return (
    <Section title="Gears" aside={output && `${output.gears.length}, ${output.rangePercent.toFixed(0)} % wide`}>
      {isHub && (
        <TextField
          select
          label="The gear hub"
          value={bicycle.driveFamilies['hub-gear'] ?? ''}
          slotProps={{ select: { displayEmpty: true } }}
          onChange={({ target: { value } }) =>
            send({ type: 'sayDriveFamily', part: 'hub-gear', family: value === '' ? null : value })
          }
          sx={{ mt: 1.5, width: 240 }}
        >
          <MenuItem value="">One gear</MenuItem>
          {hubs.map(({ id, label }) => (
            <MenuItem key={id} value={id}>
              {label}
            </MenuItem>
          ))}
        </TextField>
      )}
      {!isCounted && (
        <Box sx={{ mt: 1, color: 'text.secondary' }}>
          Count the teeth of both above: the gears follow from them and from the wheel.
        </Box>
      )}
      {output && (
        <>
          <LargeFigures
            figures={[
              {
                value: `${output.gears[0]!.developmentM.toFixed(2)}–${output.gears.at(-1)!.developmentM.toFixed(2)} m`,
                words: 'a turn of the cranks, lowest and highest',
              },
              {
                value: `${output.gears[0]!.speedKmh.toFixed(0)}–${output.gears.at(-1)!.speedKmh.toFixed(0)} km/h`,
                words: 'at 80 turns a minute',
              },
              {
                value: `${output.steepestPercent.toFixed(0)} %`,
                words: `the steepest hill, roughly, at ${bicycle.driveFigures.power ?? 120} W`,
              },
            ]}
          />
          <GearsChart gears={output} other={other} />
          <Box sx={{ mt: 0.5 }}>
            {jumpWords(output)}{' '}
            {output.doubles.length > 0 &&
              `${output.doubles.length === 1 ? 'One gear is' : `${output.doubles.length} are`} there twice, hollow.`}
          </Box>
          {other && <Box sx={{ fontWeight: 640, mt: 0.5 }}>{gained(output, other)}</Box>}
          <Disclosure summary={<>What if: other rings or cogs</>} wide>
            <WhatIf rings={rings} cogs={cogs} />
          </Disclosure>
          <Disclosure summary={<>The rider on a hill</>} wide>
            <Box data-readings sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', py: 1 }}>
              <DriveField
                bicycle={bicycle}
                send={send}
                figure="power"
                label="Keeps up"
                unit="W"
                least={20}
                most={2000}
                help="an hour of it; 120 is usual"
              />
              <DriveField
                bicycle={bicycle}
                send={send}
                figure="load"
                label="Rider, bicycle, load"
                unit="kg"
                least={30}
                most={300}
                help="90 is usual"
              />
            </Box>
          </Disclosure>
        </>
      )}
    </Section>
  );
}
