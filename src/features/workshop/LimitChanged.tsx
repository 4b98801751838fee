'use client';
import Box from '@mui/material/Box';
import type { BuyAppraisal } from '@/core/buy/appraise';
import { money } from '@/ui/format';
import { useLimitChange } from './useLimitChange';

/** A limit that moved says from where, and why. */
export function LimitChanged({
  bicycle,
  found,
  currency,
}: {
  bicycle: string;
  found: BuyAppraisal | null;
  currency: string;
}) {
  const change = useLimitChange(bicycle, found);
  if (!change) return null;
  return (
    <Box role="status" sx={{ fontSize: '0.94rem', maxWidth: '62ch' }}>
      Your limit {change.to > change.from ? 'rose' : 'fell'} from {money(change.from, currency)} to{' '}
      {money(change.to, currency)}
      {change.because.length > 0 && `: ${change.because.join('; ')}`}.
    </Box>
  );
}
