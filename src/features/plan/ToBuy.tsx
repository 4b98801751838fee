'use client';
import Box from '@mui/material/Box';
import { stockFor } from '@/model/stock/drawer';
import { money } from '@/ui/format';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { useSettings, useWorkshopState } from '../workshop/WorkshopProvider';
import { momentWords } from './planWords';
import type { WholePlan } from './usePlan';

/** What has to be bought over all bicycles, by when it is needed, with what the drawer has. */
export function ToBuy({
  whole: { tasks, plan, zeroMs },
  names,
}: {
  whole: WholePlan;
  names: Readonly<Record<string, string>>;
}) {
  const { currency } = useSettings();
  const stock = useWorkshopState((state) => state.stock);
  const start = new Map(plan?.plan.toReversed().map(({ task, fromMin }) => [task, fromMin]));
  const rows = tasks
    .filter(({ buys }) => buys !== null)
    .map((task) => ({ task, at: start.get(task.id) ?? null }))
    .toSorted((a, b) => (a.at ?? Infinity) - (b.at ?? Infinity));
  if (rows.length === 0) return null;
  const sum = rows.reduce((all, { task }) => all + (task.buys ?? 0), 0);
  return (
    <Section title="To buy, in one go" aside={`about ${money(sum, currency)}`}>
      <RuledList aria-label="To buy">
        {rows.map(({ task, at }) => {
          const [inDrawer] = task.place === null ? [] : stockFor(task.place, stock);
          return (
            <Box
              component="li"
              key={task.id}
              sx={{ py: 0.75, display: 'flex', gap: 2, justifyContent: 'space-between', flexWrap: 'wrap' }}
            >
              <Box sx={{ flex: '1 1 240px' }}>
                <b>{task.label}</b>, {names[task.bicycle]}
                {inDrawer && (
                  <Box sx={{ color: 'text.secondary', fontSize: '0.94rem' }}>
                    In the drawer: {inDrawer.label}
                    {inDrawer.size && `, ${inDrawer.size}`}
                  </Box>
                )}
              </Box>
              <Box sx={{ textAlign: { sm: 'right' }, fontVariantNumeric: 'tabular-nums' }}>
                {money(task.buys ?? 0, currency)}
                <Box sx={{ color: 'text.secondary', fontSize: '0.94rem' }}>
                  {at === null ? 'not planned yet' : `by ${momentWords(zeroMs + at * 60_000)}`}
                </Box>
              </Box>
            </Box>
          );
        })}
      </RuledList>
    </Section>
  );
}
