import { answersAtDoor } from './buy/lessons';
import { toldToBooks } from './books/told';
import { runningTimers } from './clean/timers';
import { spent } from './money/questions';
import { nextThing } from './next';
import { openWorkOf } from './plan/openWork';
import type { Bicycle } from './record';
import { SUMMARY_RULES, type Summary } from './summary';
import { workedMinutes } from './work/hours';

function countedSaved({ saved: { weightKg, partsReused, learners, learningHours } }: Bicycle): Summary['saved'] {
  const counted = [weightKg, partsReused, learners, learningHours];
  if (counted.every((figure) => figure === null)) return null;
  return {
    weightKg: weightKg ?? 0,
    partsReused: partsReused ?? 0,
    learners: learners ?? 0,
    learningHours: learningHours ?? 0,
  };
}

/** The summary of a bicycle; what an earlier one of the same revision had worked out is kept. */
export function summaryOf(bicycle: Bicycle, earlier?: Summary): Summary {
  const next = nextThing(bicycle);
  return {
    rules: SUMMARY_RULES,
    id: bicycle.id,
    revision: bicycle.revision,
    name: bicycle.name,
    note: bicycle.note,
    kind: bicycle.kind,
    createdAt: bicycle.createdAt,
    updatedAt: bicycle.updatedAt,
    archivedAt: bicycle.archivedAt,
    stage: next.stage,
    next: next.words,
    nextPlace: next.place ?? null,
    timers: runningTimers(bicycle).map(({ timer, dueAtMs }) => ({ id: timer.id, label: timer.label, dueAtMs })),
    waits: bicycle.deliveries
      .filter((row) => row.arrivedAt === null)
      .map(({ id, label, dueOn }) => ({ id, label, dueOn })),
    loose: bicycle.looseEnds.filter((row) => row.closedAt === null).map((row) => row.label),
    conflicts: bicycle.conflicts.length,
    bought: bicycle.purchase !== null,
    sold: bicycle.sale.price !== null,
    wentOut: bicycle.waysOut.at(-1)?.way ?? null,
    spent: spent(bicycle),
    asking: bicycle.appraisal.asking,
    worked: workedMinutes(bicycle),
    door: answersAtDoor(bicycle),
    tricks: bicycle.tricks.map(({ assembly, step, text }) => ({ assembly, step, text })),
    cones: bicycle.bearings
      .filter(({ trials }) => trials.length > 1)
      .map(({ place, trials }) => ({
        place,
        trials: trials.map(({ turnDeg, feel, clamped }) => ({ turnDeg, feel, clamped })),
      })),
    sizeMm: bicycle.size.sizeMm,
    use: bicycle.size.use,
    brief: bicycle.brief,
    paid: bicycle.purchase?.paid ?? 0,
    soldFor: bicycle.sale.price === null ? null : { price: bicycle.sale.price, on: bicycle.sale.on },
    open: openWorkOf(bicycle),
    books: toldToBooks(bicycle),
    saved: countedSaved(bicycle),
    purpose: bicycle.purpose,
    clockSince: bicycle.clock?.startedAt ?? null,
    drawn: earlier?.revision === bicycle.revision ? earlier.drawn : null,
  };
}
