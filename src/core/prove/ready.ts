import { daysBetween } from '../days';
import { defineCalculator } from '../calculator';
import { row, type Judged } from '../verdict';
import { boltTroubles, lastChanges } from './boltTroubles';
import { proofTroubles } from './proofTroubles';
import { readyInput, type ReadyQuestion } from './readyInput';

/** The stage at which a missing thing is put right. */
export type ReadyStage = 'look-over' | 'decide' | 'strip' | 'clean' | 'overhaul' | 'rebuild' | 'prove';

/** Every kind of thing that may be missing, gravest first: the order in which they are told. */
export const MISSING_KINDS = [
  'unsafe',
  'complaint',
  'loose',
  'part-out',
  'tray-open',
  'left-off',
  'bearing',
  'torque',
  'reopened',
  'unsigned',
  'wrench-asked',
  'hold-test',
  'second-eyes',
  'proof-failed',
  'proof-reopened',
  'proof',
  'aged',
  'unaccepted',
  'job',
  'not-looked-at',
  'again',
] as const;
export type MissingKind = (typeof MISSING_KINDS)[number];

export interface Missing {
  kind: MissingKind;
  /** The finding, tray, job, bolt or proof that it is of. */
  id: string;
  words: string;
  /** A bicycle is not ready while a blocking one stands. */
  blocks: boolean;
  stage: ReadyStage;
}

export interface Ready extends Judged<'ready' | 'not-ready'> {
  ready: boolean;
  /** The day to which everything of safety was proved or gone through again; null where something never was. */
  provedOn: string | null;
  /** Everything that is open, what blocks first. */
  missing: Missing[];
}

/** A proof holds for four weeks, then a two-minute list is gone through again. */
const HOLDS_DAYS = 28;

type Tell = (kind: MissingKind, id: string, words: string, blocks: boolean, stage: ReadyStage) => void;

const plural = (count: number, word: string) => `${count} ${word}${count === 1 ? '' : 's'}`;

function tellFindings({ findings, unlooked, complaints }: ReadyQuestion, tell: Tell): void {
  for (const { id, label, state, safety, ended, again, accepted } of findings) {
    if (!ended && state === 'unsafe') tell('unsafe', id, `${label}: unsafe as last seen`, true, 'look-over');
    if (!ended && (state === 'service' || state === 'replace')) {
      const word = state === 'service' ? 'wants service' : 'is to be replaced';
      if (accepted)
        tell('unaccepted', id, `${label}: ${word}; accepted by ${accepted.by || 'nobody named'}`, false, 'look-over');
      else if (safety)
        tell('unaccepted', id, `${label}: ${word}, and nobody has accepted it as it is`, true, 'look-over');
      else tell('unaccepted', id, `${label}: ${word}`, false, 'look-over');
    }
    if (state === 'not-looked-at') tell('not-looked-at', id, `${label}: not looked at`, false, 'look-over');
    else if (again && !ended) tell('again', id, `${label}: look again, it is clean now`, false, 'look-over');
  }
  for (const { id, label, safety } of unlooked)
    tell('not-looked-at', id, `${label}: not looked at`, safety, 'look-over');
  for (const { id, label, unsafe } of complaints)
    tell('complaint', id, `${label}: ${unsafe ? 'unsafe, and not settled' : 'not settled'}`, unsafe, 'look-over');
}

function tellTrays({ trays, jobs, bearings }: ReadyQuestion, tell: Tell): void {
  for (const { id, label, out, missing, inBath, loose, leftOff } of trays) {
    if (loose) tell('loose', id, `${label}: together only for now`, true, 'rebuild');
    if (out + missing + inBath > 0) {
      const parts = [
        ...(out ? [`${plural(out, 'part')} out`] : []),
        ...(missing ? [`${missing} missing`] : []),
        ...(inBath ? [`${inBath} in the bath`] : []),
      ].join(', ');
      tell('tray-open', id, `${label}: ${parts}`, true, out + missing === 0 ? 'clean' : 'strip');
    }
    const grave = leftOff.filter((part) => part.safety);
    const told = grave.length > 0 ? grave : leftOff;
    if (told.length > 0)
      tell(
        'left-off',
        id,
        `${label}: left off: ${told.map((part) => part.label).join(', ')}`,
        grave.length > 0,
        'strip',
      );
  }
  for (const { id, label, needed, unsafe, done, declined } of jobs) {
    if (done) continue;
    const blocks = needed && (unsafe || !declined);
    const words = declined
      ? `${label}: declined by ${declined.by || 'nobody named'}${unsafe ? ', and unsafe cannot be declined' : ''}`
      : `${label}: ${needed ? 'needed, not done' : 'not done'}`;
    tell('job', id, words, blocks, 'decide');
  }
  for (const { id, label, opened, closed, after } of bearings) {
    if (!opened || (closed && after)) continue;
    tell(
      'bearing',
      id,
      `${label}: ${closed ? 'closed, and not felt since' : 'opened, and not closed'}`,
      true,
      'overhaul',
    );
  }
}

/** The oldest passed proof of safety, and the day since which it, or the two-minute list after it, holds: the day on the wall where it was signed. */
function oldestProof({ proofs, recheck }: ReadyQuestion): { id: string; since: string } | null {
  const passed = proofs.flatMap(({ id, safety, result, at }) =>
    safety && result === 'passed' && at ? [{ id, at }] : [],
  );
  const [oldest] = passed.sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  if (!oldest) return null;
  const last = recheck && Date.parse(recheck.at) > Date.parse(oldest.at) ? recheck.at : oldest.at;
  return { id: oldest.id, since: last.slice(0, 10) };
}

/**
 * The law of ready: whether a bicycle may be called ready, and everything that is missing, what blocks first. It is
 * ready when nothing blocks: nothing unsafe, nothing out of its tray or together only for now, no needed job undone, no
 * bearing left open, nothing that stops, steers or carries left unlooked, unaccepted, unsigned or unproved, and no proof
 * older than what it leans on, or than four weeks.
 *
 * Units: N·m; moments with their zone, days as dates. At a limit counts as inside. Errors: what the schema refuses.
 * Source: workshop consensus. It certifies nothing: it counts what people have and have not signed.
 * Example: `{ today: '2026-11-27', bolts: [{ id: 'stem', label: 'Stem', place: 'stem', safety: true }] }` is not ready:
 * the stem is not signed.
 */
function run(question: ReadyQuestion): Ready {
  const found = new Map<string, Missing>();
  const tell: Tell = (kind, id, words, blocks, stage) => {
    const key = `${kind} ${id}`;
    const known = found.get(key);
    // Each once per id and kind, and never less gravely than it was told first.
    if (!known || (blocks && !known.blocks)) found.set(key, { kind, id, words, blocks, stage });
  };
  tellFindings(question, tell);
  tellTrays(question, tell);
  const last = lastChanges(question.changes);
  for (const bolt of question.bolts)
    for (const [kind, words] of boltTroubles(bolt, question.rules, last))
      tell(kind, bolt.id, words, bolt.safety, 'rebuild');
  for (const proof of question.proofs)
    for (const { kind, words, blocks } of proofTroubles(proof, question.rules, last))
      tell(kind, proof.id, words, blocks, 'prove');
  const proved = oldestProof(question);
  if (proved && daysBetween(proved.since, question.today) > HOLDS_DAYS)
    tell(
      'aged',
      proved.id,
      `Proved ${proved.since}, over four weeks ago: go through the two-minute list`,
      true,
      'prove',
    );

  const rank = (item: Missing) => (item.blocks ? 0 : MISSING_KINDS.length) + MISSING_KINDS.indexOf(item.kind);
  const missing = [...found.values()].sort((a, b) => rank(a) - rank(b));
  const blocking = missing.filter((item) => item.blocks);
  const ready = blocking.length === 0;
  const open = missing.length - blocking.length;
  return {
    ready,
    verdict: ready ? 'ready' : 'not-ready',
    provedOn: question.proofs.every(({ safety, result }) => !safety || result === 'passed')
      ? (proved?.since ?? null)
      : null,
    missing,
    reasons: [
      ready
        ? 'Ready, as far as it was signed.'
        : `${plural(blocking.length, 'thing')} ${blocking.length === 1 ? 'stands' : 'stand'} in the way; first: ${blocking[0]!.words}.`,
      ...(open > 0
        ? [`${plural(open, 'thing')} more to ask about, which ${open === 1 ? 'does' : 'do'} not stand in the way.`]
        : []),
      'This counts what people have signed; it certifies nothing.',
    ],
    working: [
      row('b', 'what blocks', blocking.length),
      row('o', 'open besides', open),
      row('n', 'asked about: findings, places, trays, complaints, jobs, bearings, bolts, proofs', asked(question)),
    ],
  };
}

function asked(question: ReadyQuestion): number {
  const { findings, unlooked, trays, complaints, jobs, bearings, bolts, proofs } = question;
  return [findings, unlooked, trays, complaints, jobs, bearings, bolts, proofs].reduce(
    (sum, rows) => sum + rows.length,
    0,
  );
}

export const proveReady = defineCalculator({
  id: 'prove.ready',
  title: 'Whether a bicycle is ready, and what is missing',
  example: {
    today: '2026-11-27',
    findings: [{ id: 'frame', label: 'Frame', place: 'frame', state: 'fine', safety: true }],
    bolts: [
      {
        id: 'stem',
        label: 'Stem',
        place: 'stem',
        safety: true,
        minNm: 16,
        maxNm: 24,
        signed: { how: 'wrench', valueNm: 20, at: '2026-11-27T10:00:00Z', by: 'Ada' },
      },
    ],
    proofs: [
      {
        id: 'brakes',
        label: 'Brakes hold',
        kind: 'stand',
        safety: true,
        leansOn: ['brake.front'],
        result: 'passed',
        at: '2026-11-27T11:00:00Z',
        by: 'Ada',
      },
    ],
  },
  input: readyInput,
  run,
});
