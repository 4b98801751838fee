import { uniformStream } from '../money/streams';

/** A wheel that nobody sees into, in N and mm: its rim, its lacing, and how its nipples stand. */
export interface HiddenWheelSpec {
  spokes: number;
  crossings: number;
  rimRadiusMm: number;
  flanges: { leftRadiusMm: number; rightRadiusMm: number; leftOffsetMm: number; rightOffsetMm: number };
  spokeDiameterMm: number;
  pitchMm: number;
  /** Bending sideways and in its plane, twist (N·mm²), and stretch (N). */
  sidewaysNmm2: number;
  inPlaneNmm2: number;
  twistNmm2: number;
  stretchN: number;
  /** The mean tension of each side when all is even. */
  leftN: number;
  rightN: number;
}

export interface WheelState {
  lateralMm: number[];
  radialMm: number[];
  tensionN: number[];
}

const HARMONICS = 36;

/** Solves a symmetric system by elimination, for several right-hand sides at once; the matrix is spoilt. */
function eliminate(matrix: Float64Array[], sides: Float64Array[]): Float64Array[] {
  const n = matrix.length;
  for (let p = 0; p < n; p++) {
    const pivot = matrix[p]!;
    for (let r = p + 1; r < n; r++) {
      const factor = matrix[r]![p]! / pivot[p]!;
      if (factor === 0) continue;
      for (let c = p; c < n; c++) matrix[r]![c]! -= factor * pivot[c]!;
      for (const side of sides) side[r]! -= factor * side[p]!;
    }
  }
  for (const side of sides)
    for (let r = n - 1; r >= 0; r--) {
      let sum = side[r]!;
      for (let c = r + 1; c < n; c++) sum -= matrix[r]![c]! * side[c]!;
      side[r] = sum / matrix[r]![r]!;
    }
  return sides;
}

/**
 * A wheel as a curved ring in Fourier series, held by its spokes: what a turn of each nipple does. Other physics and other code than the
 * adviser's straight beams: the ring's own energy of stretch, bending and twist, harmonic by harmonic.
 */
export class HiddenWheel {
  readonly spec: HiddenWheelSpec;
  private readonly moves: { lateral: number[][]; radial: number[][]; tension: number[][] };

  constructor(spec: HiddenWheelSpec) {
    this.spec = spec;
    const { spokes: n, crossings, rimRadiusMm: R, flanges } = spec;
    // Unknowns: outwards, along, sideways, twist; each a constant, cosines and sines.
    const per = 2 * HARMONICS + 1;
    const size = 4 * per;
    const of = (field: number, m: number, isSine: boolean) => field * per + (m === 0 ? 0 : 2 * m - (isSine ? 0 : 1));
    const matrix = Array.from({ length: size }, () => new Float64Array(size));
    const energy = (weight: number, terms: [number, number][]) => {
      for (const [i, a] of terms) for (const [j, b] of terms) matrix[i]![j]! += weight * a * b;
    };
    for (let m = 0; m <= HARMONICS; m++) {
      const round = (m === 0 ? 2 : 1) * Math.PI * R;
      const [uc, us] = [of(0, m, false), of(0, m, true)];
      const [vc, vs] = [of(1, m, false), of(1, m, true)];
      const [wc, ws] = [of(2, m, false), of(2, m, true)];
      const [pc, ps] = [of(3, m, false), of(3, m, true)];
      if (m === 0) {
        energy(round * spec.stretchN, [[uc, 1 / R]]);
        energy(round * spec.sidewaysNmm2, [[pc, 1 / R]]);
        continue;
      }
      energy(round * spec.stretchN, [
        [uc, 1 / R],
        [vs, m / R],
      ]);
      energy(round * spec.stretchN, [
        [us, 1 / R],
        [vc, -m / R],
      ]);
      energy(round * spec.inPlaneNmm2, [
        [uc, -(m * m) / R ** 2],
        [vs, -m / R ** 2],
      ]);
      energy(round * spec.inPlaneNmm2, [
        [us, -(m * m) / R ** 2],
        [vc, m / R ** 2],
      ]);
      energy(round * spec.sidewaysNmm2, [
        [pc, 1 / R],
        [wc, (m * m) / R ** 2],
      ]);
      energy(round * spec.sidewaysNmm2, [
        [ps, 1 / R],
        [ws, (m * m) / R ** 2],
      ]);
      energy(round * spec.twistNmm2, [
        [ps, m / R],
        [ws, m / R ** 2],
      ]);
      energy(round * spec.twistNmm2, [
        [pc, -m / R],
        [wc, -m / R ** 2],
      ]);
    }
    const held = Array.from({ length: n }, (_, i) => {
      const isLeft = i % 2 === 0;
      const radius = isLeft ? flanges.leftRadiusMm : flanges.rightRadiusMm;
      const turn = ((i % 4 < 2 ? 1 : -1) * 720 * crossings) / n;
      const angle = (turn * Math.PI) / 180;
      const way = [
        radius * Math.cos(angle) - R,
        radius * Math.sin(angle),
        isLeft ? flanges.leftOffsetMm : -flanges.rightOffsetMm,
      ];
      const length = Math.hypot(...way);
      const at = (2 * Math.PI * i) / n;
      const shape = (field: number) =>
        Array.from({ length: per }, (_unused, k): [number, number] => {
          const m = Math.ceil(k / 2);
          return [field * per + k, k === 0 ? 1 : k % 2 === 1 ? Math.cos(m * at) : Math.sin(m * at)];
        });
      const along = [0, 1, 2].flatMap((field) =>
        shape(field).map(([index, value]): [number, number] => [index, (value * way[field]!) / length]),
      );
      return {
        stiffness: (200_000 * Math.PI * spec.spokeDiameterMm ** 2) / 4 / length,
        along,
        out: shape(0),
        side: shape(2),
      };
    });
    for (const { stiffness, along } of held) energy(stiffness, along);
    for (let i = 0; i < size; i++) matrix[i]![i]! += 1e-3;
    const sides = held.map(({ stiffness, along }) => {
      const side = new Float64Array(size);
      for (const [i, value] of along) side[i]! += stiffness * spec.pitchMm * value;
      return side;
    });
    const solved = eliminate(matrix, sides);
    const read = (terms: [number, number][], moved: Float64Array) =>
      terms.reduce((sum, [i, value]) => sum + value * moved[i]!, 0);
    this.moves = {
      lateral: solved.map((moved) => held.map(({ side }) => read(side, moved))),
      radial: solved.map((moved) => held.map(({ out }) => read(out, moved))),
      tension: solved.map((moved, j) =>
        held.map(({ along, stiffness }, i) => stiffness * ((i === j ? spec.pitchMm : 0) - read(along, moved))),
      ),
    };
  }

  /** How it stands with its nipples turned so far, from when all was even. */
  stands(
    turns: readonly number[],
    bent: { lateralMm: readonly number[]; radialMm: readonly number[] } | null = null,
  ): WheelState {
    const n = this.spec.spokes;
    const sum = (of: number[][], i: number) => turns.reduce((all, made, j) => all + made * of[j]![i]!, 0);
    return {
      lateralMm: Array.from({ length: n }, (_, i) => sum(this.moves.lateral, i) + (bent?.lateralMm[i] ?? 0)),
      radialMm: Array.from({ length: n }, (_, i) => sum(this.moves.radial, i) + (bent?.radialMm[i] ?? 0)),
      tensionN: Array.from(
        { length: n },
        (_, i) => sum(this.moves.tension, i) + (i % 2 === 0 ? this.spec.leftN : this.spec.rightN),
      ),
    };
  }
}

/** A normal draw from a stream of uniform ones. */
const normal = (next: () => number) => Math.sqrt(-2 * Math.log(next())) * Math.cos(2 * Math.PI * next());

/** Nipples as a wheel that was ridden stands: each a little off, a few much. */
export function neglected(seed: number, spokes: number): number[] {
  const next = uniformStream(seed, 'neglected wheel');
  const worst = Array.from({ length: 4 }, () => Math.floor(next() * spokes));
  return Array.from(
    { length: spokes },
    (_, i) => 0.28 * normal(next) + (worst.includes(i) ? (next() < 0.5 ? -1 : 1) * (0.5 + 0.6 * next()) : 0),
  );
}

/** Readings as a gauge and a meter give them: off by a little, each time otherwise. */
export function readOff(state: WheelState, seed: number, round: number): WheelState {
  const next = uniformStream(seed, `gauge ${round}`);
  return {
    lateralMm: state.lateralMm.map((each) => each + 0.03 * normal(next)),
    radialMm: state.radialMm.map((each) => each + 0.03 * normal(next)),
    tensionN: state.tensionN.map((each) => Math.max(0, each * (1 + 0.04 * normal(next)))),
  };
}
