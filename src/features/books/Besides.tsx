'use client';
import Box from '@mui/material/Box';
import { cameBack, type BooksRow } from '@/model/books/books';
import { savedByAll, type DonorRow } from '@/model/books/donors';
import type { Summary } from '@/model/summary';
import { hours, money } from '@/ui/format';
import { LargeFigures } from '@/ui/LargeFigures';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { stageHref } from '../workshop/stageLink';

/** Bicycles that were broken for their parts: what each brought where its parts went. */
export function Donors({ rows, currency }: { rows: readonly DonorRow[]; currency: string }) {
  if (rows.length === 0) return null;
  return (
    <Section title="Broken for parts" aside="its price shared over its parts by worth">
      <RuledList aria-label="Donors">
        {rows.map(({ id, name, paid, gone, left, earned }) => (
          <Box
            component="li"
            key={id}
            sx={{ py: 1, display: 'flex', gap: 2, justifyContent: 'space-between', flexWrap: 'wrap' }}
          >
            <Box sx={{ flex: '1 1 260px' }}>
              <Box component="a" href={stageHref(id, 'hand-over')} sx={{ color: 'inherit', fontWeight: 620 }}>
                {name}
              </Box>
              <Box sx={{ color: 'text.secondary', fontSize: '0.94rem' }}>
                Bought for {money(paid, currency)}. Used or sold: {gone.count}, worth {money(gone.worth, currency)},
                charged {money(gone.cost, currency)}. In the drawer: {left.count}, at {money(left.cost, currency)}.
              </Box>
            </Box>
            <Box sx={{ fontWeight: 680, fontSize: '1.2rem', fontVariantNumeric: 'tabular-nums' }}>
              {money(earned, currency)}
            </Box>
          </Box>
        ))}
      </RuledList>
    </Section>
  );
}

/** What came back after the sale, and what that took. */
export function CameBack({ rows, currency }: { rows: readonly BooksRow[]; currency: string }) {
  const { count, of, minutes, cost, causes } = cameBack(rows);
  if (count === 0) return null;
  return (
    <Section title="What came back" aside={`${count} of ${of}`}>
      <Box sx={{ mb: 1 }}>
        {hours(minutes)} of work, {money(cost, currency)} in parts and refunds: in the figures above already.
      </Box>
      <RuledList aria-label="Comebacks">
        {causes.map(({ cause, name }, i) => (
          <Box component="li" key={i} sx={{ py: 0.5 }}>
            {name}: {cause}
          </Box>
        ))}
      </RuledList>
    </Section>
  );
}

/** What was kept from the tip over all bicycles, where it is counted. */
export function SavedByAll({ summaries }: { summaries: Record<string, Summary> }) {
  const saved = savedByAll(summaries);
  if (!saved) return null;
  return (
    <Section title="What was saved">
      <LargeFigures
        figures={[
          { value: String(saved.onTheRoad), words: 'on the road again' },
          { value: `${saved.weightKg} kg`, words: 'kept from the scrap' },
          { value: String(saved.partsReused), words: 'parts reused' },
          { value: `${saved.learningHours} h`, words: `of learning, by ${saved.learners}` },
        ]}
      />
    </Section>
  );
}
