'use client';
import type { Benches } from '@/core/bearings/bench';
import type { BearingBench } from '@/core/bearings/benchTypes';
import type { LookOver } from '@/core/inspect/lookOver';
import { turnAt } from '@/core/strip/tray';
import { knownBearing } from '@/model/bearings/bearingFor';
import { partsAt, workedSteps } from '@/model/bearings/questions';
import type { Bicycle } from '@/model/record';
import { chosenAssemblies } from '@/model/strip/trays';
import { defineBench, NO_STEP, type BenchStep, type StepProps } from '../workshop/declared';
import { BearingAsk } from './BearingAsk';
import { leftEmpty, partOf } from './parts';

const benchAt = (benches: Benches | null, place: string) =>
  benches?.benches.find((each) => each.place === place) ?? null;

export function overhaulSteps(bicycle: Bicycle, bench: BearingBench, lookOver: LookOver | null): BenchStep[] {
  const bearing = knownBearing(bicycle, bench.place, lookOver);
  const worked = workedSteps(bearing);
  return bench.steps.map((step) => {
    const first = bench.steps.find((each) => step.after.includes(each.id) && !worked.includes(each.id));
    return {
      ...NO_STEP,
      id: step.id,
      place: bench.place,
      title: step.title,
      aside: step.compound ? `With ${step.compound}` : null,
      forget: step.forget || null,
      turn: step.turn ? turnAt({ turn: { ...step.turn, nuttedOnly: false } }, bicycle.kind, 'tighten') : null,
      asksMuch: partOf(step, bench) !== null,
      drawn: { form: 'section', hand: partsAt(step, bench) },
      done: worked.includes(step.id),
      leftEmpty: worked.includes(step.id) ? leftEmpty(step, bearing, bench) : null,
      waitsFor: first ? `First: ${first.title.charAt(0).toLowerCase()}${first.title.slice(1)}.` : null,
      finish: { type: 'overhaulStep', place: bench.place, step: step.id, done: true },
    };
  });
}

function AskBearing({ bicycle, send, step, answer }: StepProps<Benches>) {
  const bench = benchAt(answer, step.place);
  return bench && <BearingAsk bicycle={bicycle} send={send} bench={bench} step={step.id} />;
}

/** The steps of an overhaul, with the bearing drawn beside them. */
export const overhaulBench = defineBench<'bearings.benches'>({
  asks: { id: 'bearings.benches', of: (bicycle) => ({ kind: bicycle.kind, chosen: chosenAssemblies(bicycle) }) },
  of: (benches, place) => benchAt(benches, place)?.title.toLowerCase() ?? null,
  steps(bicycle, { answer, place, lookOver }) {
    const bench = benchAt(answer, place);
    return bench ? overhaulSteps(bicycle, bench, lookOver) : [];
  },
  Ask: AskBearing,
});
