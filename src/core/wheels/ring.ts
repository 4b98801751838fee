import { factorise } from './cholesky';
import type { Spoke } from './spokes';

/** A rim as an elastic ring. N·mm² and N. */
export interface Rim {
  radiusMm: number;
  lateralNmm2: number;
  radialNmm2: number;
  twistNmm2: number;
  stretchN: number;
}

/** What a turn of each nipple does: `lateral[i·n + j]` to the reading at spoke i by a whole turn of nipple j. */
export interface Influence {
  n: number;
  lateral: Float64Array;
  radial: Float64Array;
  tension: Float64Array;
}

const STEEL_N_MM2 = 200_000;
const DOF = 6;

/** The stiffness of one straight beam between two nodes, in its own axes: along, outwards in the plane, sideways. */
function beam(length: number, { lateralNmm2, radialNmm2, twistNmm2, stretchN }: Rim): number[][] {
  const k = Array.from({ length: 12 }, () => Array.from({ length: 12 }, () => 0));
  const put = (i: number, j: number, value: number) => {
    k[i]![j] = value;
    k[j]![i] = value;
  };
  const along = (i: number, stiffness: number) => {
    put(i, i, stiffness / length);
    put(i + 6, i + 6, stiffness / length);
    put(i, i + 6, -stiffness / length);
  };
  along(0, stretchN);
  along(3, twistNmm2);
  // Bending in one plane: a shift of the node and the turn that goes with it.
  const bend = (shift: number, turn: number, ei: number, sign: number) => {
    const [a, b, c] = [(12 * ei) / length ** 3, (6 * ei) / length ** 2, (4 * ei) / length];
    put(shift, shift, a);
    put(shift + 6, shift + 6, a);
    put(shift, shift + 6, -a);
    put(turn, turn, c);
    put(turn + 6, turn + 6, c);
    put(turn, turn + 6, c / 2);
    put(shift, turn, sign * b);
    put(shift, turn + 6, sign * b);
    put(turn, shift + 6, -sign * b);
    put(shift + 6, turn + 6, -sign * b);
  };
  bend(1, 5, radialNmm2, 1);
  bend(2, 4, lateralNmm2, -1);
  return k;
}

/**
 * The influence of every nipple on every reading: the rim as straight beams between its nipples (`perGap` of them), each spoke a
 * spring from nipple to hub in its real direction. A turn draws the free length of its spoke in by the nipple's pitch.
 *
 * Units: mm, N; a whole turn. Source: finite elements of a frame. A rotation about the axle that radial spokes leave free is held by a
 * spring that nobody feels.
 */
export function influenceOf(
  spokes: readonly Spoke[],
  rim: Rim,
  spokeDiameterMm: number,
  pitchMm: number,
  perGap = 1,
): Influence {
  const n = spokes.length;
  const nodes = n * perGap;
  const size = nodes * DOF;
  const matrix = new Float64Array(size * size);
  const angle = (node: number) => (2 * Math.PI * node) / nodes;
  const local = beam(2 * rim.radiusMm * Math.sin(Math.PI / nodes), rim);
  for (let e = 0; e < nodes; e++) {
    const ends = [e, (e + 1) % nodes];
    const middle = angle(e) + Math.PI / nodes;
    // Axes of the beam: along the rim, outwards, sideways to the left.
    const axes = [
      [-Math.sin(middle), Math.cos(middle), 0],
      [Math.cos(middle), Math.sin(middle), 0],
      [0, 0, 1],
    ];
    // A right-handed set: along × sideways is outwards, so that outwards counts inwards here.
    axes[1] = axes[1]!.map((x) => -x);
    for (let a = 0; a < 12; a++)
      for (let b = 0; b < 12; b++) {
        const value = local[a]![b]!;
        if (value === 0) continue;
        const [rowAt, columnAt] = [
          ends[a < 6 ? 0 : 1]! * DOF + (a % 6 < 3 ? 0 : 3),
          ends[b < 6 ? 0 : 1]! * DOF + (b % 6 < 3 ? 0 : 3),
        ];
        const [u, v] = [axes[a % 3]!, axes[b % 3]!];
        for (let p = 0; p < 3; p++)
          for (let q = 0; q < 3; q++) matrix[(rowAt + p) * size + columnAt + q]! += value * u[p]! * v[q]!;
      }
  }
  const area = (Math.PI / 4) * spokeDiameterMm ** 2;
  const held = spokes.map(({ lengthMm, towards: [out, around, left], atRad }, i) => {
    const way = [
      out * Math.cos(atRad) - around * Math.sin(atRad),
      out * Math.sin(atRad) + around * Math.cos(atRad),
      left,
    ];
    return { way, stiffness: (STEEL_N_MM2 * area) / lengthMm, at: i * perGap * DOF };
  });
  for (const { way, stiffness, at } of held)
    for (let p = 0; p < 3; p++)
      for (let q = 0; q < 3; q++) matrix[(at + p) * size + at + q]! += stiffness * way[p]! * way[q]!;
  for (let i = 0; i < size; i++) matrix[i * size + i]! += 1e-3;
  const solve = factorise(matrix, size);

  const influence: Influence = {
    n,
    lateral: new Float64Array(n * n),
    radial: new Float64Array(n * n),
    tension: new Float64Array(n * n),
  };
  // The pattern repeats every four spokes: what four nipples do, all do, further round.
  const period = n % 4 === 0 ? 4 : n;
  for (let first = 0; first < period; first++) {
    const force = new Float64Array(size);
    const turned = held[first]!;
    for (let p = 0; p < 3; p++) force[turned.at + p] = turned.stiffness * pitchMm * turned.way[p]!;
    const moved = solve(force);
    for (let i = 0; i < n; i++) {
      const { way, stiffness, at } = held[i]!;
      const [x, y, z] = [moved[at]!, moved[at + 1]!, moved[at + 2]!];
      const outwards = x * Math.cos(spokes[i]!.atRad) + y * Math.sin(spokes[i]!.atRad);
      const shortened = x * way[0]! + y * way[1]! + z * way[2]!;
      const drawn = i === first ? pitchMm : 0;
      for (let round = 0; round < n / period; round++) {
        const column = (first + round * period) % n;
        const row = (i + round * period) % n;
        influence.lateral[row * n + column] = z;
        influence.radial[row * n + column] = outwards;
        influence.tension[row * n + column] = stiffness * (drawn - shortened);
      }
    }
  }
  return influence;
}
