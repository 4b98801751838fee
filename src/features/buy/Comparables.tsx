'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { STATE_OF_BRIEF } from '@/core/buy/saleStates';
import { likeOf } from '@/model/buy/like';
import { dayOf, money } from '@/ui/format';
import { PriceDots } from '@/ui/PriceDots';
import { Section } from '@/ui/Section';
import { Disclosure } from '@/ui/Disclosure';
import { AddSold } from './AddSold';
import { useReckon } from '../workshop/useReckon';
import { useToday } from '../workshop/useToday';
import { useSettings, useWorkshopName, useWorkshopState, type StageProps } from '../workshop/WorkshopProvider';

const SoldTable = dynamic(() => import('./SoldTable').then((module) => module.SoldTable), { ssr: false });

/** What like bicycles were sold for: the workshop's own, typed ones, and in the demonstration a stand-in feed. */
export function Comparables({ bicycle, send }: StageProps) {
  const { currency } = useSettings();
  const demo = useWorkshopName() === 'demo';
  const summaries = useWorkshopState((state) => state.summaries);
  const [problem, setProblem] = useState<string | null>(null);
  const [asking, setAsking] = useState(false);
  const own = Object.values(summaries)
    .filter(
      (row) =>
        row.id !== bicycle.id &&
        row.soldFor &&
        row.kind.frame === bicycle.kind.frame &&
        row.kind.gears === bicycle.kind.gears,
    )
    .map((row) => ({
      id: row.id,
      label: row.name,
      price: row.soldFor!.price,
      soldOn: row.soldFor!.on,
      from: 'own',
      frame: row.kind.frame,
      use: row.use,
      ...(row.sizeMm !== null && { sizeMm: row.sizeMm }),
      state: STATE_OF_BRIEF[row.brief],
    }));
  const rows = [...own, ...bicycle.comparables.filter((row) => !row.off)];
  const today = useToday();
  const isToCome = (soldOn: string | null) => soldOn !== null && soldOn > today;
  const { output: found } = useReckon('buy.comparables', {
    sales: rows
      .filter((row) => !isToCome(row.soldOn))
      .map(({ id, label, price, soldOn, frame, use, sizeMm, state }) => ({
        id,
        label,
        price,
        soldOn,
        ...(frame && { frame }),
        ...(use && { use }),
        ...(sizeMm && { sizeMm }),
        ...(state && { state }),
      })),
    today,
    wanted: likeOf(bicycle),
  });
  const feedAt = bicycle.comparables.findLast((row) => row.from === 'feed')?.at ?? null;
  const ask = async () => {
    setAsking(true);
    try {
      const answer = await fetch(`/api/sold?kind=${encodeURIComponent(JSON.stringify(bicycle.kind))}`);
      if (!answer.ok) throw new Error(String(answer.status));
      const { feedAnswer } = await import('./soldFeed');
      const { at, sales } = feedAnswer.parse(await answer.json());
      for (const sale of sales) {
        const known = bicycle.comparables.find((row) => row.id === sale.id);
        send({ type: 'putComparable', comparable: { ...sale, from: 'feed', at, off: known?.off ?? false } });
      }
      setProblem(null);
    } catch {
      setProblem(
        feedAt
          ? `No signal: the answer of ${dayOf(feedAt)} stands.`
          : 'No signal, and no earlier answer: type sold ones.',
      );
    }
    setAsking(false);
  };
  const used = new Map(found?.used.map((each) => [each.id, each.weight]));
  const leftOut = new Map(found?.leftOut.map((each) => [each.id, each.why]));
  const { resale } = bicycle.appraisal;
  const taken =
    found?.range &&
    found.range.low === resale.low &&
    found.range.likely === resale.likely &&
    found.range.high === resale.high;
  return (
    <Section title="Sold prices" aside={feedAt ? `feed of ${dayOf(feedAt)}` : undefined}>
      {rows.length > 0 && found && (
        <PriceDots
          dots={rows.map((row) => ({ ...row, out: leftOut.has(row.id), weight: used.get(row.id) ?? 0.3 }))}
          range={resale.high > 0 ? resale : null}
          currency={currency}
        />
      )}
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center', mt: 1 }}>
        <Box sx={{ flex: 1, minWidth: 240 }}>
          {found?.range && (
            <Box sx={{ fontWeight: 640 }}>
              {money(found.range.low, currency)} to {money(found.range.high, currency)}, likely{' '}
              {money(found.range.likely, currency)}
            </Box>
          )}
          <Box sx={{ color: 'text.secondary', fontSize: '0.92rem' }}>{found?.reasons.join(' ')}</Box>
        </Box>
        {found?.range && (
          <Button
            variant="outlined"
            disabled={taken === true}
            onClick={() => send({ type: 'setAppraisal', changes: { resale: found.range! } })}
          >
            {taken ? 'Taken' : 'Take this range'}
          </Button>
        )}
        {demo && (
          <Button variant="outlined" color="inherit" disabled={asking} onClick={() => void ask()}>
            {asking ? 'Asking…' : 'Ask the feed of sold prices (stand-in)'}
          </Button>
        )}
      </Box>
      {problem && (
        <Typography role="alert" sx={{ mt: 1 }}>
          {problem}
        </Typography>
      )}
      {(rows.length > 0 || bicycle.comparables.length > 0) && (
        <Disclosure wide summary={`The ${rows.length} sold ones`}>
          <SoldTable
            own={own}
            typed={bicycle.comparables}
            why={(row) =>
              isToCome(row.soldOn) ? 'its day is still to come: not counted' : (leftOut.get(row.id) ?? null)
            }
            currency={currency}
            onToggle={(row) =>
              row.from === 'typed'
                ? send({ type: 'removeComparable', comparable: row.id })
                : send({ type: 'putComparable', comparable: { ...row, off: !row.off } })
            }
          />
        </Disclosure>
      )}
      <AddSold send={send} currency={currency} />
    </Section>
  );
}
