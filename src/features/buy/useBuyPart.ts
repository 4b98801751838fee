'use client';
import { useSearchParams } from 'next/navigation';
import { useIsPhone } from '../workshop/useIsPhone';
import { partFrom, type BuyPart } from './parts';

/** The part of the buying that is open, and the way to another. */
export function useBuyPart(): [BuyPart, (part: BuyPart) => void] {
  const params = useSearchParams();
  const isPhone = useIsPhone();
  const go = (part: BuyPart) => {
    const next = new URLSearchParams(params);
    next.set('part', part);
    window.history.replaceState(null, '', `?${next.toString()}`);
  };
  return [partFrom(params, isPhone), go];
}
