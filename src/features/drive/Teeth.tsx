'use client';
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { cogCount, teethOf } from '@/model/drive/questions';
import { KeptText } from '@/ui/KeptText';
import { Section } from '@/ui/Section';
import { useReckon } from '../workshop/useReckon';
import type { StageProps } from '../workshop/WorkshopProvider';
import { readTeeth, refuseTeeth } from './readTeeth';

/** A set of cogs as it is usually met, to begin from. */
function UsualSet({ bicycle, send }: StageProps) {
  const sets = useReckon('drive.usual', { cogs: cogCount(bicycle) }).output?.cogSets ?? [];
  if (sets.length === 0) return null;
  return (
    <TextField
      select
      label="Or a usual set"
      value=""
      slotProps={{ select: { displayEmpty: true } }}
      onChange={({ target: { value } }) =>
        send({ type: 'countTeeth', of: 'cogs', teeth: sets.find(({ label }) => label === value)?.teeth ?? null })
      }
      sx={{ width: 200 }}
    >
      <MenuItem value="">None</MenuItem>
      {sets.map(({ label }) => (
        <MenuItem key={label} value={label}>
          {label}
        </MenuItem>
      ))}
    </TextField>
  );
}

/** Teeth of rings and cogs, counted or begun from a usual set. They are asked once, and known wherever the drive is reckoned. */
export function Teeth({ bicycle, send }: StageProps) {
  const [rings, cogs] = [teethOf(bicycle, 'rings'), teethOf(bicycle, 'cogs')];
  const keep = (of: 'rings' | 'cogs') => (text: string) =>
    send({ type: 'countTeeth', of, teeth: text === '' ? null : readTeeth(text) });
  return (
    <Section title="Teeth" aside={rings && cogs ? null : 'counted once, known everywhere'}>
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'start' }}>
        <KeptText
          label="Rings"
          value={rings?.join(', ') ?? ''}
          refuse={(text) => refuseTeeth(text, 4)}
          onKeep={keep('rings')}
          width={150}
        />
        <KeptText
          label="Cogs"
          value={cogs?.join(', ') ?? ''}
          refuse={(text) => refuseTeeth(text, 14)}
          onKeep={keep('cogs')}
          width={330}
        />
        {cogs === null && <UsualSet bicycle={bicycle} send={send} />}
      </Box>
    </Section>
  );
}
