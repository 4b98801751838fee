'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { ProofEvidence } from '@/core/prove/evidence';
import type { Proof } from '@/core/prove/proofs';
import type { Ready } from '@/core/prove/ready';
import { boltsInput } from '@/model/rebuild/questions';
import type { SignedProof, WayOut } from '@/model/prove/part';
import { changedSince, paperLines, type PaperLine } from '@/model/prove/paper';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { Choices } from '@/ui/Choices';
import { Disclosure } from '@/ui/Disclosure';
import { dayOf } from '@/ui/format';
import { KeptText } from '@/ui/KeptText';
import { Section } from '@/ui/Section';
import { stateColour, StateMark } from '@/ui/StateMark';
import { useFindings } from '../workshop/useFindings';
import { useHand } from '../workshop/useHand';
import { useReckon } from '../workshop/useReckon';
import { useToday } from '../workshop/useToday';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';
import { AtTheBench } from './AtTheBench';
import { saveProof } from './proofPapers';

const ProofPaper = dynamic(() => import('./ProofPaper').then((module) => module.ProofPaper), { ssr: false });
const ReadBack = dynamic(() => import('./ReadBack').then((module) => module.ReadBack), { ssr: false });

const WAYS: { id: WayOut['way']; label: string }[] = [
  { id: 'ready', label: 'Ready' },
  { id: 'as-it-is', label: 'As it is' },
  { id: 'parts', label: 'For its parts' },
];

/** What a person adds to what the record says, and signs. */
function Sign({ send, ready, lines }: Pick<StageProps, 'send'> & { ready: Ready; lines: PaperLine[] }) {
  const { name } = useHand();
  const today = useToday();
  const [way, setWay] = useState<WayOut['way']>('ready');
  const [left, setLeft] = useState('');
  const [qualified, setQualified] = useState('');
  const [accepted, setAccepted] = useState('');
  const maySign = name !== '' && (way !== 'ready' || ready.ready);
  const sign = async () => {
    const { sumOf } = await import('@/model/prove/sum');
    const proof: Omit<SignedProof, 'sum'> = {
      id: newId(),
      at: nowIso(),
      by: name,
      way,
      left,
      accepted: accepted === '' ? null : { by: accepted, on: today, words: 'what is listed here' },
      qualified,
      lines,
    };
    send({ type: 'signProof', signed: { ...proof, sum: sumOf(proof) } });
  };
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 1.5, justifyItems: 'start' }}>
      <Choices label="It goes out" options={WAYS} value={way} onChoose={(next) => setWay(next)} />
      <KeptText label="What was left as it is" value={left} width={560} most={1000} onKeep={setLeft} />
      <KeptText
        label="Who accepts in writing what is listed"
        value={accepted}
        width={560}
        most={80}
        onKeep={setAccepted}
      />
      <KeptText
        label="What a qualified person decided, and who"
        value={qualified}
        width={560}
        most={1000}
        onKeep={setQualified}
      />
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
        <Button variant="contained" disabled={!maySign} onClick={() => void sign()}>
          Sign the proof
        </Button>
        <Box sx={{ color: 'text.secondary', maxWidth: '48ch' }}>
          {name === ''
            ? 'Say first who is at the bench.'
            : way === 'ready' && !ready.ready
              ? 'Ready is signed once nothing stands in the way; it may always go as it is.'
              : `${lines.length} lines, signed as ${name}.`}
        </Box>
      </Box>
    </Box>
  );
}

/** A proof that was signed: by whom, whether the record still says the same, its paper and its file. */
function Signed({
  bicycle,
  signed,
  lines,
}: {
  bicycle: StageProps['bicycle'];
  signed: SignedProof;
  lines: PaperLine[];
}) {
  const { name } = useSettings();
  const [paper, setPaper] = useState(false);
  const changes = changedSince(signed.lines, lines);
  return (
    <Box>
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
        <StateMark state={changes.length === 0 ? 'fine' : 'watch'} word={false} size={24} />
        <Box sx={{ flex: 1, minWidth: 240 }}>
          Signed by <b>{signed.by}</b> on {dayOf(signed.at)}, {signed.lines.length} lines,{' '}
          {WAYS.find(({ id }) => id === signed.way)!.label.toLowerCase()}.
        </Box>
        <Button variant="outlined" color="inherit" onClick={() => setPaper(true)}>
          Its paper
        </Button>
        <Button variant="outlined" color="inherit" onClick={() => void saveProof(bicycle, name, signed)}>
          Its file
        </Button>
      </Box>
      {changes.length > 0 && (
        <Box role="note" sx={{ mt: 1 }}>
          <Box sx={{ fontWeight: 640, color: stateColour('service') }}>
            {changes.length === 1 ? 'One line differs' : `${changes.length} lines differ`} from what was signed.
          </Box>
          <Disclosure summary={<>What differs</>}>
            <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
              {changes.slice(0, 40).map(({ id, was, is }) => (
                <li key={id}>
                  {was === null ? (
                    <>New: {is}</>
                  ) : is === null ? (
                    <>Gone: {was}</>
                  ) : (
                    <>
                      {is}{' '}
                      <Box component="span" sx={{ color: 'text.secondary' }}>
                        (signed: {was})
                      </Box>
                    </>
                  )}
                </li>
              ))}
            </Box>
          </Disclosure>
        </Box>
      )}
      {paper && <ProofPaper name={bicycle.name} workshop={name} signed={signed} onClose={() => setPaper(false)} />}
    </Box>
  );
}

/** The signature: who, when, what was measured, accepted and left. It certifies nothing. */
export function SignTheProof({
  bicycle,
  send,
  ready,
  proofs,
  evidence,
}: StageProps & { ready: Ready; proofs: Proof[]; evidence: ProofEvidence }) {
  const lookOver = useFindings(bicycle);
  const { output } = useReckon('rebuild.bolts', boltsInput(bicycle, useSettings()));
  const [again, setAgain] = useState(false);
  const [reading, setReading] = useState(false);
  if (!lookOver || !output) return null;
  const lines = paperLines(bicycle, { lookOver, bolts: output.bolts, proofs, evidence, ready });
  const last = bicycle.signed.at(-1);
  return (
    <Section title="The signature" aside={<AtTheBench />}>
      <Typography sx={{ maxWidth: '62ch', mb: 1.5 }}>
        It says who looked, what was measured, and what was left. It certifies nothing; where carbon, cracks, unknown
        repairs or a battery are concerned a qualified person decides.
      </Typography>
      {last && <Signed bicycle={bicycle} signed={last} lines={lines} />}
      {(!last || again) && <Sign send={send} ready={ready} lines={lines} key={last?.id} />}
      <Box sx={{ display: 'flex', gap: 1, mt: 2, flexWrap: 'wrap' }}>
        {last && !again && (
          <Button color="inherit" onClick={() => setAgain(true)}>
            Sign it anew
          </Button>
        )}
        <Button color="inherit" onClick={() => setReading(true)}>
          Check a proof file
        </Button>
      </Box>
      {reading && <ReadBack bicycle={bicycle} lines={lines} onClose={() => setReading(false)} />}
    </Section>
  );
}
