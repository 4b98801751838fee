'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { checkById, nothingFound } from '@/core/inspect/checks';
import type { Evidence } from '@/core/inspect/evidence';
import type { Bolt } from '@/core/rebuild/bolts';
import type { BenchTask } from '@/model/work/part';
import { bearingFor } from '@/model/bearings/bearingFor';
import { countsOf } from '@/model/bearings/questions';
import { latestObservations } from '@/model/inspect/latest';
import { ReadingField } from '@/ui/ReadingField';
import { StateMark } from '@/ui/StateMark';
import { useFindings } from '../bike/useFindings';
import { EvidenceFields } from '../look-over/EvidenceFields';
import { observe } from '../look-over/observe';
import { markProof, signBolt } from '../prove/signing';
import { BallCounter } from '../strip/BallCounter';
import { useHand } from '../workshop/useHand';
import type { StageProps } from '../workshop/WorkshopProvider';
import type { BenchStep } from './steps';

/** What a step asks for besides going on: a reading, a feel, a signature, a count. */
export function Asks({
  bicycle,
  send,
  task,
  step,
  bolts,
}: StageProps & { task: BenchTask; step: BenchStep; bolts: Bolt[] }) {
  const findings = useFindings(bicycle)?.findings ?? [];
  const { name } = useHand();
  if (step.count) {
    const { side, what } = step.count;
    return (
      <BallCounter
        label={`${what}, ${side}`}
        count={countsOf(bearingFor(bicycle, step.place), side)[what]}
        large
        onCount={(count) =>
          send({ type: 'countBalls', place: step.place, side, changes: { [what]: count, answer: null } })
        }
      />
    );
  }
  if (task === 'torque') {
    const bolt = bolts.find((each) => each.id === step.id);
    // Its hold is told above the key: pressing it says that it was tried.
    const sign = (valueNm: number | null) => send(signBolt(step.id, valueNm, name, valueNm === null));
    return (
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'start', flexWrap: 'wrap' }}>
        {bolt?.torqueMaxNm !== null && (
          <ReadingField
            key={step.id}
            label="Wrench said"
            kind="number"
            unit="N·m"
            large
            width={220}
            value={null}
            keepEmpty
            onCommit={(value) => sign(value)}
            refuse={(value) => (value <= 0 || value > 300 ? 'no bolt here takes that' : null)}
            judge={(value) =>
              bolt?.torqueMinNm == null || bolt.torqueMaxNm === null
                ? null
                : value < bolt.torqueMinNm
                  ? { state: 'replace', words: 'under its band' }
                  : value > bolt.torqueMaxNm
                    ? { state: 'unsafe', words: 'over its band' }
                    : { state: 'fine', words: 'within its band' }
            }
          />
        )}
        <Button variant="outlined" size="large" onClick={() => sign(null)} sx={{ minHeight: 60 }}>
          By feel, and it holds
        </Button>
      </Box>
    );
  }
  if (task === 'prove') {
    const mark = (passed: boolean) => send(markProof(step.id, passed, name));
    return (
      <Box sx={{ display: 'flex', gap: 2 }}>
        <Button
          variant="outlined"
          size="large"
          sx={{ minHeight: 72, minWidth: 150, fontSize: '1.3rem' }}
          onClick={() => mark(true)}
        >
          Passed
        </Button>
        <Button
          variant="outlined"
          color="error"
          size="large"
          sx={{ minHeight: 72, minWidth: 150, fontSize: '1.3rem' }}
          onClick={() => mark(false)}
        >
          Failed
        </Button>
      </Box>
    );
  }
  if (task === 'look-over') {
    const check = checkById(step.id)!;
    const finding = findings.find((each) => each.check === step.id);
    const latest = latestObservations(bicycle).get(step.id);
    const seen = latest?.evidence ?? {};
    const clean = nothingFound(check);
    const note = (changes: Evidence) => send(observe(bicycle, check, changes, name));
    return (
      <Box sx={{ display: 'grid', gap: 2 }}>
        <EvidenceFields check={check} kind={bicycle.kind} seen={seen} errors={finding?.errors ?? []} note={note} />
        {clean && (
          <Box>
            <Button variant="outlined" size="large" sx={{ minHeight: 60 }} onClick={() => note(clean)}>
              Looked, found nothing
            </Button>
          </Box>
        )}
        {finding && finding.state !== 'not-looked-at' && (
          <Box aria-live="polite" sx={{ fontSize: '1.5rem' }}>
            <StateMark state={finding.state} size={30} />{' '}
            <Box component="span" sx={{ fontSize: '1.15rem' }}>
              {finding.reasons[0]}
            </Box>
          </Box>
        )}
      </Box>
    );
  }
  return null;
}
