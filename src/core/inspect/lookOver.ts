import { z } from 'zod';
import { houseRules } from '../bearings/gradeRules';
import { bicycleKind, BRIEFS } from '../bicycle';
import { defineCalculator } from '../calculator';
import { placeLabel, type StateId } from '../vocabulary/vocabulary';
import { checksFor } from './checks';
import { evidence } from './evidence';
import { SEEN_AS, type SeenAs } from './seenAs';
import { judgeCheck, NOT_LOOKED, type Judgement } from './judgeCheck';

const input = z.strictObject({
  kind: bicycleKind.prefault({}),
  brief: z.enum(BRIEFS).default('rideable'),
  rules: houseRules.prefault({}),
  frontBrakeHand: z.enum(['left', 'right', 'either']).default('either'),
  today: z.iso.date().nullable().default(null).describe('for what grows old; null leaves age unjudged'),
  now: z.enum(SEEN_AS).default('bought').describe('how far the bicycle is'),
  found: z
    .array(z.strictObject({ check: z.string().max(40), evidence, seenAs: z.enum(SEEN_AS).default('bought') }))
    .max(400)
    .describe('one entry a check; a check named twice: the last counts'),
});

export interface Finding extends Judgement {
  check: string;
  label: string;
  place: string;
  quick: boolean;
  seenAs: SeenAs | null;
  /** Seen before cleaning where dirt can hide or feign it: to be asked again. */
  again: boolean;
  /** A sibling that failed, in words: one bad pad condemns the others until they are looked at. */
  raisedBy: string | null;
}

/**
 * The look-over of one bicycle: every check that it has, with its state, verdict, reasons and working. A check without
 * evidence stays "not looked at", which is not fine; evidence that cannot be is not judged and says what to do. What dirt
 * can hide is asked again once the bicycle is clean, and siblings of what failed are raised.
 *
 * Errors: words that no check knows. Source: the calculators named in each working.
 * Example: `found: []` gives every check of a bicycle, all not looked at.
 */
function run({ kind, brief, rules, frontBrakeHand, today, now, found }: z.output<typeof input>) {
  const latest = new Map(found.map((entry) => [entry.check, entry]));
  const clean = SEEN_AS.indexOf('cleaned');
  const findings: Finding[] = checksFor(kind).map((check) => {
    const entry = latest.get(check.id);
    const judged = entry
      ? judgeCheck(check, entry.evidence, { kind, brief, rules, frontBrakeHand, today })
      : NOT_LOOKED;
    return {
      check: check.id,
      label: check.label,
      place: check.place,
      quick: check.quick,
      ...judged,
      seenAs: entry && judged.state !== 'not-looked-at' ? entry.seenAs : null,
      again:
        check.dirt &&
        judged.state !== 'not-looked-at' &&
        SEEN_AS.indexOf(now) >= clean &&
        SEEN_AS.indexOf(entry!.seenAs) < clean,
      raisedBy: null,
    };
  });
  const group = new Map(checksFor(kind).map((check) => [check.id, check.siblings]));
  for (const finding of findings) {
    const siblings = group.get(finding.check);
    if (!siblings || (finding.state !== 'not-looked-at' && finding.state !== 'fine')) continue;
    const failed = findings.find(
      (other) =>
        other.check !== finding.check &&
        group.get(other.check) === siblings &&
        (other.state === 'replace' || other.state === 'unsafe'),
    );
    if (failed) finding.raisedBy = `${failed.label} failed: look at this one with the same eyes.`;
  }
  const count = (state: StateId) => findings.filter((finding) => finding.state === state).length;
  const places = [...new Set(findings.map((finding) => finding.place))];
  const untouched = places.filter((place) =>
    findings.every((finding) => finding.place !== place || finding.state === 'not-looked-at'),
  );
  return {
    findings,
    notLookedAt: count('not-looked-at'),
    places: places.length,
    /** Places where nothing has been looked at, by id and in words. */
    placesNotLookedAt: untouched.map((place) => ({ place, label: placeLabel(place) })),
    again: findings.filter((finding) => finding.again).length,
    unsafe: count('unsafe'),
  };
}

export type LookOver = ReturnType<typeof run>;
export const inspectLookOver = defineCalculator({
  id: 'inspect.lookOver',
  title: 'The look-over of one bicycle',
  example: { found: [{ check: 'chain', evidence: { pitches: 24, lengthMm: 306.9 } }] },
  input,
  run,
});
