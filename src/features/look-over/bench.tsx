'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { nothingFound, type Check } from '@/core/inspect/check';
import type { Evidence } from '@/core/inspect/evidence';
import { atHand, isKnown, latestObservations } from '@/model/inspect/latest';
import { StateMark } from '@/ui/StateMark';
import { defineBench, NO_STEP, type StepProps } from '../workshop/declared';
import { useHand } from '../workshop/useHand';
import { EvidenceFields } from './EvidenceFields';
import { heardWords } from './heardWords';
import { observe } from './observe';

/** What a check asks for at the bench, and what it came to. */
function AskCheck({ bicycle, send, step, answer, lookOver }: StepProps<{ checks: Check[] }>) {
  const { name } = useHand();
  const check = answer.checks.find((each) => each.id === step.id)!;
  const finding = lookOver?.findings.find((each) => each.check === step.id);
  const seen = atHand(latestObservations(bicycle).get(step.id), finding).evidence;
  const clean = nothingFound(check);
  const note = (changes: Evidence) => send(observe(bicycle, check, finding, changes, name));
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
          {heardWords(finding.heard) && (
            <Box sx={{ fontSize: '1rem', color: 'text.secondary' }}>{heardWords(finding.heard)}.</Box>
          )}
        </Box>
      )}
    </Box>
  );
}

/** Every check as a step of its own. */
export const lookOverBench = defineBench<'inspect.checks'>({
  asks: { id: 'inspect.checks', of: ({ kind }) => ({ kind }) },
  steps(bicycle, { answer, lookOver }) {
    const seen = latestObservations(bicycle);
    const findings = new Map((lookOver?.findings ?? []).map((finding) => [finding.check, finding]));
    return (answer?.checks ?? []).map((check) => ({
      ...NO_STEP,
      id: check.id,
      place: check.place,
      title: check.label,
      aside: check.how,
      done:
        (findings.get(check.id)?.state ?? 'not-looked-at') !== 'not-looked-at' &&
        isKnown(seen.get(check.id), findings.get(check.id)),
    }));
  },
  Ask: AskCheck,
});
