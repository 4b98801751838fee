import type { Point } from './points';
import { signRank } from './signs';
import type { PlacedSign } from './svg';

/** Signs that stand so near one another that they are drawn as one: the gravest, where it stands, and the places of all. */
export interface SignGroup {
  lead: PlacedSign;
  places: string[];
}

/** How much room a sign takes on the drawing, mm. */
export interface Room {
  wideMm: number;
  highMm: number;
}

/**
 * Near signs drawn as one with a count, so that none covers another and none covers the drawing. The gravest leads, so that
 * nothing unsafe is ever behind something that is fine. `roomOf` says how large a sign is drawn. Errors: none; a place
 * that the drawing does not have is left out. Example: two fine places and an unsafe one at the crank: unsafe, 3.
 */
export function groupSigns(
  signs: readonly PlacedSign[],
  spots: Readonly<Record<string, Point | undefined>>,
  roomOf: (sign: PlacedSign) => Room,
): SignGroup[] {
  const left = signs.filter(({ place }) => spots[place]).toSorted((a, b) => signRank(b.sign) - signRank(a.sign));
  const groups: SignGroup[] = [];
  while (left.length > 0) {
    const lead = left.shift()!;
    const at = spots[lead.place]!;
    const room = roomOf(lead);
    const near = left.filter((each) => {
      const [spot, its] = [spots[each.place]!, roomOf(each)];
      const across = (room.wideMm + its.wideMm) / 2;
      const up = (room.highMm + its.highMm) / 2;
      return Math.abs(spot.x - at.x) < across && Math.abs(spot.y - at.y) < up;
    });
    for (const each of near) left.splice(left.indexOf(each), 1);
    groups.push({ lead, places: [lead, ...near].map(({ place }) => place) });
  }
  return groups;
}
