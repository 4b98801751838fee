import type { Bicycle } from '../record';
import { spent } from './questions';

/** The price that is held against the limit, and what it is called: paid once it is, else asked; on a customer’s bicycle what was spent. */
export function priceOf(
  bicycle: Pick<Bicycle, 'purpose' | 'purchase' | 'appraisal' | 'lead' | 'lines' | 'sale' | 'dealing' | 'comebacks'>,
): {
  words: 'Spent' | 'Paid' | 'Asked';
  amount: number | null;
} {
  if (bicycle.purpose === 'customer') return { words: 'Spent', amount: spent(bicycle) };
  if (bicycle.purchase) return { words: 'Paid', amount: bicycle.purchase.paid };
  return { words: 'Asked', amount: bicycle.appraisal.asking };
}
