'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Proof } from '@/core/prove/proofs';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { useHand } from '../workshop/useHand';
import type { StageProps } from '../workshop/WorkshopProvider';
import { AtTheBench } from './AtTheBench';
import { ProofRow } from './ProofRow';
import { useProofs } from './useProofs';
import { useReady } from './useReady';
import { Verdict } from './Verdict';

const GROUPS: { title: string; of(proof: Proof): boolean; words: string }[] = [
  {
    title: 'At the stand',
    of: (proof) => proof.safety && proof.kind === 'stand',
    words: 'Work on a place reopens what was signed for it.',
  },
  {
    title: 'On a short ride',
    of: (proof) => proof.safety && proof.kind === 'ride',
    words: 'Brakes first, at walking pace, in a helmet, away from traffic.',
  },
  {
    title: 'How well it goes',
    of: (proof) => !proof.safety,
    words: 'None of these keeps it in; what fails is put right, or accepted in writing.',
  },
];

/** Brakes, steering, wheels and chain, looked at once more when a proof has lain for four weeks. */
function TwoMinutes({ send }: Pick<StageProps, 'send'>) {
  const { name } = useHand();
  return (
    <Section title="The two-minute list">
      <Typography sx={{ maxWidth: '62ch', mb: 1.5 }}>
        It was proved over four weeks ago. Tyres up and seated, both brakes hard, bars against the wheel, wheels closed,
        cranks and pedals rocked, nothing hanging loose.
      </Typography>
      <Button
        variant="contained"
        onClick={() => send({ type: 'recheck', recheck: { id: newId(), at: nowIso(), by: name } })}
      >
        All of it holds
      </Button>
    </Section>
  );
}

/** Prove: what the law says, what is missing, and every proof with who signed it. */
export function Prove({ bicycle, send }: StageProps) {
  const ready = useReady(bicycle);
  const proofs = useProofs(bicycle.kind);
  const aged = ready?.missing.some((item) => item.kind === 'aged') ?? false;
  const reopened = new Map(
    ready?.missing
      .filter((item) => item.kind === 'proof-reopened' || (item.kind === 'second-eyes' && item.stage === 'prove'))
      .map((item) => [item.id, item.kind === 'second-eyes' ? 'another person signs it too' : 'worked on since']),
  );
  return (
    <>
      <Section title="May it go out?">
        {ready ? (
          <Verdict ready={ready} bicycleId={bicycle.id} send={send} />
        ) : (
          <Typography role="status">Calculating…</Typography>
        )}
        <Typography variant="body2" sx={{ color: 'text.secondary', mt: 2, maxWidth: '62ch' }}>
          This counts what people have signed; it certifies nothing. Carbon, cracks, unknown repairs and electric drives
          go to a qualified person.
        </Typography>
      </Section>
      {aged && <TwoMinutes send={send} />}
      <Section title="The proof" aside={<AtTheBench />}>
        {proofs ? (
          GROUPS.map(({ title, of, words }) => (
            <Box key={title} sx={{ mt: 2.5, '&:first-of-type': { mt: 0 } }}>
              <Typography variant="h3">{title}</Typography>
              <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                {words}
              </Typography>
              <RuledList>
                {proofs.filter(of).map((proof) => (
                  <ProofRow
                    key={proof.id}
                    bicycle={bicycle}
                    send={send}
                    proof={proof}
                    reopened={reopened.get(proof.id) ?? null}
                  />
                ))}
              </RuledList>
            </Box>
          ))
        ) : (
          <Typography role="status">Getting the proofs…</Typography>
        )}
      </Section>
    </>
  );
}
