import * as z from 'zod/mini';
import { houseRules } from '../bearings/gradeRules';
import { bicycleKind, BRIEFS } from '../bicycle';
import { defineCalculator } from '../calculator';
import { placeLabel, type StateId } from '../vocabulary/vocabulary';
import type { Check } from './check';
import { checkById, checksFor } from './checks';
import { evidence } from './evidence';
import { asGoodAs, meansOf } from './means';
import { SEEN_AS, type SeenAs } from './seenAs';
import { judgeCheck, NOT_LOOKED, type Bench, type Judgement } from './judgeCheck';

const input = z.strictObject({
  kind: z.prefault(bicycleKind, {}),
  brief: z._default(z.enum(BRIEFS), 'rideable'),
  rules: z.prefault(houseRules, {}),
  frontBrakeHand: z._default(z.enum(['left', 'right', 'either']), 'either'),
  today: z._default(z.nullable(z.iso.date()), null).check(z.describe('for what grows old; null leaves age unjudged')),
  now: z._default(z.enum(SEEN_AS), 'bought').check(z.describe('how far the bicycle is')),
  found: z
    .array(
      z.strictObject({
        check: z.string().check(z.maxLength(64)),
        evidence,
        seenAs: z._default(z.enum(SEEN_AS), 'bought'),
        at: z.optional(z.iso.datetime()),
      }),
    )
    .check(
      z.maxLength(400),
      z.describe(
        'in the order in which it was seen; of a check named twice the last counts, and what was unsafe stands',
      ),
    ),
  mended: z
    ._default(
      z
        .array(z.strictObject({ place: z.string().check(z.maxLength(64)), at: z.iso.datetime() }))
        .check(z.maxLength(400)),
      [],
    )
    .check(
      z.describe('when a job at a place was done: what is seen later stands in the stead of all that was seen before'),
    ),
  ended: z
    ._default(
      z
        .array(
          z.strictObject({
            check: z.string().check(z.maxLength(64)),
            how: z.enum(['removed', 'cleared']),
            by: z.string().check(z.maxLength(80)),
            on: z.iso.date(),
            paper: z._default(z.string().check(z.maxLength(500)), ''),
          }),
        )
        .check(z.maxLength(400)),
      [],
    )
    .check(
      z.describe(
        'what ended something unsafe, later than it was seen: the part gone, or cleared by a qualified person',
      ),
    ),
});
type Question = z.output<typeof input>;
type Entry = Question['found'][number];
type End = Question['ended'][number];

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
  /** Whether it stops, steers or carries. */
  safety: boolean;
  /** The bicycle, as it is described now, has no such part; what was unsafe about it stands all the same. */
  gone: boolean;
  /** What ended something unsafe. */
  ended: Omit<End, 'check'> | null;
}

/** What was seen of a check since it was mended; all of it where it was not looked at again. */
function sinceMended(seen: Entry[], mendedAt: number | undefined): Entry[] {
  if (mendedAt === undefined) return seen;
  const after = seen.filter(({ at }) => at !== undefined && Date.parse(at) > mendedAt);
  return after.length > 0 ? after : seen;
}

/** A check's judgement over all that still says something of it: what was unsafe stands until the same means, or a better one, says otherwise. */
function standing(check: Check, seen: Entry[], bench: Bench): { judged: Judgement; entry: Entry | null } {
  let open: { judged: Judgement; entry: Entry } | null = null;
  let last: { judged: Judgement; entry: Entry } | null = null;
  for (const entry of seen) {
    const judged = judgeCheck(check, entry.evidence, bench);
    if (judged.state === 'not-looked-at' && last) continue;
    last = { judged, entry };
    if (judged.state === 'unsafe') open = last;
    else if (open && asGoodAs(meansOf(entry.evidence), meansOf(open.entry.evidence))) open = null;
  }
  if (!last) return { judged: NOT_LOOKED, entry: null };
  if (!open || open === last) return last;
  const how = meansOf(open.entry.evidence) === 'reading' ? 'A reading' : 'A hand on it';
  const words = `${how} found it unsafe, and a look does not unsay that: take it again the same way.`;
  return { judged: { ...open.judged, reasons: [words, ...open.judged.reasons] }, entry: open.entry };
}

function endWords({ how, by, on, paper }: End): string {
  return how === 'removed'
    ? `The part that was unsafe is gone since ${on}; what stands there now has not been looked at.`
    : `Found unsafe, and cleared by ${by} on ${on}${paper ? ` (${paper})` : ''}.`;
}

/** A finding once something ended what was unsafe about it. */
function afterEnd(judged: Judgement, end: End): Judgement {
  return end.how === 'removed'
    ? { ...NOT_LOOKED, reasons: [endWords(end)] }
    : { ...judged, state: 'watch', verdict: null, outcome: null, reasons: [endWords(end), ...judged.reasons] };
}

/**
 * The look-over of one bicycle: every check that it has, with its state, verdict, reasons and working. A check without
 * evidence stays "not looked at", which is not fine; evidence that cannot be is not judged and says what to do. What dirt
 * can hide is asked again once the bicycle is clean, and siblings of what failed are raised. What was unsafe stands until
 * the same means or a better one says otherwise, also where the bicycle is described without that part by now; it ends
 * as well when the part is gone, or a qualified person has cleared it.
 *
 * Errors: words that no check knows. Source: the calculators named in each working.
 * Example: `found: []` gives every check of a bicycle, all not looked at.
 */
function run({ kind, brief, rules, frontBrakeHand, today, now, found, mended, ended }: Question) {
  const bench = { kind, brief, rules, frontBrakeHand, today };
  const seenOf = new Map<string, Entry[]>();
  for (const entry of found) seenOf.set(entry.check, [...(seenOf.get(entry.check) ?? []), entry]);
  const mendedAt = new Map<string, number>();
  for (const { place, at } of mended) mendedAt.set(place, Math.max(mendedAt.get(place) ?? -Infinity, Date.parse(at)));
  const endOf = new Map(ended.map((end) => [end.check, end]));
  const clean = SEEN_AS.indexOf('cleaned');
  const own = checksFor(kind);
  const had = new Set(own.map((check) => check.id));
  const gone = [...seenOf.keys()].flatMap((id) => {
    const check = had.has(id) ? undefined : checkById(id);
    return check ? [check] : [];
  });
  const findingOf = (check: Check): Finding => {
    const { judged: found, entry } = standing(
      check,
      sinceMended(seenOf.get(check.id) ?? [], mendedAt.get(check.place)),
      bench,
    );
    const end = found.state === 'unsafe' ? endOf.get(check.id) : undefined;
    const judged = end ? afterEnd(found, end) : found;
    const looked = judged.state !== 'not-looked-at';
    return {
      check: check.id,
      label: check.label,
      place: check.place,
      quick: check.quick,
      ...judged,
      seenAs: entry && looked ? entry.seenAs : null,
      again: check.dirt && looked && SEEN_AS.indexOf(now) >= clean && SEEN_AS.indexOf(entry!.seenAs) < clean,
      raisedBy: null,
      safety: check.safety !== null,
      gone: false,
      ended: end ? { how: end.how, by: end.by, on: end.on, paper: end.paper } : null,
    };
  };
  const unsafeStill = gone
    .map(findingOf)
    .filter(({ state }) => state === 'unsafe')
    .map((finding) => ({
      ...finding,
      label: `${finding.label}, no longer of this kind`,
      quick: false,
      again: false,
      gone: true,
    }));
  const findings: Finding[] = [...own.map(findingOf), ...unsafeStill];
  const group = new Map(own.map((check) => [check.id, check.siblings]));
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
    /** Places that stop, steer or carry, or that the law of the road asks for. */
    safetyPlaces: safetyPlaces(own),
  };
}

/** What local rules ask for on the road, whatever it does for the ride. */
const ASKED_BY_LAW = ['bell', 'lights'];

function safetyPlaces(checks: Check[]): string[] {
  return [
    ...new Set([...checks.filter((check) => check.safety !== null).map((check) => check.place), ...ASKED_BY_LAW]),
  ];
}

export type LookOver = ReturnType<typeof run>;
export const inspectLookOver = defineCalculator({
  id: 'inspect.lookOver',
  title: 'The look-over of one bicycle',
  example: { found: [{ check: 'chain', evidence: { pitches: 24, lengthMm: 306.9 } }] },
  input,
  run,
});
