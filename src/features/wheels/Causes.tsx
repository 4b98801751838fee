'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { stateOf } from '@/core/vocabulary/verdicts';
import type { WheelCauses } from '@/core/wheels/cause';
import { causeFindings } from '@/model/wheels/causeFindings';
import type { WheelEnd, WheelReading } from '@/model/wheels/part';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { stateColour } from '@/ui/StateMark';
import { useHand } from '../workshop/useHand';
import type { StageProps } from '../workshop/WorkshopProvider';

/** What no nipple cures, said before the first turn, and put onto the findings with one tap. */
export function Causes({
  bicycle,
  send,
  end,
  reading,
  cause,
}: StageProps & { end: WheelEnd; reading: WheelReading; cause: WheelCauses }) {
  const { name: by } = useHand();
  if (cause.causes.length === 0) return null;
  const findings = causeFindings(bicycle, end, reading, cause, () => ({ id: newId(), at: nowIso(), by }));
  return (
    <Box
      role="note"
      aria-label="What no nipple cures"
      sx={{ borderLeft: '3px solid', borderColor: stateColour(stateOf('wheels.cause', cause.verdict)), pl: 1.5, mb: 2 }}
    >
      <b>{cause.reasons[0]}</b>
      {cause.causes.map(({ words }) => (
        <Box key={words}>{words}</Box>
      ))}
      {findings.length > 0 && (
        <Button
          variant="outlined"
          sx={{ mt: 1, minHeight: 48 }}
          onClick={() => {
            for (const finding of findings) send(finding);
          }}
        >
          Onto the findings
        </Button>
      )}
    </Box>
  );
}
