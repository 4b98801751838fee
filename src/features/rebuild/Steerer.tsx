'use client';
import Box from '@mui/material/Box';
import { useState } from 'react';
import { isMeasured, steererStack, type StackMm } from '@/model/rebuild/steerer';
import { Disclosure } from '@/ui/Disclosure';
import { ReadingField } from '@/ui/ReadingField';
import { Working } from '@/ui/Working';
import { useReckon } from '../workshop/useReckon';
import type { StageProps } from '../workshop/WorkshopProvider';
import { SpacerStack } from './SpacerStack';

const FIELDS: { id: keyof StackMm; label: string }[] = [
  { id: 'steererMm', label: 'Steerer' },
  { id: 'headTubeMm', label: 'Head tube' },
  { id: 'headsetStackMm', label: 'Headset adds' },
  { id: 'spacersBelowMm', label: 'Spacers below' },
  { id: 'stemClampMm', label: 'Clamp of the stem' },
  { id: 'spacersAboveMm', label: 'Spacers above' },
];

/** How long the steerer has to be, and what comes off: nothing is cut before the height of the bar is settled. */
export function Steerer({ bicycle }: StageProps) {
  const [stack, setStack] = useState<Partial<StackMm>>({});
  const question = isMeasured(stack) ? steererStack(stack, bicycle.kind) : null;
  const { output, errors } = useReckon('rebuild.steererCut', question);
  return (
    <Disclosure summary={<>The length of the steerer</>} wide>
      <Box data-readings sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', py: 1.5 }}>
        {FIELDS.map(({ id, label }) => (
          <ReadingField
            key={id}
            label={label}
            kind="number"
            unit="mm"
            width={150}
            value={stack[id] ?? null}
            onCommit={(value) => setStack({ ...stack, [id]: value })}
            refuse={(value) => (value < 0 || value > 600 ? 'no steerer has that' : null)}
          />
        ))}
      </Box>
      {errors.map((error) => (
        <Box key={error.path} role="alert" sx={{ color: 'error.main' }}>
          {error.message}
        </Box>
      ))}
      {output && question && (
        <>
          <SpacerStack stack={question} cutMm={output.cutMm} />
          <Box sx={{ fontSize: '1.3rem', fontWeight: 660, my: 1 }}>{output.reasons[0]}</Box>
          {bicycle.barSettled !== true && (
            <Box role="note" sx={{ fontWeight: 620 }}>
              The height of the bar is not settled: nothing is cut yet.
            </Box>
          )}
          {output.reasons.slice(1).map((reason) => (
            <Box key={reason}>{reason}</Box>
          ))}
          <Working rows={output.working} />
        </>
      )}
    </Disclosure>
  );
}
