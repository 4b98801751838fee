'use client';
import Box from '@mui/material/Box';
import { STACK_WORDS } from '@/model/rebuild/fitWords';
import { STACK_PARTS } from '@/model/rebuild/part';
import { steererStack } from '@/model/rebuild/steerer';
import { Disclosure } from '@/ui/Disclosure';
import { ReadingField } from '@/ui/ReadingField';
import { Working } from '@/ui/Working';
import { useReckon } from '../workshop/useReckon';
import type { StageProps } from '../workshop/WorkshopProvider';
import { Spacers } from './Spacers';
import { SpacerStack } from './SpacerStack';

/** How long the steerer has to be, and what comes off: nothing is cut before the height of the bar is settled. */
export function Steerer({ bicycle, send }: StageProps) {
  const question = steererStack(bicycle);
  const { output, errors } = useReckon('rebuild.steererCut', question);
  return (
    <Disclosure summary={<>The length of the steerer</>} wide>
      <Box data-readings sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', py: 1.5 }}>
        {STACK_PARTS.map((part) => (
          <ReadingField
            key={part}
            label={STACK_WORDS[part]}
            kind="number"
            unit="mm"
            width={150}
            value={bicycle.stack[part] ?? null}
            onCommit={(mm) => send({ type: 'measureStack', part, mm })}
            onClear={() => send({ type: 'measureStack', part, mm: null })}
            refuse={(value) => (value < 0 || value > 600 ? 'no steerer has that' : null)}
          />
        ))}
      </Box>
      <Spacers bicycle={bicycle} send={send} />
      {errors.map((error) => (
        <Box key={error.path} role="alert" sx={{ color: 'error.main' }}>
          {error.message}
        </Box>
      ))}
      {output && question && (
        <>
          <SpacerStack stack={question} spacers={bicycle.spacers} cutMm={output.cutMm} />
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
