'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import { useState } from 'react';
import { learntWords } from '@/core/money/learnt';
import { askInput, offersInput, soldFor } from '@/model/sell/askInput';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { dayOf, money } from '@/ui/format';
import { KeptText } from '@/ui/KeptText';
import { LargeFigures } from '@/ui/LargeFigures';
import { NetCurve } from '@/ui/NetCurve';
import { ReadingField } from '@/ui/ReadingField';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { TextInput } from '@/ui/TextInput';
import { Working } from '@/ui/Working';
import { LearntLines } from '../workshop/LearntLines';
import { useLearnt } from '../workshop/useLearnt';
import { useReckon } from '../workshop/useReckon';
import { useToday } from '../workshop/useToday';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';

/** Offers to the hour, and what they say of the price. */
function Offers({ bicycle, send }: StageProps) {
  const { currency, stalePrice } = useSettings();
  const today = useToday();
  const { output: says } = useReckon('sell.offers', offersInput(bicycle, stalePrice, today));
  return (
    <Section title="Offers">
      {says && (
        <Box role="status" aria-label="What the offers say" sx={{ fontWeight: says.verdict === 'open' ? 400 : 660 }}>
          {says.reasons[0]}
          {says.verdict === 'open' && ` It is stale from ${dayOf(says.staleOn)} without an offer.`}
        </Box>
      )}
      <Box data-readings sx={{ mt: 1 }}>
        <ReadingField
          label="An offer of"
          kind="money"
          unit={currency}
          width={200}
          keepEmpty
          value={null}
          help="now, to the minute"
          onCommit={(amount) =>
            send({ type: 'putOffer', offer: { id: newId(), at: nowIso(), amount, who: '', answer: null } })
          }
        />
      </Box>
      <RuledList aria-label="Offers">
        {bicycle.offers.toReversed().map((offer) => (
          <Box
            component="li"
            key={offer.id}
            sx={{ py: 1, display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}
          >
            <Box sx={{ fontWeight: 660, fontVariantNumeric: 'tabular-nums', minWidth: 90 }}>
              {money(offer.amount, currency)}
            </Box>
            <Box sx={{ flex: 1, minWidth: 160 }}>
              {dayOf(offer.at)} {new Date(offer.at).toTimeString().slice(0, 5)}
              {offer.answer && `, ${offer.answer}`}
            </Box>
            <Button
              variant={offer.answer === 'taken' ? 'contained' : 'outlined'}
              onClick={() => {
                send({ type: 'putOffer', offer: { ...offer, answer: 'taken' } });
                send(soldFor(bicycle, offer.amount, today));
              }}
            >
              Sold for it
            </Button>
            <Button color="inherit" onClick={() => send({ type: 'putOffer', offer: { ...offer, answer: 'declined' } })}>
              Declined
            </Button>
          </Box>
        ))}
      </RuledList>
      <Box data-readings sx={{ mt: 2, display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'start' }}>
        <ReadingField
          label="Deposit"
          kind="money"
          unit={currency}
          width={160}
          value={bicycle.deposit?.amount ?? null}
          onCommit={(amount) =>
            send({
              type: 'setDeposit',
              deposit: { who: '', until: null, ...bicycle.deposit, amount, on: bicycle.deposit?.on ?? today },
            })
          }
          onClear={() => send({ type: 'setDeposit', deposit: null })}
        />
        {bicycle.deposit && (
          <KeptText
            label="From whom"
            value={bicycle.deposit.who}
            width={200}
            onKeep={(who) => send({ type: 'setDeposit', deposit: { ...bicycle.deposit!, who } })}
          />
        )}
        {bicycle.deposit && (
          <TextInput
            label="Kept until"
            type="date"
            value={bicycle.deposit.until ?? ''}
            onChange={({ target: { value } }) =>
              send({ type: 'setDeposit', deposit: { ...bicycle.deposit!, until: value === '' ? null : value } })
            }
            sx={{ width: 180 }}
          />
        )}
      </Box>
    </Section>
  );
}

/** Another price under the finger: how long it stands, and what is left of it. */
function TryPrice({ curve, currency }: { curve: { price: number; days: number; net: number }[]; currency: string }) {
  const [at, setAt] = useState(Math.floor(curve.length / 2));
  const point = curve[at] ?? curve[0]!;
  return (
    <Box sx={{ maxWidth: 520, px: 1 }}>
      <Slider
        aria-label="Another price"
        min={0}
        max={curve.length - 1}
        value={at}
        getAriaValueText={() => money(point.price, currency)}
        onChange={(_event, value) => setAt(value)}
      />
      <Box role="status" aria-label="At that price" sx={{ fontVariantNumeric: 'tabular-nums' }}>
        At {money(point.price, currency)}: {Math.round(point.days)} days, {money(Math.round(point.net), currency)} left.
      </Box>
    </Box>
  );
}

/** The price to ask: from what such a one fetched, how fast it goes, and what a place on the floor costs. */
export function AskPrice({ bicycle, send }: StageProps) {
  const { currency } = useSettings();
  const today = useToday();
  const { listing, appraisal } = bicycle;
  const learnt = useLearnt();
  const { output } = useReckon('money.ask', learnt && askInput(bicycle, learnt));
  const put = (changes: Partial<typeof listing>) => send({ type: 'setListing', changes });
  return (
    <>
      <Section title="What to ask">
        <Box data-readings sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'start' }}>
          <ReadingField
            label="Such a one fetches"
            kind="money"
            unit={currency}
            width={180}
            help={appraisal.resale.likely > 0 ? 'likely, as at Buy' : 'from sold prices'}
            value={appraisal.resale.likely || null}
            onCommit={(likely) =>
              send({
                type: 'setAppraisal',
                changes: {
                  resale: {
                    low: Math.min(appraisal.resale.low || likely, likely),
                    likely,
                    high: Math.max(appraisal.resale.high || likely, likely),
                  },
                },
              })
            }
          />
          <ReadingField
            label="and stands"
            kind="number"
            unit="days"
            width={130}
            value={listing.usualDays}
            refuse={(value) => (value <= 0 || value > 3650 ? '1 to 3,650 days' : null)}
            onCommit={(usualDays) => put({ usualDays })}
          />
          <ReadingField
            label="A day on the floor"
            kind="money"
            unit={currency}
            width={170}
            value={listing.heldPerDay}
            refuse={(value) => (value <= 0 ? 'over nought' : null)}
            onCommit={(heldPerDay) => put({ heldPerDay })}
          />
          <ReadingField
            label="Fee"
            kind="number"
            unit="%"
            width={110}
            value={listing.feePercent}
            refuse={(value) => (value >= 100 ? 'under 100 %' : null)}
            onCommit={(feePercent) => put({ feePercent })}
          />
        </Box>
        {output ? (
          <>
            <LargeFigures
              figures={[
                { value: money(output.ask, currency), words: 'to ask' },
                { value: `${Math.round(output.expectedDays)} days`, words: 'until it goes' },
                { value: money(Math.round(output.expectedNet), currency), words: 'left of it, the waiting paid' },
              ]}
            />
            <Box sx={{ maxWidth: '60ch', mb: 1 }}>{output.reasons[0]}</Box>
            <LearntLines lines={learntWords({ minutes: {}, resale: learnt?.resale ?? null })} />
            <NetCurve points={output.curve} ask={output.ask} asked={listing.ask} currency={currency} />
            <TryPrice curve={output.curve} currency={currency} />
            <Working rows={output.working} />
            <Button
              variant="contained"
              sx={{ minHeight: 56, mt: 1.5 }}
              disabled={listing.ask === output.ask}
              onClick={() => put({ ask: output.ask, askedOn: today })}
            >
              {listing.ask === output.ask ? 'Asked' : `Ask ${money(output.ask, currency)}`}
            </Button>
          </>
        ) : (
          <Box sx={{ mt: 1.5 }}>What such a one fetches is not known yet: say it here, or at Buy.</Box>
        )}
        <Box data-readings sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'start', mt: 2 }}>
          <ReadingField
            label="Asked"
            kind="money"
            unit={currency}
            width={150}
            help={listing.askedOn ? `since ${dayOf(listing.askedOn)}` : 'your own figure'}
            value={listing.ask}
            onCommit={(ask) => put({ ask, askedOn: today })}
            onClear={() => put({ ask: null, askedOn: null })}
          />
          <ReadingField
            label="A step down to"
            kind="money"
            unit={currency}
            width={170}
            value={listing.stepTo}
            refuse={(value) => (listing.ask !== null && value >= listing.ask ? 'less than is asked' : null)}
            onCommit={(stepTo) => put({ stepTo })}
            onClear={() => put({ stepTo: null, stepOn: null })}
          />
          {listing.stepTo !== null && (
            <TextInput
              label="on"
              type="date"
              value={listing.stepOn ?? ''}
              onChange={({ target: { value } }) => put({ stepOn: value === '' ? null : value })}
              sx={{ width: 180 }}
            />
          )}
          {listing.stepTo !== null && listing.stepOn !== null && listing.stepOn <= today && (
            <Button
              variant="outlined"
              sx={{ minHeight: 56 }}
              onClick={() => put({ ask: listing.stepTo, askedOn: today, stepTo: null, stepOn: null })}
            >
              The day is here: step down
            </Button>
          )}
        </Box>
      </Section>
      <Offers bicycle={bicycle} send={send} />
    </>
  );
}
