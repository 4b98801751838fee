import { roundTo } from '../numbers';

export interface BallOrder {
  needed: number;
  /** What a pack holds, and how many packs. */
  packSize: number;
  packs: number;
  /** What is left for stock. */
  left: number;
}

/**
 * Packs of balls that cover what a bearing needs after what lies in the drawer. Balls of one bearing come from one lot: a
 * drawer that does not hold them all does not count. Errors: none. Example: 18 needed, packs of 24, none in the drawer →
 * one pack, six left.
 */
export function ballOrder(needed: number, packSize: number, inDrawer: number): BallOrder {
  if (inDrawer >= needed) return { needed, packSize, packs: 0, left: roundTo(inDrawer - needed, 6) };
  const packs = Math.ceil(needed / packSize);
  return { needed, packSize, packs, left: packs * packSize - needed };
}

export interface CartridgeOrder {
  code: string;
  needed: number;
  inDrawer: number;
  buy: number;
  left: number;
}

/** How many of each cartridge are bought, after what lies in the drawer. Example: two of 6902, one in the drawer → buy one. */
export function cartridgeOrders(needed: string[], inDrawer: (code: string) => number): CartridgeOrder[] {
  return [...new Set(needed)].map((code) => {
    const count = needed.filter((each) => each === code).length;
    const has = inDrawer(code);
    return { code, needed: count, inDrawer: has, buy: Math.max(0, count - has), left: Math.max(0, has - count) };
  });
}
