import { learntResale, type LearntInUse } from '@/core/money/learnt';
import type { QuestionOf } from '@/core/questions';
import { roundHalfUp } from '@/core/numbers';
import type { StalePrice } from '@/core/sell/staleRule';
import type { Command } from '../commands';
import type { Bicycle } from '../record';

/** The question for `money.ask`, with prices as learnt where that is used; null until it is known what such a one fetches. */
export function askInput(
  { appraisal, listing }: Pick<Bicycle, 'appraisal' | 'listing'>,
  learnt: Pick<LearntInUse, 'resale'>,
): QuestionOf<'money.ask'> | null {
  const usual = learntResale(appraisal.resale, learnt).likely;
  if (usual <= 0 || listing.heldPerDay <= 0) return null;
  return {
    usual,
    soldPerDay: 1 / listing.usualDays,
    fee: { percent: listing.feePercent },
    heldPerDay: listing.heldPerDay,
  };
}

/** The question for `sell.offers`; null while no price is asked. */
export function offersInput(
  { listing, offers }: Pick<Bicycle, 'listing' | 'offers'>,
  stalePrice: StalePrice,
  today: string,
): QuestionOf<'sell.offers'> | null {
  const { ask, askedOn } = listing;
  if (ask === null || askedOn === null) return null;
  return { today, ask, askedOn, offers: offers.map(({ at, amount }) => ({ at, amount })), stalePrice };
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
