'use client';
import Box from '@mui/material/Box';
import { memo, type ReactNode } from 'react';
import type { CheckPlace } from '@/core/inspect/check';
import type { Finding } from '@/core/inspect/lookOver';
import { placeLabel, stateRank, type StateId } from '@/core/vocabulary/vocabulary';
import { StateMark } from '@/ui/StateMark';

/** What a place has come to: its gravest finding, and how much of it has been looked at. */
export function summed(at: CheckPlace, findings: Map<string, Finding>) {
  const here = at.checks.flatMap((check) => findings.get(check.id) ?? []);
  const looked = here.filter((finding) => finding.state !== 'not-looked-at');
  const gravest = looked.reduce<Finding | null>(
    (worst, finding) => (!worst || stateRank(finding.state) > stateRank(worst.state) ? finding : worst),
    null,
  );
  const state: StateId = gravest?.state ?? 'not-looked-at';
  return {
    state,
    words: gravest && state !== 'fine' ? gravest.reasons[0]! : null,
    looked: looked.length,
    of: here.length,
    unmeasured: here.filter((finding) => finding.measured === false).length,
    asks: here.some((finding) => finding.state === 'not-looked-at' || finding.deeper || finding.again),
    hint: here.find((finding) => finding.doubted)?.hints[0] ?? null,
    again: here.some((finding) => finding.again),
    raised: here.find((finding) => finding.raisedBy && finding.state === 'not-looked-at')?.raisedBy ?? null,
  };
}

/** What a closed row says beneath its name. */
function lineOf({ words, looked, of, again, raised, unmeasured, hint }: ReturnType<typeof summed>): string {
  return [
    words,
    hint,
    again && 'look again',
    raised && 'raised by its sibling',
    looked > 0 && looked < of && `${looked} of ${of} looked at`,
    looked > 0 && unmeasured > 0 && (of === 1 ? 'not measured' : `${unmeasured} not measured`),
  ]
    .filter(Boolean)
    .join(' · ');
}

/** The heading of a place. Some forty stand below one another, and a key pressed in one draws none of the others anew. */
const Heading = memo(function Heading({
  place,
  number,
  isOpen,
  state,
  line,
  onOpen,
}: {
  place: string;
  number: number;
  isOpen: boolean;
  state: StateId;
  line: string;
  onOpen(place: string | null): void;
}) {
  return (
    <Box
      component="button"
      aria-expanded={isOpen}
      onClick={() => onOpen(isOpen ? null : place)}
      sx={{
        all: 'unset',
        boxSizing: 'border-box',
        cursor: 'pointer',
        width: '100%',
        display: 'grid',
        gridTemplateColumns: '28px minmax(0, 1fr) auto',
        gap: 1,
        alignItems: 'center',
        minHeight: 50,
        py: 0.5,
        '&:hover': { bgcolor: 'background.paper' },
        '&:focus-visible': { outline: '3px solid', outlineColor: 'primary.main' },
      }}
    >
      <Box sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>{number}</Box>
      <Box sx={{ minWidth: 0 }}>
        <Box sx={{ fontWeight: 620, fontSize: isOpen ? '1.25rem' : '1.02rem' }}>{placeLabel(place)}</Box>
        {!isOpen && line && (
          <Box
            sx={{
              color: 'text.secondary',
              fontSize: '0.88rem',
              overflow: 'hidden',
              textOverflow: 'ellipsis',
              whiteSpace: 'nowrap',
            }}
          >
            {line}
          </Box>
        )}
      </Box>
      <StateMark state={state} />
    </Box>
  );
});

/** A place of the look-over: what it has come to, and its checks while it is open. */
export function PlaceRow({
  at,
  number,
  isOpen,
  findings,
  onOpen,
  children,
}: {
  at: CheckPlace;
  number: number;
  isOpen: boolean;
  findings: Map<string, Finding>;
  /** The same function for as long as possible: headings are drawn anew with it. */
  onOpen(place: string | null): void;
  children: ReactNode;
}) {
  const sum = summed(at, findings);
  return (
    <li style={{ scrollMarginTop: 8 }}>
      <Heading
        place={at.place}
        number={number}
        isOpen={isOpen}
        state={sum.state}
        line={isOpen ? '' : lineOf(sum)}
        onOpen={onOpen}
      />
      {isOpen && children}
    </li>
  );
}
