import * as z from 'zod/mini';
import { defineCalculator, rule } from '../calculator';
import { cablePulls } from '../identify/data/cablePull';
import { atLeast, roundTo } from '../numbers';
import { USUAL_PITCH_MM } from './pitch';
import { row, type Judged } from '../verdict';

const FAMILIES = [...new Set(cablePulls.map(({ familyKey }) => familyKey))];
const family = z.string().check(
  z.refine((key) => FAMILIES.includes(key), { error: `one of: ${FAMILIES.join(', ')}` }),
  z.describe('a family of the table of cable pulls'),
);
const teeth = z.number().check(z.multipleOf(1), z.gte(7), z.lte(70));
const count = z.number().check(z.multipleOf(1), z.gte(1), z.lte(14));

const shape = z.strictObject({
  shifter: z.strictObject({ family, cogs: count.check(z.describe('its clicks and one')) }),
  rearDerailleur: z.strictObject({
    family,
    maxCog: z.optional(teeth),
    capacityTeeth: z.optional(z.number().check(z.multipleOf(1), z.gte(0), z.lte(100))),
  }),
  cassette: z.strictObject({
    cogs: count,
    pitchMm: z.optional(z.number().check(z.gt(2), z.lt(8))),
    largest: teeth,
    smallest: teeth,
  }),
  rings: z.array(teeth).check(z.minLength(1), z.maxLength(4)),
});
type Question = z.output<typeof shape>;

const rowsOf = (key: string) => cablePulls.filter(({ familyKey }) => familyKey === key);
const rowOf = (key: string, cogs: number) => rowsOf(key).find((each) => each.cogs === cogs);
const hasClicks = (key: string) => rowsOf(key).some(({ cablePullMmPerClick }) => cablePullMmPerClick !== null);

const input = rule(
  rule(
    shape,
    ['shifter', 'cogs'],
    ({ shifter }) => !hasClicks(shifter.family) || rowOf(shifter.family, shifter.cogs) !== undefined,
    ({ shifter }) =>
      `of ${shifter.family} there are shifters for ${rowsOf(shifter.family)
        .map(({ cogs }) => cogs)
        .join(', ')} cogs`,
  ),
  ['cassette', 'smallest'],
  ({ cassette }) => cassette.smallest <= cassette.largest,
  'the smallest cog is larger than the largest',
);

/** How far the last cog may be missed: crisp still, and just. */
const WORKS_MM = 0.8;
const MARGINAL_MM = 1.2;

export interface DriveMatch extends Judged<'works' | 'marginal' | 'no'> {
  movePerClickMm: number | null;
  cogPitchMm: number | null;
  worstMm: number | null;
  /** What rings and cogs ask the derailleur to take up. */
  capacityTeeth: number;
}

const pitchOf = ({ shifter, rearDerailleur, cassette }: Question): number | null =>
  cassette.pitchMm ??
  rowOf(rearDerailleur.family, cassette.cogs)?.cogPitchMm ??
  rowOf(shifter.family, cassette.cogs)?.cogPitchMm ??
  USUAL_PITCH_MM[cassette.cogs] ??
  null;

/** Why it does not reach: too large a cog, or more slack than the cage takes up. */
function reachOf({ rearDerailleur: { maxCog, capacityTeeth }, cassette }: Question, needed: number): string[] {
  const cogOver = maxCog === undefined ? 0 : cassette.largest - maxCog;
  const capacityOver = capacityTeeth === undefined ? 0 : needed - capacityTeeth;
  return [
    ...(cogOver > 0 ? [`The largest cog is over what the derailleur takes by ${teethWords(cogOver)}.`] : []),
    ...(capacityOver > 0 ? [`Rings and cogs want ${teethWords(capacityOver)} more than its cage takes up.`] : []),
  ];
}

const teethWords = (count: number) => (count === 1 ? 'one tooth' : `${count} teeth`);

/**
 * Whether shifter, derailleur, cogs and rings work together: pull of a click times what the derailleur makes of it against
 * the pitch of the cogs, largest cog and capacity.
 *
 * move = pull · ratio; worst = |move − pitch|·(cogs − 1)/2, which is how far the last cog is missed with the middle one right. Up to
 * 0.8 mm works, up to 1.2 is marginal. A shifter with fewer clicks than cogs is marginal at best; friction works with whatever reaches.
 *
 * Units: mm, teeth. Errors: a family that the table has not, a shifter that it has not. Source: the table of cable pulls (published pitches, workshop
 * consensus). Example: ten clicks of ratio 1.7 on nine cogs miss the last by 1.76 mm: no.
 */
function run(question: Question): DriveMatch {
  const { shifter, rearDerailleur, cassette, rings } = question;
  const pull = rowOf(shifter.family, shifter.cogs)?.cablePullMmPerClick ?? null;
  const ratio = rowsOf(rearDerailleur.family)[0]!.rearDerailleurActuationRatio;
  const move = pull === null || ratio === null ? null : pull * ratio;
  const pitch = pitchOf(question);
  const worst = move === null || pitch === null ? null : (Math.abs(move - pitch) * (cassette.cogs - 1)) / 2;
  const needed = Math.max(...rings) - Math.min(...rings) + cassette.largest - cassette.smallest;
  const reach = reachOf(question, needed);
  const short = pull !== null && shifter.cogs < cassette.cogs;
  const byPull =
    worst === null ? 'works' : atLeast(WORKS_MM, worst) ? 'works' : atLeast(MARGINAL_MM, worst) ? 'marginal' : 'no';
  const verdict = reach.length > 0 || byPull === 'no' ? 'no' : short || byPull === 'marginal' ? 'marginal' : 'works';
  const reasons = [
    ...reach,
    ...(byPull !== 'works'
      ? [
          `A click moves ${roundTo(move!, 2)} mm and the cogs stand ${roundTo(pitch!, 2)} apart: the last is missed by ${roundTo(worst!, 2)} mm.`,
        ]
      : []),
    ...(short ? [`The shifter has clicks for ${shifter.cogs} cogs of ${cassette.cogs}: some are never reached.`] : []),
    ...(pull !== null && shifter.cogs > cassette.cogs
      ? [`The shifter has clicks for ${shifter.cogs} cogs: its limit screw stops what is over.`]
      : []),
    ...(pull === null ? ['Friction has no click: the hand finds each cog, and whatever reaches works.'] : []),
  ];
  return {
    movePerClickMm: move,
    cogPitchMm: pitch,
    worstMm: worst,
    capacityTeeth: needed,
    verdict,
    reasons: reasons.length > 0 ? reasons : ['They work together: pull, pitch and reach agree.'],
    working: [
      ...(move === null ? [] : [row('m', `pull ${pull} · ratio ${ratio}`, roundTo(move, 3), 'mm')]),
      ...(pitch === null ? [] : [row('p', 'pitch of the cogs', pitch, 'mm')]),
      ...(worst === null ? [] : [row('w', '|m − p|·(cogs − 1)/2', roundTo(worst, 3), 'mm')]),
      row('c', 'rings and cogs to take up', needed, 'teeth'),
    ],
  };
}

export const driveMatch = defineCalculator({
  id: 'drive.match',
  title: 'Will shifter, derailleur and cogs work together',
  example: {
    shifter: { family: 'ratio 1.7', cogs: 9 },
    rearDerailleur: { family: 'ratio 1.7', maxCog: 34, capacityTeeth: 43 },
    cassette: { cogs: 9, largest: 32, smallest: 11 },
    rings: [48, 36, 26],
  },
  input,
  run,
});
