'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useRef } from 'react';
import { checksFor, type Check, type Evidence } from '@/core/inspect/checks';
import type { Finding, LookOver } from '@/core/inspect/lookOver';
import { latestObservations } from '@/model/selectors';
import { newId } from '@/store/browser';
import { Section } from '@/ui/Section';
import { useKeys } from '@/ui/keys/useKeys';
import { StateMark } from '@/ui/StateMark';
import { VerdictBlock } from '@/ui/VerdictBlock';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';
import { EvidenceFields, mergedEvidence, nothingFound } from './EvidenceFields';
import { RuledList } from '@/ui/RuledList';

interface CheckRowProps extends StageProps {
  check: Check;
  number: number;
  finding: Finding | undefined;
  isOpen: boolean;
  onOpen(check: string | null): void;
  next: string | null;
}

function OpenCheck({ bicycle, send, check, finding, onOpen, next }: CheckRowProps) {
  const latest = latestObservations(bicycle).get(check.id);
  const seen: Evidence = latest?.evidence ?? {};
  const clean = nothingFound(check);
  const note = (changes: Evidence) => {
    send({
      type: 'addObservation',
      observation: {
        id: newId(),
        check: check.id,
        at: new Date().toISOString(),
        evidence: mergedEvidence(seen, changes),
        note: latest?.note ?? '',
        withdrawn: false,
      },
    });
  };
  const { letterKeys } = useSettings();
  const foundNothing = () => {
    if (!clean) return;
    note(clean);
    onOpen(next);
  };
  useKeys(['look-over'], { 'found-nothing': foundNothing, skip: () => onOpen(next) }, letterKeys);
  return (
    <Box sx={{ pl: { xs: 0, sm: 4.5 }, pb: 2.5 }}>
      <Typography sx={{ mb: 2, maxWidth: '60ch' }}>{check.how}</Typography>
      <EvidenceFields check={check} kind={bicycle.kind} seen={seen} errors={finding?.errors ?? []} note={note} />
      {finding && finding.state !== 'not-looked-at' && (
        <VerdictBlock state={finding.state} reasons={finding.reasons} working={finding.working} />
      )}
      {finding && finding.errors.length > 0 && (
        <Typography role="alert" color="error" sx={{ mt: 2 }}>
          {finding.errors[0]!.message}
        </Typography>
      )}
      <Box sx={{ display: 'flex', gap: 1.5, mt: 2.5, flexWrap: 'wrap' }}>
        {clean && (
          <Button variant="outlined" onClick={foundNothing} aria-keyshortcuts="F">
            Looked, found nothing
          </Button>
        )}
        <Button variant={latest ? 'contained' : 'outlined'} onClick={() => onOpen(next)}>
          {next ? (latest ? 'Next' : 'Skip for now') : 'Done'}
        </Button>
        {latest && (
          <Button color="inherit" onClick={() => send({ type: 'withdrawObservation', observation: latest.id })}>
            {bicycle.observations.some((row) => row.check === check.id && row.id !== latest.id && !row.withdrawn)
              ? 'Take the last entry back'
              : 'Take it back'}
          </Button>
        )}
      </Box>
    </Box>
  );
}

function CheckRow(props: CheckRowProps) {
  const { check, number, finding, isOpen, onOpen } = props;
  const here = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    if (!isOpen) return;
    here.current?.focus({ preventScroll: true });
    // The whole open check is to be seen, not only its heading.
    void here.current?.closest('li')?.scrollIntoView({ block: 'nearest' });
  }, [isOpen]);
  const state = finding?.state ?? 'not-looked-at';
  return (
    <Box component="li">
      <Box
        component="button"
        ref={here}
        aria-expanded={isOpen}
        onClick={() => onOpen(isOpen ? null : check.id)}
        sx={{
          all: 'unset',
          boxSizing: 'border-box',
          cursor: 'pointer',
          width: '100%',
          display: 'grid',
          gridTemplateColumns: '28px minmax(0, 1fr) auto',
          gap: 1,
          alignItems: 'center',
          minHeight: 52,
          py: 0.75,
          '&:hover': { bgcolor: 'background.paper' },
          '&:focus-visible': { outline: '3px solid', outlineColor: 'primary.main' },
        }}
      >
        <Box sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>{number}</Box>
        <Box sx={{ minWidth: 0 }}>
          <Box sx={{ fontWeight: 620, fontSize: isOpen ? '1.2rem' : '1.02rem' }}>{check.label}</Box>
          {!isOpen && state !== 'not-looked-at' && (
            <Box
              sx={{
                color: 'text.secondary',
                fontSize: '0.88rem',
                overflow: 'hidden',
                textOverflow: 'ellipsis',
                whiteSpace: 'nowrap',
              }}
            >
              {finding!.reasons[0]}
            </Box>
          )}
        </Box>
        <StateMark state={state} />
      </Box>
      {isOpen && <OpenCheck {...props} />}
    </Box>
  );
}

/** The look-over: its checks, front to back, one at a time at hand. */
export function LookOverStage({
  bicycle,
  send,
  findings,
  open,
  onOpen,
}: StageProps & { findings: LookOver['findings']; open: string | null; onOpen(check: string | null): void }) {
  const byCheck = new Map(findings.map((finding) => [finding.check, finding]));
  const checks = checksFor(bicycle.kind);
  const missing = findings.filter((finding) => finding.state === 'not-looked-at').length;
  return (
    <Section title="Front to back" aside={missing ? `${missing} not looked at, which is not fine` : 'all looked at'}>
      <RuledList ordered>
        {checks.map((check, i) => (
          <CheckRow
            key={check.id}
            bicycle={bicycle}
            send={send}
            check={check}
            number={i + 1}
            finding={byCheck.get(check.id)}
            isOpen={open === check.id}
            onOpen={onOpen}
            next={checks[i + 1]?.id ?? null}
          />
        ))}
      </RuledList>
      <Typography variant="body2" sx={{ color: 'text.secondary', mt: 3, maxWidth: '62ch' }}>
        Clamp the stand on the seat post, never hard on a thin tube. Feel stays with the hand: this sheet holds what you
        felt, and certifies nothing. Doubts about carbon, cracks and unknown repairs go to a qualified person.
      </Typography>
    </Section>
  );
}
