import type { QuestionOf } from '@/core/questions';
import { roundHalfUp } from '@/core/numbers';
import type { Command } from '../commands';
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

/** The command of a sale: its price, its day, and the fee by its share, unless one was put down already. */
export function soldFor(
  { listing, sale }: Pick<Bicycle, 'listing' | 'sale'>,
  price: number,
  on: string,
): Extract<Command, { type: 'setSale' }> {
  const fee = sale.fee || roundHalfUp((price * listing.feePercent) / 100);
  return { type: 'setSale', changes: { price, on, fee } };
}
