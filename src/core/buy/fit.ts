import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { atLeast, roundTo } from '../numbers';
import { row, type WorkingRow } from '../verdict';
import { CONVENTIONS } from './conventions';

const shape = z.strictObject({
  kind: z.enum(['road', 'touring', 'city', 'mountain', 'small-wheel']),
  sizeMm: z.number().check(z.gte(250), z.lte(720), z.describe('the seat tube, by the convention named')),
  convention: z
    .enum(CONVENTIONS)
    .check(
      z.describe(
        'centre of the bottom bracket to the top of the seat tube, to the centre of the top tube, or to the top of the top tube',
      ),
    ),
  topTubeMm: z._default(z.number().check(z.gte(25), z.lte(60)), 28.6).check(z.describe('diameter of the top tube')),
  standoverMm: z
    .optional(z.number().check(z.gte(300), z.lte(1000)))
    .check(z.describe('ground to the top of the top tube, in its middle')),
  riderMm: z.optional(z.number().check(z.gte(1000), z.lte(2300))).check(z.describe('height of a rider to check')),
  inseamMm: z
    .optional(z.number().check(z.gte(400), z.lte(1100)))
    .check(z.describe('of that rider, floor to crotch, barefoot')),
});

const input = rule(
  shape,
  ['sizeMm'],
  ({ kind, sizeMm }) => kind === 'small-wheel' || sizeMm >= 300,
  'too small for a frame with large wheels: measure again from the centre of the bottom bracket',
);

/** Seat tube as a share of the inseam, centre to top, and the clearance wanted over the top tube. */
const SHARES = {
  road: { share: 0.665, clearMm: 20 },
  touring: { share: 0.655, clearMm: 25 },
  city: { share: 0.64, clearMm: 25 },
  mountain: { share: 0.56, clearMm: 50 },
  'small-wheel': { share: 0.5, clearMm: 25 },
} as const;

/** Inseam as a share of body height, in the middle of grown people, and how far people stray from it. */
const INSEAM_SHARE = 0.47;
/** A frame serves riders this far to either side of the one it fits best, by post and stem. */
const REACH = { road: 0.035, touring: 0.04, city: 0.055, mountain: 0.05, 'small-wheel': 0.1 } as const;
/** From the top of the seat tube down to the middle of the top tube on frames with a horizontal one. */
const TOP_OVER_TUBE_MM = 15;

export interface Fit {
  riderMm: { low: number; likely: number; high: number };
  seatTubeMm: { centreTop: number; centreCentre: number; centreTopTube: number };
  standover: { inseamNeededMm: number; verdict: 'clear' | 'too-high' | 'unknown' } | null;
  verdict: 'fits' | 'small' | 'large' | 'range';
  reasons: string[];
  working: WorkingRow[];
}

/** A seat tube by one convention, in the others: a top tube of some diameter set below the top of the seat tube. */
function allConventions(sizeMm: number, convention: (typeof CONVENTIONS)[number], topTubeMm: number) {
  const toCentre = TOP_OVER_TUBE_MM;
  const centreTop =
    convention === 'centre-top'
      ? sizeMm
      : convention === 'centre-centre'
        ? sizeMm + toCentre
        : sizeMm + toCentre - topTubeMm / 2;
  return {
    centreTop: roundTo(centreTop, 1),
    centreCentre: roundTo(centreTop - toCentre, 1),
    centreTopTube: roundTo(centreTop - toCentre + topTubeMm / 2, 1),
  };
}

/**
 * Whom a frame fits: the seat tube, brought to centre-to-top, is a share of the inseam of the rider it fits best; the inseam
 * is about 0.47 of the height, and where it was measured it decides over the height. Post and stem serve riders some way to either side. With the standover height, the inseam
 * that clears the top tube.
 *
 * Units: mm. Errors: a size that no frame has. Source: rule of thumb of fitting by inseam; said so in the reasons.
 * Example: a road frame of 560 mm centre to top → best for about 1.79 m.
 */
function run({ kind, sizeMm, convention, topTubeMm, standoverMm, riderMm, inseamMm }: z.output<typeof shape>): Fit {
  const { share, clearMm } = SHARES[kind];
  const tube = allConventions(sizeMm, convention, topTubeMm);
  const likely = tube.centreTop / share / INSEAM_SHARE;
  const range = {
    low: roundTo(likely * (1 - REACH[kind]), -1),
    likely: roundTo(likely, -1),
    high: roundTo(likely * (1 + REACH[kind]), -1),
  };
  const neededMm = standoverMm === undefined ? null : standoverMm + clearMm;
  const knownInseam = inseamMm ?? (riderMm === undefined ? undefined : riderMm * INSEAM_SHARE);
  const standover =
    neededMm === null
      ? null
      : {
          inseamNeededMm: roundTo(neededMm, 0),
          verdict:
            knownInseam === undefined
              ? ('unknown' as const)
              : atLeast(knownInseam, neededMm)
                ? ('clear' as const)
                : ('too-high' as const),
        };
  // Two people of one height differ by a hand's breadth in their legs: an inseam that was measured decides.
  const height = inseamMm === undefined ? riderMm : inseamMm / INSEAM_SHARE;
  const verdict =
    height === undefined ? 'range' : height < range.low ? 'large' : height > range.high ? 'small' : 'fits';
  const metres = (mm: number) => `${(mm / 1000).toFixed(2)} m`;
  const who = inseamMm === undefined ? `a rider of ${metres(height ?? 0)}` : `an inseam of ${roundTo(inseamMm, 0)} mm`;
  const reasons = [
    `Riders of about ${metres(range.low)} to ${metres(range.high)}, best near ${metres(range.likely)}.`,
    ...(verdict === 'large' || verdict === 'small' ? [`It is ${verdict} for ${who}.`] : []),
    ...(standover
      ? [
          standover.verdict === 'too-high'
            ? `The top tube is too high: an inseam of ${standover.inseamNeededMm} mm is wanted to stand over it.`
            : `An inseam of ${standover.inseamNeededMm} mm stands over it with ${clearMm} mm to spare.`,
        ]
      : []),
    'A rule of thumb: arms, legs and habits differ, so let the rider try it.',
  ];
  return {
    riderMm: range,
    seatTubeMm: tube,
    standover,
    verdict,
    reasons,
    working: [
      row('S', 'seat tube, centre to top', tube.centreTop, 'mm'),
      row('k', `share of the inseam, ${kind}`, share),
      row('i', 'inseam S/k', roundTo(tube.centreTop / share, 0), 'mm'),
      row('h', `height i/${INSEAM_SHARE}`, roundTo(likely, 0), 'mm'),
      row('±', 'reach of post and stem', REACH[kind] * 100, '%'),
    ],
  };
}

export const buyFit = defineCalculator({
  id: 'buy.fit',
  title: 'Whom a frame fits',
  example: { kind: 'road', sizeMm: 560, convention: 'centre-top' },
  input,
  run,
});
