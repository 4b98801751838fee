import { SPEEDS_OF_CHAIN, type BicycleKind } from '../bicycle';

/** How a gear took: at once, late, with a noise, not at all, or past the end. */
export const SHIFTS_SAID = ['crisp', 'slow', 'noisy', 'fails', 'over'] as const;
export type ShiftSaid = (typeof SHIFTS_SAID)[number];

export interface GearGrid {
  rings: number;
  /** Cogs of a cassette or freewheel, or gears of a hub. */
  cogs: number;
}

const USUAL_RINGS = 2;
const USUAL_HUB_GEARS = 3;

/** The gears of a bicycle as far as its record tells; null where there is nothing to shift. Example: 2 rings and 9 cogs. */
export function gearGrid(kind: Pick<BicycleKind, 'gears' | 'rings' | 'cogs' | 'chain'>): GearGrid | null {
  if (kind.gears === 'derailleur')
    return { rings: kind.rings ?? USUAL_RINGS, cogs: kind.cogs ?? SPEEDS_OF_CHAIN[kind.chain] };
  return kind.gears === 'hub' ? { rings: 1, cogs: kind.cogs ?? USUAL_HUB_GEARS } : null;
}

/**
 * One change of gear by its name: on ring 2 to cog 5, coming from the smaller or the larger neighbour. Cogs count from the
 * smallest. Example: `shiftId(2, 5, 'larger')` → `2.5.larger`.
 */
export const shiftId = (ring: number, cog: number, way: 'larger' | 'smaller'): string => `${ring}.${cog}.${way}`;

/** Every change that a rider makes from one end to the other and back, on every ring. Example: 2 rings, 9 cogs → 32. */
export function shiftsOf({ rings, cogs }: GearGrid): string[] {
  return Array.from({ length: rings }, (_, r) =>
    Array.from({ length: cogs }, (__, c) => [
      ...(c > 0 ? [shiftId(r + 1, c + 1, 'larger')] : []),
      ...(c < cogs - 1 ? [shiftId(r + 1, c + 1, 'smaller')] : []),
    ]),
  ).flat(2);
}
