'use client';
import { ballsDue } from '@/core/bearings/counts';
import { backwards, ballRowOf, turnAt, type Assembly } from '@/core/strip/tray';
import type { Trays } from '@/core/strip/trays';
import { bearingFor } from '@/model/bearings/bearingFor';
import { countsOf } from '@/model/bearings/questions';
import { isUnread, UNREAD_WORDS } from '@/model/strip/reads';
import type { Bicycle } from '@/model/record';
import { chosenAssemblies, isSettled, orderOf, trayFor } from '@/model/strip/trays';
import { defineBench, NO_STEP, type Asks, type BenchStep, type StepProps } from '../workshop/declared';
import { BallCounter } from './BallCounter';

const asks: Asks<'strip.trays'> = {
  id: 'strip.trays',
  of: (bicycle) => ({ kind: bicycle.kind, chosen: chosenAssemblies(bicycle) }),
};
const assemblyAt = (trays: Trays | null, place: string) => trays?.trays.find((each) => each.place === place) ?? null;
const titleOf = (trays: Trays, place: string) => assemblyAt(trays, place)?.title.toLowerCase() ?? null;

/** Balls of one row, counted on the way out or in. */
function tallyOf(bicycle: Bicycle, place: string, side: string, what: 'out' | 'in'): NonNullable<BenchStep['tally']> {
  return {
    label: `${what}, ${side}`,
    count: countsOf(bearingFor(bicycle, place), side)[what],
    put: (count) => ({ type: 'countBalls', place, side, changes: { [what]: count, answer: null } }),
  };
}

export function stripSteps(bicycle: Bicycle, assembly: Assembly): BenchStep[] {
  const tray = trayFor(bicycle, assembly.place);
  return assembly.steps.map((step) => {
    const tally = step.count ? tallyOf(bicycle, assembly.place, step.count, 'out') : null;
    return {
      ...NO_STEP,
      id: step.id,
      place: assembly.place,
      title: step.title,
      tool: step.tool,
      forget: step.forget,
      turn: turnAt(step, bicycle.kind, 'loosen'),
      tally,
      drawn: { form: 'exploded', hand: step.takes },
      done: tray.doneSteps.includes(step.id),
      waitsFor:
        tally?.count === null ? 'Count them out first.' : isUnread(bicycle, assembly.place, step) ? UNREAD_WORDS : null,
      finish: { type: 'markStep', place: assembly.place, step: step.id, done: true, takes: step.takes },
    };
  });
}

/** The tray read from its other end: what came off last goes back first. */
export function putBackSteps(bicycle: Bicycle, assembly: Assembly): BenchStep[] {
  const tray = trayFor(bicycle, assembly.place);
  const bearing = bearingFor(bicycle, assembly.place);
  return backwards(orderOf(tray)).map((id) => {
    const part = assembly.parts.find((each) => each.id === id);
    const step = assembly.steps.find((each) => each.takes.includes(id));
    const side = ballRowOf(id);
    const due = side ? ballsDue(countsOf(bearing, side)) : null;
    const tally = side ? tallyOf(bicycle, assembly.place, side, 'in') : null;
    return {
      ...NO_STEP,
      id,
      place: assembly.place,
      title: `Put back: ${part?.label.toLowerCase() ?? id}${part?.side ? `, ${part.side}` : ''}`,
      large: due !== null ? `${due} balls` : null,
      aside: part?.facing ? `Facing: ${part.facing}` : null,
      tool: step?.tool ?? null,
      forget: side ? 'Grease first, then balls; never force the last one.' : null,
      turn: step ? turnAt(step, bicycle.kind, 'tighten') : null,
      tally,
      drawn: { form: 'exploded', hand: [id] },
      // Photographs of a part's way off are shown on its way back.
      photosOf: step?.id ?? null,
      done: isSettled(tray, id),
      waitsFor: tally?.count === null ? 'Count them in first.' : null,
      finish: { type: 'putBack', place: assembly.place, part: id, back: true },
    };
  });
}

function AskCount({ send, step: { tally } }: StepProps<Trays>) {
  return (
    tally && <BallCounter label={tally.label} count={tally.count} large onCount={(count) => send(tally.put(count))} />
  );
}

function benchOf(steps: (bicycle: Bicycle, assembly: Assembly) => BenchStep[]) {
  return defineBench<'strip.trays'>({
    asks,
    of: titleOf,
    steps(bicycle, { answer, place }) {
      const assembly = assemblyAt(answer, place);
      return assembly ? steps(bicycle, assembly) : [];
    },
    Ask: AskCount,
  });
}

export const stripBench = benchOf(stripSteps);
export const putBackBench = benchOf(putBackSteps);
