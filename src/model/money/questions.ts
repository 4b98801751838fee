import type { ResultInput } from '@/core/money/result';
import { roadCost } from '../buy/road';
import type { Bicycle } from '../record';
import type { WorkshopSettings } from '../settings/settings';
import { comebackMinutes, saleLines } from '../sell/saleLines';
import { workedMinutes } from '../work/hours';

/** What an hour of hands counts here: the customer's rate on a customer's bicycle, else the wage wanted, else the house's own; 0 where none is set. */
export function wageOf(
  bicycle: Pick<Bicycle, 'purpose' | 'appraisal'>,
  settings: Pick<WorkshopSettings, 'labourPerHour' | 'customerPerHour'>,
): number {
  const { target } = bicycle.appraisal;
  if (bicycle.purpose === 'customer') return settings.customerPerHour;
  return target.kind === 'hourly' ? target.amount : settings.labourPerHour;
}

/** The question for `money.result`. */
export function resultInput(bicycle: Bicycle, settings: WorkshopSettings): ResultInput {
  return {
    currency: settings.currency,
    sale: bicycle.sale.price,
    fee: bicycle.sale.fee,
    purchase: bicycle.purchase?.paid ?? 0,
    lines: [
      ...bicycle.lines.map(({ label, kind, paid, packQty, usedQty }) => ({ label, kind, paid, packQty, usedQty })),
      ...roadLines(bicycle),
      ...saleLines(bicycle),
    ],
    minutes: workedMinutes(bicycle) + comebackMinutes(bicycle),
    labourPerHour: settings.labourPerHour,
  };
}

/** The road to the seller and back as a line of the result, once it led to a purchase; none where no distance is known. */
export function roadLines({ lead, purchase }: Pick<Bicycle, 'lead' | 'purchase'>) {
  const paid = purchase ? roadCost(lead) : 0;
  return paid > 0
    ? [{ label: 'The road to the seller and back', kind: 'other' as const, paid, packQty: 1, usedQty: 1 }]
    : [];
}

/** What has been spent: the purchase, the road to it, everything paid for and the selling fee. Minor units. */
export function spent(
  bicycle: Pick<Bicycle, 'lead' | 'purchase' | 'lines' | 'sale' | 'dealing' | 'comebacks'>,
): number {
  const lines = [...bicycle.lines, ...roadLines(bicycle), ...saleLines(bicycle)];
  return (bicycle.purchase?.paid ?? 0) + lines.reduce((sum, line) => sum + line.paid, 0) + bicycle.sale.fee;
}
