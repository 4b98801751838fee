import type { LookOver } from '@/core/inspect/lookOver';
import type { ProofEvidence } from '@/core/prove/evidence';
import type { Proof } from '@/core/prove/proofs';
import type { Ready } from '@/core/prove/ready';
import type { Bolt } from '@/core/rebuild/bolts';
import { placeLabel, stateLabel } from '@/core/vocabulary/vocabulary';
import type { Bearing } from '../bearings/part';
import { signedBolts } from '../rebuild/questions';
import type { Bicycle } from '../record';
import type { SignedProof } from './part';
import { proofMarkOf } from './proving';
import { readPair } from './readings';

export type PaperLine = SignedProof['lines'][number];

/** What calculators say that the paper tells. */
export interface PaperKnown {
  lookOver: Pick<LookOver, 'findings'>;
  bolts: Bolt[];
  proofs: Proof[];
  evidence: ProofEvidence;
  ready: Pick<Ready, 'ready' | 'missing'>;
}

const MOST_WORDS = 600;
const two = (value: number) => Math.round(value * 100) / 100;

/** A bearing's state in words. Example: "smooth, play none, spun 38 s". */
export function feltWords(state: Bearing['before']): string {
  if (!state) return 'not felt';
  const { feel, play, spinS } = state;
  const known = [
    feel !== 'unknown' && feel.replace('-', ' '),
    play !== 'unknown' && `play ${play}`,
    spinS !== null && `spun ${spinS} s`,
  ].filter(Boolean);
  return known.join(', ') || 'not felt';
}

/** What was read for a proof, each reading beside what it was. Example: "front wheel spins for 41 s, before 12". */
export function readWords(bicycle: Bicycle, proof: string, { readings }: Pick<ProofEvidence, 'readings'>): string[] {
  return readings
    .filter((each) => each.proof === proof)
    .flatMap((each) => {
      const { before, after } = readPair(bicycle, each);
      if (after === null) return [];
      const was = before === null ? '' : `, before ${two(before)}`;
      return [`${each.group.toLowerCase()} ${each.label} ${two(after)} ${each.unit}${was}`];
    });
}

function proofWords(bicycle: Bicycle, proof: Proof, evidence: ProofEvidence): string {
  const mark = proofMarkOf(bicycle, proof.id);
  const read = readWords(bicycle, proof.id, evidence);
  const said = mark ? `${mark.passed ? 'passed' : 'failed'}${mark.by && ` (${mark.by})`}` : 'not signed';
  return [
    `${proof.label}: ${said}`,
    ...read,
    ...(mark?.note ? [mark.note] : []),
    ...(mark?.accepted ? [`accepted by ${mark.accepted.by}: ${mark.accepted.words}`] : []),
  ].join('; ');
}

/**
 * Everything that is signed for, a line each with a name of its own: what it is, what was found, done and left, bearings
 * before and after, every bolt, every proof with its readings, what still blocks. The same record gives the same lines.
 */
export function paperLines(bicycle: Bicycle, known: PaperKnown): PaperLine[] {
  const { lookOver, bolts, proofs, evidence, ready } = known;
  const label = new Map(bolts.map((bolt) => [bolt.id, bolt.label]));
  const lines: PaperLine[] = [
    { id: 'what', words: bicycle.name },
    ...lookOver.findings
      .filter(({ state }) => state !== 'fine' && state !== 'not-looked-at')
      .map(({ check, label: of, state, reasons }) => ({
        id: `found ${check}`,
        words: `${of}: ${stateLabel(state).toLowerCase()}. ${reasons[0] ?? ''}`.trim(),
      })),
    ...bicycle.jobs
      .filter(({ decision, done }) => (decision === 'keep' && done) || decision === 'drop')
      .map(({ id, title, done, reason, declined }) => ({
        id: `job ${id}`,
        words: done
          ? `Done: ${title}`
          : `Left: ${title}${declined ? ` (declined by ${declined.by || 'nobody named'})` : reason ? ` (${reason})` : ''}`,
      })),
    ...bicycle.bearings
      .filter(({ before, after }) => before !== null || after !== null)
      .map(({ place, before, after }) => ({
        id: `bearing ${place}`,
        words: `${placeLabel(place)}: before ${feltWords(before)}; after ${feltWords(after)}`,
      })),
    ...signedBolts(bicycle, bolts).map(({ bolt, row }) => ({
      id: `bolt ${bolt}`,
      words: `${label.get(bolt)}: ${row.valueNm === null ? `by feel${row.holdTest ? ', hold tried' : ''}` : `${row.valueNm} N·m`}${row.what === 'checked' ? ', checked' : ''}${row.by && ` (${row.by})`}`,
    })),
    ...proofs.map((proof) => ({ id: `proof ${proof.id}`, words: proofWords(bicycle, proof, evidence) })),
    ...evidence.stops.map(({ id, decelerationMs2, brakes, surface, verdict }) => ({
      id: `stop ${id}`,
      words: `A stop, ${brakes === 'both' ? 'both brakes' : `${brakes} brake alone`}, ${surface}: ${two(decelerationMs2)} m/s², ${verdict}`,
    })),
    ...(evidence.gears && evidence.gears.tried > 0
      ? [
          {
            id: 'gears',
            words: `Gears: ${evidence.gears.tried} of ${evidence.gears.of} changes tried, ${evidence.gears.bad.length} not crisp`,
          },
        ]
      : []),
    ...ready.missing
      .filter(({ blocks }) => blocks)
      .map(({ kind, id, words }) => ({ id: `open ${kind} ${id}`, words: `Open: ${words}` })),
  ];
  return lines.map(({ id, words }) => ({ id: id.slice(0, 120), words: words.slice(0, MOST_WORDS) }));
}

export interface PaperChange {
  id: string;
  /** As it was signed; null where it came since. */
  was: string | null;
  /** As the record says now; null where it is gone. */
  is: string | null;
}

/** What differs between the lines that were signed and those that the record would give now. */
export function changedSince(signed: readonly PaperLine[], now: readonly PaperLine[]): PaperChange[] {
  const then = new Map(signed.map(({ id, words }) => [id, words]));
  const is = new Map(now.map(({ id, words }) => [id, words]));
  return [
    ...[...then].flatMap(([id, was]) => (is.get(id) === was ? [] : [{ id, was, is: is.get(id) ?? null }])),
    ...[...is].flatMap(([id, words]) => (then.has(id) ? [] : [{ id, was: null, is: words }])),
  ];
}
