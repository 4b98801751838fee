'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { nothingFound, type Check } from '@/core/inspect/check';
import type { Evidence } from '@/core/inspect/evidence';
import type { LookOver } from '@/core/inspect/lookOver';
import { atHand, latestObservations } from '@/model/inspect/latest';
import { StateMark } from '@/ui/StateMark';
import { useHand } from '../workshop/useHand';
import type { StageProps } from '../workshop/WorkshopProvider';
import { EvidenceFields } from './EvidenceFields';
import { heardWords } from './heardWords';
import { observe } from './observe';

/** What one check asks for, wherever it is asked, and what it came to. `large` is for the bench. */
export function CheckAsk({
  bicycle,
  send,
  check,
  lookOver,
  large = false,
  onNoted,
}: StageProps & { check: Check; lookOver: LookOver | null; large?: boolean; onNoted?(): void }) {
  const { name } = useHand();
  const finding = lookOver?.findings.find((each) => each.check === check.id);
  const seen = atHand(latestObservations(bicycle).get(check.id), finding).evidence;
  const clean = nothingFound(check);
  const note = (changes: Evidence) => {
    send(observe(bicycle, check, finding, changes, name));
    onNoted?.();
  };
  return (
    <Box sx={{ display: 'grid', gap: large ? 2 : 1.25 }}>
      <EvidenceFields check={check} kind={bicycle.kind} seen={seen} errors={finding?.errors ?? []} note={note} />
      {clean && (
        <Box>
          <Button
            variant="outlined"
            size={large ? 'large' : 'medium'}
            sx={{ minHeight: large ? 60 : 44 }}
            onClick={() => note(clean)}
          >
            Looked, found nothing
          </Button>
        </Box>
      )}
      {finding && finding.state !== 'not-looked-at' && (
        <Box aria-live="polite" sx={{ fontSize: large ? '1.5rem' : '1rem' }}>
          <StateMark state={finding.state} size={large ? 30 : 20} />{' '}
          <Box component="span" sx={{ fontSize: large ? '1.15rem' : '0.95rem' }}>
            {finding.reasons[0]}
          </Box>
          {heardWords(finding.heard) && (
            <Box sx={{ fontSize: large ? '1rem' : '0.88rem', color: 'text.secondary' }}>
              {heardWords(finding.heard)}.
            </Box>
          )}
        </Box>
      )}
    </Box>
  );
}
