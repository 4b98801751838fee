import { quarters } from '@/core/drive/turnWords';

/** From where the hand looks at the nipple: the classic wrong turn is made by who looks from the other end. */
export const SEEN_FROM = ['tyre', 'hub'] as const;
export type SeenFrom = (typeof SEEN_FROM)[number];

/** Which way the key goes: tightening is clockwise where one looks from the tyre towards the hub. */
export const isClockwise = (turns: number, from: SeenFrom): boolean => turns > 0 === (from === 'tyre');

/** A turn in words. Example: a quarter of spoke 6 of the left side → "Spoke 7, left: a quarter turn tighter". */
export function turnWords(spoke: number, side: 'left' | 'right', turns: number): string {
  return `Spoke ${spoke + 1}, ${side}: ${quarters(turns)} ${turns > 0 ? 'tighter' : 'looser'}`;
}

/** Which way the key goes, in words. */
export const keyWords = (turns: number, from: SeenFrom): string =>
  `${isClockwise(turns, from) ? 'Clockwise' : 'Anticlockwise'}, seen from the ${from}; a little too far, and back.`;
