import * as z from 'zod/mini';
import { ruleWords, type HouseRule } from '../houseRules';
import { houseRules } from './gradeRules';
import { defineCalculator } from '../calculator';
import { row, type Judged } from '../verdict';

const track = z._default(z.enum(['bright', 'dull', 'pitted', 'unknown']), 'unknown');

const input = z.strictObject({
  kind: z.enum(['cup-and-cone', 'cartridge', 'bushing']),
  place: z.string().check(z.minLength(1), z.maxLength(80)),
  feel: z._default(z.enum(['smooth', 'light-rumble', 'gritty', 'notchy', 'tight', 'seized', 'unknown']), 'unknown'),
  play: z._default(z.enum(['none', 'slight', 'clear', 'unknown']), 'unknown'),
  grease: z._default(z.enum(['fresh', 'dirty', 'dry', 'rusty', 'unknown']), 'unknown'),
  cup: track,
  cone: track,
  balls: z
    ._default(z.enum(['bright', 'dull', 'rusty', 'short', 'unknown']), 'unknown')
    .check(z.describe('short: fewer balls than belong')),
  seal: z._default(z.enum(['sound', 'torn', 'unknown']), 'unknown'),
  openable: z._default(z.boolean(), true),
  brief: z._default(z.enum(['rideable', 'preserve', 'period', 'modernise', 'donor']), 'rideable'),
  rules: z.prefault(houseRules, {}),
});

export type GradeInput = z.input<typeof input>;
type Evidence = z.output<typeof input>;
export type BearingVerdict =
  | 'leave'
  | 'adjust'
  | 'repack'
  | 'renew-balls'
  | 'renew-cone'
  | 'renew-cartridge'
  | 'renew-unit'
  | 'run-on'
  | 'look-inside';

export interface Grade extends Judged<BearingVerdict> {
  /** Parts, compounds and readings that the verdict asks for. */
  needs: string[];
  /** The house rule that decided, as name: value; null where no rule had a say. */
  rule: string | null;
}

interface Finding {
  verdict: BearingVerdict;
  why: string;
  rule?: string;
}

/** What carries the inner track: a hub has a cone, a headset a race, a bottom bracket its spindle. */
export const innerOf = (place: string): 'cone' | 'race' | 'spindle' =>
  place === 'headset' ? 'race' : place === 'bottom-bracket' ? 'spindle' : 'cone';

const ROUGH = ['light-rumble', 'gritty', 'notchy', 'seized'];

function closedKind(e: Evidence): Finding {
  const name = e.kind === 'cartridge' ? 'cartridge' : 'bushing';
  if (e.feel === 'notchy' || e.feel === 'seized')
    return { verdict: 'renew-cartridge', why: `A ${e.feel} ${name} does not come back.` };
  if (e.balls === 'rusty') return { verdict: 'renew-cartridge', why: 'The balls themselves are rusty.' };
  if (e.play === 'clear')
    return { verdict: 'renew-cartridge', why: `Clear play in a ${name} is wear, not adjustment.` };
  if (e.feel === 'gritty' || e.feel === 'light-rumble') {
    const rule = `cartridges: ${e.rules.cartridges}`;
    if (e.rules.cartridges === 'replace-when-rough')
      return { verdict: 'renew-cartridge', why: 'It runs rough, and rough ones are renewed here.', rule };
    if (e.balls === 'bright')
      return { verdict: 'repack', why: 'It runs rough but the balls are bright: flush and grease it again.', rule };
    if (e.balls === 'unknown')
      return { verdict: 'look-inside', why: 'It runs rough: lift the seal and look at the balls.', rule };
    return { verdict: 'renew-cartridge', why: 'It runs rough and the balls are no longer bright.', rule };
  }
  if (e.play === 'slight') return { verdict: 'adjust', why: 'Slight play: look at its seat and preload first.' };
  if (e.feel === 'tight')
    return { verdict: 'adjust', why: 'It runs tight: it may be squeezed or not square in its seat.' };
  return sound(e);
}

function cupAndCone(e: Evidence): Finding {
  const opened = e.cup !== 'unknown' || e.cone !== 'unknown' || e.balls !== 'unknown' || e.grease !== 'unknown';
  const rough = ROUGH.includes(e.feel);
  if (e.cup === 'pitted') {
    const rule = `pittedCup: ${e.rules.pittedCup}`;
    return e.rules.pittedCup === 'renew-unit'
      ? { verdict: 'renew-unit', why: 'The cup is pitted and cannot be renewed by itself.', rule }
      : {
          verdict: 'run-on',
          why: 'The cup is pitted: new balls, set at the tightest spot of the turn, said on the sheet, looked at sooner.',
          rule,
        };
  }
  if (e.cone === 'pitted')
    return { verdict: 'renew-cone', why: `The ${innerOf(e.place)} is pitted: a pit only grows.` };
  if (e.balls === 'rusty') return { verdict: 'renew-balls', why: 'The balls are rusty.' };
  if (e.balls === 'short')
    return {
      verdict: 'renew-balls',
      why: 'Fewer balls than belong: fill it again with one new lot, never new among old.',
    };
  const stale = e.grease === 'dirty' || e.grease === 'dry' || e.grease === 'rusty';
  if (opened && (rough || stale)) {
    const why = stale ? `The grease is ${e.grease}.` : 'It ran rough.';
    const rule = `reuseBalls: ${e.rules.reuseBalls}`;
    if (e.rules.reuseBalls === 'never')
      return { verdict: 'renew-balls', why: `${why} New balls go in as a matter of course here.`, rule };
    if (e.balls === 'dull') return { verdict: 'renew-balls', why: `${why} The balls are dull.`, rule };
    return { verdict: 'repack', why: `${why} Clean it, look, and grease it again.`, rule };
  }
  if (!opened && (e.feel === 'gritty' || e.feel === 'notchy' || e.feel === 'seized')) {
    return e.openable
      ? { verdict: 'look-inside', why: `It feels ${e.feel}: only the bare bearing tells whether it is dirt or a pit.` }
      : { verdict: 'renew-unit', why: `It feels ${e.feel} and is not made to be opened.` };
  }
  if (e.feel === 'tight')
    return {
      verdict: 'adjust',
      why: 'Too tight is the dangerous state: it marks the tracks. Slacken it before it is ridden.',
    };
  if (e.play === 'slight' || e.play === 'clear')
    return { verdict: 'adjust', why: `There is ${e.play} play: set it so that it is smooth with none.` };
  return sound(e);
}

function sound(e: Evidence): Finding {
  if (e.rules.openSound)
    return {
      verdict: 'repack',
      why: 'It feels sound, and sound bearings are opened here all the same.',
      rule: 'openSound: true',
    };
  if (e.feel === 'unknown' && e.play === 'unknown')
    return { verdict: 'leave', why: 'Nothing against it is known; it has not been felt.' };
  if (e.feel === 'light-rumble')
    return { verdict: 'leave', why: 'A light rumble without play may stay, or be greased again when there is time.' };
  return { verdict: 'leave', why: 'It runs as it should: leave well alone.' };
}

const NEEDS: Record<BearingVerdict, string[]> = {
  leave: [],
  adjust: ['cone spanners', 'adjustment felt as it is ridden'],
  repack: ['degreaser', 'bearing grease', 'adjustment felt as it is ridden'],
  'renew-balls': ['new balls of one lot, both sides', 'degreaser', 'bearing grease', 'adjustment felt as it is ridden'],
  'renew-cone': ['cone of the same thread and profile', 'new balls of one lot, both sides', 'bearing grease'],
  'renew-cartridge': ['bore × outside × width of the cartridge', 'press that bears on the outer ring only'],
  'renew-unit': ['replacement unit of the same dimensions'],
  'run-on': [
    'new balls of one lot, both sides',
    'adjustment at the tightest spot',
    'a line on the sheet',
    'a shorter interval',
  ],
  'look-inside': ['the bearing opened', 'balls counted out each side', 'a look at cup, cone and balls'],
};

/**
 * What a bearing needs, from feel, play and what is seen once it is open. The first rule that matches decides;
 * where schools differ the house rule in force is named. A worse reading of cup, cone or balls never gives a
 * milder verdict (leave < adjust < repack < renew-balls < renew-cone = renew-cartridge < renew-unit).
 *
 * Errors: a word that is not in the lists. Source: workshop consensus.
 * Example: cup and cone, gritty, not opened → look inside.
 */
function run(evidence: Evidence): Grade {
  const found = evidence.kind === 'cup-and-cone' ? cupAndCone(evidence) : closedKind(evidence);
  const reasons = [found.why];
  if (evidence.cone === 'dull' || evidence.cup === 'dull')
    reasons.push('A dull track is wear: it will be the next to go.');
  if (evidence.seal === 'torn')
    reasons.push('The seal is torn: water will be back soon, so renew it or look again sooner.');
  if (evidence.brief === 'preserve' && (found.verdict === 'renew-unit' || found.verdict === 'renew-cone'))
    reasons.push('The brief is to preserve: keep the old part with the bicycle.');
  if (evidence.brief === 'donor') reasons.push(donorWords(evidence));
  if (found.rule) {
    const [key, value] = found.rule.split(': ') as [HouseRule['key'], string];
    reasons.push(`House rule: ${ruleWords(key, value === 'true' ? 'yes' : value).toLowerCase()}.`);
  }
  return {
    verdict: found.verdict,
    needs: NEEDS[found.verdict].map((need) => need.replace(/^cone of/, `${innerOf(evidence.place)} of`)),
    rule: found.rule ?? null,
    reasons,
    working: [
      row('feel', 'feel', evidence.feel),
      row('play', 'play', evidence.play),
      row('grease', 'grease', evidence.grease),
      row('cup', 'cup track', evidence.cup),
      row('cone', `${innerOf(evidence.place)} track`, evidence.cone),
      row('balls', 'balls', evidence.balls),
      row('seal', 'seal', evidence.seal),
    ],
  };
}

function donorWords(evidence: Evidence): string {
  const worth = [
    ...(evidence.cone === 'bright' ? [`${innerOf(evidence.place)}s`] : []),
    ...(evidence.cup === 'bright' ? ['the shell with its cups'] : []),
    ...(evidence.kind === 'cartridge' && evidence.feel === 'smooth' ? ['the cartridges'] : []),
    'axle, nuts and washers',
  ];
  return `This bicycle is a donor: worth keeping are ${worth.join(', ')}.`;
}

export const bearingsGrade = defineCalculator({
  id: 'bearings.grade',
  title: 'What a bearing needs',
  example: { kind: 'cup-and-cone', place: 'hub.front', feel: 'gritty' },
  input,
  run,
});
