import { checksFor } from '@/core/inspect/checks';
import type { Finding } from '@/core/inspect/lookOver';
import { proofsFor } from '@/core/prove/proofs';
import type { Bolt } from '@/core/rebuild/bolts';
import type { BearingBench } from '@/core/bearings/benchTypes';
import { ballsDue } from '@/core/bearings/counts';
import { backwards, ballRowOf, turnAt, type Assembly } from '@/core/strip/tray';
import type { TurnInput } from '@/core/strip/turn';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import type { Command } from '@/model/commands';
import type { Bicycle } from '@/model/record';
import type { BenchTask } from '@/model/work/part';
import { bearingFor } from '@/model/bearings/bearingFor';
import { countsOf, workedSteps } from '@/model/bearings/questions';
import { latestObservations } from '@/model/inspect/latest';
import { signedBolts } from '@/model/rebuild/questions';
import { isSettled, orderOf, trayFor } from '@/model/strip/trays';

/** One step as the bench shows it, whatever the job. */
export interface BenchStep {
  id: string;
  place: string;
  title: string;
  /** The figure or word that is to be read from two metres. */
  large: string | null;
  aside: string | null;
  tool: string | null;
  forget: string | null;
  turn: TurnInput | null;
  photo: boolean;
  /** The side whose balls are counted at this step, and which of the three numbers. */
  count: { side: string; what: 'out' | 'in' } | null;
  /** Parts at hand, for the detail drawing. */
  parts: string[];
  done: boolean;
  /** What has to be there before the step can be called done, in words. */
  waitsFor: string | null;
  /** What is recorded when the step is done with one tap; null where going on records nothing. */
  finish: Command | null;
  undo: Command | null;
}

export const TASK_WORDS: Record<BenchTask, string> = {
  'look-over': 'Look over',
  jobs: 'The jobs that were kept',
  strip: 'Strip',
  overhaul: 'Overhaul',
  'put-back': 'Put back',
  torque: 'Torque round',
  prove: 'Prove',
};

const NOTHING = {
  large: null,
  aside: null,
  tool: null,
  forget: null,
  turn: null,
  photo: false,
  count: null,
  parts: [],
  waitsFor: null,
  finish: null,
  undo: null,
} satisfies Partial<BenchStep>;

function stripSteps(bicycle: Bicycle, assembly: Assembly): BenchStep[] {
  const tray = trayFor(bicycle, assembly.place);
  const bearing = bearingFor(bicycle, assembly.place);
  const mark = (step: Assembly['steps'][number], done: boolean): Command => ({
    type: 'markStep',
    place: assembly.place,
    step: step.id,
    done,
    takes: step.takes,
  });
  return assembly.steps.map((step) => ({
    ...NOTHING,
    id: step.id,
    place: assembly.place,
    title: step.title,
    tool: step.tool,
    forget: step.forget,
    turn: turnAt(step, bicycle.kind, 'loosen'),
    photo: step.photo,
    count: step.count ? { side: step.count, what: 'out' as const } : null,
    parts: step.takes,
    done: tray.doneSteps.includes(step.id),
    waitsFor: step.count && countsOf(bearing, step.count).out === null ? 'Count them out first.' : null,
    finish: mark(step, true),
    undo: mark(step, false),
  }));
}

/** The tray read from its other end: what came off last goes back first. */
function putBackSteps(bicycle: Bicycle, assembly: Assembly): BenchStep[] {
  const tray = trayFor(bicycle, assembly.place);
  const bearing = bearingFor(bicycle, assembly.place);
  return backwards(orderOf(tray)).map((id) => {
    const part = assembly.parts.find((each) => each.id === id);
    const step = assembly.steps.find((each) => each.takes.includes(id));
    const side = ballRowOf(id);
    const due = side ? ballsDue(countsOf(bearing, side)) : null;
    return {
      ...NOTHING,
      id,
      place: assembly.place,
      title: `Put back: ${part?.label.toLowerCase() ?? id}${part?.side ? `, ${part.side}` : ''}`,
      large: due !== null ? `${due} balls` : null,
      aside: part?.facing ? `Facing: ${part.facing}` : null,
      tool: step?.tool ?? null,
      forget: side ? 'Grease first, then balls; never force the last one.' : null,
      turn: step ? turnAt(step, bicycle.kind, 'tighten') : null,
      count: side ? { side, what: 'in' as const } : null,
      parts: [id],
      done: isSettled(tray, id),
      waitsFor: side && countsOf(bearing, side).in === null ? 'Count them in first.' : null,
      finish: { type: 'putBack', place: assembly.place, part: id, back: true },
      undo: { type: 'putBack', place: assembly.place, part: id, back: false },
    };
  });
}

function overhaulSteps(bicycle: Bicycle, bench: BearingBench): BenchStep[] {
  const worked = workedSteps(bearingFor(bicycle, bench.place));
  return bench.steps.map((step) => {
    const first = bench.steps.find((each) => step.after.includes(each.id) && !worked.includes(each.id));
    return {
      ...NOTHING,
      id: step.id,
      place: bench.place,
      title: step.title,
      aside: step.compound ? `With ${step.compound}` : null,
      forget: step.forget || null,
      turn: step.turn ? turnAt({ turn: { ...step.turn, nuttedOnly: false } }, bicycle.kind, 'tighten') : null,
      done: worked.includes(step.id),
      waitsFor: first ? `First: ${first.title.charAt(0).toLowerCase()}${first.title.slice(1)}.` : null,
      finish: { type: 'overhaulStep', place: bench.place, step: step.id, done: true },
      undo: { type: 'overhaulStep', place: bench.place, step: step.id, done: false },
    };
  });
}

function torqueSteps(bicycle: Bicycle, bolts: Bolt[]): BenchStep[] {
  const signed = new Map(signedBolts(bicycle, bolts).map((entry) => [entry.bolt, entry]));
  return bolts.map((bolt) => {
    const entry = signed.get(bolt.id);
    const band =
      bolt.torqueMinNm === null
        ? null
        : bolt.torqueMinNm === bolt.torqueMaxNm
          ? `${bolt.torqueMinNm} N·m`
          : `${bolt.torqueMinNm} to ${bolt.torqueMaxNm} N·m`;
    return {
      ...NOTHING,
      id: bolt.id,
      place: bolt.place,
      title: bolt.label,
      large: band ?? bolt.feel ?? 'By feel',
      aside: [
        bolt.preparation,
        bolt.size,
        entry && `signed: ${entry.row.valueNm === null ? 'by feel' : `${entry.row.valueNm} N·m`}, ${entry.judgement}`,
      ]
        .filter(Boolean)
        .join(' · '),
      tool: bolt.tool,
      forget: [bolt.notes, `By feel: ${bolt.holdTest}`].filter(Boolean).join('. '),
      turn: bolt.fastener ? { fastener: bolt.fastener, side: bolt.side, action: 'tighten' as const } : null,
      done: entry !== undefined && entry.judgement !== 'under' && entry.judgement !== 'over',
    };
  });
}

function proveSteps(bicycle: Bicycle): BenchStep[] {
  const marks = new Map(bicycle.proofs.map((row) => [row.proof, row]));
  return proofsFor(bicycle.kind).map((proof) => ({
    ...NOTHING,
    id: proof.id,
    place: 'frame',
    title: proof.label,
    aside: proof.how,
    large: marks.has(proof.id) ? (marks.get(proof.id)!.passed ? 'Passed' : 'Failed') : null,
    forget: proof.safety ? 'The bicycle is not ready without it.' : null,
    done: marks.get(proof.id)?.passed === true,
  }));
}

/** Every kept job as a step of its own: what it is, where, how long it may take; done by one tap. */
function jobSteps(bicycle: Bicycle): BenchStep[] {
  return bicycle.jobs
    .filter((job) => job.decision === 'keep')
    .map((job) => ({
      ...NOTHING,
      id: job.id,
      place: job.place,
      title: job.title,
      large: `${Math.round(job.minutes.likely)} min`,
      aside: `${placeLabel(job.place)}; it may take up to ${Math.round(job.minutes.high)} min`,
      forget: bicycle.looseEnds.some((row) => row.place === job.place && row.closedAt === null)
        ? 'This place is only loosely together.'
        : null,
      done: job.done,
      finish: { type: 'finishJob', job: job.id, done: true },
      undo: { type: 'finishJob', job: job.id, done: false },
    }));
}

function lookOverSteps(bicycle: Bicycle, findings: Finding[]): BenchStep[] {
  const seen = latestObservations(bicycle);
  return checksFor(bicycle.kind).map((check) => {
    const finding = findings.find((each) => each.check === check.id);
    return {
      ...NOTHING,
      id: check.id,
      place: check.place,
      title: check.label,
      aside: check.how,
      done: seen.has(check.id) && finding?.state !== 'not-looked-at',
    };
  });
}

/**
 * The steps of a task, in the order of the work. What a step records when it is done by one tap stands in `finish`; where a
 * reading or a signature is asked for, going on records nothing.
 */
export function benchSteps(
  task: BenchTask,
  bicycle: Bicycle,
  {
    assembly,
    bench,
    bolts,
    findings,
  }: { assembly: Assembly | null; bench: BearingBench | null; bolts: Bolt[]; findings: Finding[] },
): BenchStep[] {
  switch (task) {
    case 'jobs':
      return jobSteps(bicycle);
    case 'strip':
      return assembly ? stripSteps(bicycle, assembly) : [];
    case 'put-back':
      return assembly ? putBackSteps(bicycle, assembly) : [];
    case 'overhaul':
      return bench ? overhaulSteps(bicycle, bench) : [];
    case 'torque':
      return torqueSteps(bicycle, bolts);
    case 'prove':
      return proveSteps(bicycle);
    case 'look-over':
      return lookOverSteps(bicycle, findings);
  }
}

/** Where a task opens: at the step it was left at, else at the first that is not done. */
export function firstStep(steps: BenchStep[], left: string | null): number {
  const kept = left === null ? -1 : steps.findIndex((step) => step.id === left);
  if (kept >= 0) return kept;
  const open = steps.findIndex((step) => !step.done);
  return open >= 0 ? open : Math.max(0, steps.length - 1);
}
