'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import { Close } from '@/ui/icons';
import { Tick } from '@/ui/toolIcons';
import { useState } from 'react';
import type { AskedLine, BuyAppraisal } from '@/core/buy/appraise';
import { bargain } from '@/core/buy/bargain';
import { stateOf } from '@/core/vocabulary/verdicts';
import { Disclosure } from '@/ui/Disclosure';
import { money } from '@/ui/format';
import { ReadingField } from '@/ui/ReadingField';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { stateColour } from '@/ui/StateMark';
import { nowIso } from '@/store/now';
import { Foot } from '../workshop/StageAction';
import { LearntLines } from '../workshop/LearntLines';
import { useHand } from '../workshop/useHand';
import { ElectricFields } from '../kind/ElectricFields';
import { KindFields } from '../kind/KindFields';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';
import { HeldMoney } from './HeldMoney';
import { StopWords } from './StopWords';
import { PAID_WORDS, VERDICT_WORDS } from './words';

const PART_WORDS: Record<string, string> = {
  frame: 'Frame, fork, post and stem',
  wheels: 'Wheels',
  brakes: 'Brakes',
  gears: 'Gears and cranks',
  whole: 'The whole',
};

/** What a closer look made of a line, in the stead of the tap. */
const DEEPER_WORDS: Record<NonNullable<AskedLine['deeper']>, string> = {
  fine: 'Looked at closely since: fine.',
  bad: 'Looked at closely since: not fine.',
  jobs: 'Looked at closely since: it counts as the jobs that were proposed.',
};

/** What a tap says stands at once; what it costs follows when it has been reckoned. */
function DoorRow({ line, said, send }: { line: AskedLine; said: 'fine' | 'bad' | null } & Pick<StageProps, 'send'>) {
  const { name: by } = useHand();
  const answer = (next: 'fine' | 'bad') =>
    send({ type: 'answerDoor', line: line.id, answer: said === next ? null : next, at: nowIso(), by });
  const bad = said === 'bad';
  return (
    <Box
      component="li"
      sx={{ py: 0.75, display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) auto', gap: 1.5, alignItems: 'center' }}
    >
      <Box sx={{ minWidth: 0 }}>
        <Box sx={{ fontWeight: 640, color: bad ? stateColour('replace') : undefined }}>
          {bad ? line.label : line.ask}
        </Box>
        <Box sx={{ fontSize: '0.88rem', color: 'text.secondary' }}>{line.how}</Box>
        {line.deeper && <Box sx={{ fontSize: '0.85rem' }}>{DEEPER_WORDS[line.deeper]}</Box>}
        {line.why.length > 0 && (
          <Box sx={{ fontSize: '0.85rem' }}>Look closely: {[...new Set(line.why)].join(', ')}.</Box>
        )}
      </Box>
      <Box role="group" aria-label={line.ask} sx={{ display: 'flex', gap: 0.75 }}>
        <Button
          variant={said === 'fine' ? 'contained' : 'outlined'}
          color="inherit"
          aria-pressed={said === 'fine'}
          onClick={() => answer('fine')}
          sx={{
            minWidth: 76,
            minHeight: 56,
            px: 1,
            ...(said === 'fine' && {
              bgcolor: stateColour('fine'),
              color: 'background.paper',
              '&:hover': { bgcolor: stateColour('fine') },
            }),
          }}
        >
          <Tick fontSize="small" sx={{ mr: 0.5 }} /> Fine
        </Button>
        <Button
          variant={bad ? 'contained' : 'outlined'}
          color="inherit"
          aria-pressed={bad}
          onClick={() => answer('bad')}
          sx={{
            minWidth: 76,
            minHeight: 56,
            px: 1,
            ...(bad && {
              bgcolor: stateColour('replace'),
              color: 'background.paper',
              '&:hover': { bgcolor: stateColour('replace') },
            }),
          }}
        >
          <Close fontSize="small" sx={{ mr: 0.5 }} /> Bad
        </Button>
      </Box>
    </Box>
  );
}

/** The side that may be shown: the faults and the sentence, and nothing else. */
function SellerSide({ faults, sentence, onClose }: { faults: AskedLine[]; sentence: string; onClose(): void }) {
  return (
    <Dialog open fullScreen onClose={onClose} aria-labelledby="seller-side">
      <Box sx={{ p: { xs: 3, md: 8 }, display: 'flex', flexDirection: 'column', minHeight: '100%', gap: 3 }}>
        <Typography id="seller-side" component="h2" sx={{ fontSize: '1.9rem', fontWeight: 680 }}>
          What I found
        </Typography>
        {faults.length === 0 ? (
          <Typography sx={{ fontSize: '1.3rem' }}>Nothing bad so far.</Typography>
        ) : (
          <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none', fontSize: '1.35rem' }}>
            {faults.map((fault) => (
              <Box component="li" key={fault.id} sx={{ py: 1, borderTop: '1px solid', borderColor: 'divider' }}>
                {fault.label}
              </Box>
            ))}
          </Box>
        )}
        <Typography sx={{ fontSize: '1.5rem', fontWeight: 620, borderLeft: '5px solid', pl: 2, maxWidth: '32ch' }}>
          {sentence}
        </Typography>
        <Button variant="outlined" color="inherit" autoFocus onClick={onClose} sx={{ mt: 'auto', minHeight: 56 }}>
          Back
        </Button>
      </Box>
    </Dialog>
  );
}

/** The limit, the verdict and what lifts it most: for the buyer's eyes. */
function Figures({ found, currency }: { found: BuyAppraisal | null; currency: string }) {
  if (!found) return <Box role="status">Calculating…</Box>;
  const { appraisal, limit } = found;
  if (found.stop && !appraisal) return <StopWords stop={found.stop} />;
  if (!appraisal) return <Box>Say under Figures what it may fetch, and your limit appears.</Box>;
  const top = appraisal.drivers.filter((driver) => driver.kind === 'fault' && driver.lift > 0).slice(0, 3);
  return (
    <Box>
      <Box sx={{ display: 'flex', gap: 3, alignItems: 'baseline', flexWrap: 'wrap' }}>
        <Box sx={{ fontSize: '2.5rem', fontWeight: 680, lineHeight: 1, letterSpacing: '-0.02em' }}>
          {limit.most === null ? '–' : money(limit.most, currency)}
        </Box>
        {limit.price && (
          <Box
            sx={{
              fontSize: '1.5rem',
              fontWeight: 660,
              color: stateColour(stateOf('money.appraise', appraisal.verdict)),
            }}
          >
            {(limit.price.is === 'paid' ? PAID_WORDS : VERDICT_WORDS)[appraisal.verdict]}
          </Box>
        )}
      </Box>
      <Box sx={{ color: 'text.secondary', fontSize: '0.9rem', mb: 1 }}>
        your limit{limit.price && `; ${limit.price.is} ${money(limit.price.amount, currency)}`}
      </Box>
      {top.length > 0 && (
        <Box component="ul" aria-label="What lifts your limit most" sx={{ m: 0, p: 0, listStyle: 'none' }}>
          {top.map((driver) => (
            <Box component="li" key={driver.label} sx={{ display: 'flex', gap: 2, py: 0.25 }}>
              <Box sx={{ flex: 1 }}>{driver.label}</Box>
              <b>+{money(driver.lift, currency)}</b>
            </Box>
          ))}
        </Box>
      )}
      {found.notLookedAt > 0 && (
        <Box sx={{ mt: 0.75, fontSize: '0.9rem' }}>
          {found.notLookedAt} not looked at, counted by how often they are found.
        </Box>
      )}
      <LearntLines lines={found.learnt} />
    </Box>
  );
}

/** The door check: one thumb, standing, with the seller beside. */
export function Door({
  bicycle,
  send,
  found,
  stale,
}: StageProps & { found: BuyAppraisal | null; /** What was tapped last is not in the figures yet. */ stale: boolean }) {
  const { currency } = useSettings();
  const [alone, setAlone] = useState(false);
  const [showing, setShowing] = useState(false);
  const lines = found?.door ?? [];
  const said = (line: AskedLine) => bicycle.door[line.id]?.answer ?? null;
  const bad = lines.filter((line) => (line.deeper ? line.answer : said(line)) === 'bad');
  const looked = lines.filter((line) => said(line) !== null || line.deeper !== null).length;
  const lift = new Map(found?.appraisal?.drivers.map((driver) => [driver.label, driver.lift]));
  const dearest = [...bad].sort((a, b) => (lift.get(b.label) ?? b.parts.high) - (lift.get(a.label) ?? a.parts.high));
  const { asking } = bicycle.appraisal;
  const deal = bargain(asking ?? 0, found?.limit.most ?? null, dearest, (minor) => money(minor, currency));
  const groups = [...new Set(lines.map((line) => line.partOf))];
  return (
    <>
      <Section title="At the door" aside={lines.length ? `${looked} of ${lines.length} looked at` : undefined}>
        <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'start', mb: 1 }}>
          <ReadingField
            label="Asked for it"
            kind="money"
            unit={currency}
            value={asking}
            onCommit={(next) => send({ type: 'setAppraisal', changes: { asking: next } })}
            onClear={() => send({ type: 'setAppraisal', changes: { asking: null } })}
          />
          <Disclosure wide summary="What it is">
            <Box sx={{ pt: 1 }}>
              <KindFields kind={bicycle.kind} onChange={(changes) => send({ type: 'describeKind', changes })} />
            </Box>
          </Disclosure>
        </Box>
        <Typography sx={{ color: 'text.secondary', fontSize: '0.92rem', maxWidth: '60ch' }}>
          Tap what you see; again takes it back. What you leave counts as not looked at.
        </Typography>
        {bicycle.kind.electric && (
          <Box sx={{ mt: 2, borderLeft: '3px solid', borderColor: 'text.primary', pl: 2 }}>
            <Typography variant="h3" sx={{ mb: 1 }}>
              The electric drive
            </Typography>
            <ElectricFields bicycle={bicycle} send={send} />
          </Box>
        )}
        {lines.length === 0 && (
          <Typography role="status" sx={{ mt: 2 }}>
            Getting the checks…
          </Typography>
        )}
        {found?.stop && (
          <Box role="alert" sx={{ mt: 2 }}>
            <StopWords stop={found.stop} />
          </Box>
        )}
        {groups.map((group) => (
          <Box key={group} sx={{ mt: { xs: 1, md: 2 } }}>
            <Typography variant="h3" sx={{ color: 'text.secondary', mb: 0.5 }}>
              {PART_WORDS[group] ?? group}
            </Typography>
            <RuledList aria-label={PART_WORDS[group] ?? group}>
              {lines
                .filter((line) => line.partOf === group)
                .map((line) => (
                  <DoorRow key={line.id} line={line} said={said(line)} send={send} />
                ))}
            </RuledList>
          </Box>
        ))}
        <FormControlLabel
          sx={{ mt: 1.5 }}
          control={<Checkbox checked={alone} onChange={(event) => setAlone(event.target.checked)} />}
          label="Nobody stands beside me: keep the figures shown"
        />
        <Foot>
          <Box aria-busy={stale} sx={{ display: 'flex', gap: 1 }}>
            <HeldMoney label={alone ? 'Figures' : 'Hold to see the figures'} pinned={alone}>
              <Box sx={{ opacity: stale ? 0.55 : 1, transition: 'opacity 120ms' }}>
                <Figures found={found} currency={currency} />
              </Box>
              <Box sx={{ mt: 1.25, borderLeft: '3px solid', borderColor: 'text.primary', pl: 1.5, fontWeight: 560 }}>
                {deal.sentence}
              </Box>
            </HeldMoney>
            <Button variant="outlined" color="inherit" onClick={() => setShowing(true)} sx={{ minHeight: 56 }}>
              Show the seller
            </Button>
          </Box>
        </Foot>
      </Section>
      {showing && <SellerSide faults={dearest} sentence={deal.sentence} onClose={() => setShowing(false)} />}
    </>
  );
}
