import type { ResultInput } from '@/core/money/result';
import type { Bicycle } from '../record';
import type { WorkshopSettings } from '../settings/settings';
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
    lines: bicycle.lines.map(({ label, kind, paid, packQty, usedQty }) => ({ label, kind, paid, packQty, usedQty })),
    minutes: workedMinutes(bicycle),
    labourPerHour: settings.labourPerHour,
  };
}

/** What has been spent: the purchase, everything paid for and the selling fee. Minor units. */
export function spent(bicycle: Pick<Bicycle, 'purchase' | 'lines' | 'sale'>): number {
  return (bicycle.purchase?.paid ?? 0) + bicycle.lines.reduce((sum, line) => sum + line.paid, 0) + bicycle.sale.fee;
}
