'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Proof } from '@/core/prove/proofs';
import type { Bicycle } from '@/model/record';
import { defineBench, NO_STEP, type BenchStep, type StepProps } from '../workshop/declared';
import { useHand } from '../workshop/useHand';
import { markProof } from './signing';

export function proveSteps(bicycle: Bicycle, proofs: Proof[]): BenchStep[] {
  const marks = new Map(bicycle.proofs.map((row) => [row.proof, row]));
  return proofs.map((proof) => ({
    ...NO_STEP,
    id: proof.id,
    place: 'frame',
    title: proof.label,
    aside: proof.how,
    large: marks.has(proof.id) ? (marks.get(proof.id)!.passed ? 'Passed' : 'Failed') : null,
    forget: proof.safety ? 'The bicycle is not ready without it.' : null,
    done: marks.get(proof.id)?.passed === true,
  }));
}

const KEY = { minHeight: 72, minWidth: 150, fontSize: '1.3rem' };

function AskProof({ send, step }: StepProps<unknown>) {
  const { name } = useHand();
  const mark = (passed: boolean) => send(markProof(step.id, passed, name));
  return (
    <Box sx={{ display: 'flex', gap: 2 }}>
      <Button variant="outlined" size="large" sx={KEY} onClick={() => mark(true)}>
        Passed
      </Button>
      <Button variant="outlined" color="error" size="large" sx={KEY} onClick={() => mark(false)}>
        Failed
      </Button>
    </Box>
  );
}

/** Every proof as a step. */
export const proveBench = defineBench<'prove.proofs'>({
  asks: { id: 'prove.proofs', of: ({ kind }) => ({ kind }) },
  steps: (bicycle, { answer }) => proveSteps(bicycle, answer?.proofs ?? []),
  Ask: AskProof,
});
