import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { atLeast, moreThan, plainZero, roundTo } from '../numbers';
import { row, type Judged } from '../verdict';

const reading = z.strictObject({
  clockDeg: z
    .number()
    .check(z.gte(0), z.lte(360), z.describe('0 at twelve o’clock, clockwise seen from the drive side')),
  gapMm: z
    .number()
    .check(z.gte(0), z.lte(500), z.describe('from the gauge’s tip to one and the same point of the rim')),
});

const shape = z
  .strictObject({
    readings: z.array(reading).check(z.maxLength(72)),
    radiusMm: z.number().check(z.gt(0), z.lte(500), z.describe('from the hanger’s axis to where the gap is read')),
    speeds: z.number().check(z.multipleOf(1), z.gte(1), z.lte(14)),
    material: z._default(z.enum(['steel', 'aluminium', 'carbon', 'unknown']), 'unknown'),
    bentBefore: z._default(z.boolean(), false),
  })
  .check(z.describe('at least three clock points, and no empty arc over 180° between neighbours'));

type Question = z.output<typeof shape>;

function anglesOf(question: Question): number[] {
  return [...new Set(question.readings.map((each) => each.clockDeg % 360))].sort((a, b) => a - b);
}

function widestArc(angles: number[]): number {
  return Math.max(...angles.map((angle, i) => (angles[i + 1] ?? angles[0]! + 360) - angle));
}

const enough = rule(
  shape,
  ['readings'],
  (question) => anglesOf(question).length >= 3,
  'read at three clock points or more: a tilt cannot be told from fewer',
);
const input = rule(
  enough,
  ['readings'],
  (question) => anglesOf(question).length < 3 || !moreThan(widestArc(anglesOf(question)), 180),
  (question) =>
    `no reading over an arc of ${roundTo(widestArc(anglesOf(question)), 0)}°: take one on the other side of the wheel`,
);

export interface Hanger extends Judged<'straight' | 'align' | 'replace' | 'measure-again'> {
  spreadMm: number;
  tiltDeg: number;
  pushAtDeg: number;
  pushMm: number;
  residualMm: number;
  words: string;
}

/** Least squares of gap = g0 + a·cos + b·sin by the normal equations of three unknowns. */
function fit(readings: Question['readings']): { g0: number; a: number; b: number; rms: number } {
  const rows = readings.map(({ clockDeg, gapMm }) => {
    const angle = (clockDeg * Math.PI) / 180;
    return { basis: [1, Math.cos(angle), Math.sin(angle)] as const, gapMm };
  });
  const m = [0, 1, 2].map((i) => [
    ...[0, 1, 2].map((j) => rows.reduce((sum, { basis }) => sum + basis[i]! * basis[j]!, 0)),
    rows.reduce((sum, { basis, gapMm }) => sum + basis[i]! * gapMm, 0),
  ]);
  for (let column = 0; column < 3; column++) {
    const pivot = [column, 1, 2]
      .filter((i) => i >= column)
      .reduce((best, i) => (Math.abs(m[i]![column]!) > Math.abs(m[best]![column]!) ? i : best), column);
    [m[column], m[pivot]] = [m[pivot]!, m[column]!];
    for (let i = 0; i < 3; i++) {
      if (i === column) continue;
      const factor = m[i]![column]! / m[column]![column]!;
      m[i] = m[i]!.map((value, j) => value - factor * m[column]![j]!);
    }
  }
  const [g0, a, b] = m.map((line, i) => line[3]! / line[i]!) as [number, number, number];
  const square = rows.reduce((sum, { basis, gapMm }) => sum + (gapMm - g0 - a * basis[1] - b * basis[2]) ** 2, 0);
  return { g0, a, b, rms: Math.sqrt(square / rows.length) };
}

/** Nine places, so that rounding error of the fit is not told as a figure. */
function nanos(value: number): number {
  return plainZero(Math.round(value * 1e9) / 1e9);
}

const TILT_LIMIT_DEG = 2;
const RMS_LIMIT_MM = 1;

/** The spread up to which a hanger counts as straight. Example: `straightSpreadMm(9)` is 1. */
export function straightSpreadMm(speeds: number): number {
  return speeds <= 8 ? 2 : 1;
}

/**
 * Whether a derailleur hanger is straight, and which way it wants to go. A gauge turned about the derailleur bolt reads
 * the gap to one and the same point of the rim; a tilted hanger gives gap = g0 + a·cos φ + b·sin φ. By least squares:
 * spread = 2·√(a²+b²), tilt = atan(√(a²+b²)/radius), push at atan2(b, a), where the gap is widest.
 *
 * Units: mm, degrees (0 at twelve o'clock, clockwise from the drive side). Errors: fewer than three clock points, an
 * empty arc over 180°. Source: plane fit; limits workshop consensus.
 * Example: gaps 12, 10, 8, 10 mm at 0, 90, 180, 270° → spread 4 mm, push 2 mm towards the wheel at twelve o'clock.
 */
function run({ readings, radiusMm, speeds, material, bentBefore }: Question): Hanger {
  const { g0, a, b, rms } = fit(readings);
  const amplitude = Math.hypot(a, b);
  const spreadMm = 2 * amplitude;
  const tiltDeg = (Math.atan2(amplitude, radiusMm) * 180) / Math.PI;
  const noise = 1e-9 * Math.max(1, Math.abs(g0));
  const at = amplitude <= noise ? 0 : (Math.atan2(b, a) * 180) / Math.PI;
  const pushAtDeg = (nanos(at) + 360) % 360;
  const limitMm = straightSpreadMm(speeds);
  const brittle = material === 'aluminium' || material === 'carbon';
  const straight = atLeast(limitMm, spreadMm);
  const verdict: Hanger['verdict'] = moreThan(rms, RMS_LIMIT_MM)
    ? 'measure-again'
    : straight
      ? 'straight'
      : (brittle && moreThan(tiltDeg, TILT_LIMIT_DEG)) ||
          material === 'carbon' ||
          (material === 'aluminium' && bentBefore)
        ? 'replace'
        : 'align';
  const spread = `${roundTo(spreadMm, 1)} mm`;
  const push = `Push the hanger ${roundTo(amplitude, 1)} mm towards the wheel at ${clockWords(pushAtDeg)}, or pull outwards opposite.`;
  const words = {
    straight: `Straight within ${limitMm} mm; leave it.`,
    align: push,
    replace: 'Fit a new hanger; do not bend this one.',
    'measure-again': 'Turn the wheel so that the same point of the rim is read each time, and read again.',
  }[verdict];
  const reasons = {
    straight: [`A spread of ${spread} is within the ${limitMm} mm that ${speeds} speeds allow.`],
    align: [`A spread of ${spread} is over the ${limitMm} mm that ${speeds} speeds allow. ${push}`],
    replace: [
      material === 'carbon'
        ? 'A bent hanger moulded in carbon is not bent back.'
        : bentBefore && !moreThan(tiltDeg, TILT_LIMIT_DEG)
          ? 'Aluminium that has been bent before breaks when it is bent again.'
          : `${roundTo(tiltDeg, 1)}° is more than ${TILT_LIMIT_DEG}°, further than ${material} is bent back.`,
    ],
    'measure-again': [
      `The readings do not lie on a plane (${roundTo(rms, 1)} mm off): the rim runs out, or another point was read. True the wheel first.`,
    ],
  }[verdict];
  if (verdict === 'align' && material === 'unknown')
    reasons.push('Find out what it is made of before bending it: aluminium takes one small bend, carbon none.');
  if (verdict !== 'measure-again' && anglesOf({ readings } as Question).length === 3)
    reasons.push('Three readings always fit: a fourth would show whether they can be trusted.');
  return {
    spreadMm: nanos(spreadMm),
    tiltDeg: nanos(tiltDeg),
    pushAtDeg: plainZero(pushAtDeg),
    pushMm: nanos(amplitude),
    residualMm: nanos(rms),
    verdict,
    words,
    reasons,
    working: [
      row('g0', 'mean gap', roundTo(g0, 3), 'mm'),
      row('a', 'towards twelve o’clock', roundTo(a, 3), 'mm'),
      row('b', 'towards three o’clock', roundTo(b, 3), 'mm'),
      row('s', 'spread 2·√(a²+b²)', roundTo(spreadMm, 3), 'mm'),
      row('θ', `tilt atan(√(a²+b²)/${roundTo(radiusMm, 1)})`, roundTo(tiltDeg, 3), '°'),
      row('L', `straight up to, ${speeds} speeds`, limitMm, 'mm'),
      row('ρ', 'off the plane, root mean square', roundTo(rms, 3), 'mm'),
    ],
  };
}

/** A direction as the clock face says it. Example: `clockWords(90)` is "three o’clock". */
export function clockWords(deg: number): string {
  const HOURS = [
    'twelve',
    'one',
    'two',
    'three',
    'four',
    'five',
    'six',
    'seven',
    'eight',
    'nine',
    'ten',
    'eleven',
  ] as const;
  return `${HOURS[Math.round(deg / 30) % 12]!} o’clock`;
}

export const inspectHanger = defineCalculator({
  id: 'inspect.hanger',
  title: 'Whether the derailleur hanger is straight',
  example: {
    readings: [0, 90, 180, 270].map((clockDeg, i) => ({ clockDeg, gapMm: [12, 10, 8, 10][i]! })),
    radiusMm: 311,
    speeds: 9,
  },
  input,
  run,
});
