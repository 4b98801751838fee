'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useEffect, useState } from 'react';
import { booksRows, booksSum, byMonth, learnInput, openOnFloor } from '@/model/books/books';
import { inStock, stockCosts } from '@/model/stock/drawer';
import { Choices } from '@/ui/Choices';
import { hours, money } from '@/ui/format';
import { LargeFigures } from '@/ui/LargeFigures';
import { saveFile } from '@/ui/saveFile';
import { Section } from '@/ui/Section';
import { Working } from '@/ui/Working';
import { TopBar } from '../top-bar/TopBar';
import { useReckon } from '../workshop/useReckon';
import { useSettings, useWorkshopState } from '../workshop/WorkshopProvider';

const TimesChart = dynamic(() => import('./TimesChart').then((module) => module.TimesChart), { ssr: false });
const BooksTable = dynamic(() => import('./BooksTable').then((module) => module.BooksTable), { ssr: false });
const MonthBars = dynamic(() => import('./MonthBars').then((module) => module.MonthBars), { ssr: false });

const WHICH = [
  { id: 'all', label: 'All' },
  { id: 'sale', label: 'Sold' },
  { id: 'customer', label: 'Customers’' },
] as const;
type Which = (typeof WHICH)[number]['id'];

/** What each finished bicycle earned, what lies open, and what all of them teach. */
export function BooksPage() {
  const { currency } = useSettings();
  const summaries = useWorkshopState((state) => state.summaries);
  const stock = useWorkshopState((state) => state.stock);
  const [which, setWhich] = useState<Which>('all');
  useEffect(() => {
    document.title = 'Books · Ergasto';
  }, []);
  const all = booksRows(summaries);
  const rows = all.filter(({ purpose }) => which === 'all' || (which === 'customer') === (purpose === 'customer'));
  const sum = booksSum(rows);
  const { output: learnt } = useReckon('money.learn', learnInput(all));
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
            <b>Nothing is sold yet.</b> What a bicycle fetched is put down at Hand over; from then on it stands here.
          </Box>
        ) : (
          <>
            <LargeFigures
              figures={[
                { value: money(sum.earned, currency), words: `earned with ${sum.count}, before hours are paid` },
                {
                  value: sum.minutes >= 60 ? money(Math.round((sum.earned * 60) / sum.minutes), currency) : '–',
                  words: `an hour, of ${hours(sum.minutes)}`,
                },
                { value: money(openOnFloor(summaries), currency), words: 'lies on the floor' },
                { value: money(inDrawer, currency), words: 'lies in the drawer' },
              ]}
            />
            {learnt && learnt.minutes.length > 0 && (
              <Section title="What it taught">
                {learnt.reasons.map((reason) => (
                  <Box key={reason} sx={{ fontSize: '1.2rem', fontWeight: 640 }}>
                    {reason}
                  </Box>
                ))}
                {learnt.calibration.minutesWithin !== null && (
                  <Box sx={{ color: 'text.secondary' }}>
                    {Math.round(100 * learnt.calibration.minutesWithin)} % of jobs took as long as was thought
                    {learnt.calibration.salesWithin !== null &&
                      `, ${Math.round(100 * learnt.calibration.salesWithin)} % fetched what was thought`}
                    .
                  </Box>
                )}
                <Box sx={{ mt: 1.5 }}>
                  <TimesChart rows={all} minutes={learnt.minutes} />
                </Box>
                <Working rows={learnt.working} />
              </Section>
            )}
            <Section
              title="Bicycle by bicycle"
              aside={
                <Button variant="outlined" size="small" onClick={() => void save()}>
                  As a table
                </Button>
              }
            >
              <Choices label="Which" hideLabel options={WHICH} value={which} onChoose={(next) => setWhich(next)} />
              <Box sx={{ my: 2 }}>
                <MonthBars months={byMonth(rows)} currency={currency} />
              </Box>
              <BooksTable rows={rows} currency={currency} />
            </Section>
          </>
        )}
      </Box>
    </>
  );
}
