import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { rimWidths } from '../identify/data/rims';
import { atLeast, roundTo } from '../numbers';
import { row, type Judged } from '../verdict';

const rows = rimWidths.toSorted((a, b) => a.innerWidthMm - b.innerWidthMm);
const [least, most] = [rows[0]!.innerWidthMm, rows.at(-1)!.innerWidthMm];
/** The least room beside a tyre, each side, by the rule of the house. */
const LEAST_GAP_MM = { usual: 3, wide: 6 };

const input = z.strictObject({
  rimInnerMm: z.number().check(z.gte(least), z.lte(most)),
  tyreMm: z.number().check(z.gte(15), z.lte(130)),
  gapMm: z
    .optional(z.number().check(z.gte(0), z.lte(100)))
    .check(z.describe('room in frame or fork, each side, at its widest')),
  tyreGap: z._default(z.enum(['usual', 'wide']), 'usual').check(z.describe('the rule of the house: 3 mm or 6 mm')),
});

export interface TyreFit extends Judged<'fits' | 'narrow' | 'wide' | 'no-room'> {
  narrowestMm: number;
  widestMm: number;
}

/** Straight between the rows of the table. */
function between(width: number, of: (row: (typeof rows)[number]) => number): number {
  const above = Math.max(
    1,
    rows.findIndex(({ innerWidthMm }) => innerWidthMm >= width),
  );
  const [low, high] = [rows[above - 1]!, rows[above]!];
  const share = (width - low.innerWidthMm) / (high.innerWidthMm - low.innerWidthMm);
  return of(low) + share * (of(high) - of(low));
}

/**
 * Whether a tyre goes on a rim, by the rim's width inside, and into the frame.
 *
 * Units: mm. Errors: a rim beyond 13…35 mm. Source: the table of rim widths (ISO 5775 and trade tables), straight between its rows; 3 mm of room each
 * side, 6 where the house wants more. Example: 23 mm on a rim of 17 is narrow, 32 fits.
 */
export const wheelsTyreFit = defineCalculator({
  id: 'wheels.tyreFit',
  title: 'Whether a tyre fits a rim and a frame',
  example: { rimInnerMm: 17, tyreMm: 32 },
  input,
  run({ rimInnerMm, tyreMm, gapMm, tyreGap }): TyreFit {
    const leastGapMm = LEAST_GAP_MM[tyreGap];
    const narrowestMm = between(rimInnerMm, ({ tyreMinMm }) => tyreMinMm);
    const widestMm = between(rimInnerMm, ({ tyreMaxMm }) => tyreMaxMm);
    const verdict = !atLeast(tyreMm, narrowestMm)
      ? 'narrow'
      : !atLeast(widestMm, tyreMm)
        ? 'wide'
        : gapMm !== undefined && !atLeast(gapMm, leastGapMm)
          ? 'no-room'
          : 'fits';
    const span = `${roundTo(narrowestMm, 0)} to ${roundTo(widestMm, 0)} mm`;
    return {
      narrowestMm,
      widestMm,
      verdict,
      reasons: [
        {
          fits: `Such a rim takes ${span}.`,
          narrow: `Such a rim takes ${span}: this one is too narrow, and folds over in a corner.`,
          wide: `Such a rim takes ${span}: this one is too wide, and squirms on it.`,
          'no-room': `It fits the rim, and frame or fork leave it ${roundTo(gapMm ?? 0, 1)} mm: at least ${leastGapMm} on each side${tyreGap === 'wide' ? ', by the house rule' : ''}.`,
        }[verdict],
      ],
      working: [row('n', 'narrowest', roundTo(narrowestMm, 1), 'mm'), row('w', 'widest', roundTo(widestMm, 1), 'mm')],
    };
  },
});
