import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { roundTo } from '../numbers';
import { row, type Judged } from '../verdict';
import { punctures } from './data/punctures';
import { holeSeen, type Found } from './puncture';

const input = z.strictObject({
  ...holeSeen,
  beadSeatMm: z.number().check(z.gte(200), z.lte(700)),
  tyreMm: z._default(z.number().check(z.gte(15), z.lte(130)), 35),
  spokes: z
    .optional(z.number().check(z.multipleOf(2), z.gte(16), z.lte(48)))
    .check(z.describe('where the wheel is known: the nearest spoke is named')),
});

/** A place where the cause may be. */
export interface LookAt {
  id: string;
  label: string;
  look: string;
  cure: string;
  again: string | null;
  /** Round the wheel from the valve, as the tyre is measured; null where the hole tells no place. */
  mm: number | null;
  /** A tube that was turned over in between: the same place the other way round. */
  otherwiseMm: number | null;
  /** The spoke that is nearest, counted from the valve hole from nought. */
  spoke: number | null;
}
export interface WhyFlat extends Judged<'look' | 'found' | 'not-found'> {
  places: LookAt[];
  words: string;
}

/** A tube lies a little within the tyre’s middle. */
const TUBE_AT = 0.45;
/** At the seam and the valve the hole’s place says nothing of the tyre. */
const NO_PLACE: readonly Found[] = ['valve', 'old'];

/**
 * What made a hole in a tube, told before a new tube goes in: by what the hole is like and which side it was on, and where round tyre and rim it has
 * to be looked for. The tube is laid beside the tyre with its valve where it was; a tube that may have been turned over has two places.
 *
 * Units: mm, spokes from the valve hole, the first is 0. Errors: a hole further from the valve than half the wheel. Source: workshop consensus; geometry.
 * Example: one hole on the tread side 400 mm on → look in the tyre there; two holes side by side → pinched.
 */
export const tyresWhyFlat = defineCalculator({
  id: 'tyres.whyFlat',
  title: 'What made the hole',
  example: { fromValveMm: 400, side: 'tread', holes: 'one', found: null, beadSeatMm: 622, spokes: 36 },
  input,
  run({ fromValveMm, side, holes, found, beadSeatMm, tyreMm, spokes }): WhyFlat {
    const roundMm = Math.PI * (beadSeatMm + 2 * tyreMm * TUBE_AT);
    // Further round one way is less far the other.
    const at = fromValveMm === null ? null : ((fromValveMm % roundMm) + roundMm) % roundMm;
    const spokeAt = (mm: number) =>
      spokes === undefined ? null : Math.round((mm / roundMm) * spokes - 0.5 + spokes) % spokes;
    const places = punctures
      .filter((each) => each.holes.includes(holes) && each.side.includes(side))
      .map(({ id, label, look, cure, again, found: cause }): LookAt => {
        const mm = at === null || NO_PLACE.includes(cause) ? null : at;
        return {
          id,
          label,
          look,
          cure,
          again,
          mm,
          otherwiseMm: mm === null ? null : roundMm - mm,
          spoke: mm === null ? null : spokeAt(mm),
        };
      });
    const cause = punctures.find((each) => each.found === found);
    const verdict = found === null ? 'look' : found === 'nothing' ? 'not-found' : 'found';
    const words = {
      look: 'Find what made it before the new tube goes in.',
      found: cause ? `${cause.label}. ${cause.cure}` : '',
      'not-found':
        'Nothing found: round the tyre once more with a cloth, then over the tape. A hole without a cause comes again.',
    }[verdict];
    return {
      places,
      words,
      verdict,
      reasons: [words],
      working: [
        row('U', 'round the wheel', roundTo(roundMm, 0), 'mm'),
        row('a', 'the hole, from the valve', at === null ? '–' : roundTo(at, 0), 'mm'),
      ],
    };
  },
});
