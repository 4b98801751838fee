'use client';
import Box from '@mui/material/Box';
import type { UsualDrive } from '@/core/drive/usual';
import { stateOf } from '@/core/vocabulary/verdicts';
import { fitsInput } from '@/model/drive/questions';
import { Disclosure } from '@/ui/Disclosure';
import { StateMark } from '@/ui/StateMark';
import { useReckon } from '../workshop/useReckon';
import type { StageProps } from '../workshop/WorkshopProvider';
import { DriveChoice } from './DriveChoice';
import { DriveField } from './DriveField';

const LEVERS = [
  { id: 'short', label: 'Short pull' },
  { id: 'long', label: 'Long pull' },
];

/** Chain, body, axle, chain line and levers: whether the rest goes together, each as far as it is known. */
export function TheRest({ bicycle, send, usual }: StageProps & { usual: UsualDrive | null }) {
  const { output } = useReckon('drive.fits', fitsInput(bicycle));
  const spacing = { unit: 'mm', least: 60, most: 220, width: 200 };
  const line = { unit: 'mm', least: 20, most: 80, width: 200 };
  return (
    <>
      <Disclosure summary={<>Chain, body, axle, chain line, brake levers</>} wide>
        <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', py: 1.5 }}>
          <DriveChoice
            bicycle={bicycle}
            send={send}
            part="chain"
            label="The chain is for"
            options={usual?.chains ?? []}
          />
          <DriveChoice bicycle={bicycle} send={send} part="body" label="The cogs go on" options={usual?.bodies ?? []} />
          <DriveChoice bicycle={bicycle} send={send} part="lever" label="Brake levers" options={LEVERS} />
        </Box>
        <Box data-readings sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', pb: 1.5 }}>
          <DriveField bicycle={bicycle} send={send} figure="frame-spacing" label="Between the rear ends" {...spacing} />
          <DriveField bicycle={bicycle} send={send} figure="hub-spacing" label="Hub over its locknuts" {...spacing} />
          <DriveField bicycle={bicycle} send={send} figure="ring-line" label="Rings from the middle" {...line} />
          <DriveField bicycle={bicycle} send={send} figure="cog-line" label="Cogs from the middle" {...line} />
        </Box>
      </Disclosure>
      {output && output.findings.length > 0 && (
        <Box component="ul" aria-label="What goes together" sx={{ listStyle: 'none', p: 0, m: 0, mt: 1 }}>
          {output.findings.map(({ what, verdict, words }) => (
            <li key={what}>
              <StateMark state={stateOf('drive.fits', verdict)} word={false} size={18} /> {words}
            </li>
          ))}
        </Box>
      )}
    </>
  );
}
