'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ProofEvidence } from '@/core/prove/evidence';
import type { Proof } from '@/core/prove/proofs';
import type { ProofMark } from '@/model/prove/part';
import { readWords } from '@/model/prove/paper';
import { proofMarkOf } from '@/model/prove/proving';
import { Disclosure } from '@/ui/Disclosure';
import { dayOf } from '@/ui/format';
import { KeptText } from '@/ui/KeptText';
import { stateColour } from '@/ui/StateMark';
import { StepPhotos } from '../photos/StepPhotos';
import { useHand } from '../workshop/useHand';
import { useToday } from '../workshop/useToday';
import type { StageProps } from '../workshop/WorkshopProvider';
import { AskEvidence, hasEvidence } from './AskEvidence';
import { markProof } from './signing';

const ACCEPTED = ['Known, and not unsafe', 'The owner knows it and agrees'];

/** A failure of quality, accepted in writing. */
function Accepted({ mark, send }: { mark: ProofMark } & Pick<StageProps, 'send'>) {
  const { name } = useHand();
  const today = useToday();
  if (mark.accepted)
    return (
      <Box sx={{ fontSize: '0.92rem' }}>
        Accepted by {mark.accepted.by} on {dayOf(mark.accepted.on)}: {mark.accepted.words}
      </Box>
    );
  return (
    <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 0.5 }}>
      {ACCEPTED.map((words) => (
        <Button
          key={words}
          size="small"
          variant="outlined"
          color="inherit"
          onClick={() => send({ type: 'markProof', mark: { ...mark, accepted: { by: name, on: today, words } } })}
        >
          {words}
        </Button>
      ))}
    </Box>
  );
}

/** Passed or failed; the same again by the same hand takes it back. */
function Verdicts({ bicycle, send, proof, stands }: StageProps & { proof: Proof; stands: boolean }) {
  const { name } = useHand();
  const mark = proofMarkOf(bicycle, proof.id);
  const set = (passed: boolean) => {
    if (mark && mark.passed === passed && (stands || !passed) && mark.by === name)
      send({ type: 'unmarkProof', mark: mark.id });
    else send(markProof(proof.id, passed, name, mark?.note));
  };
  return (
    <Box sx={{ display: 'flex', gap: 1 }}>
      <Button
        variant={mark?.passed === true && stands ? 'contained' : 'outlined'}
        aria-pressed={mark?.passed === true && stands}
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
  );
}

/** What was put down beside a proof, in few words: readings beside what they were, the note, photographs. */
function putDown(
  bicycle: StageProps['bicycle'],
  proof: Proof,
  mark: ProofMark | undefined,
  evidence: ProofEvidence | null,
): string {
  const photos = bicycle.photos.filter((photo) => photo.step === proof.id).length;
  return [
    ...(evidence ? readWords(bicycle, proof.id, evidence) : []),
    mark?.note,
    photos > 0 && (photos === 1 ? 'one photograph' : `${photos} photographs`),
  ]
    .filter(Boolean)
    .join('; ');
}

/** One proof: how it is tried, what was read for it, who signed it, a note and a photograph. */
export function ProofRow({
  bicycle,
  send,
  proof,
  evidence,
  isJudged,
  reopened,
}: StageProps & {
  proof: Proof;
  evidence: ProofEvidence | null;
  /** Whether the law has answered: until then nothing is called standing. */
  isJudged: boolean;
  reopened: string | null;
}) {
  const mark = proofMarkOf(bicycle, proof.id);
  const stands = isJudged && mark?.passed === true && !reopened;
  const against = evidence?.against.find((each) => each.proof === proof.id);
  const beside = putDown(bicycle, proof, mark, evidence);
  const isAsked = evidence !== null && hasEvidence(proof.id, evidence);
  const asks = isAsked ? `${EVIDENCE_WORDS[proof.id] ?? 'Readings'}, note, photograph` : 'Note, photograph';
  return (
    <Box component="li" sx={{ py: 1.5 }}>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', sm: 'minmax(0, 1fr) auto' },
          gap: { xs: 1, sm: 3 },
          alignItems: 'start',
        }}
      >
        <Box>
          <Box sx={{ fontWeight: 640, fontSize: '1.05rem' }}>
            {proof.label}
            {!proof.safety && (
              <Box component="span" sx={{ fontWeight: 400, color: 'text.secondary', fontSize: '0.92rem' }}>
                {' '}
                · does not keep it in
              </Box>
            )}
          </Box>
          <Box sx={{ fontSize: '0.92rem', color: 'text.secondary' }}>{proof.how}</Box>
          {mark && (
            <Box
              sx={{
                fontSize: '0.92rem',
                fontWeight: 600,
                color: isJudged || !mark.passed ? stateColour(stands ? 'fine' : 'unsafe') : 'text.secondary',
              }}
            >
              {mark.passed ? 'Signed' : 'Failed'} {dayOf(mark.at)}
              {mark.by && ` by ${mark.by}`}
              {reopened && `; ${reopened}`}
            </Box>
          )}
          {against && (
            <Box role="note" sx={{ fontSize: '0.94rem', fontWeight: 640, color: stateColour('unsafe') }}>
              {against.label}.
            </Box>
          )}
          {mark && !mark.passed && !proof.safety && <Accepted mark={mark} send={send} />}
        </Box>
        <Verdicts bicycle={bicycle} send={send} proof={proof} stands={stands} />
      </Box>
      {beside && (
        <Box sx={{ fontSize: '0.94rem', mt: 0.5, '&::first-letter': { textTransform: 'uppercase' } }}>{beside}</Box>
      )}
      <Disclosure summary={<>{asks}</>} wide>
        {isAsked && <AskEvidence bicycle={bicycle} send={send} proof={proof.id} evidence={evidence} />}
        <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 1, pt: 2 }}>
          {mark ? (
            <KeptText
              label="Note"
              value={mark.note}
              width={560}
              most={400}
              onKeep={(note) => send({ type: 'markProof', mark: { ...mark, note } })}
            />
          ) : (
            <Box sx={{ color: 'text.secondary' }}>A note goes with the signature: passed or failed first.</Box>
          )}
          <StepPhotos bicycle={bicycle} send={send} place={proof.place} step={proof.id} title={proof.label} />
        </Box>
      </Disclosure>
    </Box>
  );
}

/** What the evidence of a proof is called, where it is more than readings. */
const EVIDENCE_WORDS: Record<string, string> = {
  'brakes-walk': 'A measured stop',
  'gears-shift': 'Every gear, both ways',
  quiet: 'Something is heard',
  'ride-again': 'When it is looked at again',
};
