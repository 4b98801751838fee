'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { BearingBench } from '@/core/bearings/benchTypes';
import { serviceInput } from '@/model/bearings/questions';
import type { Bearing } from '@/model/bearings/part';
import { Choices } from '@/ui/Choices';
import { dayOf } from '@/ui/format';
import { ReadingField } from '@/ui/ReadingField';
import { BigNumber } from '@/ui/Section';
import { Working } from '@/ui/Working';
import { useReckon } from '../workshop/useReckon';
import type { StageProps } from '../workshop/WorkshopProvider';
import { saveServices } from '../workshop/serviceCalendar';

const USES = [
  { id: 'dry', label: 'Dry roads' },
  { id: 'mixed', label: 'Mixed' },
  { id: 'wet', label: 'Wet, winter' },
] as const;
const GREASES = [
  { id: 'thin', label: 'Thin' },
  { id: 'standard', label: 'Standard' },
  { id: 'thick', label: 'Thick' },
] as const;
const SEALS = [
  { id: 'good', label: 'Good' },
  { id: 'poor', label: 'Poor' },
] as const;
const JET = [
  { id: 'no', label: 'By hand' },
  { id: 'yes', label: 'With a jet' },
] as const;

/** When it is due again: by how it is ridden, what grease went in, how it is sealed. */
export function NextService({ bicycle, send, bearing, bench }: StageProps & { bearing: Bearing; bench: BearingBench }) {
  const question = serviceInput(bicycle, bearing, bench.kind);
  const { output: due } = useReckon('bearings.serviceDue', question);
  const { riding } = bicycle;
  const plan = (changes: Partial<Bearing['service']>) => send({ type: 'planService', place: bearing.place, changes });
  const ride = (changes: Partial<typeof riding>) => send({ type: 'describeRiding', changes });
  return (
    <>
      <Box sx={{ display: 'flex', gap: 3, rowGap: 2, flexWrap: 'wrap', alignItems: 'end' }}>
        <Choices label="Ridden" options={USES} value={riding.use} onChoose={(use) => ride({ use })} />
        <ReadingField
          label="Hours a week"
          kind="number"
          unit="h"
          width={140}
          value={riding.hoursPerWeek}
          onCommit={(hoursPerWeek) => ride({ hoursPerWeek })}
          refuse={(h) => (h > 168 ? 'a week has 168 hours' : null)}
        />
        <Choices
          label="Washed"
          options={JET}
          value={riding.jetWashed ? 'yes' : 'no'}
          onChoose={(id) => ride({ jetWashed: id === 'yes' })}
        />
        <Choices
          label="Grease that went in"
          options={GREASES}
          value={bearing.service.grease}
          onChoose={(grease) => plan({ grease })}
        />
        <Choices label="Seal" options={SEALS} value={bearing.service.seal} onChoose={(seal) => plan({ seal })} />
      </Box>
      {due && question ? (
        <Box aria-live="polite" sx={{ mt: 2 }}>
          <Box sx={{ display: 'flex', gap: 4, flexWrap: 'wrap', alignItems: 'end' }}>
            <BigNumber
              value={dayOf(due.dueOn)}
              label={`look at it again, ${due.months === 1 ? 'in a month' : `in ${due.months} months`}`}
            />
            <Button
              variant="outlined"
              color="inherit"
              sx={{ minHeight: 48 }}
              onClick={() => void saveServices(bicycle, [{ place: bearing.place, ...due }])}
            >
              Into the calendar
            </Button>
          </Box>
          {due.reasons.map((reason) => (
            <Typography key={reason} sx={{ mt: 0.5 }}>
              {reason}
            </Typography>
          ))}
          <Working rows={due.working} />
        </Box>
      ) : (
        <Typography sx={{ mt: 2, color: 'text.secondary' }}>
          Counted from the day on which its state after the work is noted.
        </Typography>
      )}
    </>
  );
}
