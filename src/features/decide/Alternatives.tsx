'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { ProposedJob } from '@/core/decide/jobs';
import { learntMinutes, NOTHING_LEARNT } from '@/core/money/learnt';
import { Choices } from '@/ui/Choices';
import { hours, money } from '@/ui/format';
import { useLearnt } from '../workshop/useLearnt';
import { useReckon } from '../workshop/useReckon';
import { stockCosts, stockFor, takeOne } from '@/model/stock/drawer';
import { FromStock } from '../stock/FromStock';
import { AskTogether } from '../workshop/AskTogether';
import { useSettings, useWorkshopState, type StageProps } from '../workshop/WorkshopProvider';
import { asJob, decidedJob } from '@/model/decide/decided';

const SOURCES = [
  { id: 'new', label: 'New' },
  { id: 'second-hand', label: 'Second-hand' },
  { id: 'donor', label: 'Donor' },
  { id: 'drawer', label: 'Drawer' },
] as const;
type Source = (typeof SOURCES)[number]['id'];

/** Ways to do one thing, side by side: minutes, parts, wait, and what each comes to with the hours counted. */
export function Alternatives({
  ways,
  bicycle,
  wage,
  send,
}: {
  /** `works` is how often a way comes out. */
  ways: (ProposedJob & { works?: number })[];
  wage: number;
} & StageProps) {
  const { currency } = useSettings();
  const learnt = useLearnt() ?? NOTHING_LEARNT;
  const [source, setSource] = useState<Source>('new');
  const stock = useWorkshopState((state) => state.stock);
  const summaries = useWorkshopState((state) => state.summaries);
  /** What the best one in the drawer cost, as it will be charged; null where there is none, or nobody knows. */
  const drawerCost = (place: string): number | null => {
    const [best] = stockFor(place, stock);
    const whole = best && stockCosts(Object.values(stock), summaries).get(best.id);
    return best && whole != null ? takeOne(best, whole, '', '').cost : null;
  };
  const inDrawer = ways.some(({ place, parts }) => parts.high > 0 && drawerCost(place) !== null);
  const { output } = useReckon('decide.weigh', {
    options: ways.map(({ rule, title, minutes, parts, place, works }) => ({
      id: rule,
      label: title,
      minutes: learntMinutes(minutes, place, learnt),
      parts,
      ...(works !== undefined && { works }),
      source: source === 'drawer' && drawerCost(place) === null ? ('new' as const) : source,
      ...(source === 'drawer' && drawerCost(place) !== null && { drawerCost: drawerCost(place)! }),
    })),
    ratePerHour: wage,
  });
  const found = new Map(output?.options.map((option) => [option.id, option]));
  const take = (way: ProposedJob) => {
    send({ type: 'decideJob', job: asJob(way) });
    for (const other of ways)
      if (other.rule !== way.rule)
        send({
          type: 'decideJob',
          job: { ...asJob(other), decision: 'drop', reason: `${way.title} instead`, declined: null },
        });
  };
  return (
    <Box component="li" sx={{ py: 1.5 }}>
      <Box
        sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'end', justifyContent: 'space-between', mb: 1 }}
      >
        <Box sx={{ minWidth: 0, flex: 1 }}>
          <Box sx={{ fontWeight: 640 }}>One of these</Box>
          <Box sx={{ fontSize: '0.9rem' }}>{[ways[0]!.because, ...ways[0]!.also].join(' ')}</Box>
          <Box sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>{output?.words}</Box>
        </Box>
        <Choices<Source>
          label="Parts from"
          options={inDrawer ? SOURCES : SOURCES.filter(({ id }) => id !== 'drawer')}
          value={source}
          onChoose={setSource}
        />
      </Box>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', sm: `repeat(${Math.min(ways.length, 3)}, 1fr)` },
          gap: 1.5,
        }}
      >
        {ways.map((way) => {
          const weighed = found.get(way.rule);
          const decided = decidedJob(bicycle.jobs, way);
          const kept = decided?.decision === 'keep';
          return (
            <Box
              key={way.rule}
              sx={{
                border: '1.5px solid',
                borderColor: weighed?.verdict === 'cheapest' ? 'text.primary' : 'divider',
                p: 1.5,
                display: 'flex',
                flexDirection: 'column',
                gap: 0.5,
              }}
            >
              <Box sx={{ fontWeight: 640 }}>{way.title}</Box>
              <Box sx={{ fontSize: '0.9rem', color: 'text.secondary', flex: 1 }}>{way.why}</Box>
              <Box sx={{ fontSize: '1.5rem', fontWeight: 660 }}>{weighed ? money(weighed.cost, currency) : '…'}</Box>
              <Box sx={{ fontSize: '0.88rem', color: 'text.secondary' }}>
                {hours(learntMinutes(way.minutes, way.place, learnt).likely)} of work, parts{' '}
                {weighed ? money(weighed.parts, currency) : '…'}
                {weighed && weighed.waitDays > 0 ? `, about ${weighed.waitDays} days to come` : ''}
              </Box>
              <Button
                size="small"
                variant={kept ? 'contained' : 'outlined'}
                aria-pressed={kept}
                aria-label={`Keep: ${way.title}`}
                onClick={() => take(way)}
              >
                {kept ? 'Kept' : 'Keep this one'}
              </Button>
              {kept && !decided.done && <FromStock job={decided} send={send} />}
              {kept && !decided.done && decided.parts.high > 0 && <AskTogether place={decided.place} />}
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}
