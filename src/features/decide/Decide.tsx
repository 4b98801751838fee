'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Brief } from '@/core/bicycle';
import type { ProposedJob } from '@/core/decide/jobs';
import type { Appraisal } from '@/core/money/appraise';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import type { Job } from '@/model/record';
import { decidedInput } from '@/model/selectors';
import { newId } from '@/store/browser';
import { Choices } from '@/ui/Choices';
import { hours, money, percent } from '@/ui/format';
import { ReadingField } from '@/ui/ReadingField';
import { BigNumber, Section } from '@/ui/Section';
import { stateColour } from '@/ui/StateMark';
import { Working } from '@/ui/Working';
import { Deliveries } from './Deliveries';
import { useFindings } from '../bike/useFindings';
import { useReckon } from '../workshop/useReckon';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';
import { RuledList } from '@/ui/RuledList';

const BRIEF_CHOICES: { id: Brief; label: string; words: string }[] = [
  { id: 'rideable', label: 'Rideable', words: 'Roadworthy for the least money; patina and sound worn parts stay.' },
  {
    id: 'preserve',
    label: 'Preserve',
    words: 'Original paint and parts kept, cleaned, protected; nothing that cannot be undone.',
  },
  {
    id: 'period',
    label: 'Period',
    words: 'The right parts for the year, refinished where needed; they may take years to find.',
  },
  { id: 'modernise', label: 'Modernise', words: 'Newer parts on an old frame; what fits what decides.' },
  { id: 'donor', label: 'Donor', words: 'Broken for its parts.' },
];

const DROP_REASONS = ['Leave well alone', 'Not worth it here', 'The buyer will do it', 'Done already'];

function asJob(proposed: ProposedJob): Job {
  const { rule, title, place, minutes, parts } = proposed;
  return { id: rule, rule, title, place, minutes, parts, decision: 'keep', reason: '', done: false, approval: null };
}

function JobRow({
  job,
  why,
  because,
  need,
  decided,
  currency,
  send,
}: { job: Job; why: string; because: string; need: string; decided: Job | undefined; currency: string } & Pick<
  StageProps,
  'send'
>) {
  const [asking, setAsking] = useState(false);
  const [reason, setReason] = useState('');
  const drop = (words: string) => {
    send({ type: 'decideJob', job: { ...(decided ?? job), decision: 'drop', reason: words.slice(0, 2000) } });
    setAsking(false);
    setReason('');
  };
  const dropped = decided?.decision === 'drop';
  return (
    <Box component="li" sx={{ py: 1.75 }}>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', sm: 'minmax(0, 1fr) 96px 96px' },
          gap: { xs: 0.5, sm: 2 },
          alignItems: 'baseline',
        }}
      >
        <Box sx={{ minWidth: 0 }}>
          <Box sx={{ fontWeight: 640, fontSize: '1.05rem', textDecoration: dropped ? 'line-through' : 'none' }}>
            {job.title}
          </Box>
          <Box sx={{ fontSize: '0.9rem' }}>{because}</Box>
          <Box sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>
            {need}. {why}
          </Box>
          {dropped && <Box sx={{ fontSize: '0.9rem' }}>Dropped: {decided.reason}</Box>}
        </Box>
        <Box sx={{ textAlign: { sm: 'right' } }}>
          <b>{hours(job.minutes.likely)}</b>
          <Box sx={{ fontSize: '0.8rem', color: 'text.secondary' }}>to {hours(job.minutes.high)}</Box>
        </Box>
        <Box sx={{ textAlign: { sm: 'right' } }}>
          <b>{money(job.parts.likely, currency, true)}</b>
          <Box sx={{ fontSize: '0.8rem', color: 'text.secondary' }}>to {money(job.parts.high, currency, true)}</Box>
        </Box>
      </Box>
      <Box sx={{ display: 'flex', gap: 1, mt: 1, flexWrap: 'wrap', alignItems: 'center' }}>
        <Button
          size="small"
          aria-pressed={decided?.decision === 'keep'}
          variant={decided?.decision === 'keep' ? 'contained' : 'outlined'}
          onClick={() => send({ type: 'decideJob', job: { ...(decided ?? job), decision: 'keep', reason: '' } })}
        >
          {decided?.decision === 'keep' ? 'Kept' : 'Keep'}
        </Button>
        {!dropped && (
          <Button size="small" color="inherit" aria-expanded={asking} onClick={() => setAsking(!asking)}>
            Drop, because…
          </Button>
        )}
        {decided?.decision === 'keep' && (
          <Button
            size="small"
            color="inherit"
            aria-pressed={decided.done}
            onClick={() => send({ type: 'finishJob', job: decided.id, done: !decided.done })}
          >
            {decided.done ? '✓ Done' : 'Mark as done'}
          </Button>
        )}
      </Box>
      {asking && (
        <Box sx={{ display: 'flex', gap: 1, mt: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
          {DROP_REASONS.map((words) => (
            <Button key={words} size="small" variant="outlined" onClick={() => drop(words)}>
              {words}
            </Button>
          ))}
          <TextField
            label="Another reason, then Enter"
            value={reason}
            onChange={(event) => setReason(event.target.value)}
            onKeyDown={(event) => event.key === 'Enter' && reason.trim() && drop(reason.trim())}
          />
        </Box>
      )}
    </Box>
  );
}

function AddJob({ currency, send }: { currency: string } & Pick<StageProps, 'send'>) {
  const [title, setTitle] = useState('');
  const [minutes, setMinutes] = useState<number | null>(null);
  const [parts, setParts] = useState<number | null>(null);
  const ready = title.trim() !== '' && minutes !== null;
  const add = () => {
    if (!ready) return;
    const cost = parts ?? 0;
    send({
      type: 'decideJob',
      job: {
        id: newId(),
        rule: null,
        title: title.trim().slice(0, 120),
        place: 'frame',
        minutes: { low: minutes, likely: minutes, high: minutes },
        parts: { low: cost, likely: cost, high: cost },
        decision: 'keep',
        reason: '',
        done: false,
        approval: null,
      },
    });
    setTitle('');
    setMinutes(null);
    setParts(null);
  };
  return (
    <Box
      data-readings
      sx={{
        display: 'flex',
        gap: 1.5,
        flexWrap: 'wrap',
        alignItems: 'start',
        borderTop: '1px solid',
        borderColor: 'divider',
        pt: 2,
      }}
    >
      <TextField
        label="Another job"
        value={title}
        onChange={(event) => setTitle(event.target.value)}
        sx={{ flex: 1, minWidth: 220 }}
      />
      <ReadingField
        label="Work"
        kind="number"
        unit="min"
        value={minutes}
        onCommit={setMinutes}
        onClear={() => setMinutes(null)}
        width={130}
        refuse={(n) => (n > 10_000 ? 'that is a week: split the job' : null)}
      />
      <ReadingField
        label="Parts"
        kind="money"
        unit={currency}
        value={parts}
        onCommit={setParts}
        onClear={() => setParts(null)}
        width={130}
      />
      <Button variant="outlined" onClick={add} disabled={!ready}>
        Add the job
      </Button>
    </Box>
  );
}

/** Kept jobs, and needed ones nobody has decided on: those count until they are dropped on purpose. */
function Sum({ bicycle, kept, undecided }: Pick<StageProps, 'bicycle'> & { kept: Job[]; undecided: Job[] }) {
  const settings = useSettings();
  const { currency } = settings;
  const known = bicycle.appraisal.resale.high > 0;
  const { output: found } = useReckon<Appraisal>(
    'money.appraise',
    known ? decidedInput(bicycle, settings, [...kept, ...undecided]) : null,
  );
  const paid = bicycle.purchase?.paid ?? bicycle.appraisal.asking;
  const counted = [...kept, ...undecided];
  const minutes = counted.reduce((sum, job) => sum + job.minutes.likely, 0);
  const parts = counted.reduce((sum, job) => sum + job.parts.likely, 0);
  const over = found ? paid - found.ceiling : 0;
  return (
    <Section
      title="The sum against the ceiling"
      aside={`${kept.length} kept${undecided.length ? `, ${undecided.length} needed and not decided yet` : ''}`}
    >
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr 1fr', sm: 'repeat(4, auto)' },
          gap: { xs: 2, sm: 4 },
          justifyContent: 'start',
        }}
      >
        <BigNumber value={hours(minutes)} label="work, likely" />
        <BigNumber value={money(parts, currency, true)} label="parts, likely" />
        {found && <BigNumber value={money(found.ceiling, currency, true)} label="ceiling with these jobs" />}
        {found && (
          <BigNumber
            value={money(Math.abs(over), currency, true)}
            label={
              over > 0
                ? `over: ${bicycle.purchase ? 'paid' : 'asked'} ${money(paid, currency, true)}`
                : `still under it, ${bicycle.purchase ? 'paid' : 'asked'} ${money(paid, currency, true)}`
            }
            tone={stateColour(over > 0 ? 'replace' : 'fine')}
          />
        )}
      </Box>
      {found ? (
        <Typography sx={{ mt: 1.5, maxWidth: '62ch' }}>
          With these jobs at their ranges, {bicycle.appraisal.target.kind === 'hourly' ? 'the wage' : 'the profit'}{' '}
          wanted comes out in {percent(found.atAsking.targetChance)} of the cases.
          {over > 0 && ' Drop what the brief does not need, or make it a donor.'}
        </Typography>
      ) : (
        <Typography sx={{ mt: 1.5, color: 'text.secondary' }}>
          Say at Buy what it may fetch, and the ceiling stands beside the sum.
        </Typography>
      )}
      {found && <Working rows={found.working} />}
    </Section>
  );
}

/** What is done, what is left alone and why, against what the bicycle can carry. */
export function Decide({ bicycle, send }: StageProps) {
  const { currency } = useSettings();
  const lookOver = useFindings(bicycle);
  const findings =
    lookOver?.findings.map(({ check, label, verdict, reasons }) => ({ check, label, verdict, reasons })) ?? [];
  const { output } = useReckon<{ jobs: ProposedJob[] }>(
    'decide.jobs',
    lookOver ? { brief: bicycle.brief, findings } : null,
  );
  const proposed = output?.jobs ?? [];
  const decided = new Map(bicycle.jobs.map((job) => [job.id, job]));
  const proposedIds = new Set(proposed.map((job) => job.rule));
  const others = bicycle.jobs.filter((job) => !proposedIds.has(job.id));
  const kept = bicycle.jobs.filter((job) => job.decision === 'keep');
  const open = proposed.filter((job) => job.need === 'needed' && !decided.has(job.rule));
  return (
    <>
      <Section title="The brief">
        <Choices
          label="What this bicycle is to become"
          hideLabel
          options={BRIEF_CHOICES}
          value={bicycle.brief}
          onChoose={(brief) => send({ type: 'setBrief', brief })}
        />
        <Typography sx={{ mt: 1, color: 'text.secondary' }}>
          {BRIEF_CHOICES.find((brief) => brief.id === bicycle.brief)!.words}
        </Typography>
      </Section>
      <Sum bicycle={bicycle} kept={kept} undecided={open.map(asJob)} />
      <Section
        title="Jobs the findings ask for"
        aside={lookOver && lookOver.notLookedAt > 0 ? `${lookOver.notLookedAt} places not looked at` : undefined}
      >
        {open.length > 1 && (
          <Box sx={{ mb: 1.5 }}>
            <Button
              variant="outlined"
              onClick={() => open.forEach((job) => send({ type: 'decideJob', job: asJob(job) }))}
            >
              Keep all {open.length} that are needed
            </Button>
          </Box>
        )}
        {!output && <Typography role="status">Reading the findings…</Typography>}
        <RuledList>
          {proposed.map((job) => (
            <JobRow
              key={job.rule}
              job={asJob(job)}
              why={job.why}
              because={job.because}
              need={job.need === 'needed' ? 'Needed' : 'Advised'}
              decided={decided.get(job.rule)}
              currency={currency}
              send={send}
            />
          ))}
        </RuledList>
      </Section>
      <Section title="Other jobs">
        <RuledList>
          {others.map((job) => (
            <JobRow
              key={job.id}
              job={job}
              why={
                job.rule
                  ? 'Kept from an earlier finding or brief; the findings no longer ask for it.'
                  : `${placeLabel(job.place)}.`
              }
              because={job.rule ? 'No longer proposed.' : 'Added by hand.'}
              need={job.rule ? 'Earlier' : 'Own'}
              decided={job}
              currency={currency}
              send={send}
            />
          ))}
        </RuledList>
        <AddJob currency={currency} send={send} />
      </Section>
      <Deliveries bicycle={bicycle} send={send} />
    </>
  );
}
