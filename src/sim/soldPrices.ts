import { daysBefore } from '@/core/days';
import type { SaleState } from '@/core/buy/saleStates';
import type { BicycleKind } from '@/core/bicycle';

/** A made-up sale, as a feed of sold prices would tell it. */
export interface FeedSale {
  id: string;
  label: string;
  price: number;
  soldOn: string;
  frame: BicycleKind['frame'];
  sizeMm: number;
  state: SaleState;
}

const WORDS: Record<BicycleKind['frame'], string[]> = {
  diamond: ['Tourer', 'Club racer', 'Town bike', 'Sports roadster'],
  mixte: ['Mixte', 'Mixte tourer'],
  'step-through': ['Step-through', 'Ladies’ roadster'],
  'small-wheel': ['Folder', 'Shopper'],
  'long-tail': ['Long-tail'],
  'full-suspension': ['Trail bike'],
};
/** Most are put right before they are sold; some are not, some are restored. */
const STATES: SaleState[] = ['rideable', 'rideable', 'rideable', 'as-found', 'restored'];
const COLOURS = ['blue', 'red', 'grey', 'green', 'black', 'cream'];

/** What bicycles of a sort fetch in the middle, in minor units: frame, gears and brakes move it. */
function middlePrice(kind: BicycleKind): number {
  const base = {
    diamond: 26_000,
    mixte: 24_000,
    'step-through': 15_000,
    'small-wheel': 16_000,
    'long-tail': 70_000,
    'full-suspension': 60_000,
  };
  const gears = { derailleur: 1, hub: 0.9, single: 0.75, coaster: 0.7 };
  const material = { steel: 1, aluminium: 1.15, carbon: 2.2, titanium: 2.4 };
  return base[kind.frame] * gears[kind.gears] * material[kind.frameMaterial] * (kind.brakes === 'disc' ? 1.4 : 1);
}

function dice(text: string): number {
  let h = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193);
  h ^= h >>> 15;
  h = Math.imul(h, 0x735a2d97);
  return ((h ^ (h >>> 15)) >>> 0) / 2 ** 32;
}

/**
 * The stand-in for a feed of sold prices: made-up sales of like bicycles over the last year and a half, the same for the same
 * question and day. One in ten is a different sort of bicycle, as such feeds have it.
 *
 * Example: `soldPrices(kind, '2026-11-25')` gives nine sales.
 */
export function soldPrices(kind: BicycleKind, today: string): FeedSale[] {
  const key = `${kind.frame} ${kind.gears} ${kind.brakes} ${kind.frameMaterial}`;
  const middle = middlePrice(kind);
  return Array.from({ length: 9 }, (_, i) => {
    const roll = (name: string) => dice(`${key} ${name} ${i}`);
    const odd = i === 7;
    const share = odd ? 3.2 : 0.8 + 0.5 * ((roll('a') + roll('b') + roll('c')) / 3);
    const words = WORDS[kind.frame];
    return {
      id: `feed-${key.replaceAll(' ', '-')}-${i}`,
      label: `${words[Math.floor(roll('word') * words.length)]}, ${COLOURS[Math.floor(roll('colour') * COLOURS.length)]}`,
      price: Math.round((middle * share) / 500) * 500,
      soldOn: daysBefore(today, Math.floor(roll('day') * 540)),
      frame: kind.frame,
      sizeMm: 480 + 10 * Math.floor(roll('size') * 14),
      state: STATES[Math.floor(roll('state') * STATES.length)]!,
    };
  });
}
