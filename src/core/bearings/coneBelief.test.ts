import fc from 'fast-check';
import {
  afterFeel,
  afterTurn,
  beliefQuantile,
  coneGrid,
  expectation,
  FEELS,
  feelTable,
  rightTable,
  spreadOf,
  startBelief,
  type Belief,
  type ConeModel,
} from './coneBelief';

const model: ConeModel = {
  allowanceDeg: 0,
  handSdDeg: 3,
  lockShift: { meanDeg: 5, sdDeg: 4 },
  bands: { tickDeg: 10, smoothDeg: 12 },
  missShare: 0.05,
};
const grid = coneGrid(model, 200);
const total = (belief: Belief) => belief.reduce((sum, cells) => sum + cells.reduce((a, b) => a + b, 0), 0);

describe('what is believed of a cone', () => {
  test('the start is broad: sixty degrees either way are nothing strange', () => {
    const start = startBelief(grid, 0);
    expect(total(start)).toBeCloseTo(1, 9);
    expect(beliefQuantile(grid, start, 0.9)).toBeGreaterThan(50);
    expect(beliefQuantile(grid, start, 0.1)).toBeLessThan(-50);
  });

  test('probabilities sum to one after any turns and feels', () => {
    const trial = fc.tuple(fc.integer({ min: -60, max: 60 }), fc.constantFrom(...FEELS), fc.boolean());
    const clampedModel = { ...model, allowanceDeg: 12 };
    const wide = coneGrid(clampedModel, 400);
    const open = feelTable(wide, clampedModel, false);
    const closed = feelTable(wide, clampedModel, true);
    fc.assert(
      fc.property(fc.array(trial, { minLength: 1, maxLength: 6 }), (trials) => {
        let belief = startBelief(wide, 0);
        for (const [turn, feel, clamped] of trials) {
          const felt = afterFeel(afterTurn(wide, belief, turn), clamped ? closed : open, FEELS.indexOf(feel));
          // Loose and then tight without a turn cannot both be; the chance says so and the adviser starts afresh.
          if (felt.chance === 0) return total(felt.belief) === 0;
          belief = felt.belief;
        }
        return Math.abs(total(belief) - 1) < 1e-6;
      }),
      { numRuns: 30 },
    );
  });

  test('in each cell the four feels sum to one, wherever it stands', () => {
    for (const table of feelTable(grid, model, false)) {
      for (let i = 0; i < grid.x.length; i++)
        expect(FEELS.reduce((sum, _, feel) => sum + table[feel]![i]!, 0)).toBeCloseTo(1, 9);
    }
  });

  test('a misread feel is read as a neighbour and never further away', () => {
    const [table] = feelTable(grid, model, false);
    const far = grid.x.findIndex((x) => x > 60);
    expect(table![FEELS.indexOf('tight')]![far]).toBeCloseTo(0.95, 9);
    expect(table![FEELS.indexOf('smooth')]![far]).toBeCloseTo(0.05, 9);
    expect(table![FEELS.indexOf('tick')]![far]).toBe(0);
    expect(table![FEELS.indexOf('loose')]![far]).toBe(0);
  });

  test('a turn moves the belief by turn and drag and makes it less sure; no turn changes nothing', () => {
    const start = afterFeel(startBelief(grid, 0), feelTable(grid, model, false), FEELS.indexOf('tick')).belief;
    const before = spreadOf(grid, start);
    const after = spreadOf(grid, afterTurn(grid, start, -20));
    expect(after.meanDeg - before.meanDeg).toBeCloseTo(-20 + 5 + 0.05 * 4, 0);
    expect(after.sdDeg).toBeGreaterThan(before.sdDeg);
    expect(afterTurn(grid, start, 0)).toBe(start);
  });

  test('the skewer shifts what is felt by its allowance', () => {
    const squeezed = { ...model, allowanceDeg: 12 };
    const wide = coneGrid(squeezed, 100);
    const open = feelTable(wide, squeezed, false)[4]!;
    const closed = feelTable(wide, squeezed, true)[4]!;
    const steps = 12 / wide.stepDeg;
    const middle = Math.floor(wide.x.length / 2);
    for (let i = middle - 20; i < middle + 20; i++)
      for (let feel = 0; feel < FEELS.length; feel++) expect(closed[feel]![i]).toBeCloseTo(open[feel]![i + steps]!, 9);
  });

  test('feeling smooth makes right likelier, feeling tight less likely', () => {
    const right = rightTable(grid, model);
    const table = feelTable(grid, model, false);
    const start = startBelief(grid, 0);
    const chance = expectation(start, right);
    expect(expectation(afterFeel(start, table, FEELS.indexOf('smooth')).belief, right)).toBeGreaterThan(chance);
    expect(expectation(afterFeel(start, table, FEELS.indexOf('tight')).belief, right)).toBeLessThan(chance);
  });

  test('trials teach how much the bench drags', () => {
    // Five turns of nothing that each end tighter: only a locknut that drags more than assumed explains it.
    const table = feelTable(grid, model, false);
    let belief = startBelief(grid, 0);
    for (let i = 0; i < 5; i++) {
      belief = afterFeel(belief, table, FEELS.indexOf('tick')).belief;
      belief = afterFeel(afterTurn(grid, belief, -2), table, FEELS.indexOf('tight')).belief;
      belief = afterTurn(grid, belief, -20);
    }
    const weightOf = (dragDeg: number) =>
      grid.hypotheses.reduce(
        (sum, hypothesis, h) => sum + (hypothesis.dragDeg === dragDeg ? belief[h]!.reduce((a, b) => a + b, 0) : 0),
        0,
      );
    expect(weightOf(9)).toBeGreaterThan(0.25);
    expect(weightOf(1)).toBeLessThan(0.2);
  });
});
