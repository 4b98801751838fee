'use client';
import Box from '@mui/material/Box';
import { USE_WORDS } from '@/core/buy/saleStates';
import { byUse, type BooksRow, type BooksSum } from '@/model/books/books';
import { moneyInFull } from '@/ui/format';
import { stateColour } from '@/ui/StateMark';

const LINES = [
  { of: 'bought', label: 'Bicycles bought' },
  { of: 'parts', label: 'Parts and consumables' },
  { of: 'road', label: 'The road' },
  { of: 'besides', label: 'Fees, tax, comebacks' },
  { of: 'earned', label: 'Earned' },
] as const;

interface Bar {
  label: string;
  value: number;
  /** The bar stands out: what is looked for. */
  tone: 'accent' | 'whole' | 'quiet';
  aside?: string;
}
const TONES = { accent: 'primary.main', whole: 'text.primary', quiet: 'text.secondary' } as const;

/** Sums as bars of one measure, each with its figure. */
function SumBars({ label, bars, currency }: { label: string; bars: readonly Bar[]; currency: string }) {
  const most = Math.max(1, ...bars.map(({ value }) => Math.abs(value)));
  return (
    <Box component="dl" aria-label={label} sx={{ m: 0, my: 2, display: 'grid', rowGap: 0.75 }}>
      {bars.map(({ label: name, value, tone, aside }) => (
        <Box
          key={name}
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: '128px minmax(0, 1fr) 92px', sm: '190px minmax(0, 1fr) 110px' },
            columnGap: 1.5,
            alignItems: 'center',
          }}
        >
          <Box component="dt" sx={{ fontWeight: tone === 'quiet' ? 400 : 640 }}>
            {name}
            {aside && (
              <Box component="span" sx={{ fontWeight: 400, color: 'text.secondary', fontSize: '0.9rem' }}>
                {' '}
                {aside}
              </Box>
            )}
          </Box>
          <Box aria-hidden>
            <Box
              sx={{
                height: 14,
                width: `${(100 * Math.abs(value)) / most}%`,
                bgcolor: value < 0 ? stateColour('replace') : TONES[tone],
                opacity: tone === 'quiet' && value >= 0 ? 0.45 : 1,
              }}
            />
          </Box>
          <Box
            component="dd"
            sx={{
              m: 0,
              textAlign: 'right',
              fontVariantNumeric: 'tabular-nums',
              fontWeight: tone === 'quiet' ? 400 : 680,
            }}
          >
            {moneyInFull(value, currency)}
          </Box>
        </Box>
      ))}
    </Box>
  );
}

/** What was fetched, cut into the lines that it went to: each as long as its share. */
export function WhereItWent({ sum, currency }: { sum: BooksSum; currency: string }) {
  return (
    <SumBars
      label="Where it went"
      currency={currency}
      bars={[
        { label: 'Fetched', value: sum.price, tone: 'whole' },
        ...LINES.map(({ of, label }): Bar => ({ label, value: sum[of], tone: of === 'earned' ? 'accent' : 'quiet' })),
      ]}
    />
  );
}

/** What each class of bicycle earned, the one that earned most first. */
export function ByClass({ rows, currency }: { rows: readonly BooksRow[]; currency: string }) {
  return (
    <SumBars
      label="Earned by class"
      currency={currency}
      bars={byUse(rows).map(({ use, sum }): Bar => ({
        label: USE_WORDS[use],
        aside: String(sum.count),
        value: sum.earned,
        tone: 'accent',
      }))}
    />
  );
}
