'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { handEvidence, nothingFound, type Check, type CheckPlace } from '@/core/inspect/check';
import { HAND_STATES, type HandState } from '@/core/inspect/evidence';
import type { Finding } from '@/core/inspect/lookOver';
import { SEEN_WORDS } from '@/core/inspect/seenAs';
import { placeLabel, stateLabel } from '@/core/vocabulary/vocabulary';
import { atHand, isKnown, latestObservations } from '@/model/inspect/latest';
import { useKeys } from '@/ui/keys/useKeys';
import { StateMark } from '@/ui/StateMark';
import { Working } from '@/ui/Working';
import { Notes } from '../notes/Notes';
import { StepPhotos } from '../photos/StepPhotos';
import { Foot } from '../workshop/StageAction';
import { useHand } from '../workshop/useHand';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';
import { EvidenceFields } from './EvidenceFields';
import { heardWords } from './heardWords';
import { observe, takeBack } from './observe';

const KEYS: Record<HandState, string> = { fine: 'F', watch: 'W', service: 'S', replace: 'R', unsafe: 'U' };

/** What a check has come to, in a space that is kept for it, so that a long reason never moves what lies under the hand. */
function Found({ finding, onBack }: { finding: Finding; onBack: (() => void) | null }) {
  const looked = finding.state !== 'not-looked-at';
  const heard = looked ? heardWords(finding.heard) : null;
  return (
    <Box aria-live="polite" sx={{ minHeight: 52, mt: 1 }}>
      <Box sx={{ display: 'flex', columnGap: 1.5, rowGap: 0.25, flexWrap: 'wrap', alignItems: 'start' }}>
        <StateMark state={finding.state} />
        <Box sx={{ flex: 1, minWidth: 200 }}>
          {finding.errors[0] && (
            <Box role="alert" sx={{ color: 'error.main' }}>
              {finding.errors[0].message}
            </Box>
          )}
          {finding.errors[0] && !looked ? null : looked ? (
            finding.reasons[0]
          ) : (
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {finding.hints[0] ?? finding.raisedBy ?? 'which is not fine'}
            </Box>
          )}
        </Box>
        {looked && onBack && (
          <Button size="small" color="inherit" onClick={onBack}>
            Undo
          </Button>
        )}
      </Box>
      {heard && <Box sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>{heard}.</Box>}
      {looked && finding.measured === false && (
        <Box sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>Not measured.</Box>
      )}
      {finding.hints.slice(looked ? 0 : 1).map((words) => (
        <Box key={words} sx={{ fontSize: '0.9rem' }}>
          {words}
        </Box>
      ))}
      {finding.again && (
        <Box sx={{ fontSize: '0.9rem', fontWeight: 620 }}>
          Seen {SEEN_WORDS[finding.seenAs!]}; dirt hides and feigns: look again.
        </Box>
      )}
      {looked && finding.raisedBy && <Box sx={{ fontSize: '0.9rem' }}>{finding.raisedBy}</Box>}
      {looked && finding.reasons.length > 1 && (
        <Box sx={{ fontSize: '0.92rem', color: 'text.secondary' }}>{finding.reasons.slice(1).join(' ')}</Box>
      )}
      <Working rows={finding.working} />
    </Box>
  );
}

function CheckBlock({
  bicycle,
  send,
  check,
  finding,
  isCurrent,
  onCurrent,
  alone,
}: StageProps & { check: Check; finding: Finding; isCurrent: boolean; onCurrent(): void; alone: boolean }) {
  const latest = latestObservations(bicycle).get(check.id);
  const { name: by } = useHand();
  const back = takeBack(bicycle, finding);
  return (
    <Box
      role="group"
      aria-label={check.label}
      data-check={check.id}
      onFocusCapture={onCurrent}
      onPointerDown={onCurrent}
      sx={{
        borderLeft: '3px solid',
        borderColor: isCurrent && !alone ? 'primary.main' : 'transparent',
        pl: 2,
        py: 0.5,
      }}
    >
      {!alone && (
        <Typography variant="h3" sx={{ mb: 0.25 }}>
          {check.label}
        </Typography>
      )}
      <Typography sx={{ mb: 1.25, maxWidth: '60ch', color: 'text.secondary', fontSize: '0.95rem' }}>
        {check.how}
      </Typography>
      <EvidenceFields
        check={check}
        kind={bicycle.kind}
        seen={atHand(latest, finding).evidence}
        errors={finding.errors}
        note={(changes) => send(observe(bicycle, check, finding, changes, by))}
      />
      <Found finding={finding} onBack={back ? () => send(back) : null} />
    </Box>
  );
}

/** The state by hand of the check at hand, with its keys on the buttons; then on. */
function HandBar({
  label,
  canBeFine,
  onState,
  onNext,
  last,
}: {
  label: string | null;
  canBeFine: boolean;
  onState(state: HandState): void;
  onNext(): void;
  last: boolean;
}) {
  return (
    <Foot>
      {label && (
        <Box sx={{ fontSize: '0.85rem', color: 'text.secondary', mb: 0.5 }}>
          By eye: <b>{label}</b>
        </Box>
      )}
      <Box role="group" aria-label="By eye" sx={{ display: 'flex', gap: 0.75, flexWrap: 'wrap' }}>
        {HAND_STATES.map((state) => (
          <Button
            key={state}
            variant="outlined"
            color="inherit"
            disabled={state === 'fine' && !canBeFine}
            aria-keyshortcuts={KEYS[state]}
            onClick={() => onState(state)}
            sx={{ px: 0.9, minHeight: 48, minWidth: 0, gap: 0.5, fontSize: '0.92rem' }}
          >
            <StateMark state={state} size={18} word={false} />
            {state === 'fine' ? 'Fine' : stateLabel(state)}
            <Box
              component="kbd"
              sx={{
                display: { xs: 'none', md: 'inline' },
                font: 'inherit',
                fontSize: '0.78rem',
                color: 'text.secondary',
              }}
            >
              {KEYS[state]}
            </Box>
          </Button>
        ))}
        <Button
          variant="contained"
          onClick={onNext}
          aria-keyshortcuts="Enter"
          aria-label={last ? 'Done' : 'Next place'}
          sx={{ minHeight: 48, ml: 'auto', px: 2 }}
        >
          {last ? 'Done' : 'Next'}
        </Button>
      </Box>
    </Foot>
  );
}

/** The first reading field of a check that nothing has been entered in. */
function emptyField(box: HTMLElement | null, check: string): HTMLInputElement | null {
  const fields = box?.querySelectorAll<HTMLInputElement>(`[data-check="${check}"] input[data-reading]`);
  return [...(fields ?? [])].find((field) => field.value === '') ?? null;
}

/** One place with all its checks at hand. */
export function PlaceChecks({
  bicycle,
  send,
  at,
  findings,
  onNext,
  last,
  noting,
}: StageProps & {
  at: CheckPlace;
  findings: Map<string, Finding>;
  onNext(): void;
  last: boolean;
  noting: boolean;
}) {
  const box = useRef<HTMLDivElement>(null);
  // What has been put down counts at once; its verdict follows when it has been reckoned.
  const seen = latestObservations(bicycle);
  const isOpen = (check: Check) => !isKnown(seen.get(check.id), findings.get(check.id));
  // That something is wrong is known, and what it is, is not: nobody answers that by finding nothing.
  const isRiddle = (check: Check) => findings.get(check.id)?.deeper === true && check.byEye;
  const openCheck = at.checks.find(isOpen) ?? at.checks[0]!;
  const [chosen, setChosen] = useState<string | null>(null);
  const [readingAsked, setReadingAsked] = useState<string | null>(null);
  const current = at.checks.find((check) => check.id === chosen) ?? openCheck;
  const alone = at.checks.length === 1;
  const { letterKeys } = useSettings();
  const { name: by } = useHand();
  // A place that begins with a reading has its field at hand; where looking comes first, the keys are the eye's.
  const [beginsWith] = useState(openCheck.byEye ? null : openCheck.id);

  useEffect(() => {
    // Focus asks for the layout of the whole page: with the frame that lays it out anyway, and not before it.
    const frame = requestAnimationFrame(() => {
      const first = beginsWith === null ? null : emptyField(box.current, beginsWith);
      (first ?? box.current)?.focus({ preventScroll: true });
      void box.current?.closest('li')?.scrollIntoView({ block: 'start' });
    });
    return () => cancelAnimationFrame(frame);
  }, [beginsWith]);

  /** Looked at the whole place and found nothing: every check that looking can answer and that says nothing yet. */
  const foundNothing = () => {
    for (const check of at.checks) {
      const clean = nothingFound(check);
      if (clean && !isRiddle(check) && (isOpen(check) || findings.get(check.id)?.again))
        send(observe(bicycle, check, findings.get(check.id), clean, by));
    }
    const asked = at.checks.find((check) => (!nothingFound(check) || isRiddle(check)) && isOpen(check));
    // Asked for once: a place may be left without its reading, which stays "not measured".
    if (asked && asked.id !== readingAsked) {
      setReadingAsked(asked.id);
      setChosen(asked.id);
      emptyField(box.current, asked.id)?.focus();
    } else onNext();
  };
  const mark = (state: HandState) => {
    if (state === 'fine') return foundNothing();
    const evidence = { outcome: undefined, ...handEvidence(current, state, bicycle.kind) };
    send(observe(bicycle, current, findings.get(current.id), evidence, by));
    const left = at.checks.filter((check) => check.id !== current.id && isOpen(check));
    setChosen(left[0]?.id ?? current.id);
  };
  useKeys(
    ['look-over'],
    {
      'found-nothing': foundNothing,
      'mark-watch': () => mark('watch'),
      'mark-service': () => mark('service'),
      'mark-replace': () => mark('replace'),
      'mark-unsafe': () => mark('unsafe'),
      'next-place': onNext,
      skip: onNext,
      'look-photo': () => document.getElementById('look-photo')?.click(),
    },
    letterKeys,
  );

  /** Digits are a reading wherever they are typed. */
  function onKeyDown(event: KeyboardEvent<HTMLDivElement>): void {
    const fields = [...(box.current?.querySelectorAll<HTMLInputElement>('input[data-reading]') ?? [])];
    const inField = fields.some((field) => field === event.target);
    if (!inField && /^\d$/.test(event.key) && !event.ctrlKey && !event.metaKey && !event.altKey)
      (fields.find((each) => each.value === '') ?? fields[0])?.focus();
  }

  return (
    <Box
      ref={box}
      tabIndex={-1}
      data-takes-digits={at.checks.some((check) => check.kind !== 'outcome' && check.kind !== 'crank') || undefined}
      data-readings
      data-has-keys
      role="group"
      aria-label={`Checks: ${placeLabel(at.place)}`}
      onKeyDown={onKeyDown}
      sx={{ pl: { xs: 0, sm: 3 }, pb: 1, outline: 'none' }}
    >
      <Box sx={{ display: 'grid', gap: 2 }}>
        {at.checks.map((check) => {
          const finding = findings.get(check.id);
          return finding ? (
            <CheckBlock
              key={check.id}
              bicycle={bicycle}
              send={send}
              check={check}
              finding={finding}
              isCurrent={check.id === current.id}
              onCurrent={() => setChosen(check.id)}
              alone={alone}
            />
          ) : null;
        })}
      </Box>
      <Box sx={{ mt: 1, pl: 2 }}>
        <StepPhotos
          bicycle={bicycle}
          send={send}
          place={at.place}
          step="look-over"
          title={placeLabel(at.place)}
          inputId="look-photo"
        />
        {noting && <Notes bicycle={bicycle} send={send} place={at.place} open />}
      </Box>
      <HandBar
        label={alone ? null : current.label}
        canBeFine={at.checks.some((check) => nothingFound(check) !== null)}
        onState={mark}
        onNext={onNext}
        last={last}
      />
    </Box>
  );
}
