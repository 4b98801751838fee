import type { Point } from './points';

export type Direction = 'left' | 'right' | 'up' | 'down';

const WAY: Record<Direction, Point> = {
  left: { x: -1, y: 0 },
  right: { x: 1, y: 0 },
  up: { x: 0, y: 1 },
  down: { x: 0, y: -1 },
};
/** How much worse a step aside is than a step ahead, and how far aside still counts as ahead: a quarter first. */
const ASIDE = 2.2;
const QUARTER = 1;
const WIDE = 3;

/**
 * The nearest place in a direction, as the arrow keys go; null at the edge. What lies straight ahead counts as nearer
 * than what lies aside. Example: from the rear hub to the right, the chain before the bottom bracket.
 */
export function nearestPlace(spots: Record<string, Point>, from: string, direction: Direction): string | null {
  return nearestWithin(spots, from, direction, QUARTER) ?? nearestWithin(spots, from, direction, WIDE);
}

function nearestWithin(
  spots: Record<string, Point>,
  from: string,
  direction: Direction,
  spread: number,
): string | null {
  const here = spots[from];
  if (!here) return Object.keys(spots)[0] ?? null;
  const way = WAY[direction];
  let best: string | null = null;
  let least = Infinity;
  for (const [place, spot] of Object.entries(spots)) {
    const dx = spot.x - here.x;
    const dy = spot.y - here.y;
    const ahead = dx * way.x + dy * way.y;
    const aside = Math.abs(dx * way.y) + Math.abs(dy * way.x);
    if (place === from || ahead <= 0 || aside > ahead * spread) continue;
    const cost = ahead + ASIDE * aside;
    if (cost < least) {
      least = cost;
      best = place;
    }
  }
  return best;
}

/** The place under a pointer: the nearest spot, when it is within reach. */
export function placeAt(spots: Record<string, Point>, at: Point, reachMm: number): string | null {
  let best: string | null = null;
  let least = reachMm;
  for (const [place, spot] of Object.entries(spots)) {
    const away = Math.hypot(spot.x - at.x, spot.y - at.y);
    if (away <= least) {
      least = away;
      best = place;
    }
  }
  return best;
}
