import type { QuestionOf } from '@/core/questions';
import { dealerTax } from '@/core/sell/dealerTax';
import type { Bicycle } from '../record';

type Known = Pick<Bicycle, 'dealing' | 'sale' | 'purchase' | 'comebacks'>;

/** The question for `sell.tax`; null until it is sold and the scheme was said. */
export function taxInput({
  dealing,
  sale,
  purchase,
}: Pick<Bicycle, 'dealing' | 'sale' | 'purchase'>): QuestionOf<'sell.tax'> | null {
  if (dealing.scheme === null || sale.price === null) return null;
  return { scheme: dealing.scheme, percent: dealing.percent, price: sale.price, bought: purchase?.paid ?? 0 };
}

/** What a sale costs afterwards as lines of the result: tax in the price, parts and money given back for what came back. */
export function saleLines(bicycle: Known) {
  const question = taxInput(bicycle);
  const tax = question ? dealerTax(question).tax : 0;
  const line = (label: string, paid: number) => ({ label, kind: 'other' as const, paid, packQty: 1, usedQty: 1 });
  return [
    ...(tax > 0 ? [line('Dealer’s tax in the price', tax)] : []),
    ...bicycle.comebacks.flatMap(({ cause, parts, refund }) => [
      ...(parts > 0 ? [line(`Came back, parts: ${cause}`.slice(0, 120), parts)] : []),
      ...(refund > 0 ? [line(`Came back, given back: ${cause}`.slice(0, 120), refund)] : []),
    ]),
  ];
}

/** Minutes that what came back took. */
export const comebackMinutes = ({ comebacks }: Pick<Bicycle, 'comebacks'>): number =>
  comebacks.reduce((sum, { minutes }) => sum + minutes, 0);
