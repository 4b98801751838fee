'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { proofs, type Proof } from '@/core/prove/proofs';
import type { Missing, Ready } from '@/core/prove/ready';
import type { Stage } from '@/model/record';
import { newId } from '@/store/browser';
import { dayOf } from '@/ui/format';
import { Section } from '@/ui/Section';
import { stateColour, StateMark } from '@/ui/StateMark';
import type { StageProps } from '../workshop/WorkshopProvider';
import { onStageClick, stageHref } from '../bike/stageLink';
import { useReady } from './useReady';
import { Disclosure } from '@/ui/Disclosure';
import { RuledList } from '@/ui/RuledList';

const WHERE: Record<Missing['kind'], { stage: Stage; label: string } | null> = {
  unsafe: { stage: 'look-over', label: 'Look over' },
  'not-looked-at': { stage: 'look-over', label: 'Look over' },
  again: { stage: 'look-over', label: 'Look over' },
  complaint: { stage: 'look-over', label: 'Look over' },
  torque: { stage: 'rebuild', label: 'Rebuild' },
  loose: { stage: 'rebuild', label: 'Rebuild' },
  unsigned: null,
  failed: null,
};

const PROOF_IDS = new Set(proofs.map((proof) => proof.id));

/** Many unsigned bolts are one thing to do: the round. */
function grouped(items: Missing[]): Missing[] {
  const bolts = items.filter((item) => item.kind === 'unsigned' && !PROOF_IDS.has(item.id));
  const [first] = bolts;
  if (!first || bolts.length < 3) return items;
  const words = `${bolts.length} bolts${first.blocks ? ' that hold the rider' : ''}: not signed`;
  const round = { ...first, words };
  const rest = items.filter((item) => !bolts.includes(item));
  const proofsAt = rest.findIndex((item) => item.kind === 'unsigned');
  return proofsAt < 0 ? [...rest, round] : [...rest.slice(0, proofsAt), round, ...rest.slice(proofsAt)];
}

function MissingList({ items, bicycleId }: { items: Missing[]; bicycleId: string }) {
  return (
    <Box component="ul" sx={{ m: 0, mt: 1, p: 0, listStyle: 'none' }}>
      {items.map((item) => {
        const where =
          WHERE[item.kind] ?? (PROOF_IDS.has(item.id) ? null : { stage: 'rebuild' as const, label: 'Rebuild' });
        return (
          <Box component="li" key={`${item.kind}${item.id}`} sx={{ py: 0.4 }}>
            {item.words}
            {where && (
              <>
                {' · '}
                <Box
                  component="a"
                  href={stageHref(bicycleId, where.stage)}
                  onClick={onStageClick(bicycleId, where.stage)}
                  sx={{ color: 'primary.main' }}
                >
                  {where.label}
                </Box>
              </>
            )}
          </Box>
        );
      })}
    </Box>
  );
}

function Verdict({ ready, bicycleId }: { ready: Ready; bicycleId: string }) {
  const blocking = grouped(ready.missing.filter((item) => item.blocks));
  const others = grouped(ready.missing.filter((item) => !item.blocks));
  return (
    <Box
      role="status"
      sx={{ borderLeft: '5px solid', borderColor: stateColour(ready.ready ? 'fine' : 'unsafe'), pl: 2.5, py: 0.5 }}
    >
      <Box
        sx={{
          fontSize: '1.8rem',
          fontWeight: 680,
          display: 'flex',
          gap: 1.5,
          alignItems: 'center',
          color: stateColour(ready.ready ? 'fine' : 'unsafe'),
        }}
      >
        <StateMark state={ready.ready ? 'fine' : 'unsafe'} word={false} size={32} />
        {ready.ready ? 'Ready, as far as it was signed' : 'Not ready'}
      </Box>
      {blocking.length > 0 && (
        <>
          <Typography sx={{ mt: 1, fontWeight: 620 }}>
            {blocking.length === 1 ? 'One thing stands in the way:' : `${blocking.length} things stand in the way:`}
          </Typography>
          <MissingList items={blocking.slice(0, 8)} bicycleId={bicycleId} />
          {blocking.length > 8 && (
            <Disclosure summary={<>and {blocking.length - 8} more</>}>
              <MissingList items={blocking.slice(8)} bicycleId={bicycleId} />
            </Disclosure>
          )}
        </>
      )}
      {others.length > 0 && (
        <Disclosure summary={<>{others.length} more to ask about, which do not stand in the way</>}>
          <MissingList items={others} bicycleId={bicycleId} />
        </Disclosure>
      )}
    </Box>
  );
}

function ProofRow({ bicycle, send, proof }: StageProps & { proof: Proof }) {
  const mark = bicycle.proofs.findLast((row) => row.proof === proof.id);
  const set = (passed: boolean) => {
    if (mark && mark.passed === passed) send({ type: 'unmarkProof', mark: mark.id });
    else
      send({
        type: 'markProof',
        mark: { id: newId(), proof: proof.id, passed, how: 'by hand', at: new Date().toISOString() },
      });
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
        <Box sx={{ fontWeight: 640, fontSize: '1.05rem' }}>
          {proof.label}{' '}
          {proof.safetyCritical && (
            <Box component="span" sx={{ fontWeight: 400, fontSize: '0.82rem', color: 'text.secondary' }}>
              safety
            </Box>
          )}
        </Box>
        <Box sx={{ fontSize: '0.92rem', color: 'text.secondary' }}>{proof.how}</Box>
        {mark && (
          <Box sx={{ fontSize: '0.88rem', color: stateColour(mark.passed ? 'fine' : 'unsafe'), fontWeight: 600 }}>
            {mark.passed ? 'Signed' : 'Failed'} {dayOf(mark.at)}
          </Box>
        )}
      </Box>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button
          variant={mark?.passed === true ? 'contained' : 'outlined'}
          aria-pressed={mark?.passed === true}
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

/** Prove: what is signed, what is missing, and whether it may be called ready. */
export function Prove({ bicycle, send }: StageProps) {
  const ready = useReady(bicycle);
  return (
    <>
      <Section title="May it go out?">
        {ready ? (
          <Verdict ready={ready} bicycleId={bicycle.id} />
        ) : (
          <Typography role="status">Reading the findings…</Typography>
        )}
        <Typography variant="body2" sx={{ color: 'text.secondary', mt: 2, maxWidth: '62ch' }}>
          This counts what people have signed; it certifies nothing. Carbon, cracks, unknown repairs and electric drives
          go to a qualified person. Try brakes at walking pace, in a helmet, away from traffic.
        </Typography>
      </Section>
      <Section title="The proof">
        <RuledList>
          {proofs.map((proof) => (
            <ProofRow key={proof.id} bicycle={bicycle} send={send} proof={proof} />
          ))}
        </RuledList>
      </Section>
    </>
  );
}
