'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { FinishInput, Paint, Treatment } from '@/core/clean/finish';
import { newId } from '@/store/browser';
import { Choices } from '@/ui/Choices';
import { Disclosure } from '@/ui/Disclosure';
import { hours, money } from '@/ui/format';
import { ReadingField } from '@/ui/ReadingField';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { stateColour } from '@/ui/StateMark';
import { useReckon } from '../workshop/useReckon';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';

const PAINT_WORDS: readonly { id: Paint; label: string }[] = [
  { id: 'sound', label: 'Sound' },
  { id: 'dull', label: 'Dull' },
  { id: 'scuffed', label: 'Scuffed, chipped' },
  { id: 'patina', label: 'Patina worth keeping' },
  { id: 'flaking', label: 'Flaking' },
  { id: 'bare', label: 'Bare metal' },
  { id: 'plated', label: 'Plated' },
];

function Row({
  treatment,
  chosen,
  currency,
  onChoose,
}: {
  treatment: Treatment;
  chosen: boolean;
  currency: string;
  onChoose(): void;
}) {
  const { label, reversible, hours: work, cureHours, costMinor, testSpot, steps, supplies, cautions } = treatment;
  return (
    <Box component="li" sx={{ py: 1.5 }}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'start', justifyContent: 'space-between' }}>
        <Box>
          <Box sx={{ fontSize: '1.15rem', fontWeight: 660 }}>{label}</Box>
          <Box>
            <Box component="span" sx={{ fontWeight: 640, color: stateColour(reversible ? 'fine' : 'replace') }}>
              {reversible ? 'Can be undone' : 'Cannot be undone'}
            </Box>
            , {hours(work.low * 60)} to {hours(work.high * 60)} of work, {cureHours} h until it is hard, about{' '}
            {money(costMinor, currency)}
          </Box>
          {testSpot && <Box sx={{ fontWeight: 620 }}>Test spot first, where nobody looks.</Box>}
        </Box>
        <Button
          variant={chosen ? 'contained' : 'outlined'}
          aria-pressed={chosen}
          aria-label={`Settle on: ${label}`}
          sx={{ minHeight: 56, flexShrink: 0 }}
          onClick={onChoose}
        >
          {chosen ? 'Settled' : 'This one'}
        </Button>
      </Box>
      <Disclosure summary={<>How, and what to look out for</>}>
        <Box component="ol" sx={{ m: 0, pl: 2.5 }}>
          {steps.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </Box>
        <Box sx={{ mt: 1 }}>Needs: {supplies}.</Box>
        <Box sx={{ mt: 1, borderLeft: '3px solid', borderColor: 'text.primary', pl: 1.5 }}>{cautions.join('. ')}.</Box>
      </Disclosure>
    </Box>
  );
}

/** The finish of the frame: what may be done, what cannot be undone, and how long it has to harden. */
export function Finish({ bicycle, send }: StageProps) {
  const { currency } = useSettings();
  const { paint, hours: limit, treatment } = bicycle.finish;
  const question: FinishInput | null = paint && {
    frameMaterial: bicycle.kind.frameMaterial,
    paint,
    brief: bicycle.brief,
    hours: limit,
  };
  const { output } = useReckon('clean.finish', question);
  const open = output?.treatments.filter((each) => each.against.length === 0) ?? [];
  const shut = output?.treatments.filter((each) => each.against.length > 0) ?? [];
  function choose(row: Treatment): void {
    send({ type: 'planFinish', changes: { treatment: row.id } });
    const known = bicycle.jobs.find((job) => job.rule === `finish-${row.id}`);
    send({
      type: 'decideJob',
      job: {
        id: known?.id ?? newId(),
        rule: `finish-${row.id}`,
        title: `Finish: ${row.label.toLowerCase()} (${row.cureHours} h to harden)`,
        place: 'frame',
        minutes: { low: row.hours.low * 60, likely: row.hours.likely * 60, high: row.hours.high * 60 },
        parts: { low: row.costMinor, likely: row.costMinor, high: row.costMinor * 2 },
        decision: 'keep',
        reason: '',
        done: known?.done ?? false,
        approval: known?.approval ?? null,
        declined: known?.declined ?? null,
      },
    });
  }
  return (
    <Section title="Finish of the frame" aside={`brief: ${bicycle.brief}, ${bicycle.kind.frameMaterial}`}>
      <Choices
        label="How the paint is"
        options={PAINT_WORDS}
        value={paint}
        onChoose={(next) => send({ type: 'planFinish', changes: { paint: next } })}
      />
      <Box sx={{ mt: 2 }}>
        <ReadingField
          label="Hours there are for it"
          kind="number"
          unit="h"
          width={190}
          value={limit}
          refuse={(h) => (h > 200 ? 'two hundred at most' : null)}
          onCommit={(next) => send({ type: 'planFinish', changes: { hours: next } })}
          onClear={() => send({ type: 'planFinish', changes: { hours: null } })}
          help="Empty: as long as it takes"
        />
      </Box>
      {output && open.length === 0 && (
        <Box sx={{ mt: 2, fontWeight: 620 }}>Nothing fits: leave the finish as it is, or give it more hours.</Box>
      )}
      <RuledList aria-label="What may be done">
        {open.map((row) => (
          <Row
            key={row.id}
            treatment={row}
            chosen={treatment === row.id}
            currency={currency}
            onChoose={() => choose(row)}
          />
        ))}
      </RuledList>
      {shut.length > 0 && (
        <Disclosure summary={<>What is not for this frame</>}>
          <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
            {shut.map((row) => (
              <li key={row.id}>
                <b>{row.label}</b>: {row.against.join('; ')}.
              </li>
            ))}
          </Box>
        </Disclosure>
      )}
    </Section>
  );
}
