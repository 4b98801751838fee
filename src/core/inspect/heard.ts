import { grouped } from '../grouped';
import { assemblyIdsFor } from '../strip/assembly';
import { checkById } from './checks';
import { doorFindings, partFindings, saidChecks, testChecks } from './data/heard';
import { evidenceOf, type Evidence } from './evidence';
import type { LookOverQuestion } from './lookOverInput';
import { meansOf } from './means';
import type { Means, SeenAs } from './seenAs';

/** Where something was found out. `id` names it there: the entry, the line of the door, the test, the part, the bearing. */
export interface Heard {
  from: 'look-over' | 'door' | 'test' | 'tray' | 'bearing' | 'round';
  id: string;
  /** The complaint that a test was made for. */
  complaint: string | null;
  stage: string | null;
  at: string | null;
  by: string;
}

/** One thing that was found out of one check, wherever it was. */
export interface Entry {
  check: string;
  evidence: Evidence;
  means: Means;
  seenAs: SeenAs;
  at: string | undefined;
  heard: Heard;
  /** What it was called where it was found, in the stead of the judgement's own first reason. */
  words: string | null;
  /** How a bearing feels now that it has been set. */
  isAfter: boolean;
  /** What was felt before stands beside what is seen inside. */
  addsTo: boolean;
}

/** Something that is wrong at a check or at one of its siblings: nobody has said which. */
export interface Hint {
  check: string;
  words: string;
  at: string | undefined;
}

const nowhere = { complaint: null, stage: null, at: null, by: '' };
const usual = { words: null, isAfter: false, addsTo: false };

function atTheDoor(question: LookOverQuestion): { entries: Entry[]; hints: Hint[] } {
  const rows = question.door.flatMap((tap) =>
    doorFindings.filter(({ line, answer }) => line === tap.line && answer === tap.answer).map((row) => ({ tap, row })),
  );
  const hints = rows.flatMap(({ tap, row }) =>
    row.evidence === null ? [{ check: row.check, words: row.words ?? '', at: tap.at }] : [],
  );
  // Where one tap finds a fault among siblings, another that found nothing does not call any of them fine.
  const doubted = new Set(hints.map(({ check }) => check));
  const entries = rows.flatMap(({ tap, row }): Entry[] =>
    row.evidence === null || (tap.answer === 'fine' && doubted.has(row.check))
      ? []
      : [
          {
            ...usual,
            check: row.check,
            evidence: evidenceOf(row.evidence),
            // At the door things are rocked, spun and twisted; what an eye alone can tell is noted as such.
            means: tap.answer === 'fine' && row.evidence.startsWith('by_eye') ? 'eye' : 'hand',
            seenAs: 'bought',
            at: tap.at,
            heard: { ...nowhere, from: 'door', id: tap.line, stage: 'buy', at: tap.at ?? null, by: tap.by ?? '' },
            words: row.words,
          },
        ],
  );
  return { entries, hints };
}

function byTests({ tests }: LookOverQuestion): Entry[] {
  return tests.flatMap((made) =>
    testChecks
      .filter((row) => row.test === made.test && row.outcome === made.outcome && row.gives !== null)
      .map((row): Entry => ({
        ...usual,
        check: row.check,
        evidence: evidenceOf(row.gives!),
        means: 'hand',
        seenAs: made.seenAs,
        at: made.at,
        heard: {
          from: 'test',
          id: made.test,
          complaint: made.complaint,
          stage: 'look-over',
          at: made.at ?? null,
          by: made.by ?? '',
        },
      })),
  );
}

/** The end or side of a place. Example: `brake.front` → `front`. */
const endOf = (place: string): string => place.split('.')[1] ?? '';

function inTrays({ parts, kind, chosen }: LookOverQuestion): Entry[] {
  if (parts.length === 0) return [];
  const assemblies = assemblyIdsFor(kind, chosen);
  return parts.flatMap((marked) =>
    partFindings
      .filter(
        ({ assembly, part, mark }) =>
          assembly === assemblies.get(marked.place) && part === marked.part && mark === marked.mark,
      )
      .map((row): Entry => ({
        ...usual,
        check: row.check.replace('@', endOf(marked.place)),
        evidence: evidenceOf(row.evidence),
        means: 'hand',
        seenAs: 'stripped',
        at: marked.at,
        heard: {
          ...nowhere,
          from: 'tray',
          id: `${marked.place}/${marked.part}`,
          stage: 'strip',
          at: marked.at ?? null,
          by: marked.by ?? '',
        },
        words: row.words,
      })),
  );
}

const SEEN_WHEN = { before: 'bought', inside: 'stripped', after: 'serviced' } as const;

function onTheBench({ bearings }: LookOverQuestion): Entry[] {
  const felt = bearings.filter(({ place }) => checkById(place.replace('.', '-'))?.kind === 'bearing-cup');
  return felt.map(({ place, when, evidence, at, by }): Entry => ({
    ...usual,
    check: place.replace('.', '-'),
    evidence,
    means: 'hand',
    seenAs: SEEN_WHEN[when],
    at,
    heard: { ...nowhere, from: 'bearing', id: place, stage: 'overhaul', at: at ?? null, by: by ?? '' },
    isAfter: when === 'after',
    addsTo: when === 'inside',
  }));
}

/** What the torque round found loose and tightened: one finding, by the last of its bolts. */
function inTheRound({ loose }: LookOverQuestion): Entry[] {
  const last = loose.at(-1);
  if (!last) return [];
  const count = new Set(loose.map(({ bolt }) => bolt)).size;
  return [
    {
      ...usual,
      check: 'bolts',
      evidence: { outcome: 'tightened' },
      means: 'hand',
      seenAs: 'serviced',
      at: last.at,
      heard: { ...nowhere, from: 'round', id: last.bolt, stage: 'rebuild', at: last.at ?? null, by: last.by ?? '' },
      words: `${count === 1 ? 'One bolt' : `${count} bolts`} found loose in the torque round, and tightened.`,
    },
  ];
}

function atTheLookOver({ found }: LookOverQuestion): Entry[] {
  return found.map(({ check, evidence, seenAs, id, stage, at, by }, i): Entry => ({
    ...usual,
    check,
    evidence,
    means: meansOf(evidence),
    seenAs,
    at,
    heard: {
      ...nowhere,
      from: 'look-over',
      id: id ?? String(i),
      stage: stage ?? 'look-over',
      at: at ?? null,
      by: by ?? '',
    },
  }));
}

/**
 * One body of findings: everything that was found out of a bicycle, by check, in the order of time. What bears no moment
 * stands first, in the order in which it was given.
 */
export function heardOf(question: LookOverQuestion): { entries: Map<string, Entry[]>; hints: Map<string, Hint[]> } {
  const door = atTheDoor(question);
  const all = [
    ...door.entries,
    ...byTests(question),
    ...inTrays(question),
    ...onTheBench(question),
    ...inTheRound(question),
    ...atTheLookOver(question),
  ];
  const moment = ({ at }: Entry) => (at === undefined ? -Infinity : Date.parse(at));
  const entries = grouped(
    all.toSorted((a, b) => (moment(a) === moment(b) ? 0 : moment(a) - moment(b))),
    ({ check }) => check,
  );
  return { entries, hints: grouped(door.hints, ({ check }) => check) };
}

/** What the seller said that makes a check worth a closer look, by check. */
export function saidOf({ said }: LookOverQuestion): Map<string, string[]> {
  const told = new Map<string, string[]>();
  for (const { question, answer, check, words } of saidChecks)
    if (Object.hasOwn(said, question) && said[question] === answer)
      told.set(check, [...(told.get(check) ?? []), words]);
  return told;
}
