import { bearingKinds } from '../bearings/bearingKinds';
import { defineCalculator } from '../calculator';
import { placeLabel, type StateId } from '../vocabulary/vocabulary';
import type { Check } from './check';
import { checkById, checksFor } from './checks';
import type { Evidence } from './evidence';
import { heardOf, saidOf, type Entry, type Heard } from './heard';
import { lookOverInput, type LookOverQuestion } from './lookOverInput';
import { meansOf } from './means';
import { SEEN_AS, type Means, type SeenAs } from './seenAs';
import { NOT_LOOKED, type Judgement } from './judgeCheck';
import { standing } from './standing';
import { testAnswers } from './testAnswers';

type End = LookOverQuestion['ended'][number];

export interface Finding extends Judgement {
  check: string;
  label: string;
  place: string;
  quick: boolean;
  seenAs: SeenAs | null;
  /** What was found, as it was put down, with what was felt before where it adds to that; null where nothing was. */
  evidence: Evidence | null;
  /** By what means it was found out. */
  means: Means | null;
  /** Where and when it was found out, and by whom. */
  heard: Heard | null;
  /** Whether its reading was taken; null where the check has none. */
  measured: boolean | null;
  /** It is known that something is wrong, and not what: the look-over asks on. */
  deeper: boolean;
  /** What is known to be wrong here or at a sibling, and what the seller said that makes it worth a closer look. */
  hints: string[];
  /** Something is wrong here or at a sibling, and nobody has looked which. */
  doubted: boolean;
  /** Seen before cleaning where dirt can hide or feign it: to be asked again. */
  again: boolean;
  /** A sibling that failed, in words: one bad pad condemns the others until they are looked at. */
  raisedBy: string | null;
  /** Whether it stops, steers or carries. */
  safety: boolean;
  /** The bicycle, as it is described now, has no such part; what was unsafe about it stands all the same. */
  gone: boolean;
  /** What ended something unsafe. */
  ended: Omit<End, 'check' | 'at'> | null;
}

function endWords({ how, by, on, paper }: End): string {
  return how === 'removed'
    ? `The part that was unsafe is gone since ${on}; what stands there now has not been looked at.`
    : `Found unsafe, and cleared by ${by} on ${on}${paper ? ` (${paper})` : ''}.`;
}

/** Whether an entry is no newer than what was tapped at the door. */
function isBefore(entry: Entry | null, at: string | undefined): boolean {
  return entry?.heard.from === 'door' || (entry?.at !== undefined && at !== undefined && entry.at <= at);
}

/** A finding once something ended what was unsafe about it. */
function afterEnd(judged: Judgement, end: End): Judgement {
  return end.how === 'removed'
    ? { ...NOT_LOOKED, reasons: [endWords(end)] }
    : { ...judged, state: 'watch', verdict: null, outcome: null, reasons: [endWords(end), ...judged.reasons] };
}

const READ_KINDS: Check['kind'][] = [
  'reading',
  'rim-hollow',
  'disc',
  'pads',
  'chain',
  'hanger',
  'runout-rim',
  'runout-disc',
  'runout-ring',
  'tyre-age',
];

/** Whether the reading of a check was taken. */
function isMeasured(check: Check, seen: Entry[]): boolean | null {
  if (!READ_KINDS.includes(check.kind)) return null;
  return seen.some(({ evidence }) => meansOf(evidence) === 'reading' || evidence.code !== undefined);
}

/** Whether what is known is no more than that something is wrong. */
function asksOn(check: Check, judged: Judgement, measured: boolean | null, evidence: Evidence | null): boolean {
  if (!evidence || judged.state === 'not-looked-at') return false;
  if (measured === false && !check.byEye) return true;
  return judged.verdict?.startsWith('eye-') === true && judged.state !== 'fine' && measured !== true;
}

/**
 * The look-over of one bicycle: every check that it has, with its state, verdict, reasons and working, over all that any
 * stage found out: at the door, by a test for a complaint, at the stand, in a tray, at a bearing. A check without evidence
 * stays "not looked at", which is not fine; evidence that cannot be is not judged and says what to do. The newest by as good a
 * means stands, and the earlier ones stay. What dirt can hide is asked again once the bicycle is clean, and siblings of what
 * failed are raised. What was unsafe stands until the same means or a better one says otherwise, also where the bicycle is
 * described without that part by now; it ends as well when the part is gone, or a qualified person has cleared it.
 *
 * Errors: words that no check knows. Source: the calculators named in each working.
 * Example: `found: []` gives every check of a bicycle, all not looked at.
 */
function run(question: LookOverQuestion) {
  const { kind, brief, rules, frontBrakeHand, today, now, mended, ended, chosen } = question;
  const bench = { kind, brief, rules, frontBrakeHand, today, bearings: bearingKinds(kind, chosen) };
  const { entries: heard, hints } = heardOf(question);
  const told = saidOf(question);
  const mendedAt = new Map<string, number>();
  for (const { place, at } of mended) mendedAt.set(place, Math.max(mendedAt.get(place) ?? -Infinity, Date.parse(at)));
  const endOf = new Map(ended.map((end) => [end.check, end]));
  const clean = SEEN_AS.indexOf('cleaned');
  const own = checksFor(kind);
  const had = new Set(own.map((check) => check.id));
  const gone = [...heard.keys()].flatMap((id) => {
    const check = had.has(id) ? undefined : checkById(id);
    return check ? [check] : [];
  });
  const findingOf = (check: Check): Finding => {
    const { judged: found, entry, seen } = standing(check, heard.get(check.id) ?? [], mendedAt.get(check.place), bench);
    const end = found.state === 'unsafe' ? endOf.get(check.id) : undefined;
    const isOver = end && (end.at === undefined || entry?.at === undefined || end.at >= entry.at);
    const judged = isOver ? afterEnd(found, end) : found;
    const looked = judged.state !== 'not-looked-at';
    const measured = isMeasured(check, seen);
    // What was known at the door is no longer a riddle once somebody has looked closer.
    const open = (hints.get(check.id) ?? []).filter(({ at }) => !looked || isBefore(entry, at));
    return {
      check: check.id,
      label: check.label,
      place: check.place,
      quick: check.quick,
      ...judged,
      seenAs: entry && looked ? entry.seenAs : null,
      evidence: entry?.evidence ?? null,
      means: entry && looked ? entry.means : null,
      heard: entry?.heard ?? null,
      measured,
      deeper: looked && asksOn(check, judged, measured, entry?.evidence ?? null),
      hints: [
        ...open.map(({ words }) => `At the door: ${words} Which one?`),
        ...(looked ? [] : (told.get(check.id) ?? [])),
      ],
      doubted: open.length > 0,
      again: check.dirt && looked && SEEN_AS.indexOf(now) >= clean && SEEN_AS.indexOf(entry!.seenAs) < clean,
      raisedBy: null,
      safety: check.safety !== null,
      gone: false,
      ended: isOver ? { how: end.how, by: end.by, on: end.on, paper: end.paper } : null,
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
    /** Checks that have a reading, and how many of these were taken. */
    measured: {
      done: findings.filter(({ measured }) => measured === true).length,
      of: findings.filter(({ measured }) => measured !== null).length,
    },
    /** Tests of the diagnosis that are answered by what was found. */
    answers: testAnswers(findings),
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
  input: lookOverInput,
  run,
});
