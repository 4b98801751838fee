'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { useEffect, useState } from 'react';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import type { StockItem } from '@/model/stock/item';
import { inStock, stockCosts } from '@/model/stock/drawer';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { Disclosure } from '@/ui/Disclosure';
import { FileButton } from '@/ui/FileButton';
import { money } from '@/ui/format';
import { RuledList } from '@/ui/RuledList';
import { saveFile } from '@/ui/saveFile';
import { BigNumber, Section } from '@/ui/Section';
import { TextInput } from '@/ui/TextInput';
import { TopBar } from '../top-bar/TopBar';
import { useSettings, useWorkshop, useWorkshopState } from '../workshop/WorkshopProvider';

const StockTable = dynamic(() => import('./StockTable').then((module) => module.StockTable), { ssr: false });
const StockDialog = dynamic(() => import('./StockDialog').then((module) => module.StockDialog), { ssr: false });
/** Reading and writing tables comes when one is taken in or written. */
const stockTable = () => import('@/model/exchange/stockCsv');

/** The drawer and the donors: what lies there, where it came from and what it cost. */
export function StockPage() {
  const workshop = useWorkshop();
  const { currency } = useSettings();
  const stock = useWorkshopState((state) => state.stock);
  const summaries = useWorkshopState((state) => state.summaries);
  const [search, setSearch] = useState('');
  const [open, setOpen] = useState<Partial<StockItem> | null>(null);
  const [errors, setErrors] = useState<string[]>([]);
  useEffect(() => {
    document.title = 'The drawer · Ergasto';
  }, []);
  const all = Object.values(stock);
  const costs = stockCosts(all, summaries);
  const here = inStock(stock);
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const shown = here.filter((item) => {
    const text = `${item.label} ${item.size} ${item.state} ${item.from} ${placeLabel(item.place)}`.toLowerCase();
    return words.every((word) => text.includes(word));
  });
  const known = here.reduce((sum, item) => sum + (costs.get(item.id) ?? 0), 0);
  // What was used up on a bicycle stays used; what was only taken out can be put back.
  const gone = all
    .filter((item) => item.goneAt !== null && item.quantity > 0)
    .sort((a, b) => (a.goneAt! < b.goneAt! ? 1 : -1))
    .slice(0, 12);
  const donors = Object.values(summaries).filter((row) => row.brief === 'donor' && row.archivedAt === null);
  async function take(file: File) {
    const { readStockCsv } = await stockTable();
    const read = readStockCsv(await file.text(), newId, nowIso());
    setErrors(read.ok ? [] : read.errors.slice(0, 8));
    if (!read.ok) return;
    // A list that was exported and edited is as new as its taking in.
    if (await workshop.putStock(read.items.map((item) => ({ ...item, at: nowIso() }))))
      workshop.say(`${read.items.length === 1 ? 'One item' : `${read.items.length} items`} taken into the drawer`);
  }
  return (
    <>
      <TopBar>
        <Box component="h1" sx={{ m: 0, fontSize: '1.1rem', fontWeight: 640 }}>
          The drawer
        </Box>
      </TopBar>
      <Box component="main" sx={{ px: { xs: 2, md: 5 }, py: { xs: 2, md: 4 }, maxWidth: 900, mx: 'auto' }}>
        <Section title="In stock" aside={here.length ? `${here.length} kinds of thing` : undefined}>
          <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'center', mb: 2 }}>
            {here.length > 0 && <BigNumber value={money(known, currency)} label="lies here, at what it cost" />}
            <TextInput
              label="Search"
              value={search}
              onChange={(event) => setSearch(event.target.value)}
              sx={{ flex: 1, minWidth: 180 }}
            />
            <Button variant="contained" sx={{ minHeight: 56 }} onClick={() => setOpen({})}>
              Add a part
            </Button>
          </Box>
          {here.length === 0 && (
            <Typography sx={{ color: 'text.secondary' }}>
              The drawer is empty. Parts come here from the trays at Strip, from packs that were not used up, or by
              hand.
            </Typography>
          )}
          {here.length > 0 && shown.length === 0 && <Typography>Nothing here has all of these words.</Typography>}
          {shown.length > 0 && (
            <StockTable
              items={shown}
              costs={costs}
              currency={currency}
              onOpen={setOpen}
              onGone={(item) =>
                void workshop.putStock([
                  { ...item, cost: costs.get(item.id) ?? item.cost, at: nowIso(), goneAt: nowIso() },
                ])
              }
            />
          )}
          {gone.length > 0 && (
            <Disclosure summary={<>Used or sold lately</>}>
              <RuledList aria-label="Used or sold lately">
                {gone.map((item) => (
                  <Box
                    component="li"
                    key={item.id}
                    sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'center', gap: 2 }}
                  >
                    <Box>
                      {item.quantity !== 1 && `${item.quantity} × `}
                      {item.label} {item.size}
                    </Box>
                    <Button
                      color="inherit"
                      sx={{ minHeight: 48 }}
                      aria-label={`Back into the drawer: ${item.label}`}
                      onClick={() => void workshop.putStock([{ ...item, at: nowIso(), goneAt: null }])}
                    >
                      Put back
                    </Button>
                  </Box>
                ))}
              </RuledList>
            </Disclosure>
          )}
        </Section>
        {donors.length > 0 && (
          <Section title="Donors" aside="what was paid, shared over its parts by what they are worth">
            <RuledList>
              {donors.map((donor) => {
                const parts = all.filter((item) => item.bicycle === donor.id);
                const shared = parts.reduce((sum, item) => sum + (costs.get(item.id) ?? 0), 0);
                return (
                  <Box
                    component="li"
                    key={donor.id}
                    sx={{ py: 1.25, display: 'flex', justifyContent: 'space-between', gap: 2 }}
                  >
                    <Box>
                      <b>{donor.name}</b>
                      <Box sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>
                        {parts.length === 0
                          ? 'no part taken yet'
                          : `${parts.length === 1 ? 'one part' : `${parts.length} parts`} taken`}
                      </Box>
                    </Box>
                    <Box sx={{ textAlign: 'right' }}>
                      <Box sx={{ fontWeight: 650 }}>{money(donor.paid, currency)} paid</Box>
                      <Box sx={{ fontSize: '0.9rem' }}>{money(shared, currency)} on its parts</Box>
                    </Box>
                  </Box>
                );
              })}
            </RuledList>
          </Section>
        )}
        <Section title="As a table">
          <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
            <Button
              variant="outlined"
              color="inherit"
              sx={{ minHeight: 56 }}
              disabled={all.length === 0}
              onClick={() =>
                void stockTable().then(({ stockCsv }) =>
                  saveFile(new Blob([stockCsv(all)], { type: 'text/csv' }), 'stock.csv'),
                )
              }
            >
              Export as CSV
            </Button>
            <FileButton accept=".csv,text/csv" inputLabel="Import a CSV of stock" onFile={(file) => void take(file)}>
              Import a CSV
            </FileButton>
          </Box>
          {errors.length > 0 && (
            <Box role="alert" sx={{ mt: 1.5, color: 'error.main' }}>
              Nothing was taken in.
              {errors.map((words) => (
                <Box key={words}>{words}</Box>
              ))}
            </Box>
          )}
          <Typography variant="body2" sx={{ color: 'text.secondary', mt: 1.5, maxWidth: '62ch' }}>
            A list of your own needs the columns what, state (new, good, worn) and quantity; sums in whole minor units.
          </Typography>
        </Section>
      </Box>
      {open && <StockDialog draft={open} onClose={() => setOpen(null)} />}
    </>
  );
}
