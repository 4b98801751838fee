import type { Assembly } from './assembly';

export interface StepRef {
  place: string;
  step: string;
}

/** One step that has to come before another, and why. */
export interface Constraint {
  before: StepRef;
  after: StepRef;
  why: string;
}

/** The next step of a tray that waits; `by` tells what for, and which of its own steps that keeps (`at`). */
export interface Blocked extends StepRef {
  by: (StepRef & { why: string; at: string })[];
}

export interface StripOrder {
  /** Every step in an order that keeps all constraints. */
  order: StepRef[];
  /** The next step of each tray that nothing blocks. */
  open: StepRef[];
  /** The next step of each tray that waits for another tray, with what it waits for. */
  blocked: Blocked[];
}

const key = ({ place, step }: StepRef) => `${place}\n${step}`;

/** Each step of a tray after the one before it. */
function withinTrays(assemblies: { place: string; steps: { id: string }[] }[]): Constraint[] {
  return assemblies.flatMap(({ place, steps }) =>
    steps.slice(1).map((step, i) => ({
      before: { place, step: steps[i]!.id },
      after: { place, step: step.id },
      why: 'The step before it.',
    })),
  );
}

/**
 * The order of a whole strip: all steps so that every constraint is kept, which steps can be made now, and what blocks the
 * others. Steps that are done count as done whatever was before them. Errors: constraints that run in a circle.
 *
 * A tray can be begun when its first part can come off: no hub before its wheel is out, no cups before the cranks are off.
 *
 * Example: with the pedals on, the crank bolts are blocked by both pedals.
 */
export function stripOrder(
  assemblies: (Pick<Assembly, 'place'> & { steps: Pick<Assembly['steps'][number], 'id' | 'takes'>[] })[],
  constraints: Constraint[],
  done: StepRef[] = [],
): StripOrder {
  const finished = new Set(done.map(key));
  const steps = assemblies.flatMap(({ place, steps: own }) => own.map((step): StepRef => ({ place, step: step.id })));
  const known = new Set(steps.map(key));
  const all = [...withinTrays(assemblies), ...constraints].filter(
    ({ before, after }) => known.has(key(before)) && known.has(key(after)),
  );
  const waits = new Map<string, Constraint[]>();
  for (const each of all) waits.set(key(each.after), [...(waits.get(key(each.after)) ?? []), each]);

  const order: StepRef[] = [];
  const placed = new Set<string>();
  const left = [...steps];
  while (left.length > 0) {
    const at = left.findIndex((step) => (waits.get(key(step)) ?? []).every(({ before }) => placed.has(key(before))));
    if (at < 0) throw new Error(`the order runs in a circle at ${key(left[0]!)}`);
    const [step] = left.splice(at, 1);
    placed.add(key(step!));
    order.push(step!);
  }

  const awaited = new Set(all.flatMap(({ before, after }) => (before.place !== after.place ? [key(before)] : [])));
  const open: StepRef[] = [];
  const blocked: Blocked[] = [];
  for (const { place, steps: own } of assemblies) {
    const next = own.find((step) => !finished.has(key({ place, step: step.id })));
    if (!next) continue;
    const ref = { place, step: next.id };
    // A look and a photograph are no work at it: a tray waits while its first part cannot come off, unless another waits for
    // a step before that.
    const undone = own.filter((step) => !finished.has(key({ place, step: step.id })));
    const first = undone.findIndex(({ id, takes }) => takes.length > 0 || awaited.has(key({ place, step: id })));
    const by = undone
      .slice(0, first < 0 ? 1 : first + 1)
      .flatMap(({ id: at }) =>
        (waits.get(key({ place, step: at })) ?? [])
          .filter(({ before }) => !finished.has(key(before)) && before.place !== place)
          .map(({ before, why }) => ({ ...before, why, at })),
      );
    if (by.length === 0) open.push(ref);
    else blocked.push({ ...ref, by });
  }
  return { order, open, blocked };
}

/** Everything that has to be taken apart for these trays, in the order of the trays: themselves, and what stands in their way. */
export function neededFor(places: Iterable<string>, constraints: readonly Constraint[]): Set<string> {
  const needed = new Set(places);
  for (const place of needed)
    for (const { before, after } of constraints) if (after.place === place) needed.add(before.place);
  return needed;
}
