'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Proof } from '@/core/prove/proofs';
import { proofMarkOf } from '@/model/prove/proving';
import type { Bicycle } from '@/model/record';
import { KeptText } from '@/ui/KeptText';
import { stateColour } from '@/ui/StateMark';
import { defineBench, NO_STEP, type BenchStep, type StepProps } from '../workshop/declared';
import { useHand } from '../workshop/useHand';
import { AskEvidence } from './AskEvidence';
import { markProof } from './signing';
import { useEvidence } from './useEvidence';

/** Where much is asked besides passed or failed: the title leaves room for it. */
const ASKS_MUCH = ['gears-shift', 'brakes-walk', 'quiet', 'tyres-seated', 'wheels-true'];

export function proveSteps(bicycle: Bicycle, proofs: Proof[]): BenchStep[] {
  const marks = new Map(bicycle.proofs.map((row) => [row.proof, row]));
  return proofs.map((proof) => ({
    ...NO_STEP,
    id: proof.id,
    place: proof.place,
    title: proof.label,
    aside: proof.how,
    large: marks.has(proof.id) ? (marks.get(proof.id)!.passed ? 'Passed' : 'Failed') : null,
    forget: proof.safety ? 'The bicycle is not ready without it.' : null,
    asksMuch: ASKS_MUCH.includes(proof.id),
    done: marks.get(proof.id)?.passed === true,
  }));
}

const KEY = { minHeight: 72, flex: 1, maxWidth: 220, fontSize: '1.3rem' };

function AskProof({ bicycle, send, step }: StepProps<unknown>) {
  const { name } = useHand();
  const evidence = useEvidence(bicycle);
  const mark = proofMarkOf(bicycle, step.id);
  const against = evidence?.against.find((each) => each.proof === step.id);
  const set = (passed: boolean) => send(markProof(step.id, passed, name, mark?.note));
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 2 }}>
      <Box sx={{ display: 'flex', gap: 2 }}>
        <Button variant="outlined" size="large" sx={KEY} onClick={() => set(true)}>
          Passed
        </Button>
        <Button variant="outlined" color="error" size="large" sx={KEY} onClick={() => set(false)}>
          Failed
        </Button>
      </Box>
      {against && (
        <Box role="note" sx={{ fontWeight: 640, color: stateColour('unsafe') }}>
          {against.label}.
        </Box>
      )}
      {evidence && <AskEvidence bicycle={bicycle} send={send} proof={step.id} evidence={evidence} big />}
      {mark && (
        <KeptText
          key={mark.id}
          label="Note"
          value={mark.note}
          width={560}
          most={400}
          onKeep={(note) => send({ type: 'markProof', mark: { ...mark, note } })}
        />
      )}
    </Box>
  );
}

/** Every proof as a step: on the stand, on the ground, on the road. */
export const proveBench = defineBench<'prove.proofs'>({
  asks: { id: 'prove.proofs', of: ({ kind }) => ({ kind }) },
  steps: (bicycle, { answer }) => proveSteps(bicycle, answer?.proofs ?? []),
  Ask: AskProof,
});
