'use client';
import Box from '@mui/material/Box';
import type { UsualDrive } from '@/core/drive/usual';
import { stateOf } from '@/core/vocabulary/verdicts';
import { matchInput, teethOf } from '@/model/drive/questions';
import { Section } from '@/ui/Section';
import { StateMark } from '@/ui/StateMark';
import { Working } from '@/ui/Working';
import { useReckon } from '../workshop/useReckon';
import type { StageProps } from '../workshop/WorkshopProvider';
import { DriveChoice } from './DriveChoice';
import { DriveField } from './DriveField';
import { TheRest } from './TheRest';

const FAMILY_WORDS = { works: 'Works together', marginal: 'Just about', no: 'Does not work together' } as const;

const familyWords = ({ id, use }: UsualDrive['families'][number]) =>
  id === 'friction' ? 'Friction, no clicks' : `${id.charAt(0).toUpperCase()}${id.slice(1)}, ${use}`;

/** Asked before anything is ordered: will shifter, derailleur, cogs and rings work together? */
export function WorksTogether({ bicycle, send }: StageProps) {
  const { output: usual } = useReckon('drive.usual', {});
  const families = (usual?.families ?? []).map((each) => ({ id: each.id, label: familyWords(each) }));
  const question = matchInput(bicycle);
  const { output, errors } = useReckon('drive.match', question);
  const cogs = teethOf(bicycle, 'cogs');
  const integrated =
    bicycle.kind.shifters === 'integrated' || (bicycle.kind.shifters === null && bicycle.kind.bars === 'drop');
  return (
    <Section title="Will it work together" aside="before anything is ordered">
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', mb: 1.5 }}>
        <DriveChoice bicycle={bicycle} send={send} part="shifter" label="Shifter" options={families} width={300} />
        <DriveChoice
          bicycle={bicycle}
          send={send}
          part="derailleur"
          label="Rear derailleur"
          options={families}
          width={300}
        />
      </Box>
      <Box data-readings sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', mb: 1.5 }}>
        <DriveField
          bicycle={bicycle}
          send={send}
          figure="shifter-cogs"
          label="Shifter clicks for"
          unit="cogs"
          least={1}
          most={14}
          width={190}
          {...(cogs && { help: `as the cogs: ${cogs.length}` })}
        />
        <DriveField
          bicycle={bicycle}
          send={send}
          figure="max-cog"
          label="Largest cog it takes"
          unit="teeth"
          least={7}
          most={70}
          width={200}
        />
        <DriveField
          bicycle={bicycle}
          send={send}
          figure="capacity"
          label="Its cage takes up"
          unit="teeth"
          least={0}
          most={100}
          width={190}
        />
        <DriveField
          bicycle={bicycle}
          send={send}
          figure="pitch"
          label="Cog to cog, measured"
          unit="mm"
          least={2.5}
          most={7.5}
          width={210}
        />
      </Box>
      {errors.map((error) => (
        <Box key={error.path} role="alert" sx={{ color: 'error.main', mt: 1 }}>
          {error.message}
        </Box>
      ))}
      {output ? (
        <Box role="status" aria-label="Will it work together" sx={{ mt: 1.5 }}>
          <Box sx={{ fontSize: '1.3rem', fontWeight: 660 }}>
            <StateMark state={stateOf('drive.match', output.verdict)} word={false} size={24} />{' '}
            {FAMILY_WORDS[output.verdict]}
          </Box>
          {output.reasons.map((reason) => (
            <Box key={reason}>{reason}</Box>
          ))}
          <Working rows={output.working} />
        </Box>
      ) : (
        question === null && (
          <Box sx={{ mt: 1, color: 'text.secondary' }}>
            Say both families and count the teeth: pull, pitch and reach follow.
          </Box>
        )
      )}
      <TheRest bicycle={bicycle} send={send} usual={usual} />
      {integrated && (
        <Box role="note" sx={{ mt: 1 }}>
          Lever and shifter are one unit here: another shifter is another brake lever, with its pull, its cables and the
          tape.
        </Box>
      )}
    </Section>
  );
}
