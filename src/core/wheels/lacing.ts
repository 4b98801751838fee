import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { ruleWords } from '../houseRules';
import { row, type WorkingRow } from '../verdict';
import { crossings, spokeCount } from './laced';
import { sideOf } from './spokes';

const shape = z.strictObject({
  spokes: spokeCount,
  crossings,
  mirrored: z._default(z.boolean(), false).check(z.describe('the first hole from the valve is of the right side')),
  pulling: z
    ._default(z.enum(['outside', 'inside']), 'outside')
    .check(z.describe('where pulling spokes lie at the flange')),
});
const input = rule(
  rule(
    shape,
    ['spokes'],
    ({ spokes }) => spokes % 4 === 0,
    'as many leading as trailing spokes on each side: a number that four goes into',
  ),
  ['crossings'],
  ({ crossings: crossed, spokes }) => (720 * crossed) / spokes <= 100,
  ({ spokes }) => `so few spokes as ${spokes} are not crossed so often`,
);

/** A spoke on its way in. */
export interface LacedSpoke {
  /** Which nipple hole, counted from the valve hole from nought. */
  hole: number;
  side: 'left' | 'right';
  /** Which hole of its flange, counted from that of the key spoke from nought, the way the rim is counted. */
  flangeHole: number;
  /** Whether the wheel pulls along it when it is driven. */
  isPulling: boolean;
  /** Where it lies at the flange. */
  lies: 'outside' | 'inside';
  /** Holes of the rim whose spokes it crosses, from the hub outwards; the last one it goes behind. */
  crosses: number[];
}
export interface LacingStep {
  id: string;
  words: string;
  hint: string;
  spokes: LacedSpoke[];
}

const plain = (value: number, n: number) => ((value % n) + n) % n;

/**
 * How a wheel is laced, spoke by spoke from the valve hole: four sets (of each side those that lie inside the flange first, since nothing passes them later), which hole of flange and rim
 * each goes into, and whom it crosses, the last crossing behind. The pattern is that of the truing: by turns a spoke of each side, and on
 * each side by turns one that pulls and one that does not.
 *
 * Units: holes. Errors: a number of spokes that four does not go into, more crossings than the hub has room for. Source: geometry; workshop consensus; the school of the house says where pulling
 * spokes lie. Example: 32 crossed three times → four sets of eight, each spoke crossing three.
 */
export const wheelsLacing = defineCalculator({
  id: 'wheels.lacing',
  title: 'How a wheel is laced, from the valve hole',
  example: { spokes: 32, crossings: 3 },
  input,
  run({ spokes, crossings: crossed, mirrored, pulling }): {
    steps: LacingStep[];
    words: string;
    working: WorkingRow[];
  } {
    const perSide = spokes / 2;
    const sideOfHole = (hole: number) => sideOf({ mirrored }, hole);
    // As the truing has it: on each side by turns one that leads and one that trails.
    const leads = (hole: number) => Math.floor(hole / 2) % 2 === 0;
    /** Where its flange hole lies, in holes of the rim. */
    const anchorOf = (hole: number) => plain(hole + (leads(hole) ? 1 : -1) * 2 * crossed, spokes);
    const isPulling = (hole: number) => !leads(hole);
    const liesOf = (hole: number): 'outside' | 'inside' =>
      isPulling(hole) === (pulling === 'outside') ? 'outside' : 'inside';
    const flangeHoleOf = (hole: number) =>
      plain(Math.round((anchorOf(hole) - (sideOfHole(hole) === sideOfHole(0) ? 0 : 1)) / 2), perSide);
    /** Those of its side that run the other way and change places with it between flange and rim, the nearest to the hub first. */
    const crossesOf = (hole: number): number[] => {
      const way = leads(hole) ? 1 : -1;
      return Array.from({ length: crossed }, (_, i) => plain(hole + way * (4 * (crossed - i) - 2), spokes));
    };
    const laced = (hole: number): LacedSpoke => ({
      hole,
      side: sideOfHole(hole),
      flangeHole: flangeHoleOf(hole),
      isPulling: isPulling(hole),
      lies: liesOf(hole),
      crosses: crossesOf(hole),
    });
    const holes = Array.from({ length: spokes }, (_, i) => i);
    const first = sideOfHole(0);
    const second = first === 'left' ? 'right' : 'left';
    const sets = [
      { side: first, lies: 'inside' },
      { side: second, lies: 'inside' },
      { side: first, lies: 'outside' },
      { side: second, lies: 'outside' },
    ] as const;
    const steps = sets.map(({ side, lies }, i): LacingStep => {
      const own = holes.filter((hole) => sideOfHole(hole) === side && liesOf(hole) === lies).map(laced);
      const start = own[0]!;
      return {
        id: `${side}-${lies}`,
        words: `${['First', 'Second', 'Third', 'Fourth'][i]} set: ${own.length} of the ${side} side that lie ${lies} the flange, every fourth hole from hole ${start.hole + 1}.`,
        hint:
          lies === 'inside'
            ? 'Pushed through from outside, elbow outside; two turns of the nipple each.'
            : crossed === 0
              ? 'Pushed through from inside, elbow inside, straight to the rim.'
              : `Pushed through from inside, elbow inside; ${crossed > 1 ? `over ${crossed - 1}, and behind the last` : 'behind the one it crosses'}.`,
        spokes: own,
      };
    });
    return {
      steps,
      words: `By the house rule ${ruleWords('spokesPull', pulling).toLowerCase()}.`,
      working: [row('n', 'a set has', spokes / 4), row('x', 'each crosses', crossed)],
    };
  },
});
