'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useState } from 'react';
import { PACKING, packingDone } from '@/model/sell/packing';
import { taxInput } from '@/model/sell/saleLines';
import { TAX_SCHEMES } from '@/model/sell/part';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { Choices } from '@/ui/Choices';
import { dayOf, money } from '@/ui/format';
import { KeptText } from '@/ui/KeptText';
import { LargeFigures } from '@/ui/LargeFigures';
import { ReadingField } from '@/ui/ReadingField';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { useToday } from '../workshop/useToday';
import { useReckon } from '../workshop/useReckon';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';
import { Receipt } from './Receipt';

const SCHEME_WORDS = { none: 'None', all: 'On all of the price', margin: 'On the margin' } as const;
const SCHEMES = TAX_SCHEMES.map((id) => ({ id, label: SCHEME_WORDS[id] }));

/** Serial number, receipt, warranty, tax: they stay in the file, and print only where they belong. */
function Dealing({ bicycle, send }: StageProps) {
  const { currency } = useSettings();
  const { dealing, provenance, sale } = bicycle;
  const today = useToday();
  const [receipt, setReceipt] = useState(false);
  const question = taxInput(bicycle);
  const { output: tax } = useReckon('sell.tax', question);
  return (
    <Section title="Papers" aside="what your place demands: ask there">
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
        <KeptText
          label="Serial number"
          value={provenance.serial}
          width={230}
          onKeep={(serial) => send({ type: 'notePapers', changes: { serial } })}
        />
        <KeptText
          label="Who sold it to you"
          value={provenance.seller}
          width={260}
          most={200}
          onKeep={(seller) => send({ type: 'notePapers', changes: { seller } })}
        />
        <KeptText
          label="Receipt number"
          value={dealing.receipt ?? ''}
          width={180}
          most={80}
          onKeep={(receipt) => send({ type: 'setDealing', changes: { receipt: receipt || null } })}
        />
        <KeptText
          label="Warranty, in words"
          value={dealing.warranty}
          width={420}
          most={400}
          onKeep={(warranty) => send({ type: 'setDealing', changes: { warranty } })}
        />
      </Box>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'end', mt: 2 }}>
        <Choices
          label="Dealer’s tax"
          options={SCHEMES}
          value={dealing.scheme}
          onChoose={(scheme) => send({ type: 'setDealing', changes: { scheme } })}
        />
        {dealing.scheme !== null && dealing.scheme !== 'none' && (
          <ReadingField
            label="Its rate"
            kind="number"
            unit="%"
            width={120}
            value={dealing.percent}
            refuse={(value) => (value >= 100 ? 'under 100 %' : null)}
            onCommit={(percent) => send({ type: 'setDealing', changes: { percent } })}
          />
        )}
      </Box>
      <Button
        variant="outlined"
        sx={{ mt: 2, minHeight: 48 }}
        disabled={sale.price === null}
        onClick={() => setReceipt(true)}
      >
        {sale.price === null ? 'A receipt, once it is sold' : 'The receipt'}
      </Button>
      {receipt && <Receipt bicycle={bicycle} today={today} onClose={() => setReceipt(false)} />}
      {dealing.scheme === null && (
        <Box sx={{ mt: 1, color: 'text.secondary' }}>
          Not said yet: until then no tax is counted, and none is guessed.
        </Box>
      )}
      {tax && sale.price !== null && dealing.scheme !== 'none' && (
        <>
          <LargeFigures
            figures={[
              { value: money(tax.tax, currency), words: 'tax in the price' },
              { value: money(tax.net, currency), words: 'left of it' },
            ]}
          />
          <Box>{tax.words}</Box>
        </>
      )}
    </Section>
  );
}

/** Buyers who rode it: what stayed as security, and whether it came back. */
function TestRides({ bicycle, send }: StageProps) {
  const open = bicycle.testRides.findLast(({ backAt }) => backAt === null);
  return (
    <Section title="A buyer’s test ride">
      {open ? (
        <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
          <b>
            Out since {new Date(open.at).toTimeString().slice(0, 5)}, {dayOf(open.at)}
          </b>
          <KeptText
            label="Who rides it"
            value={open.who}
            width={180}
            onKeep={(who) => send({ type: 'putTestRide', ride: { ...open, who } })}
          />
          <KeptText
            label="Left as security"
            value={open.left === '–' ? '' : open.left}
            width={260}
            onKeep={(left) => send({ type: 'putTestRide', ride: { ...open, left: left || '–' } })}
          />
          <Button
            variant="contained"
            sx={{ minHeight: 56 }}
            onClick={() => send({ type: 'putTestRide', ride: { ...open, backAt: nowIso() } })}
          >
            It is back
          </Button>
        </Box>
      ) : (
        <Button
          variant="outlined"
          sx={{ minHeight: 56 }}
          onClick={() =>
            send({ type: 'putTestRide', ride: { id: newId(), at: nowIso(), who: '', left: '–', backAt: null } })
          }
        >
          Somebody rides it now
        </Button>
      )}
      <Box sx={{ mt: 1, color: 'text.secondary' }}>
        Papers or the price stay here; brakes and levers are shown first.
      </Box>
    </Section>
  );
}

/** Packed for carriage, and what whoever receives it puts together. */
function Packing({ bicycle, send }: StageProps) {
  return (
    <Section title="Packing" aside={`${packingDone(bicycle)} of ${PACKING.length}`}>
      <RuledList>
        {PACKING.map(({ id, label, how, receiver }) => (
          <Box component="li" key={id} sx={{ py: 0.5 }}>
            <FormControlLabel
              control={
                <Checkbox
                  checked={bicycle.packing[id] === true}
                  onChange={({ target: { checked } }) => send({ type: 'packStep', step: id, done: checked })}
                />
              }
              label={<b>{label}</b>}
              sx={{ minHeight: 44 }}
            />
            <Box sx={{ pl: 4, fontSize: '0.95rem' }}>
              {how}
              {receiver && <Box sx={{ color: 'text.secondary' }}>Whoever receives it: {receiver}</Box>}
            </Box>
          </Box>
        ))}
      </RuledList>
    </Section>
  );
}

/** A bicycle that came back: why, and what it took; charged to it. */
function Comebacks({ bicycle, send }: StageProps) {
  const { currency } = useSettings();
  return (
    <Section title="Came back" aside={bicycle.comebacks.length > 0 ? String(bicycle.comebacks.length) : undefined}>
      <KeptText
        key={bicycle.comebacks.length}
        label="It came back, because"
        value=""
        width={420}
        onKeep={(cause) =>
          cause &&
          send({
            type: 'putComeback',
            comeback: { id: newId(), at: nowIso(), cause, minutes: 0, parts: 0, refund: 0 },
          })
        }
      />
      <RuledList aria-label="Comebacks">
        {bicycle.comebacks.toReversed().map((row) => (
          <Box component="li" key={row.id} sx={{ py: 1.5 }}>
            <b>{row.cause}</b>, {dayOf(row.at)}
            <Box data-readings sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', mt: 1.25 }}>
              <ReadingField
                label="Minutes"
                kind="number"
                unit="min"
                width={130}
                value={row.minutes}
                onCommit={(minutes) => send({ type: 'putComeback', comeback: { ...row, minutes } })}
                refuse={(value) => (value > 10_080 ? 'a week at most' : null)}
              />
              <ReadingField
                label="Parts"
                kind="money"
                unit={currency}
                width={140}
                value={row.parts}
                onCommit={(parts) => send({ type: 'putComeback', comeback: { ...row, parts } })}
              />
              <ReadingField
                label="Given back"
                kind="money"
                unit={currency}
                width={150}
                value={row.refund}
                onCommit={(refund) => send({ type: 'putComeback', comeback: { ...row, refund } })}
              />
              <Button color="inherit" onClick={() => send({ type: 'dropComeback', comeback: row.id })}>
                Take it out
              </Button>
            </Box>
          </Box>
        ))}
      </RuledList>
    </Section>
  );
}

/** Everything besides words, price and pictures that a sale asks for. */
export function Papers({ bicycle, send }: StageProps) {
  const at = { bicycle, send };
  return (
    <>
      <Dealing {...at} />
      <TestRides {...at} />
      <Packing {...at} />
      <Comebacks {...at} />
    </>
  );
}
