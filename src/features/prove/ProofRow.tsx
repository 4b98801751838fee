'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { proofMarkOf } from '@/model/prove/proving';
import type { Proof } from '@/core/prove/proofs';
import { dayOf } from '@/ui/format';
import { stateColour } from '@/ui/StateMark';
import { useHand } from '../workshop/useHand';
import { useToday } from '../workshop/useToday';
import type { StageProps } from '../workshop/WorkshopProvider';
import { markProof } from './signing';

const ACCEPTED = ['Known, and not unsafe', 'The owner knows it and agrees'];

/** One proof: how it is tried, who signed it, and a failure of quality accepted in writing. */
export function ProofRow({ bicycle, send, proof, reopened }: StageProps & { proof: Proof; reopened: string | null }) {
  const { name } = useHand();
  const today = useToday();
  const mark = proofMarkOf(bicycle, proof.id);
  const set = (passed: boolean) => {
    if (mark && mark.passed === passed && !reopened && mark.by === name) send({ type: 'unmarkProof', mark: mark.id });
    else send(markProof(proof.id, passed, name));
  };
  return (
    <Box
      component="li"
      sx={{
        py: 1.5,
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: 'minmax(0, 1fr) auto' },
        gap: { xs: 1, sm: 3 },
        alignItems: 'center',
      }}
    >
      <Box>
        <Box sx={{ fontWeight: 640, fontSize: '1.05rem' }}>{proof.label}</Box>
        <Box sx={{ fontSize: '0.92rem', color: 'text.secondary' }}>{proof.how}</Box>
        {mark && (
          <Box
            sx={{
              fontSize: '0.88rem',
              fontWeight: 600,
              color: stateColour(mark.passed && !reopened ? 'fine' : 'unsafe'),
            }}
          >
            {mark.passed ? 'Signed' : 'Failed'} {dayOf(mark.at)}
            {mark.by && ` by ${mark.by}`}
            {reopened && `; ${reopened}`}
          </Box>
        )}
        {mark && !mark.passed && !proof.safety && (
          <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 0.5, alignItems: 'center' }}>
            {mark.accepted
              ? `Accepted by ${mark.accepted.by} on ${dayOf(mark.accepted.on)}: ${mark.accepted.words}`
              : ACCEPTED.map((words) => (
                  <Button
                    key={words}
                    size="small"
                    variant="outlined"
                    color="inherit"
                    onClick={() =>
                      send({ type: 'markProof', mark: { ...mark, accepted: { by: name, on: today, words } } })
                    }
                  >
                    {words}
                  </Button>
                ))}
          </Box>
        )}
      </Box>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button
          variant={mark?.passed === true && !reopened ? 'contained' : 'outlined'}
          aria-pressed={mark?.passed === true && !reopened}
          aria-label={`Passed: ${proof.label}`}
          onClick={() => set(true)}
        >
          Passed
        </Button>
        <Button
          color="error"
          variant={mark?.passed === false ? 'contained' : 'outlined'}
          aria-pressed={mark?.passed === false}
          aria-label={`Failed: ${proof.label}`}
          onClick={() => set(false)}
        >
          Failed
        </Button>
      </Box>
    </Box>
  );
}
