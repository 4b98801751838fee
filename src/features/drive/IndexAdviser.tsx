'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useState } from 'react';
import type { IndexAdvice } from '@/core/drive/indexing';
import type { Feel } from '@/core/drive/shifts';
import { cogCount, felt, indexInput, teethOf } from '@/model/drive/questions';
import type { ShiftRound } from '@/model/drive/part';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { Choices } from '@/ui/Choices';
import { Section } from '@/ui/Section';
import { useHand } from '../workshop/useHand';
import { placeHref } from '../workshop/usePlaceAt';
import { useReckon } from '../workshop/useReckon';
import type { StageProps } from '../workshop/WorkshopProvider';
import { Advice } from './Advice';
import { Cassette } from './Cassette';
import { FeelKeys } from './FeelKeys';
import { feltAt, nextShift, shiftWords, tellsEnough, type Shift } from './walk';

const SPRINGS = [
  { id: 'normal', label: 'To the smallest cog' },
  { id: 'reversed', label: 'To the largest' },
] as const;

/** Where a cause that is not the barrel's is looked at. */
const LEADS: Partial<Record<IndexAdvice['cause'], { label: string; href(id: string): string }>> = {
  friction: { label: 'To the gear cables', href: (id) => placeHref(id, 'rebuild', 'cables.gear') },
  'hanger-or-mismatch': { label: 'To the hanger', href: (id) => placeHref(id, 'look-over', 'hanger') },
};

/** Indexing by what each shift does: gear by gear and both ways, then what to turn, or what to look at instead. */
export function IndexAdviser({ bicycle, send }: StageProps) {
  const { name: by } = useHand();
  const [gone, setGone] = useState<Shift | null>(null);
  const cogs = cogCount(bicycle);
  const { output: advice } = useReckon('drive.index', indexInput(bicycle, null));
  const rounds = bicycle.shiftRounds;
  const round = rounds.at(-1) ?? null;
  if (cogs === null || cogs < 2)
    return (
      <Section title="Index it by its shifts">
        <Box>Count the cogs above first.</Box>
      </Section>
    );
  const at = gone ?? nextShift(round, cogs);
  const fresh = (turns: number): ShiftRound => ({ id: newId(), at: nowIso(), by, turns, gears: [] });
  const put = (feel: Feel) => {
    if (!at) return;
    send({ type: 'putShiftRound', round: felt(round ?? fresh(0), at.gear, at.way, feel) });
    setGone(null);
  };
  const told = tellsEnough(round, cogs);
  return (
    <Section
      title="Index it by its shifts"
      aside={rounds.length === 0 ? null : rounds.length === 1 ? 'first round' : `round ${rounds.length}`}
    >
      <Box sx={{ fontWeight: 640, fontSize: '1.15rem' }} aria-live="polite">
        {at ? shiftWords(at) : 'Every gear is felt, both ways'}
      </Box>
      <FeelKeys disabled={at === null} onFelt={put} />
      <Cassette
        cogs={cogs}
        teeth={teethOf(bicycle, 'cogs')}
        at={at}
        felt={(shift) => feltAt(round, shift)}
        onGo={setGone}
      />
      {advice && told && (
        <Advice advice={advice}>
          {LEADS[advice.cause] && (
            <Button
              component={Link}
              href={LEADS[advice.cause]!.href(bicycle.id)}
              variant="outlined"
              sx={{ my: 1, minHeight: 48 }}
            >
              {LEADS[advice.cause]!.label}
            </Button>
          )}
        </Advice>
      )}
      {round !== null && !told && (
        <Box sx={{ color: 'text.secondary', my: 1 }}>Go on, and back down as well: both ways tell more than one.</Box>
      )}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', my: 1 }}>
        {advice?.next && told && (
          <Button
            variant="contained"
            sx={{ minHeight: 56 }}
            onClick={() => {
              setGone(null);
              send({ type: 'putShiftRound', round: fresh(advice.next!.turns) });
            }}
          >
            {advice.next.turns === 0 ? 'Shift through again' : 'Turned: shift through again'}
          </Button>
        )}
        {rounds.length > 0 && (
          <Button color="inherit" onClick={() => send({ type: 'dropShiftRounds', rounds: rounds.map(({ id }) => id) })}>
            Begin anew
          </Button>
        )}
      </Box>
      <Choices
        label="Its spring pulls"
        options={SPRINGS}
        value={bicycle.driveFamilies.spring === 'reversed' ? 'reversed' : 'normal'}
        onChoose={(spring) => send({ type: 'sayDriveFamily', part: 'spring', family: spring })}
      />
    </Section>
  );
}
