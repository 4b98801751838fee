import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { moreThan, roundTo } from '../numbers';
import { row, type Judged } from '../verdict';

const positive = z.number().check(z.gt(0));
const shape = z.strictObject({
  torqueNm: positive.check(z.lte(300)),
  majorMm: positive.check(z.gte(1), z.lte(60), z.describe('outside of the thread')),
  pitchMm: positive.check(z.gte(0.2), z.lte(6)),
  greased: z.boolean(),
  proofMPa: z.optional(positive.check(z.lte(2000), z.describe('what the class of the bolt bears, where it is known'))),
});
export type PreloadInput = z.input<typeof shape>;

const input = rule(
  shape,
  ['pitchMm'],
  ({ majorMm, pitchMm }) => pitchMm < majorMm / 2,
  ({ majorMm, pitchMm }) => `a pitch of ${pitchMm} mm leaves no metal in a thread of ${majorMm} mm: measure again`,
);

export interface Preload extends Judged<'unknown' | 'fine' | 'near' | 'over'> {
  preloadN: number;
  stressAreaMm2: number;
  /** Share of what the bolt bears; null where its class is not known. */
  proofShare: number | null;
}

/** How much of a torque is lost to friction, dry and greased. */
const K = { dry: 0.2, greased: 0.15 } as const;
const NEAR = 0.75;
const OVER = 0.9;

const WORDS = {
  unknown: 'The class of the bolt is not known: its pull alone is told.',
  fine: 'Well within what the bolt bears.',
  near: 'Near what the bolt bears: not tighter than this.',
  over: 'Over nine tenths of what the bolt bears: slacken it, and look at the thread.',
} as const;

/**
 * What a torque does to a bolt: the pull that it makes.
 *
 * F = T/(K·d), K 0.2 dry and 0.15 greased; A = π/4·(d − 0.9382·p)²; share = F/(A·proof).
 *
 * Units: N·m, mm, N, mm², MPa. Errors: a pitch that leaves no metal. Source: rule of thumb for K; ISO 898-1 for the area. It never
 * overrules a torque that is printed or tabled: that belongs to its stated preparation. Example: M5 × 0.8 at 5 N·m: 5.00 kN
 * dry, 6.67 kN greased, 14.2 mm².
 */
function run({ torqueNm, majorMm, pitchMm, greased, proofMPa }: z.output<typeof shape>): Preload {
  const k = greased ? K.greased : K.dry;
  const preloadN = (torqueNm * 1000) / (k * majorMm);
  const stressAreaMm2 = (Math.PI / 4) * (majorMm - 0.9382 * pitchMm) ** 2;
  const proofShare = proofMPa === undefined ? null : preloadN / (proofMPa * stressAreaMm2);
  const verdict =
    proofShare === null
      ? 'unknown'
      : moreThan(proofShare, OVER)
        ? 'over'
        : moreThan(proofShare, NEAR)
          ? 'near'
          : 'fine';
  return {
    preloadN,
    stressAreaMm2,
    proofShare,
    verdict,
    reasons: [WORDS[verdict], 'A printed or tabled torque comes first, with the preparation that it states.'],
    working: [
      row('T', 'torque', torqueNm, 'N·m'),
      row('K', greased ? 'friction, greased' : 'friction, dry', k),
      row('d', 'outside of the thread', majorMm, 'mm'),
      row('F', 'pull = T/(K·d)', roundTo(preloadN, 0), 'N'),
      row('A', 'area = π/4·(d − 0.9382·pitch)²', roundTo(stressAreaMm2, 2), 'mm²'),
      ...(proofShare === null ? [] : [row('s', 'share of what it bears = F/(A·proof)', roundTo(proofShare, 3))]),
    ],
  };
}

export const rebuildPreload = defineCalculator({
  id: 'rebuild.preload',
  title: 'What a torque does to a bolt, dry and greased',
  example: { torqueNm: 5, majorMm: 5, pitchMm: 0.8, greased: false },
  input,
  run,
});
