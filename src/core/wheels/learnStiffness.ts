import { influenceFor, type WheelOf } from './wheelInfluence';

/** A round that was made, and how the wheel read before and after it. */
export interface RoundMade {
  turns: readonly { spoke: number; turns: number }[];
  before: { lateralMm: readonly (number | null)[]; radialMm?: readonly (number | null)[] | undefined };
  after: { lateralMm: readonly (number | null)[]; radialMm?: readonly (number | null)[] | undefined };
}

/** How many times as stiff as its class a rim may be, and how surprising each is: most lie within a third. */
const TIMES = [0.35, 0.45, 0.55, 0.7, 0.85, 1, 1.2, 1.45, 1.75, 2.1];
const SPREAD = 0.3;
/** Of a turn a tenth is lost as the spoke winds up. */
const GETS = 0.9;
const READING_MM = 0.1;

/** How much of a change a stiffness leaves unexplained, against what readings are good for; the mean is the gauge's own. */
function unexplained(
  before: readonly (number | null)[],
  after: readonly (number | null)[],
  told: Float64Array,
): number {
  const off: number[] = [];
  for (let i = 0; i < told.length; i++)
    if (before[i] != null && after[i] != null) off.push(after[i]! - before[i]! - told[i]!);
  if (off.length === 0) return 0;
  const middle = off.reduce((a, b) => a + b, 0) / off.length;
  return off.reduce((sum, each) => sum + (each - middle) ** 2, 0) / (2 * READING_MM ** 2);
}

/**
 * How many times as stiff as its class a rim is, by what its rounds did: of a row of stiffnesses the one that explains the changes
 * best, held against how usual it is. Example: no rounds → 1.
 */
export function learnStiffness(wheel: WheelOf, history: readonly RoundMade[]): number {
  if (history.length === 0) return 1;
  const costs = TIMES.map((times) => {
    const { n, lateral, radial } = influenceFor({ wheel, times });
    let cost = (Math.log(times) / SPREAD) ** 2;
    for (const { turns, before, after } of history) {
      const told = { lateral: new Float64Array(n), radial: new Float64Array(n) };
      for (const { spoke, turns: made } of turns)
        for (let i = 0; i < n; i++) {
          told.lateral[i]! += GETS * made * lateral[i * n + spoke]!;
          told.radial[i]! += GETS * made * radial[i * n + spoke]!;
        }
      cost += unexplained(before.lateralMm, after.lateralMm, told.lateral);
      if (before.radialMm && after.radialMm) cost += unexplained(before.radialMm, after.radialMm, told.radial);
    }
    return cost;
  });
  return TIMES[costs.indexOf(Math.min(...costs))]!;
}
