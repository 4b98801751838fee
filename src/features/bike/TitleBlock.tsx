'use client';
import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import type { LookOver } from '@/core/inspect/lookOver';
import type { Bicycle } from '@/model/record';
import { priceOf } from '@/model/money/price';
import { money } from '@/ui/format';
import { stateColour } from '@/ui/StateMark';
import { useSettings } from '../workshop/WorkshopProvider';
import { useAppraisal } from '../workshop/useAppraisal';

function Cell({ label, value }: { label: string; value: ReactNode }) {
  return (
    <Box
      sx={{
        px: 1.5,
        py: 0.75,
        minWidth: 0,
        borderRight: '1px solid',
        borderColor: 'text.primary',
        '&:last-of-type': { borderRight: 0 },
      }}
    >
      <Box
        sx={{
          fontSize: '0.76rem',
          color: 'text.secondary',
          whiteSpace: 'nowrap',
          overflow: 'hidden',
          textOverflow: 'ellipsis',
        }}
      >
        {label}
      </Box>
      <Box sx={{ fontWeight: 660, fontSize: '1.05rem', whiteSpace: 'nowrap' }}>{value}</Box>
    </Box>
  );
}

/** The title block of the sheet: money against the limit, what has not been looked at, the clock. */
export function TitleBlock({
  bicycle,
  lookOver,
  clock,
  hush = false,
  dense = false,
}: {
  bicycle: Bicycle;
  /** The seller stands beside: what it may cost is not for these eyes. */
  hush?: boolean;
  lookOver: LookOver | null;
  /** The second line of a phone's header. */
  dense?: boolean;
  clock: ReactNode;
}) {
  const { currency } = useSettings();
  const { output, pending } = useAppraisal(bicycle);
  const limit = output?.limit ?? null;
  const customer = bicycle.purpose === 'customer';
  const most = hush || customer ? null : (limit?.most ?? null);
  const price = priceOf(bicycle);
  // While it is on its way it is told as that, and not left out.
  const comes = !hush && !customer && pending && !output && bicycle.appraisal.resale.high > 0;
  const over = most !== null && price.amount !== null && price.amount > most;
  const missing = lookOver?.placesNotLookedAt.length ?? null;
  return (
    <Box
      role="group"
      aria-label="Title block"
      sx={{
        display: 'grid',
        ...(dense && { '& > div': { py: 0.25 } }),
        gridTemplateColumns: 'minmax(0, 1.6fr) minmax(0, 1fr) minmax(0, 1.1fr)',
        border: dense ? 0 : '1.5px solid',
        borderBottom: dense ? '1px solid' : undefined,
        borderColor: dense ? 'divider' : 'text.primary',
        bgcolor: 'sheet.paper',
      }}
    >
      <Cell
        label={most === null && !comes ? price.words : `${price.words} / your limit`}
        value={
          <>
            <Box component="span" sx={{ color: over ? stateColour('replace') : undefined }}>
              {price.amount === null ? 'not said' : money(price.amount, currency)}
            </Box>
            {(most !== null || comes) && (
              <Box component="span" sx={{ fontWeight: 400, color: 'text.secondary' }}>
                {' '}
                / {most === null ? '…' : money(most, currency)}
              </Box>
            )}
          </>
        }
      />
      <Cell
        label="Not looked at"
        value={missing === null ? '…' : missing === 0 ? 'none' : missing === 1 ? '1 place' : `${missing} places`}
      />
      <Cell label="Time logged" value={clock} />
    </Box>
  );
}
