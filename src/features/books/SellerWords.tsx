'use client';
import Box from '@mui/material/Box';
import { sellerWordsInput, type BooksRow } from '@/model/books/books';
import { money } from '@/ui/format';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { Working } from '@/ui/Working';
import { useReckon } from '../workshop/useReckon';

/** Which words of sellers cost most, and what they meant. */
export function SellerWords({
  rows,
  currency,
  ratePerHour,
}: {
  rows: readonly BooksRow[];
  currency: string;
  ratePerHour: number;
}) {
  const { output } = useReckon('buy.sellerWords', sellerWordsInput(rows, ratePerHour));
  if (!output) return null;
  const whole = (minor: number) => money(Math.round(minor / 100) * 100, currency);
  const most = Math.max(1, ...output.phrases.map(({ over }) => Math.abs(over)));
  return (
    <Section title="What sellers’ words cost" aside="over what the door check let expect, hours paid">
      {output.phrases.length === 0 ? (
        <Box>{output.reasons[0]}</Box>
      ) : (
        <RuledList aria-label="Sellers’ words">
          {output.phrases.map(({ id, words, over, low, high }) => (
            <Box
              component="li"
              key={id}
              sx={{
                py: 1,
                display: 'grid',
                gridTemplateColumns: { xs: '1fr auto', sm: 'minmax(0, 1fr) 160px 190px' },
                columnGap: 2,
                alignItems: 'center',
              }}
            >
              <Box>{words}.</Box>
              <Box sx={{ display: { xs: 'none', sm: 'block' } }} aria-hidden>
                <Box
                  sx={{
                    height: 10,
                    width: `${(100 * Math.abs(over)) / most}%`,
                    bgcolor: over > 0 ? 'text.primary' : 'divider',
                  }}
                />
              </Box>
              <Box sx={{ textAlign: 'right', fontVariantNumeric: 'tabular-nums' }}>
                <b>
                  {over > 0 && '+'}
                  {whole(over)}
                </b>
                <Box sx={{ fontSize: '0.85rem', color: 'text.secondary' }}>
                  {whole(low)} to {whole(high)}
                </Box>
              </Box>
            </Box>
          ))}
        </RuledList>
      )}
      <Working rows={output.working} />
    </Section>
  );
}
