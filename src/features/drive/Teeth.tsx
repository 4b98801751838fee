'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { cogCount, teethOf } from '@/model/drive/questions';
import { KeptText } from '@/ui/KeptText';
import { useReckon } from '../workshop/useReckon';
import type { StageProps } from '../workshop/WorkshopProvider';
import { readTeeth, refuseTeeth } from './readTeeth';

/** Teeth of rings and cogs, counted or begun from a usual set. They are asked once, and known wherever the drive is reckoned. */
export function Teeth({ bicycle, send }: StageProps) {
  const rings = teethOf(bicycle, 'rings');
  const cogs = teethOf(bicycle, 'cogs');
  const { output } = useReckon('drive.usual', cogs === null ? { cogs: cogCount(bicycle) } : null);
  const keep = (of: 'rings' | 'cogs') => (text: string) =>
    send({ type: 'countTeeth', of, teeth: text === '' ? null : readTeeth(text) });
  return (
    <Box>
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'start' }}>
        <KeptText
          label="Teeth of the rings"
          value={rings?.join(', ') ?? ''}
          refuse={(text) => refuseTeeth(text, 4)}
          onKeep={keep('rings')}
          width={200}
        />
        <KeptText
          label="Teeth of the cogs"
          value={cogs?.join(', ') ?? ''}
          refuse={(text) => refuseTeeth(text, 14)}
          onKeep={keep('cogs')}
          width={330}
        />
      </Box>
      {cogs === null && output && output.cogSets.length > 0 && (
        <Box role="group" aria-label="Usual sets" sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 1 }}>
          {output.cogSets.map(({ label, teeth }) => (
            <Button
              key={label}
              variant="outlined"
              color="inherit"
              sx={{ minHeight: 44 }}
              onClick={() => send({ type: 'countTeeth', of: 'cogs', teeth })}
            >
              {label}
            </Button>
          ))}
        </Box>
      )}
    </Box>
  );
}
