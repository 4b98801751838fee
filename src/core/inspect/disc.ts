import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { atLeast, clamp, moreThan, plainZero, roundTo } from '../numbers';
import { row, type Judged } from '../verdict';

const USABLE_MM = 0.3;
const CAUTIOUS_MINIMUM_MM = 1.7;
const NEAR_SHARE = 0.2;

const thickness = z.number().check(z.gte(0.3), z.lte(6), z.describe('millimetres on the brake track'));

const shape = z.strictObject({
  readingsMm: z
    .array(thickness)
    .check(z.minLength(1), z.maxLength(48), z.describe('measured on the track with pointed jaws, not across the lip')),
  minimumMm: z.optional(thickness).check(z.describe('the figure stamped on the disc')),
  newMm: z.optional(thickness).check(z.describe('thickness when new, where that is known')),
  wornPastReading: z
    ._default(z.boolean(), false)
    .check(z.describe('cracked, blued or so hollow that no reading tells')),
});

const LEAST_NEW_MM = 1.7;
const OVER_NEW_MM = 0.1;

let input = rule(
  shape,
  ['newMm'],
  (v) => v.newMm === undefined || atLeast(v.newMm, LEAST_NEW_MM),
  (v) =>
    `no new disc is ${v.newMm} mm, they are 1.8 to 2.0: that looks like the minimum stamped on it, or a reading of the worn track`,
);
input = rule(
  input,
  ['newMm'],
  (v) => v.newMm === undefined || v.minimumMm === undefined || moreThan(v.newMm, v.minimumMm),
  (v) => `a new disc of ${v.newMm} mm cannot have a minimum of ${v.minimumMm} mm: read the marking again`,
);

input = rule(
  input,
  ['readingsMm'],
  (v) => v.newMm === undefined || !moreThan(Math.max(...v.readingsMm), v.newMm + OVER_NEW_MM),
  (v) =>
    `${Math.max(...v.readingsMm)} mm is thicker than the ${v.newMm} mm of a new one: read on the track with pointed jaws, not across the lip, or put the new thickness right`,
);

export type DiscInput = z.input<typeof shape>;

export interface Disc extends Judged<'sound' | 'near' | 'replace'> {
  thinnestMm: number;
  spreadMm: number;
  minimumMm: number;
  minimumFrom: 'marking' | 'new thickness' | 'assumed';
  leftMm: number;
  usedShare: number;
}

/**
 * Wear of a brake disc.
 *
 * Minimum: as marked, else new − 0.3 mm, else 1.7 mm (cautious). left = thinnest − minimum; usable = new (or
 * minimum + 0.3) − minimum. Replace at the minimum; near under a fifth of the usable thickness.
 *
 * Units: mm. Errors: no reading, a thickness that no disc has, a minimum over the new thickness, a new thickness under 1.7 mm,
 * a reading over new + 0.1 mm.
 * Source: workshop consensus; the marking on the disc comes first.
 * Example: 1.52 mm on a disc stamped 1.5 is near, not sound.
 */
function run(disc: z.output<typeof shape>): Disc {
  const minimumFrom = disc.minimumMm !== undefined ? 'marking' : disc.newMm !== undefined ? 'new thickness' : 'assumed';
  const minimumMm = disc.minimumMm ?? (disc.newMm !== undefined ? disc.newMm - USABLE_MM : CAUTIOUS_MINIMUM_MM);
  const thinnestMm = Math.min(...disc.readingsMm);
  const spreadMm = Math.max(...disc.readingsMm) - thinnestMm;
  const usableMm = (disc.newMm ?? minimumMm + USABLE_MM) - minimumMm;
  const leftMm = thinnestMm - minimumMm;
  const verdict =
    disc.wornPastReading || atLeast(minimumMm, thinnestMm)
      ? 'replace'
      : moreThan(NEAR_SHARE * usableMm, leftMm)
        ? 'near'
        : 'sound';

  const reasons: string[] = [];
  if (disc.wornPastReading) reasons.push('Worn, cracked or blued past what a reading tells: renew it.');
  else if (verdict === 'replace')
    reasons.push(`${thinnestMm} mm is at or under the minimum of ${roundTo(minimumMm, 2)} mm.`);
  else if (verdict === 'near')
    reasons.push(
      `${roundTo(leftMm, 2)} mm is left over the minimum of ${roundTo(minimumMm, 2)} mm: renew with the next pads.`,
    );
  else reasons.push(`${roundTo(leftMm, 2)} mm is left over the minimum of ${roundTo(minimumMm, 2)} mm.`);
  if (minimumFrom === 'assumed')
    reasons.push('No marking and no new thickness known: the cautious minimum of 1.7 mm is taken.');
  if (minimumFrom === 'new thickness') reasons.push('No marking: the minimum is taken as 0.3 mm under new.');
  if (spreadMm > 0.1)
    reasons.push(`Readings differ by ${roundTo(spreadMm, 2)} mm: uneven wear is felt as pulsing at the lever.`);

  return {
    thinnestMm,
    spreadMm: plainZero(spreadMm),
    minimumMm,
    minimumFrom,
    leftMm: plainZero(leftMm),
    usedShare: clamp(1 - leftMm / usableMm, 0, Number.MAX_SAFE_INTEGER),
    verdict,
    reasons,
    working: [
      row('t', 'thinnest reading', thinnestMm, 'mm'),
      row('m', `minimum (${minimumFrom})`, roundTo(minimumMm, 3), 'mm'),
      row('r', 'left = t − m', roundTo(leftMm, 3), 'mm'),
      row('u', 'usable = new − m', roundTo(usableMm, 3), 'mm'),
      row('near', 'near under 0.2·u', roundTo(NEAR_SHARE * usableMm, 3), 'mm'),
    ],
  };
}

export const inspectDisc = defineCalculator({
  id: 'inspect.disc',
  title: 'Brake disc thickness',
  example: { readingsMm: [1.52, 1.54, 1.53], minimumMm: 1.5 },
  input,
  run,
});
