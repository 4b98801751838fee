'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { memo, useState, type ReactNode } from 'react';
import type { AskedLine, BuyAppraisal, Limit } from '@/core/buy/appraise';
import { DOOR_LINE } from '@/core/buy/doorLine';
import type { Appraisal } from '@/core/money/appraise';
import { stateOf } from '@/core/vocabulary/verdicts';
import type { CostLine } from '@/model/buy/part';
import { USUAL_COSTS } from '@/model/buy/fresh';
import { same } from '@/model/same';
import { Choices } from '@/ui/Choices';
import { hours, money, percent } from '@/ui/format';
import { RangeFields } from '@/ui/RangeFields';
import { ReadingField } from '@/ui/ReadingField';
import { BigNumber, Section } from '@/ui/Section';
import { SpreadChart } from '@/ui/SpreadChart';
import { stateColour } from '@/ui/StateMark';
import { Working } from '@/ui/Working';
import type { Reckoning } from '../workshop/useReckon';
import { Comparables } from './Comparables';
import { Sliders } from './Sliders';
import { PAID_WORDS, VERDICT_WORDS } from './words';
import { nowIso } from '@/store/now';
import { LearntLines, UndoLesson } from '../workshop/LearntLines';
import { LimitChanged } from '../workshop/LimitChanged';
import { useHand } from '../workshop/useHand';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';
import { Disclosure } from '@/ui/Disclosure';
import { RuledList } from '@/ui/RuledList';
import { AddLine } from './AddLine';
import { StopWords } from './StopWords';

/** Lines of the door check that are shown before the rest is asked for. */
const MOST_LINES = 8;
const ORDINARY = USUAL_COSTS[0]!;

const CHANCES = [
  { id: '0', label: 'No' },
  { id: '0.25', label: 'Unlikely' },
  { id: '0.5', label: 'Perhaps' },
  { id: '0.75', label: 'Likely' },
  { id: '1', label: 'Surely' },
] as const;
function Outcome({
  found,
  limit,
  price,
  currency,
  stale,
}: {
  found: Appraisal;
  limit: Limit['most'];
  /** What the limit is held against; null until somebody has said it. */
  price: Limit['price'];
  currency: string;
  stale: boolean;
}) {
  const at = price?.is === 'paid' ? 'at what was paid' : 'at the asking price';
  const tone = stateColour(stateOf('money.appraise', found.verdict));
  return (
    <Box aria-live="polite" sx={{ opacity: stale ? 0.55 : 1, transition: 'opacity 120ms' }}>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr 1fr', sm: 'auto auto auto auto' },
          gap: { xs: 2, sm: 4 },
          mb: 2,
          justifyContent: 'start',
        }}
      >
        <BigNumber value={limit === null ? '–' : money(limit, currency)} label="your limit" />
        {price && (
          <>
            <BigNumber
              value={(price.is === 'paid' ? PAID_WORDS : VERDICT_WORDS)[found.verdict]}
              label={at}
              tone={tone}
            />
            <BigNumber value={percent(found.atAsking.lossChance)} label="chance of a loss" />
            <BigNumber
              value={found.atAsking.hourly ? money(found.atAsking.hourly.p50, currency) : 'no time'}
              label="an hour, middle case"
            />
          </>
        )}
      </Box>
      {price === null && <Typography>Say what is asked for it, and it is held against the limit.</Typography>}
      {price &&
        found.reasons.map((reason) => (
          <Typography key={reason} sx={{ maxWidth: '62ch' }}>
            {reason}
          </Typography>
        ))}
      <Box sx={{ mt: 2, display: price ? undefined : 'none' }}>
        <SpreadChart
          bins={found.spread}
          middle={found.atAsking.profit.p50}
          currency={currency}
          label={`Profit ${at}: 90 % over ${money(found.atAsking.profit.p10, currency)}, in the middle ${money(found.atAsking.profit.p50, currency)}`}
        />
        <Typography variant="caption" sx={{ color: 'text.secondary' }}>
          Profit {at}, before your own time is paid; hatched is a loss. Between {hours(found.minutes.p10)} and{' '}
          {hours(found.minutes.p90)} of work.
        </Typography>
      </Box>
      <Working rows={found.working} />
    </Box>
  );
}

const ANSWERS = [
  { id: 'fine', label: 'Fine' },
  { id: 'open', label: 'Did not look' },
  { id: 'bad', label: 'Bad' },
] as const;

/** The ranges of a line, to be put right by who knows better. */
function Ranges({
  line,
  currency,
  put,
}: {
  line: Pick<CostLine, 'label' | 'parts' | 'minutes'>;
  currency: string;
  put(changes: Partial<CostLine>): void;
}) {
  return (
    <Disclosure
      wide
      summary={
        <>
          {money(line.parts.low, currency)} to {money(line.parts.high, currency)}, {hours(line.minutes.low)} to{' '}
          {hours(line.minutes.high)}
        </>
      }
    >
      <Box data-readings sx={{ display: 'grid', gap: 1.5, pt: 1.5 }}>
        <RangeFields
          label="Parts"
          kind="money"
          unit={currency}
          range={line.parts}
          onCommit={(parts) => put({ parts })}
          width={134}
        />
        <RangeFields
          label="Work"
          kind="number"
          unit="min"
          range={line.minutes}
          onCommit={(minutes) => put({ minutes })}
          width={134}
        />
      </Box>
    </Disclosure>
  );
}

/** What is drawn again only when its own line changes: every tap moves all lifts, and no row should be laid anew for that. */
const OwnAnswers = memo(function OwnAnswers({
  line,
  currency,
  send,
}: { line: CostLine; currency: string } & Pick<StageProps, 'send'>) {
  const put = (changes: Partial<CostLine>) => send({ type: 'putCostLine', line: { ...line, ...changes } });
  const nearest = CHANCES.find((chance) => Number(chance.id) === line.chance)?.id ?? null;
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
      {line.kind === 'fault' ? (
        <Choices
          label={`How sure is: ${line.label}`}
          hideLabel
          options={CHANCES}
          value={nearest}
          onChoose={(chance) => put({ chance: Number(chance) })}
        />
      ) : (
        <Box sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>Every bicycle takes this.</Box>
      )}
      <Ranges line={line} currency={currency} put={put} />
      <Button size="small" color="inherit" onClick={() => send({ type: 'removeCostLine', line: line.id })}>
        Leave this line out
      </Button>
    </Box>
  );
});

/** The worker's answer is a new object each time; a row is laid anew only where something in it has changed. */
function sameAnswers<Props extends { line: AskedLine }>(before: Props, after: Props): boolean {
  const { line: old, ...was } = before;
  const { line, ...is } = after;
  return same(old, line) && Object.entries(is).every(([key, value]) => was[key as keyof typeof was] === value);
}

const DoorAnswers = memo(function DoorAnswers({
  line,
  currency,
  own,
  said,
  send,
}: { line: AskedLine; currency: string; own: boolean; said: 'fine' | 'bad' | null } & Pick<StageProps, 'send'>) {
  const { name: by } = useHand();
  const put = ({ parts = line.parts, minutes = line.minutes }: Partial<CostLine>) =>
    send({
      type: 'putCostLine',
      line: { id: `${DOOR_LINE}${line.id}`, label: line.label, kind: 'fault', chance: 1, parts, minutes },
    });
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
      <Choices
        label={line.label}
        hideLabel
        options={ANSWERS}
        value={said ?? 'open'}
        onChoose={(next) =>
          send({ type: 'answerDoor', line: line.id, answer: next === 'open' ? null : next, at: nowIso(), by })
        }
      />
      <Ranges line={line} currency={currency} put={put} />
      <Box sx={{ color: 'text.secondary', fontSize: '0.88rem' }}>
        {line.answer === null && `found in ${percent(line.chance)}`}
        {line.why.length > 0 && `, ${[...new Set(line.why)].join(', ')}`}
        {line.learnt && `; bad on ${line.learnt.seen} of ${line.learnt.cases} of your own`}
        {line.learnt && <UndoLesson lesson={`chance:${line.id}`} words={line.label} />}
      </Box>
      {own && (
        <Button
          size="small"
          color="inherit"
          onClick={() => send({ type: 'removeCostLine', line: `${DOOR_LINE}${line.id}` })}
        >
          Back to the table’s figures
        </Button>
      )}
    </Box>
  );
}, sameAnswers);

function CostRow({
  label,
  lift,
  currency,
  children,
}: {
  label: string;
  lift: number | null;
  currency: string;
  children: ReactNode;
}) {
  return (
    <Box component="li" sx={{ py: 1.25 }}>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 2, mb: 0.75 }}>
        <Box sx={{ fontWeight: 600 }}>{label}</Box>
        <Box sx={{ textAlign: 'right', whiteSpace: 'nowrap' }}>
          <b>{lift === null ? '' : money(lift, currency)}</b>
          <Box component="span" sx={{ display: 'block', fontSize: '0.78rem', color: 'text.secondary' }}>
            off your limit
          </Box>
        </Box>
      </Box>
      {children}
    </Box>
  );
}

/** What may be paid: figures in, ceiling out, and what moves it. */
export function Figures({ bicycle, send, reckoning }: StageProps & { reckoning: Reckoning<BuyAppraisal> }) {
  const { currency } = useSettings();
  const [all, setAll] = useState(false);
  const { appraisal } = bicycle;
  const known = appraisal.resale.high > 0;
  const found = reckoning.output?.appraisal ?? null;
  const lifts = new Map(found?.drivers.map((driver) => [driver.label, driver.lift]));
  const own = appraisal.lines.filter((line) => !line.id.startsWith(DOOR_LINE));
  const overridden = new Set(appraisal.lines.map((line) => line.id));
  // What a closer look made jobs of counts as these, under Decide.
  const door = (reckoning.output?.door ?? [])
    .filter(({ deeper }) => deeper !== 'jobs')
    .sort((a, b) => (lifts.get(b.label) ?? b.chance) - (lifts.get(a.label) ?? a.chance));
  // What was answered stays in sight, however little it weighs by now.
  const shownDoor = all ? door : door.filter((line, i) => i < MOST_LINES || bicycle.door[line.id] !== undefined);
  const put = (changes: Partial<Omit<typeof appraisal, 'lines'>>) => send({ type: 'setAppraisal', changes });
  return (
    <>
      <Section title="What may it cost?">
        {reckoning.output?.stop && <StopWords stop={reckoning.output.stop} />}
        {!known && (
          <Typography sx={{ mb: 2 }}>
            Say what it may fetch, from sold ones and not from asked ones, and your limit appears.
          </Typography>
        )}
        {reckoning.failed && (
          <Typography role="alert">The reckoning stopped. Reload the page; nothing you entered is lost.</Typography>
        )}
        {reckoning.errors.map((error) => (
          <Typography key={error.path} role="alert" color="error">
            {error.message}
          </Typography>
        ))}
        {known && !found && reckoning.pending && <Typography role="status">Calculating…</Typography>}
        {found && (
          <Outcome
            found={found}
            limit={reckoning.output?.limit.most ?? null}
            price={reckoning.output?.limit.price ?? null}
            currency={currency}
            stale={reckoning.pending}
          />
        )}
        <LearntLines lines={reckoning.output?.learnt ?? []} />
        <LimitChanged bicycle={bicycle.id} found={reckoning.output} currency={currency} />
      </Section>
      <Section title="The figures">
        <Box data-readings sx={{ display: 'grid', gap: 2 }}>
          <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
            <ReadingField
              label="Asked for it"
              kind="money"
              unit={currency}
              value={appraisal.asking}
              onCommit={(asking) => put({ asking })}
              onClear={() => put({ asking: null })}
            />
            <RangeFields
              label="May fetch"
              kind="money"
              unit={currency}
              range={appraisal.resale}
              onCommit={(resale) => put({ resale })}
              width={140}
            />
          </Box>
          <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'end' }}>
            <ReadingField
              label={appraisal.target.kind === 'hourly' ? 'Wanted an hour' : 'Profit wanted'}
              kind="money"
              unit={currency}
              value={appraisal.target.amount}
              onCommit={(amount) => put({ target: { ...appraisal.target, amount } })}
            />
            <Choices
              label="Wanted as"
              options={
                [
                  { id: 'hourly', label: 'A wage' },
                  { id: 'profit', label: 'A profit' },
                ] as const
              }
              value={appraisal.target.kind}
              onChoose={(kind) => put({ target: { ...appraisal.target, kind } })}
            />
            <ReadingField
              label="Other costs, not the drive"
              kind="money"
              unit={currency}
              value={appraisal.otherCosts}
              onCommit={(otherCosts) => put({ otherCosts })}
              width={190}
            />
          </Box>
        </Box>
        {found && reckoning.output && (
          <Box sx={{ mt: 3 }}>
            <Sliders bicycle={bicycle} send={send} found={reckoning.output} />
          </Box>
        )}
      </Section>
      <Comparables bicycle={bicycle} send={send} />
      <Section title="What it may need" aside="dearest first">
        <RuledList>
          {own
            .filter((line) => line.kind === 'standing')
            .map((line) => (
              <CostRow key={line.id} label={line.label} lift={lifts.get(line.label) ?? null} currency={currency}>
                <OwnAnswers line={line} currency={currency} send={send} />
              </CostRow>
            ))}
          {own.every((line) => line.id !== ORDINARY.id) && (
            <Box component="li" sx={{ py: 1.25, display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
              <Box sx={{ flex: 1 }}>The ordinary work is left out of the sum.</Box>
              <Button size="small" variant="outlined" onClick={() => send({ type: 'putCostLine', line: ORDINARY })}>
                Put it back
              </Button>
            </Box>
          )}
          {own
            .filter((line) => line.kind === 'fault')
            .map((line) => (
              <CostRow key={line.id} label={line.label} lift={lifts.get(line.label) ?? null} currency={currency}>
                <OwnAnswers line={line} currency={currency} send={send} />
              </CostRow>
            ))}
          {shownDoor.map((line) => (
            <CostRow key={line.id} label={line.label} lift={lifts.get(line.label) ?? null} currency={currency}>
              <DoorAnswers
                line={line}
                currency={currency}
                own={overridden.has(`${DOOR_LINE}${line.id}`)}
                said={bicycle.door[line.id]?.answer ?? null}
                send={send}
              />
            </CostRow>
          ))}
        </RuledList>
        {door.length > MOST_LINES && (
          <Button color="inherit" onClick={() => setAll(!all)} sx={{ mb: 1.5 }}>
            {all ? 'Show the dearest only' : `Show the other ${door.length - shownDoor.length}`}
          </Button>
        )}
        <AddLine
          taken={[...appraisal.lines.map((line) => line.label), ...door.map((line) => line.label)]}
          send={send}
        />
      </Section>
    </>
  );
}
