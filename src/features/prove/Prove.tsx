'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { useDeferredValue } from 'react';
import type { Proof } from '@/core/prove/proofs';
import { proofMarkOf } from '@/model/prove/proving';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { benchHref } from '../workshop/benchHref';
import { useHand } from '../workshop/useHand';
import type { StageProps } from '../workshop/WorkshopProvider';
import { AtTheBench } from './AtTheBench';
import { BeforeAndAfter } from './BeforeAndAfter';
import { ProofRow } from './ProofRow';
import { SignTheProof } from './SignTheProof';
import { useEvidence } from './useEvidence';
import { useProofs } from './useProofs';
import { useReady } from './useReady';
import { Standing, WhatStandsOpen } from './Verdict';

/** Where one stands for it, in the order of the work. */
const WHERE: { where: Proof['where']; title: string; words: string }[] = [
  { where: 'stand', title: 'On the stand', words: 'Work on a place reopens what was signed for it.' },
  { where: 'ground', title: 'On the ground', words: 'Nobody sits on it yet.' },
  { where: 'road', title: 'On the road', words: 'Walking pace first, in a helmet, away from traffic.' },
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

/** Prove: what the law says, every proof with its evidence, before beside after, and the signature. */
export function Prove({ bicycle, send }: StageProps) {
  const ready = useReady(bicycle);
  const proofs = useProofs(bicycle.kind);
  const evidence = useEvidence(bicycle);
  // What a proof asks for is drawn after what it is.
  const asked = useDeferredValue(evidence, null);
  const aged = ready?.missing.some((item) => item.kind === 'aged') ?? false;
  const reopened = new Map(
    ready?.missing
      .filter((item) => item.kind === 'proof-reopened' || (item.kind === 'second-eyes' && item.stage === 'prove'))
      .map((item) => [item.id, item.kind === 'second-eyes' ? 'another person signs it too' : 'worked on since']),
  );
  const signed = (of: readonly Proof[]) =>
    of.filter(({ id }) => proofMarkOf(bicycle, id)?.passed === true && !reopened.has(id)).length;
  return (
    <>
      <Section title="May it go out?" aside={<AtTheBench />}>
        <Standing ready={ready} />
      </Section>
      {aged && <TwoMinutes send={send} />}
      {!proofs && <Typography role="status">Getting the proofs…</Typography>}
      {proofs &&
        WHERE.map(({ where, title, words }) => {
          const here = proofs.filter((proof) => proof.where === where);
          return (
            <Section key={where} title={title} aside={ready && `${signed(here)} of ${here.length} stand`}>
              <Box
                sx={{
                  display: 'flex',
                  justifyContent: 'space-between',
                  alignItems: 'center',
                  gap: 2,
                  flexWrap: 'wrap',
                }}
              >
                <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                  {words}
                </Typography>
                {where === 'road' && (
                  <Button
                    component={Link}
                    prefetch={false}
                    variant="outlined"
                    href={benchHref(bicycle.id, 'prove')}
                    onClick={() =>
                      send({ type: 'benchAt', bench: { place: here[0]!.place, task: 'prove', step: here[0]!.id } })
                    }
                    sx={{ minHeight: 44 }}
                  >
                    Ride it, one at a time
                  </Button>
                )}
              </Box>
              <RuledList>
                {here.map((proof) => (
                  <ProofRow
                    key={proof.id}
                    bicycle={bicycle}
                    send={send}
                    proof={proof}
                    evidence={asked}
                    isJudged={ready !== null}
                    reopened={reopened.get(proof.id) ?? null}
                  />
                ))}
              </RuledList>
            </Section>
          );
        })}
      {asked && <BeforeAndAfter bicycle={bicycle} evidence={asked} />}
      {ready && <WhatStandsOpen ready={ready} bicycleId={bicycle.id} send={send} />}
      {proofs && asked && ready && (
        <SignTheProof bicycle={bicycle} send={send} ready={ready} proofs={proofs} evidence={asked} />
      )}
    </>
  );
}
