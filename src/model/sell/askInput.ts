import type { QuestionOf } from '@/core/questions';
import type { Bicycle } from '../record';

/** The question for `money.ask`; null until it is known what such a one fetches. */
export function askInput({
  appraisal,
  listing,
}: Pick<Bicycle, 'appraisal' | 'listing'>): QuestionOf<'money.ask'> | null {
  if (appraisal.resale.likely <= 0 || listing.heldPerDay <= 0) return null;
  return {
    usual: appraisal.resale.likely,
    soldPerDay: 1 / listing.usualDays,
    fee: { percent: listing.feePercent },
    heldPerDay: listing.heldPerDay,
  };
}
