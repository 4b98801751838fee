'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { leafWords } from '@/model/leafWords';
import { money } from '@/ui/format';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';

/** A value of a conflict in words; a row shows what a person would know it by. */
function valueWords(leaf: string, value: unknown, currency: string): string {
  if (value === null || value === undefined) return 'nothing';
  if (typeof value === 'number')
    return /asking|otherCosts|price|fee/.test(leaf) ? money(value, currency) : String(value);
  if (typeof value === 'string' || typeof value === 'boolean') return String(value);
  if (typeof value !== 'object') return 'another value';
  const row = value as Record<string, unknown>;
  const words = ['label', 'title', 'text', 'outcome', 'feel', 'minutes', 'valueNm', 'paid', 'likely', 'out']
    .filter((key) => typeof row[key] === 'string' || typeof row[key] === 'number')
    .map((key) => `${key} ${String(row[key])}`);
  return words.length ? words.join(', ') : JSON.stringify(value).slice(0, 80);
}

/** Values that were entered in two places without knowing of each other: both are kept until one is chosen. */
export function Conflicts({ bicycle, send }: StageProps) {
  const { currency } = useSettings();
  return (
    <Box
      role="region"
      aria-label="Entered twice"
      sx={{ border: '1.5px solid', borderColor: 'state.watch', p: 2, mb: 3 }}
    >
      {bicycle.conflicts.map((row) => (
        <Box key={row.id} sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center', py: 0.5 }}>
          <Box sx={{ flex: 1, minWidth: 220 }}>
            Entered twice, <b>{leafWords(row.leaf)}</b>: it stands as {valueWords(row.leaf, row.kept, currency)}.
          </Box>
          <Button
            size="small"
            variant="contained"
            onClick={() => send({ type: 'settleConflict', conflict: row.id, take: 'kept' })}
          >
            Leave it so
          </Button>
          <Button
            size="small"
            variant="outlined"
            onClick={() => send({ type: 'settleConflict', conflict: row.id, take: 'other' })}
          >
            Take {valueWords(row.leaf, row.other, currency)}
          </Button>
        </Box>
      ))}
    </Box>
  );
}
