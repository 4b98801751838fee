'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { nothingFound, type Check } from '@/core/inspect/check';
import type { Evidence } from '@/core/inspect/evidence';
import { latestObservations } from '@/model/inspect/latest';
import { StateMark } from '@/ui/StateMark';
import { defineBench, NO_STEP, type StepProps } from '../workshop/declared';
import { useHand } from '../workshop/useHand';
import { EvidenceFields } from './EvidenceFields';
import { observe } from './observe';

/** What a check asks for at the bench, and what it came to. */
function AskCheck({ bicycle, send, step, answer, lookOver }: StepProps<{ checks: Check[] }>) {
  const { name } = useHand();
  const check = answer.checks.find((each) => each.id === step.id)!;
  const finding = lookOver?.findings.find((each) => each.check === step.id);
  const seen = latestObservations(bicycle).get(step.id)?.evidence ?? {};
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

/** Every check as a step of its own. */
export const lookOverBench = defineBench<'inspect.checks'>({
  asks: { id: 'inspect.checks', of: ({ kind }) => ({ kind }) },
  steps(bicycle, { answer, lookOver }) {
    const seen = latestObservations(bicycle);
    const states = new Map((lookOver?.findings ?? []).map(({ check, state }) => [check, state]));
    return (answer?.checks ?? []).map((check) => ({
      ...NO_STEP,
      id: check.id,
      place: check.place,
      title: check.label,
      aside: check.how,
      done: seen.has(check.id) && (states.get(check.id) ?? 'not-looked-at') !== 'not-looked-at',
    }));
  },
  Ask: AskCheck,
});
