import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { atLeast, moreThan, roundTo } from '../numbers';
import { row, type Judged } from '../verdict';
import { factorise } from './cholesky';
import { crossings, flanges, rimRadiusMm, spokeCount } from './laced';
import { tensionOf, tensionReadings } from './readTension';
import type { Influence } from './ring';
import { sideOf } from './spokes';
import { ratioOf } from './tensionRatio';
import { influenceFor, RIM_CLASSES, rimRow } from './wheelInfluence';

const reading = z.nullable(z.number().check(z.gte(-15), z.lte(15)));
const shape = z.strictObject({
  spokes: spokeCount,
  crossings,
  mirrored: z._default(z.boolean(), false),
  rimRadiusMm,
  flanges,
  rimClass: z
    .string()
    .check(z.refine((id) => RIM_CLASSES.includes(id), { error: `one of: ${RIM_CLASSES.join(', ')}` })),
  readings: z.strictObject({
    lateralMm: z.array(reading),
    radialMm: z.optional(z.array(reading)),
    ...tensionReadings,
  }),
  hubAt: z._default(z.enum(['disc', 'flange']), 'disc').check(z.describe('where `hubMm` was read')),
  hubMm: z
    .optional(z.array(z.number().check(z.gte(-15), z.lte(15))).check(z.minLength(6), z.maxLength(48)))
    .check(z.describe('how the disc, or a flange, swings at even steps from the valve')),
});
const input = rule(
  shape,
  ['readings'],
  ({ spokes, readings: { lateralMm, radialMm, tensionN, toneHz, feels } }) =>
    [lateralMm, radialMm, tensionN, toneHz, feels].every((list) => list === undefined || list.length === spokes),
  ({ spokes }) => `a reading, or null, for each of the ${spokes} spokes`,
);
type Question = z.output<typeof shape>;

/** What no nipple cures, or what is forgiven. */
export type CauseKind = 'joint' | 'bend' | 'hop' | 'disc' | 'seat' | 'axle' | 'hub';
export interface WheelCause {
  kind: CauseKind;
  /** The spoke that is nearest, counted from the valve hole from nought; null where it is all of the wheel. */
  spoke: number | null;
  mm: number;
  words: string;
}
export interface WheelCauses extends Judged<'nipples' | 'joint' | 'metal' | 'hub'> {
  causes: WheelCause[];
  /** Spokes whose reading says nothing of the nipples: the joint of the rim. */
  leaveOut: number[];
}

/** What nipples are off by in a wheel that was ridden, turns; and what readings are good for. */
const TURNS_SD = 0.55;
const GAUGE_MM = 0.06;
const TENSION_SHARE = 0.06;
/** What is left by so much is metal. */
const BENT_MM = 0.45;
/** A joint is forgiven so far; a bump that reaches further than this many spokes to a side is none. */
const JOINT_FORGIVEN_MM = 1;
const JOINT_WIDE = 1.25;
/** A disc or flange that swings less runs true. */
const DISC_MM = 0.3;

interface Wave {
  sizeMm: number;
  /** Where it is greatest, radians from the valve. */
  atRad: number;
}

/** The part of a trace that comes once a turn. */
function onceATurn(list: readonly number[]): Wave {
  const n = list.length;
  const sum = (of: (angle: number) => number) =>
    (2 / n) * list.reduce((all, each, i) => all + each * of((2 * Math.PI * i) / n), 0);
  const [c, s] = [sum(Math.cos), sum(Math.sin)];
  return { sizeMm: Math.hypot(c, s), atRad: Math.atan2(s, c) };
}

/**
 * How the rim would stand if its nipples were as they likely are: of all turns the likeliest that readings and the habits of neglected
 * wheels allow together. What it leaves is not of the nipples.
 */
function leftByNipples(
  { lateral, radial, tension, n }: Influence,
  lists: {
    lateralMm: readonly (number | null)[];
    radialMm: readonly (number | null)[] | null;
    tensionOffN: (number | null)[] | null;
    tensionSdN: number;
  },
): { lateralMm: Float64Array; radialMm: Float64Array | null } {
  // A gauge's nought is anywhere, and so is the wheel's middle: one unknown more for each trace.
  const size = n + 2;
  const a = new Float64Array(size * size);
  const rhs = new Float64Array(size);
  for (let i = 0; i < n; i++) a[i * size + i] = 1 / TURNS_SD ** 2;
  for (const i of [n, n + 1]) a[i * size + i] = 1e-4;
  const take = (matrix: Float64Array, list: readonly (number | null)[], sd: number, nought: number | null) => {
    for (let i = 0; i < n; i++) {
      const value = list[i];
      if (value == null) continue;
      const line = (j: number) => (j < n ? matrix[i * n + j]! : j === nought ? 1 : 0);
      const at = [...Array.from({ length: n }, (_, j) => j), ...(nought === null ? [] : [nought])];
      for (const j of at) {
        rhs[j]! += (line(j) * value) / sd ** 2;
        for (const k of at) a[j * size + k]! += (line(j) * line(k)) / sd ** 2;
      }
    }
  };
  take(lateral, lists.lateralMm, GAUGE_MM, n);
  if (lists.radialMm) take(radial, lists.radialMm, GAUGE_MM, n + 1);
  if (lists.tensionOffN) take(tension, lists.tensionOffN, lists.tensionSdN, null);
  const found = factorise(a, size)(rhs);
  const left = (matrix: Float64Array, list: readonly (number | null)[], nought: number) =>
    Float64Array.from({ length: n }, (_, i) => {
      if (list[i] == null) return 0;
      let told = found[nought]!;
      for (let j = 0; j < n; j++) told += matrix[i * n + j]! * found[j]!;
      return list[i] - told;
    });
  return {
    lateralMm: left(lateral, lists.lateralMm, n),
    radialMm: lists.radialMm ? left(radial, lists.radialMm, n + 1) : null,
  };
}

/** Places where something is left: each with its worst spoke and how far it reaches to either side. */
function spots(left: Float64Array): { spoke: number; mm: number; reach: number }[] {
  const n = left.length;
  const found: { spoke: number; mm: number; reach: number }[] = [];
  const over = (i: number) => Math.abs(left[(i + n) % n]!) >= BENT_MM;
  for (let i = 0; i < n; i++) {
    const here = Math.abs(left[i]!);
    // Of neighbours that are all out the furthest speaks for them.
    if (!over(i) || [-2, -1, 1, 2].some((by) => Math.abs(left[(i + by + n) % n]!) > here)) continue;
    let reach = 0;
    while (reach < n / 2 && (over(i + reach + 1) || over(i - reach - 1))) reach++;
    found.push({ spoke: i, mm: left[i]!, reach });
  }
  return found;
}

const full = (list: readonly (number | null)[] | undefined): number[] | null =>
  list && list.every((each) => each !== null) ? ([...list] as number[]) : null;

/** What the trace at the disc or flange tells beside the rim's. */
function atTheHub({ hubMm, hubAt, readings }: Question): WheelCause[] {
  if (!hubMm) return [];
  const swing = Math.max(...hubMm) - Math.min(...hubMm);
  if (!moreThan(swing, DISC_MM)) return [];
  const wave = onceATurn(hubMm);
  const mean = hubMm.reduce((a, b) => a + b, 0) / hubMm.length;
  const rest = hubMm.map(
    (each, i) => each - mean - wave.sizeMm * Math.cos((2 * Math.PI * i) / hubMm.length - wave.atRad),
  );
  const worst = rest.reduce((at, each, i) => (Math.abs(each) > Math.abs(rest[at]!) ? i : at), 0);
  const power = (list: readonly number[]) => list.reduce((sum, each) => sum + each ** 2, 0);
  const share = power(rest) / Math.max(power(hubMm.map((each) => each - mean)), 1e-12);
  if (hubAt === 'disc' && share > 0.4)
    return [
      {
        kind: 'disc',
        spoke: Math.round((worst / hubMm.length) * readings.lateralMm.length) % readings.lateralMm.length,
        mm: swing,
        words: `The disc is bent by about ${roundTo(Math.abs(rest[worst]!), 1)} mm: bent back cold, a little at a time, at its mark. The rim has no part in it.`,
      },
    ];
  const rim = full(readings.lateralMm);
  const same = rim ? onceATurn(rim) : null;
  const apart = same
    ? Math.abs(Math.atan2(Math.sin(same.atRad - wave.atRad), Math.cos(same.atRad - wave.atRad)))
    : Math.PI;
  // A hub that wobbles on its axle takes the rim along, further out by as much as it is larger.
  if (same && apart < Math.PI / 6 && same.sizeMm > wave.sizeMm)
    return [
      {
        kind: 'axle',
        spoke: null,
        mm: swing,
        words: 'Disc and rim swing together once a turn: bearing play or a bent axle, before any nipple.',
      },
    ];
  if (hubAt === 'flange')
    return [
      {
        kind: 'hub',
        spoke: null,
        mm: swing,
        words: `The flange itself swings ${roundTo(swing, 1)} mm: hub or axle are out, and nothing trues that away. Bearing play first; then a new hub or another wheel.`,
      },
    ];
  return [
    {
      kind: 'seat',
      spoke: null,
      mm: swing,
      words:
        'It swings once a turn and the rim does not: its bolts, its seat and bearing play first. If it stays, the hub is out, and nothing trues that away.',
    },
  ];
}

const WORDS: Record<WheelCauses['verdict'], string> = {
  nipples: 'Nothing here that nipples do not make.',
  joint: 'The joint of the rim shows: it is left out, up to a millimetre.',
  metal: 'Bent metal: no nipple cures it, and more tension there breaks spokes later.',
  hub: 'Not the rim alone: look at the hub first.',
};

/**
 * What of a wheel's trace no nipple makes or cures, said before the first turn. The likeliest turns of the nipples are taken out of the trace
 * (least squares held by what neglected wheels usually are, tension with it where it was read); what stays by more than 0.45 mm is a joint where
 * it is narrow and opposite the valve, else a bend. A trace at the disc or flange is split into what comes once a turn and the rest, and held
 * against the rim's.
 *
 * Units: mm, N, Hz. Errors: lists that are not one a spoke, fewer than six readings of the disc. Source: ridge regression on the elastic ring; workshop
 * consensus. Example: an even wheel with a bump of one spoke opposite the valve → joint.
 */
function run(question: Question): WheelCauses {
  const { spokes, mirrored, readings, rimClass } = question;
  const wheel = { ...question, spokeDiameterMm: 2, nipplePitchMm: 0.4536 };
  const isLeft = Array.from({ length: spokes }, (_, i) => sideOf({ mirrored }, i) === 'left');
  const rim = rimRow(rimClass, question.rimRadiusMm);
  const tightSide = question.flanges.leftOffsetMm < question.flanges.rightOffsetMm ? 'left' : 'right';
  const tight = (rim.tensionMinN + rim.tensionMaxN) / 2;
  const other = tight * ratioOf(wheel, tightSide);
  const usualN = tightSide === 'left' ? { left: tight, right: other } : { left: other, right: tight };
  const told = tensionOf(readings, isLeft, usualN);
  // The hand tells too little to take a wobble out by.
  const tension = told && told.by !== 'feel' ? told.tensionN : null;
  const meanOf = (left: boolean) => {
    const side = (tension ?? []).filter((each, i): each is number => each !== null && isLeft[i] === left);
    return side.reduce((a, b) => a + b, 0) / Math.max(side.length, 1);
  };
  const means = { left: meanOf(true), right: meanOf(false) };
  const causes: WheelCause[] = [];
  const leaveOut: number[] = [];
  const known = readings.lateralMm.filter((each) => each !== null).length;
  // A trace with holes tells no metal.
  if (known >= spokes * 0.75) {
    const radialMm =
      readings.radialMm && readings.radialMm.filter((each) => each !== null).length >= spokes * 0.75
        ? readings.radialMm
        : null;
    const left = leftByNipples(
      influenceFor({
        wheel: {
          spokes,
          crossings: question.crossings,
          mirrored,
          rimRadiusMm: question.rimRadiusMm,
          flanges: question.flanges,
          spokeDiameterMm: 2,
          nipplePitchMm: 0.4536,
          rimClass,
        },
        times: 1,
      }),
      {
        lateralMm: readings.lateralMm,
        radialMm,
        tensionOffN:
          tension && tension.map((each, i) => (each === null ? null : each - means[isLeft[i] ? 'left' : 'right'])),
        tensionSdN: TENSION_SHARE * tight + 20,
      },
    );
    const atJoint = (spoke: number) => Math.abs(spoke - spokes / 2) <= JOINT_WIDE;
    const add = (list: Float64Array, kind: 'bend' | 'hop') => {
      for (const { spoke, mm, reach } of spots(list)) {
        const size = Math.abs(mm);
        const isJoint = atJoint(spoke) && reach <= 1;
        const way = kind === 'bend' ? (mm > 0 ? 'to the left' : 'to the right') : mm > 0 ? 'outwards' : 'inwards';
        if (isJoint) for (let by = -1; by <= 1; by++) leaveOut.push((spoke + by + spokes) % spokes);
        causes.push({
          kind: isJoint ? 'joint' : kind,
          spoke,
          mm: size,
          words: isJoint
            ? `The joint, opposite the valve, stands ${roundTo(size, 1)} mm ${way}: ${atLeast(JOINT_FORGIVEN_MM, size) ? 'forgiven, and left out of the round' : 'more than a millimetre, left out of the round: it is felt at every turn'}.`
            : `Bent ${roundTo(size, 1)} mm ${way} at spoke ${spoke + 1}: metal, not nipples.`,
        });
      }
    };
    add(left.lateralMm, 'bend');
    if (left.radialMm) add(left.radialMm, 'hop');
  }
  causes.push(...atTheHub(question));
  const has = (...kinds: CauseKind[]) => causes.some(({ kind }) => kinds.includes(kind));
  const verdict = has('hub', 'axle', 'seat', 'disc')
    ? ('hub' as const)
    : has('bend', 'hop')
      ? ('metal' as const)
      : has('joint')
        ? ('joint' as const)
        : ('nipples' as const);
  return {
    causes,
    leaveOut: [...new Set(leaveOut)].toSorted((a, b) => a - b),
    verdict,
    reasons: [WORDS[verdict], ...causes.map(({ words }) => words)],
    working: [row('b', 'left by more counts', BENT_MM, 'mm'), row('n', 'readings', known)],
  };
}

export const wheelsCause = defineCalculator({
  id: 'wheels.cause',
  title: 'What no nipple cures',
  lane: 'long',
  example: {
    spokes: 32,
    crossings: 3,
    rimRadiusMm: 300,
    flanges: { leftRadiusMm: 22.5, rightRadiusMm: 22.5, leftOffsetMm: 35, rightOffsetMm: 35 },
    rimClass: 'double-wall box alloy',
    readings: { lateralMm: Array.from({ length: 32 }, (_, i) => (i === 16 ? 1 : 0)) },
    hubMm: [0, 0.1, 0.2, 0.1, 0, -0.1, -0.2, -0.1],
  },
  input,
  run,
});
