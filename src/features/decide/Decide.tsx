'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Brief } from '@/core/bicycle';
import type { Need, ProposedJob } from '@/core/decide/jobs';
import { learntMinutes, learntWords, NOTHING_LEARNT, type LearntInUse } from '@/core/money/learnt';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import type { Job } from '@/model/decide/part';
import { asJob, asSaidAtBuy, decidedJob, otherJobs } from '@/model/decide/decided';
import { hoursRail, moneyRail } from '@/model/decide/rails';
import { wageOf } from '@/model/money/questions';
import { workedMinutes } from '@/model/work/hours';
import { newId } from '@/store/browser';
import { Choices } from '@/ui/Choices';
import { hours, limit, money, percent } from '@/ui/format';
import { ReadingField } from '@/ui/ReadingField';
import { Section } from '@/ui/Section';
import { stateColour } from '@/ui/StateMark';
import { Working } from '@/ui/Working';
import { Alternatives } from './Alternatives';
import { Deliveries } from './Deliveries';
import { Estimate } from './Estimate';
import { JobRow } from './JobRow';
import { RailRow } from './Rails';
import { Disclosure } from '@/ui/Disclosure';
import { Teeth } from '../drive/Teeth';
import { WorksTogether } from '../drive/WorksTogether';
import { LearntLines } from '../workshop/LearntLines';
import { useLearnt } from '../workshop/useLearnt';
import { LimitChanged } from '../workshop/LimitChanged';
import { useAppraisal } from '../workshop/useAppraisal';
import { useHand } from '../workshop/useHand';
import { useJobs } from '../workshop/useJobs';
import { useToday } from '../workshop/useToday';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';
import { RuledList } from '@/ui/RuledList';
import { TextInput } from '@/ui/TextInput';

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
        declined: null,
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
      <TextInput
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

/** The limit with these jobs: kept ones, and needed ones nobody has decided on; those count until they are dropped on purpose. */
function Sum({
  bicycle,
  counted,
  kept,
  undecided,
  tried,
  out,
  onTry,
  learnt,
  isKnown,
}: Pick<StageProps, 'bicycle'> & {
  counted: Job[];
  learnt: LearntInUse;
  /** Whether the findings' jobs and what was learnt are there yet: no sum is told before. */
  isKnown: boolean;
  kept: number;
  undecided: number;
  tried: Record<string, boolean> | null;
  /** Jobs that are tried without. */
  out: Job[];
  onTry(job: string, isIn: boolean): void;
}) {
  const settings = useSettings();
  const { currency } = settings;
  const customer = bicycle.purpose === 'customer';
  const { output } = useAppraisal(bicycle, tried ?? undefined);
  const found = customer ? null : output;
  const likely = ({ minutes, place }: Job) => learntMinutes(minutes, place, learnt).likely;
  const minutes = counted.reduce((sum, job) => sum + likely(job), 0);
  const worked = workedMinutes(bicycle);
  const open = counted.filter((job) => !job.done).reduce((sum, job) => sum + likely(job), 0);
  const { most, price, room } = found?.limit ?? { most: null, price: null, room: null };
  const inMoney = moneyRail(
    price && { id: 'price', label: price.is, amount: price.amount },
    counted.map((job) => ({ id: job.id, label: job.title, amount: job.parts.likely })),
    most,
  );
  const inHours = hoursRail(
    counted.map((job) => ({ id: job.id, label: job.title, amount: likely(job) })),
    room,
    wageOf(bicycle, settings),
  );
  return (
    <Section
      title={tried ? 'What if: the cost, without spoiling the plan' : customer ? 'Cost' : 'Cost against limit'}
      aside={isKnown ? `${kept} kept${undecided ? `, ${undecided} needed and not decided yet` : ''}` : undefined}
    >
      <Box sx={tried ? { borderLeft: '5px solid', borderColor: 'primary.main', pl: 2 } : undefined}>
        <RailRow
          rail={inMoney}
          fixed="price"
          out={out.map((job) => ({ id: job.id, label: job.title, amount: job.parts.likely }))}
          figure={isKnown ? money(inMoney.total, currency) : '…'}
          words={price && !customer ? `${price.is} ${money(price.amount, currency)}, the rest parts` : 'parts, likely'}
          limitWords={
            most === null
              ? null
              : `limit ${limit(most, currency)}${inMoney.limit === most ? '' : `, ${limit(inMoney.limit!, currency)} with parts`}`
          }
          say={(amount) => money(amount, currency)}
          onTap={onTry}
        />
        <RailRow
          rail={inHours}
          out={out.map((job) => ({ id: job.id, label: job.title, amount: likely(job) }))}
          figure={isKnown ? hours(minutes) : '…'}
          words={isKnown ? `${hours(worked)} logged, ${hours(open)} left` : 'calculating…'}
          limitWords={inHours.limit === null ? null : `pays for ${hours(inHours.limit)}`}
          say={hours}
          onTap={onTry}
        />
        {room !== null && price && (
          <Box sx={{ fontSize: '1.15rem', fontWeight: 640, color: stateColour(room < 0 ? 'replace' : 'fine') }}>
            {money(Math.abs(room), currency)} {room < 0 ? 'over' : 'under'} the limit
          </Box>
        )}
      </Box>
      {found?.appraisal && price && (
        <Typography sx={{ mt: 1.5, maxWidth: '62ch' }}>
          With all of this at its ranges, {bicycle.appraisal.target.kind === 'hourly' ? 'the wage' : 'the profit'}{' '}
          wanted comes out in {percent(found.appraisal.atAsking.targetChance)} of the cases.
          {room !== null && room < 0 && ' Drop what the brief does not need, or make it a donor.'}
        </Typography>
      )}
      {found && most === null && (
        <Typography sx={{ mt: 1.5, color: 'text.secondary' }}>
          {found.stop ? found.stop.words : 'Say at Buy what it may fetch, and your limit stands beside the sum.'}
        </Typography>
      )}
      <LearntLines lines={learntWords(customer ? { ...learnt, resale: null } : learnt)} />
      {!tried && <LimitChanged bicycle={bicycle.id} found={found} currency={currency} />}
      {found?.appraisal && <Working rows={found.appraisal.working} />}
    </Section>
  );
}

const NEED_GROUPS: { need: Need; title: string }[] = [
  { need: 'needed', title: 'Needed' },
  { need: 'advised', title: 'Advised' },
  { need: 'cosmetic', title: 'For its looks' },
  { need: 'leave', title: 'Left alone on purpose' },
];

/** Proposals by how much they are needed; ways to do one thing stand together with the first of them. */
function groupsOf(proposed: ProposedJob[]) {
  const ways = new Map<string, ProposedJob[]>();
  for (const job of proposed)
    if (job.alternatives) ways.set(job.alternatives, [...(ways.get(job.alternatives) ?? []), job]);
  const entry = (job: ProposedJob) => {
    const together = job.alternatives ? ways.get(job.alternatives)! : [job];
    return together[0] === job ? [together] : [];
  };
  return NEED_GROUPS.map(({ need, title }) => ({
    need,
    title,
    entries: proposed.filter((job) => job.need === need).flatMap(entry),
  })).filter((group) => group.entries.length > 0);
}

/** What is done, what is left alone and why, against what the bicycle can carry. */
export function Decide({ bicycle, send }: StageProps) {
  const settings = useSettings();
  const { currency } = settings;
  const { lookOver, jobs } = useJobs(bicycle);
  const { name } = useHand();
  const today = useToday();
  const [tried, setTried] = useState<Record<string, boolean> | null>(null);
  const customer = bicycle.purpose === 'customer';
  const proposed = asSaidAtBuy(bicycle, jobs ?? []).filter((job) => !customer || job.rule !== 'ordinary');
  const decidedOf = (job: ProposedJob) => decidedJob(bicycle.jobs, job);
  const others = jobs ? otherJobs(bicycle.jobs, proposed) : [];
  const kept = bicycle.jobs.filter((job) => job.decision === 'keep');
  const open = proposed.filter((job) => job.need === 'needed' && !decidedOf(job));
  const plan = [...kept, ...open.map(asJob)];
  const inPlan = new Set(plan.map((job) => job.id));
  const everyJob = [...proposed.map((job) => decidedOf(job) ?? asJob(job)), ...others];
  const counts = (id: string) => tried?.[id] ?? inPlan.has(id);
  const counted = tried ? everyJob.filter((job) => counts(job.id)) : plan;
  const wage = wageOf(bicycle, settings);
  const known = useLearnt();
  const learnt = known ?? NOTHING_LEARNT;
  const rowOf = (job: Job, why: string, because: string[], reactions: string[]) => (
    <JobRow
      key={job.id}
      job={job}
      learnt={learnt}
      why={why}
      because={because}
      reactions={reactions}
      decided={bicycle.jobs.find(({ id }) => id === job.id)}
      currency={currency}
      tried={tried ? counts(job.id) : null}
      onTry={(next) => setTried({ ...tried, [job.id]: next })}
      send={send}
    />
  );
  return (
    <>
      <Box className={customer ? 'no-print' : undefined}>
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
        <Sum
          learnt={learnt}
          isKnown={known !== null && jobs !== null}
          bicycle={bicycle}
          counted={counted}
          kept={kept.length}
          undecided={open.length}
          tried={tried}
          out={tried ? plan.filter(({ id }) => tried[id] === false) : []}
          onTry={(id, isIn) => setTried({ ...tried, [id]: !isIn })}
        />
        <Section
          title="Jobs the findings ask for"
          aside={
            lookOver && lookOver.placesNotLookedAt.length > 0
              ? `${lookOver.placesNotLookedAt.length} places not looked at`
              : undefined
          }
        >
          <Box sx={{ mb: 1, display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
            {open.length > 1 && tried === null && (
              <Button
                variant="outlined"
                onClick={() => open.forEach((job) => send({ type: 'decideJob', job: asJob(job) }))}
              >
                Keep all {open.length} that are needed
              </Button>
            )}
            <Button color="inherit" variant={tried ? 'contained' : 'text'} onClick={() => setTried(tried ? null : {})}>
              {tried ? 'End the what-if' : 'What if…'}
            </Button>
            {tried && Object.keys(tried).length > 0 && (
              <Button
                variant="outlined"
                onClick={() => {
                  for (const job of everyJob) {
                    if (tried[job.id] === undefined || tried[job.id] === inPlan.has(job.id)) continue;
                    send({
                      type: 'decideJob',
                      job: tried[job.id]
                        ? { ...job, decision: 'keep', reason: '', declined: null }
                        : {
                            ...job,
                            decision: 'drop',
                            reason: 'Tried without it',
                            declined: { by: name, on: today, words: 'Tried without it' },
                          },
                    });
                  }
                  setTried(null);
                }}
              >
                Make it the plan
              </Button>
            )}
          </Box>
          {(!jobs || !known) && <Typography role="status">Reading the findings…</Typography>}
          {groupsOf(known ? proposed : []).map((group) => (
            <Box key={group.need} sx={{ mt: 1.5 }}>
              <Typography variant="h3" sx={{ color: 'text.secondary' }}>
                {group.title}
              </Typography>
              <RuledList aria-label={group.title}>
                {group.entries.map((ways) =>
                  ways.length > 1 && tried === null ? (
                    <Alternatives key={ways[0]!.alternatives} ways={ways} bicycle={bicycle} wage={wage} send={send} />
                  ) : (
                    ways.map((job) =>
                      rowOf(
                        decidedOf(job) ?? asJob(job),
                        job.why,
                        [job.because, ...job.also],
                        job.reactions.map((each) => each.words),
                      ),
                    )
                  ),
                )}
              </RuledList>
            </Box>
          ))}
        </Section>
        <Section title="Other jobs">
          <RuledList>
            {others.map((job) =>
              rowOf(
                job,
                job.rule
                  ? 'Kept from an earlier finding or brief; the findings no longer ask for it.'
                  : `${placeLabel(job.place)}.`,
                [
                  job.rule
                    ? 'No longer proposed.'
                    : job.id.startsWith('fault-')
                      ? 'From a complaint.'
                      : 'Added by hand.',
                ],
                [],
              ),
            )}
          </RuledList>
          <AddJob currency={currency} send={send} />
        </Section>
      </Box>
      {bicycle.kind.gears === 'derailleur' && (
        <Disclosure summary={<>Before parts are ordered: will the drive work together?</>} wide>
          <Teeth bicycle={bicycle} send={send} />
          <WorksTogether bicycle={bicycle} send={send} />
        </Disclosure>
      )}
      {customer && (
        <Box sx={{ mt: 4 }}>
          {lookOver && known && (
            <Estimate
              bicycle={bicycle}
              send={send}
              proposed={proposed}
              looked={{ looked: lookOver.places - lookOver.placesNotLookedAt.length, of: lookOver.places }}
            />
          )}
        </Box>
      )}
      <Box className={customer ? 'no-print' : undefined} sx={{ mt: 4 }}>
        <Deliveries bicycle={bicycle} send={send} />
      </Box>
    </>
  );
}
