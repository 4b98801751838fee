import type { LookOver } from '@/core/inspect/lookOver';
import type { LookOverAsked } from '@/core/inspect/lookOverInput';
import { stillSaying } from '@/core/inspect/means';
import { own } from '@/core/own';
import { bearingLeaf, keyOf } from '../leafKey';
import { worstTrack } from '../bearings/tracks';
import type { Bearing } from '../bearings/part';
import { saidBySeller } from '../buy/questions';
import type { Bicycle } from '../record';
import type { WorkshopSettings } from '../settings/settings';
import { momentOf } from '../stamps';
import { chosenAssemblies } from '../strip/trays';
import type { Complaint, Observation } from './part';

/**
 * The question for `inspect.lookOver`: everything that any stage has found out of the bicycle, with when and by whom. Nothing
 * else judges how a bicycle is, and nothing that stands here is asked again.
 */
export function lookOverInput(bicycle: Bicycle, settings: WorkshopSettings, today: string): LookOverAsked {
  return {
    kind: bicycle.kind,
    brief: bicycle.brief,
    rules: settings.rules,
    frontBrakeHand: settings.frontBrakeHand,
    today,
    now: bicycle.seenAs,
    found: [...observationsByCheck(bicycle)].flatMap(([check, rows]) =>
      stillSaying(rows).map(({ id, evidence, seenAs, at, stage, by }) => ({
        check,
        id,
        evidence,
        seenAs,
        at,
        ...(stage && { stage }),
        ...(by && { by }),
      })),
    ),
    door: Object.entries(bicycle.door).map(([line, tap]) => ({ line, ...tap })),
    tests: bicycle.complaints.flatMap(({ id, results }) =>
      results.map(({ test, outcome, at, by }) => ({
        complaint: id,
        test,
        outcome,
        at,
        seenAs: at >= seenSince(bicycle) ? bicycle.seenAs : 'bought',
        ...(by && { by }),
      })),
    ),
    parts: bicycle.trays.flatMap(({ place, marks }) =>
      Object.entries(marks).map(([part, mark]) => ({
        place,
        part,
        mark,
        ...moment(bicycle, keyOf(['trays', place, 'marks', part])),
      })),
    ),
    bearings: bicycle.bearings.flatMap((bearing) => onTheBench(bicycle, bearing)),
    loose: bicycle.signatures.flatMap(({ bolt, foundLoose, at, by }) =>
      foundLoose ? [{ bolt, at, ...(by && { by }) }] : [],
    ),
    chosen: chosenAssemblies(bicycle),
    said: saidBySeller(bicycle),
    mended: lastMended(bicycle),
    ended: bicycle.endings.map(({ check, how, by, on, paper, at }) => ({ check, how, by, on, paper, at })),
  };
}

/** When a leaf was last changed, where that is known. */
function moment({ stamps }: Pick<Bicycle, 'stamps'>, leaf: string): { at?: string } {
  const stamp = own(stamps, leaf);
  return stamp === undefined ? {} : { at: momentOf(stamp) };
}

/** Since when it is as far as it is. */
const seenSince = ({ stamps, seenAs }: Pick<Bicycle, 'stamps' | 'seenAs'>): string =>
  seenAs === 'bought' ? '' : momentOf(own(stamps, 'seenAs') ?? '');

type OnBench = NonNullable<LookOverAsked['bearings']>[number];

/** What was felt before, seen inside, and felt after, at one bearing. */
function onTheBench(bicycle: Bicycle, bearing: Bearing): OnBench[] {
  const { place, seen, tracks, before, after, balls } = bearing;
  const felt = (when: 'before' | 'after', state: NonNullable<Bearing['before']>): OnBench => ({
    place,
    when,
    evidence: {
      feel: state.feel,
      play: state.play,
      ...(state.spinS !== null && { spinS: state.spinS }),
    },
    ...moment(bicycle, bearingLeaf(place, when)),
    ...(state.by && { by: state.by }),
  });
  const short = Object.values(balls).some(({ answer }) => answer === 'lost' || answer === 'came-short');
  const inside = {
    grease: seen.grease,
    cup: worstTrack(bearing, 'cup'),
    cone: worstTrack(bearing, 'cone'),
    balls: seen.balls === 'unknown' && short ? ('short' as const) : seen.balls,
    seal: seen.seal,
  };
  const moments = [
    ...Object.keys(seen).map((field) => bearingLeaf(place, 'seen', field)),
    ...Object.keys(tracks).map((track) => bearingLeaf(place, 'tracks', track)),
    ...Object.keys(balls).map((row) => bearingLeaf(place, 'balls', row)),
  ].flatMap((leaf) => moment(bicycle, leaf).at ?? []);
  const last = moments.sort().at(-1);
  return [
    ...(before && isFelt(before) ? [felt('before', before)] : []),
    ...(Object.values(inside).some((each) => each !== 'unknown')
      ? [{ place, when: 'inside' as const, evidence: inside, ...(last && { at: last }) }]
      : []),
    ...(after && isFelt(after) ? [felt('after', after)] : []),
  ];
}

const isFelt = ({ feel, play }: NonNullable<Bearing['before']>): boolean => feel !== 'unknown' || play !== 'unknown';

/** The observations of each check that have not been withdrawn, oldest first. */
function observationsByCheck(bicycle: Bicycle): Map<string, Observation[]> {
  const by = new Map<string, Observation[]>();
  for (const row of bicycle.observations) if (!row.withdrawn) by.set(row.check, [...(by.get(row.check) ?? []), row]);
  return by;
}

/** When the last job at each place was done. */
function lastMended(bicycle: Bicycle): { place: string; at: string }[] {
  const last = new Map<string, string>();
  for (const { job, place, at } of bicycle.worked)
    if (job !== null && at > (last.get(place) ?? '')) last.set(place, at);
  return [...last].map(([place, at]) => ({ place, at }));
}

type Answers = Pick<LookOver, 'answers' | 'findings'>;

/**
 * The question for `inspect.diagnose` of one complaint: the tests that were made for it, and those that are answered by what
 * was found anywhere else, with the doubt of such a finding. Of two that speak of one test the newer counts.
 */
export function diagnosisInput({ id, complaints, results, unavailable }: Complaint, { answers, findings }: Answers) {
  const ofItself = new Set(
    findings.flatMap(({ check, heard }) => (heard?.from === 'test' && heard.complaint === id ? [check] : [])),
  );
  const made = new Map(results.map((result) => [result.test, result]));
  const known = answers.filter(
    ({ test, check, at }) => !ofItself.has(check) && !(made.has(test) && (at === null || made.get(test)!.at >= at)),
  );
  const overtaken = new Set(known.map(({ test }) => test));
  return {
    complaints,
    results: [
      ...known.map(({ test, outcome, blur }) => ({ test, outcome, blur })),
      ...results.filter(({ test }) => !overtaken.has(test)).map(({ test, outcome }) => ({ test, outcome })),
    ],
    unavailable,
  };
}

/** The question for `inspect.openComplaints`. */
export function complaintsInput(bicycle: Bicycle, lookOver: Answers) {
  return {
    complaints: bicycle.complaints
      .filter((row) => row.closedAt === null)
      .map((row) => ({
        id: row.id,
        question: diagnosisInput(row, lookOver),
        known: row.known,
        told: {
          complaints: row.complaints,
          results: row.results.map(({ test, outcome }) => ({ test, outcome })),
          unavailable: row.unavailable,
        },
      })),
  };
}
