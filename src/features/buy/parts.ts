import type { Bicycle } from '@/model/record';

export const BUY_PARTS = [
  { id: 'lead', label: 'Lead' },
  { id: 'door', label: 'At the door' },
  { id: 'figures', label: 'Figures' },
  { id: 'age', label: 'Age and fit' },
] as const;
export type BuyPart = (typeof BUY_PARTS)[number]['id'];

/** The part that an address names, else where a phone or a laptop opens: at the door, or at the figures. */
export function partFrom(address: URLSearchParams, isPhone: boolean): BuyPart {
  const asked = BUY_PARTS.find((part) => part.id === address.get('part'))?.id;
  return asked ?? (isPhone ? 'door' : 'figures');
}

/** Whether money stays hidden because the seller stands beside the buyer. */
export function sellerStandsBy(bicycle: Bicycle, part: BuyPart): boolean {
  return part === 'door' && bicycle.purchase === null && bicycle.purpose !== 'customer';
}
