'use client';
import Box from '@mui/material/Box';
import type { LookOver } from '@/core/inspect/lookOver';
import type { SetStep } from '@/core/setup/steps';
import { RuledList } from '@/ui/RuledList';
import { useChecks } from '../look-over/useChecks';
import { SetStepRow } from '../setup/SetStepRow';
import type { StageProps } from '../workshop/WorkshopProvider';

/** What comes before the first turn, in order: the first that is not done, with the rest named. */
export function BeforeTurning({
  bicycle,
  send,
  place,
  steps,
  lookOver,
}: StageProps & { place: string; steps: SetStep[]; lookOver: LookOver | null }) {
  const checks = useChecks(bicycle.kind);
  const [first, ...rest] = steps.filter(({ done }) => !done);
  if (!first) return null;
  return (
    <Box role="region" aria-label="Before the first turn" sx={{ mb: 2 }}>
      <Box sx={{ fontWeight: 660 }}>
        Before the first turn
        {rest.length > 0 && (
          <Box component="span" sx={{ color: 'text.secondary', fontWeight: 400 }}>
            {' '}
            · {rest.length} more
          </Box>
        )}
      </Box>
      <RuledList>
        <SetStepRow
          key={first.id}
          bicycle={bicycle}
          send={send}
          place={place}
          step={first}
          check={checks?.find(({ id }) => id === first.check) ?? null}
          lookOver={lookOver}
        />
      </RuledList>
    </Box>
  );
}
