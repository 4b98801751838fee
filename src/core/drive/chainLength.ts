import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { atLeast, roundTo } from '../numbers';
import { row, type Judged } from '../verdict';

/** A pitch of every bicycle chain. */
export const PITCH_MM = 12.7;
const teeth = z.number().check(z.multipleOf(1), z.gte(7), z.lte(70));

const shape = z.strictObject({
  stayMm: z.number().check(z.gte(250), z.lte(800), z.describe('bracket axle to wheel axle, along the stay')),
  largestRing: teeth,
  largestCog: teeth,
  kind: z._default(z.enum(['derailleur', 'single']), 'derailleur'),
  slotMm: z
    ._default(z.number().check(z.gte(0), z.lte(80)), 0)
    .check(z.describe('how far the axle can move back from there')),
});
const input = rule(
  shape,
  ['stayMm'],
  // The chain has to go round: the two must not meet.
  ({ stayMm, largestRing, largestCog }) => stayMm > ((largestRing + largestCog) * PITCH_MM) / (2 * Math.PI) - 100,
  'ring and cog would meet over so short a stay',
);

export interface ChainLength extends Judged<'fits' | 'half-link' | 'no-fit'> {
  exactPitches: number;
  pitches: number | null;
  /** The stay at which a chain of so many pitches is tight; of a derailleur's no matter. */
  fitsAtStayMm: number | null;
  words: string;
  /** The stays that the two nearest even numbers would need. */
  evenStays: { pitches: number; stayMm: number }[];
}

/** What a chain needs round two wheels of teeth: exact = 2C + (N + n)/2 + ((N − n)/2π)²/C, C in pitches. */
const needed = (stayMm: number, ring: number, cog: number): number => {
  const c = stayMm / PITCH_MM;
  return 2 * c + (ring + cog) / 2 + ((ring - cog) / (2 * Math.PI)) ** 2 / c;
};

/** The stay at which a chain of so many pitches is tight: the same formula, a quadratic in C, solved for its longer root. */
function stayOf(pitches: number, ring: number, cog: number): number {
  const free = pitches - (ring + cog) / 2;
  const k = ((ring - cog) / (2 * Math.PI)) ** 2;
  return ((free + Math.sqrt(Math.max(0, free * free - 8 * k))) / 4) * PITCH_MM;
}

const evenFrom = (exact: number): number => {
  const up = Math.ceil(exact - 1e-9);
  return up % 2 === 0 ? up : up + 1;
};

/**
 * How long a chain has to be: for a derailleur round the largest ring and the largest cog and two pitches more, an even
 * number; for a single speed the number whose stay lies within the slot, even if there is one, else with a half link.
 *
 * exact = 2C + (N + n)/2 + ((N − n)/2π)²/C pitches, C = stay / 12.7 mm.
 *
 * Units: mm, teeth, pitches. Errors: a stay beyond 250…800 mm, teeth beyond 7…70. Source: geometry of a belt round two circles.
 * Example: 430 mm, 50 and 28 → 107.1 exactly, 110 pitches.
 */
function run({ stayMm, largestRing, largestCog, kind, slotMm }: z.output<typeof shape>): ChainLength {
  const exact = needed(stayMm, largestRing, largestCog);
  const working = [
    row('C', 'stay / 12.7', roundTo(stayMm / PITCH_MM, 2), 'pitches'),
    row('e', '2C + (N + n)/2 + ((N − n)/2π)²/C', roundTo(exact, 2), 'pitches'),
  ];
  const stays = (pitches: number) => stayOf(pitches, largestRing, largestCog);
  const over = evenFrom(exact);
  const under = over - (over === exact ? 0 : 2);
  const evenStays = [...new Set([under, over])].map((pitches) => ({ pitches, stayMm: stays(pitches) }));
  if (kind === 'derailleur') {
    const pitches = evenFrom(exact + 2);
    const words = 'Round the largest ring and the largest cog, and one pair of links more.';
    return {
      exactPitches: exact,
      pitches,
      fitsAtStayMm: null,
      verdict: 'fits',
      words,
      reasons: [words],
      evenStays,
      working,
    };
  }
  const within = (pitches: number) => atLeast(stays(pitches), stayMm) && atLeast(stayMm + slotMm, stays(pitches));
  // From the shortest that reaches: one that is a hair short by rounding is tried too.
  const from = Math.ceil(exact - 1e-6);
  const numbers = Array.from({ length: 2 + Math.ceil((2 * slotMm) / PITCH_MM) + 2 }, (_, i) => from + i);
  const pitches =
    numbers.find((each) => each % 2 === 0 && within(each)) ??
    numbers.find((each) => each % 2 === 1 && within(each)) ??
    null;
  if (pitches === null) {
    const told = evenStays.map((each) => `${each.pitches} pitches want ${roundTo(each.stayMm, 1)} mm`).join(', ');
    const words = `No number of pitches is tight there: ${told}. Another cog, or a tensioner.`;
    return {
      exactPitches: exact,
      pitches,
      fitsAtStayMm: null,
      verdict: 'no-fit',
      words,
      reasons: [words],
      evenStays,
      working,
    };
  }
  const verdict = pitches % 2 === 0 ? 'fits' : 'half-link';
  const at = roundTo(stays(pitches), 1);
  const words =
    verdict === 'fits' ? `Tight with the axle at ${at} mm.` : `With a half link, tight with the axle at ${at} mm.`;
  return {
    exactPitches: exact,
    pitches,
    fitsAtStayMm: stays(pitches),
    verdict,
    words,
    reasons: [words],
    evenStays,
    working,
  };
}

export const driveChainLength = defineCalculator({
  id: 'drive.chainLength',
  title: 'How long a chain has to be',
  example: { stayMm: 430, largestRing: 50, largestCog: 28 },
  input,
  run,
});
