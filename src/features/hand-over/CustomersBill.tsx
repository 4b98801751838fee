'use client';
import Box from '@mui/material/Box';
import { NOTHING_LEARNT } from '@/core/money/learnt';
import { useLearnt } from '../workshop/useLearnt';
import { billLines } from '@/model/sell/billLines';
import type { Bicycle } from '@/model/record';
import { dayOf, moneyInFull } from '@/ui/format';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { stateColour } from '@/ui/StateMark';
import { useSettings } from '../workshop/WorkshopProvider';

/** A customer’s estimate against what it came to, line by line; what was found on the way, and when it was said yes to. */
export function CustomersBill({ bicycle }: { bicycle: Bicycle }) {
  const { currency, customerPerHour } = useSettings();
  const { lines, besides, total } = billLines(bicycle, customerPerHour, useLearnt() ?? NOTHING_LEARNT);
  if (lines.length === 0) return null;
  const span = (low: number, high: number) =>
    low === high ? moneyInFull(low, currency) : `${moneyInFull(low, currency)} to ${moneyInFull(high, currency)}`;
  return (
    <Section title="Estimate, and what it came to">
      <RuledList aria-label="Bill">
        {lines.map(({ id, title, low, high, came, isDone, approvedAt, isOnTheWay }) => (
          <Box
            component="li"
            key={id}
            sx={{ py: 1, display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) auto', columnGap: 2 }}
          >
            <b>{title}</b>
            <Box
              sx={{
                fontWeight: 660,
                fontVariantNumeric: 'tabular-nums',
                textAlign: 'right',
                ...(came > high && { color: stateColour('replace') }),
              }}
            >
              {moneyInFull(came, currency)}
            </Box>
            <Box sx={{ color: 'text.secondary' }}>
              {approvedAt ? `Approved ${dayOf(approvedAt)}` : 'Not approved'}
              {isOnTheWay && ', found on the way'}
              {!isDone && ', not done'}
            </Box>
            <Box sx={{ color: 'text.secondary', textAlign: 'right' }}>estimated {span(low, high)}</Box>
          </Box>
        ))}
        {besides > 0 && (
          <Box component="li" sx={{ py: 1, display: 'flex', justifyContent: 'space-between', gap: 2 }}>
            <span>On no job</span>
            <b>{moneyInFull(besides, currency)}</b>
          </Box>
        )}
      </RuledList>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', mt: 1, fontSize: '1.25rem', fontWeight: 680 }}>
        <span>It came to</span>
        <span>{moneyInFull(total, currency)}</span>
      </Box>
    </Section>
  );
}
