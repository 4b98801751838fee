'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useEffect, useMemo, useState } from 'react';
import { USE_WORDS } from '@/core/buy/saleStates';
import { booksRows, booksSum, byMonth, filtered, openOnFloor, yearsOf, type BooksFilter } from '@/model/books/books';
import { donorRows } from '@/model/books/donors';
import { taughtInput } from '@/model/books/learnt';
import { inStock, stockCosts } from '@/model/stock/drawer';
import { Choices } from '@/ui/Choices';
import { hours, money } from '@/ui/format';
import { LargeFigures } from '@/ui/LargeFigures';
import { saveFile } from '@/ui/saveFile';
import { Section } from '@/ui/Section';
import { TopBar } from '../top-bar/TopBar';
import { useReckon } from '../workshop/useReckon';
import { CameBack, Donors, SavedByAll } from './Besides';
import { Lessons } from './Lessons';
import { SellerWords } from './SellerWords';
import { ByClass, WhereItWent } from './WhereItWent';
import { useSettings, useWorkshopState } from '../workshop/WorkshopProvider';

const BooksTable = dynamic(() => import('./BooksTable').then((module) => module.BooksTable), { ssr: false });
const MonthBars = dynamic(() => import('./MonthBars').then((module) => module.MonthBars), { ssr: false });

const WHICH = [
  { id: 'all', label: 'All' },
  { id: 'sale', label: 'Sold' },
  { id: 'customer', label: 'Customers’' },
] as const;
/** Where the house counts nothing for its own hour, sellers’ words are weighed at a usual wage. */
const USUAL_WAGE = 1500;

/** What each finished bicycle earned, what lies open, and what all of them teach. */
export function BooksPage() {
  const { currency, labourPerHour } = useSettings();
  const summaries = useWorkshopState((state) => state.summaries);
  const stock = useWorkshopState((state) => state.stock);
  const [filter, setFilter] = useState<BooksFilter>({ purpose: 'all', use: 'all', year: 'all' });
  useEffect(() => {
    document.title = 'Books · Ergasto';
  }, []);
  const all = booksRows(summaries);
  const rows = filtered(all, filter);
  const uses = [...new Set(all.map(({ use }) => use))];
  const years = yearsOf(all);
  const sum = booksSum(rows);
  const whole = booksSum(all);
  const { output: learnt } = useReckon(
    'buy.learn',
    useMemo(() => taughtInput(summaries), [summaries]),
  );
  const costs = stockCosts(Object.values(stock), summaries);
  const inDrawer = inStock(stock).reduce((total, item) => total + (costs.get(item.id) ?? 0), 0);
  const save = async () => {
    const { booksCsv } = await import('@/model/exchange/booksCsv');
    saveFile(new Blob([booksCsv(rows, currency)], { type: 'text/csv' }), 'books.csv');
  };
  return (
    <>
      <TopBar>
        <Box component="h1" sx={{ m: 0, fontSize: '1.1rem', fontWeight: 640 }}>
          Books
        </Box>
      </TopBar>
      <Box component="main" sx={{ maxWidth: 980, mx: 'auto', px: { xs: 2, md: 3 }, py: { xs: 2, md: 3 } }}>
        {all.length === 0 ? (
          <Box sx={{ maxWidth: '56ch' }}>
            <b>Nothing is sold yet.</b> What a bicycle fetched is entered at Hand over; from then on it stands here.
          </Box>
        ) : (
          <>
            <Box sx={{ mb: 4 }}>
              <LargeFigures
                figures={[
                  { value: money(whole.earned, currency), words: `earned with ${whole.count}, before hours are paid` },
                  {
                    value: whole.minutes >= 60 ? money(Math.round((whole.earned * 60) / whole.minutes), currency) : '–',
                    words: `an hour, of ${hours(whole.minutes)}`,
                  },
                  { value: money(openOnFloor(summaries), currency), words: 'lies on the floor' },
                  { value: money(inDrawer, currency), words: 'lies in the drawer' },
                ]}
              />
            </Box>
            {learnt && <Lessons learnt={learnt} rows={all} />}
            <SellerWords rows={all} currency={currency} ratePerHour={labourPerHour || USUAL_WAGE} />
            <Section
              title="Bicycle by bicycle"
              aside={
                <Button variant="outlined" size="small" onClick={() => void save()}>
                  As a table
                </Button>
              }
            >
              <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
                <Choices
                  label="Sold or a customer’s"
                  options={WHICH}
                  value={filter.purpose}
                  onChoose={(purpose) => setFilter({ ...filter, purpose })}
                />
                {uses.length > 1 && (
                  <Choices
                    label="Class"
                    options={[
                      { id: 'all' as const, label: 'All' },
                      ...uses.map((use) => ({ id: use, label: USE_WORDS[use] })),
                    ]}
                    value={filter.use}
                    onChoose={(use) => setFilter({ ...filter, use })}
                  />
                )}
                {years.length > 1 && (
                  <Choices
                    label="Year"
                    options={[{ id: 'all', label: 'All' }, ...years.map((year) => ({ id: year, label: year }))]}
                    value={filter.year}
                    onChoose={(year) => setFilter({ ...filter, year })}
                  />
                )}
              </Box>
              <WhereItWent sum={sum} currency={currency} />
              <MonthBars months={byMonth(rows)} currency={currency} />
              {filter.use === 'all' && uses.length > 1 && <ByClass rows={rows} currency={currency} />}
              <BooksTable rows={rows} currency={currency} />
            </Section>
            <CameBack rows={rows} currency={currency} />
            <Donors rows={donorRows(stock, summaries)} currency={currency} />
            <SavedByAll summaries={summaries} />
          </>
        )}
      </Box>
    </>
  );
}
