'use client';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useSearchParams } from 'next/navigation';
import type { Bicycle } from '@/model/record';

export const BUY_PARTS = [
  { id: 'lead', label: 'Lead' },
  { id: 'door', label: 'At the door' },
  { id: 'figures', label: 'Figures' },
  { id: 'age', label: 'Age and fit' },
] as const;
export type BuyPart = (typeof BUY_PARTS)[number]['id'];

/** The part of the buying that is open, as the address says; a phone opens at the door, a laptop at the figures. */
export function useBuyPart(): [BuyPart, (part: BuyPart) => void] {
  const params = useSearchParams();
  const narrow = useMediaQuery('(max-width: 899px)', { noSsr: true });
  const asked = BUY_PARTS.find((part) => part.id === params.get('part'))?.id;
  const go = (part: BuyPart) => {
    const next = new URLSearchParams(params);
    next.set('part', part);
    window.history.replaceState(null, '', `?${next.toString()}`);
  };
  return [asked ?? (narrow ? 'door' : 'figures'), go];
}

/** Whether money stays hidden because the seller stands beside the buyer. */
export function sellerStandsBy(bicycle: Bicycle, part: BuyPart): boolean {
  return part === 'door' && bicycle.purchase === null && bicycle.purpose !== 'customer';
}
