'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { resultInput, roadLines } from '@/model/money/questions';
import type { Bicycle } from '@/model/record';
import { boltsInput, jointsInput } from '@/model/rebuild/questions';
import { workedMinutes } from '@/model/work/hours';
import { nowIso } from '@/store/now';
import { hours, money, percent } from '@/ui/format';
import { Choices } from '@/ui/Choices';
import { ReadingField } from '@/ui/ReadingField';
import { BigNumber, Section } from '@/ui/Section';
import { stateColour } from '@/ui/StateMark';
import { Working } from '@/ui/Working';
import { useFindings } from '../workshop/useFindings';
import { useReady } from '../prove/useReady';
import { useNow } from '../workshop/useNow';
import { useReckon } from '../workshop/useReckon';
import { useToday } from '../workshop/useToday';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';
import { HoursByJob } from './HoursByJob';
import { CustomersBill } from './CustomersBill';
import { MoneyLines } from './MoneyLines';
import { saveServices } from '../workshop/serviceCalendar';
import { useServices } from '../overhaul/useServices';
import { PrintSheet } from './PrintSheet';
import { Saved } from './Saved';
import { WaysOut } from './WaysOut';
import { TextInput } from '@/ui/TextInput';

const wait = () => <p role="status">One moment…</p>;
const ListingView = dynamic(() => import('./ListingView').then((module) => module.ListingView), {
  ssr: false,
  loading: wait,
});
const AskPrice = dynamic(() => import('./AskPrice').then((module) => module.AskPrice), { ssr: false, loading: wait });
const Shots = dynamic(() => import('./Shots').then((module) => module.Shots), { ssr: false, loading: wait });
const Papers = dynamic(() => import('./Papers').then((module) => module.Papers), { ssr: false, loading: wait });

/** Under an hour of work a figure an hour says nothing. */
const LEAST_HOUR = 60;

function Earned({ bicycle }: Pick<StageProps, 'bicycle'>) {
  const settings = useSettings();
  const { currency } = settings;
  const { output: result, errors } = useReckon('money.result', resultInput(bicycle, settings));
  const worked = workedMinutes(bicycle);
  if (errors.length)
    return (
      <Typography role="alert" color="error">
        {errors[0]!.message}
      </Typography>
    );
  if (!result) return <Typography role="status">Adding it up…</Typography>;
  return (
    <>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr 1fr', sm: 'repeat(4, auto)' },
          gap: { xs: 2, sm: 4 },
          justifyContent: 'start',
        }}
      >
        <BigNumber
          value={
            result.profit === null ? (isCustomers(bicycle) ? 'Not billed' : 'Not sold') : money(result.profit, currency)
          }
          label="profit"
          tone={result.profit !== null && result.profit < 0 ? stateColour('unsafe') : undefined}
        />
        <BigNumber
          value={result.hourly === null || worked < LEAST_HOUR ? '–' : money(result.hourly, currency)}
          label={worked < LEAST_HOUR ? 'an hour: under an hour is logged' : 'an hour'}
        />
        <BigNumber value={hours(worked)} label="of work" />
        <BigNumber value={money(result.outlay, currency)} label="laid out" />
      </Box>
      <Typography sx={{ mt: 1.5 }}>
        {money(result.charged, currency)} of parts{roadLines(bicycle).length > 0 && ' and the road'} went into this
        bicycle; {money(result.stockLeft, currency)} is left in the drawer at what it cost.
        {result.margin !== null && ` Profit is ${percent(Math.max(0, result.margin))} of the sale.`}
      </Typography>
      <Working rows={result.working} />
    </>
  );
}

/** A customer’s bicycle is billed and never bought or sold. */
const isCustomers = ({ purpose }: Pick<Bicycle, 'purpose'>) => purpose === 'customer';

/** The sheet as a PDF, or the passport: the sheet with the record within it. */
async function saveSheet(as: 'pdf' | 'passport', bicycle: Bicycle) {
  const sheet = document.querySelector('#sheet');
  if (!sheet) return;
  const [{ sheetText }, { saveFile }] = await Promise.all([import('./sheetText'), import('@/ui/saveFile')]);
  const text = sheetText(sheet);
  const name = bicycle.name.replaceAll(/[^\p{L}\p{N}]+/gu, ' ').trim() || 'bicycle';
  if (as === 'pdf') {
    const { sheetPdf } = await import('./sheetPdf');
    saveFile(new Blob([sheetPdf(text)], { type: 'application/pdf' }), `${name} sheet.pdf`);
  } else {
    const { passportHtml } = await import('@/model/exchange/passport');
    saveFile(new Blob([passportHtml(bicycle, text, nowIso())], { type: 'text/html' }), `${name} passport.html`);
  }
}

type View = 'out' | 'listing' | 'price' | 'photographs' | 'papers' | 'earned' | 'sheet';
const VIEWS: { id: View; label: string }[] = [
  { id: 'out', label: 'Going out' },
  { id: 'listing', label: 'Listing' },
  { id: 'price', label: 'Price' },
  { id: 'photographs', label: 'Photographs' },
  { id: 'papers', label: 'Papers' },
  { id: 'earned', label: 'What it earned' },
  { id: 'sheet', label: 'Its sheet' },
];
/** What a customer’s bicycle has none of: it is not sold. */
const SOLD_ONLY: readonly View[] = ['listing', 'price'];

/** Words, price, pictures and papers, how it goes out, what it earned, and the sheet that goes with it. */
export function HandOver({ bicycle, send }: StageProps) {
  const settings = useSettings();
  const { currency } = settings;
  const [view, setView] = useState<View>('out');
  const now = useNow(60_000);
  const today = useToday();
  const lookOver = useFindings(bicycle);
  const ready = useReady(bicycle);
  const due = useServices(bicycle);
  const customers = isCustomers(bicycle);
  const { output } = useReckon('rebuild.bolts', boltsInput(bicycle, settings));
  const { output: joints } = useReckon('rebuild.joints', jointsInput(bicycle, settings));
  return (
    <>
      <Box className="no-print" sx={{ mb: 2 }}>
        <Choices
          label="Hand over"
          hideLabel
          options={customers ? VIEWS.filter(({ id }) => !SOLD_ONLY.includes(id)) : VIEWS}
          value={view}
          onChoose={(next) => setView(next)}
        />
      </Box>
      <Box>
        {view === 'out' && (
          <WaysOut bicycle={bicycle} send={send} ready={ready} findings={lookOver?.findings ?? null} />
        )}
        {view === 'listing' && <ListingView bicycle={bicycle} send={send} />}
        {view === 'price' && <AskPrice bicycle={bicycle} send={send} />}
        {view === 'photographs' && <Shots bicycle={bicycle} send={send} />}
        {view === 'papers' && <Papers bicycle={bicycle} send={send} />}
        {view === 'earned' && (
          <>
            <Section title="What it earned">
              <Earned bicycle={bicycle} />
            </Section>
            {customers && <CustomersBill bicycle={bicycle} />}
            <Section title={customers ? 'Bill and hours' : 'Sale and hours'}>
              <Box data-readings sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'start' }}>
                {!customers && (
                  <ReadingField
                    label="Bought for"
                    kind="money"
                    unit={currency}
                    value={bicycle.purchase?.paid ?? null}
                    onCommit={(paid) => send({ type: 'recordPurchase', paid, at: nowIso() })}
                  />
                )}
                <ReadingField
                  label={customers ? 'Billed' : 'Sold for'}
                  kind="money"
                  unit={currency}
                  value={bicycle.sale.price}
                  onCommit={(price) =>
                    send({ type: 'setSale', changes: { price, ...(bicycle.sale.on === null && { on: today }) } })
                  }
                  onClear={() => send({ type: 'setSale', changes: { price: null, on: null } })}
                />
                {bicycle.sale.price !== null && (
                  <TextInput
                    label={customers ? 'Billed on' : 'Sold on'}
                    type="date"
                    value={bicycle.sale.on ?? ''}
                    onChange={({ target: { value } }) =>
                      value !== '' && value <= today && send({ type: 'setSale', changes: { on: value } })
                    }
                    slotProps={{ htmlInput: { max: today } }}
                    sx={{ width: 170 }}
                  />
                )}
                {!customers && (
                  <ReadingField
                    label="Selling fee"
                    kind="money"
                    unit={currency}
                    value={bicycle.sale.fee}
                    onCommit={(fee) => send({ type: 'setSale', changes: { fee } })}
                  />
                )}
              </Box>
              <HoursByJob bicycle={bicycle} send={send} />
            </Section>
            <Section title="Parts and consumables">
              <MoneyLines bicycle={bicycle} send={send} />
            </Section>
            {bicycle.purpose !== 'customer' && <Saved bicycle={bicycle} send={send} />}
          </>
        )}
        {view === 'sheet' && (
          <Section
            title="The sheet that goes with it"
            aside={
              <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
                <Button variant="contained" size="small" onClick={() => window.print()}>
                  Print it
                </Button>
                <Button variant="outlined" size="small" onClick={() => void saveSheet('pdf', bicycle)}>
                  As PDF
                </Button>
                <Button variant="outlined" size="small" onClick={() => void saveSheet('passport', bicycle)}>
                  Passport
                </Button>
              </Box>
            }
          >
            <Typography variant="body2" sx={{ color: 'text.secondary', mb: 2 }}>
              Found, done, measured, torqued, proved. No price stands on it.
            </Typography>
            {due.length > 0 && (
              <Button
                variant="outlined"
                color="inherit"
                sx={{ mb: 2, minHeight: 48 }}
                onClick={() => void saveServices(bicycle, due)}
              >
                {due.length === 1 ? 'The next service into the calendar' : 'The next services into the calendar'}
              </Button>
            )}
          </Section>
        )}
      </Box>
      {view !== 'sheet' && view !== 'out' ? null : lookOver && ready && output ? (
        <PrintSheet
          bicycle={bicycle}
          findings={lookOver.findings}
          bolts={output.bolts}
          joints={joints?.joints ?? []}
          ready={ready}
          workshop={settings.name}
          today={now.toISOString()}
          due={due}
        />
      ) : (
        view === 'sheet' && <Typography role="status">Drawing the sheet up…</Typography>
      )}
    </>
  );
}
