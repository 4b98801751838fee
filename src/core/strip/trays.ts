import * as z from 'zod/mini';
import { bicycleKind, type BicycleKind } from '../bicycle';
import { defineCalculator } from '../calculator';
import { assembliesFor, choicesFor, saysOf, type Assembly } from './assembly';
import { orderRows, trayOfPlace } from './data/templates';
import type { Constraint, StepRef } from './order';

const input = z.strictObject({
  kind: bicycleKind,
  chosen: z
    ._default(z.record(z.string().check(z.maxLength(60)), z.string().check(z.maxLength(60))), {})
    .check(z.describe('assembly by place, where one was chosen')),
});

/** What may be found at a place, and what it says of the bicycle. */
export interface Choice {
  id: string;
  title: string;
  says: Partial<BicycleKind>;
}

export interface Trays {
  trays: Assembly[];
  /** What else may be found at a place. */
  choices: Record<string, Choice[]>;
  /** The tray of each place that has none of its own. */
  trayOf: Record<string, string>;
  constraints: Constraint[];
}

/** The steps that a side of a row speaks of, among the trays that are there. */
function stepsOf(assemblies: Assembly[], ids: string[], steps: string[], end: string | null): StepRef[] {
  return assemblies
    .filter(({ id, place }) => ids.includes(id) && (end === null || place.endsWith(`.${end}`)))
    .flatMap(({ place, steps: own }) =>
      own.filter((step) => steps.includes(step.id)).map((step) => ({ place, step: step.id })),
    );
}

/** The table's constraints, as they fall on the trays that are there. */
export function constraintsAmong(assemblies: Assembly[]): Constraint[] {
  return orderRows.flatMap((row) =>
    stepsOf(assemblies, row.after, row.afterStep, null).flatMap((after) =>
      stepsOf(assemblies, row.before, row.beforeStep, row.beforeEnd).map((before) => ({ before, after, why: row.why })),
    ),
  );
}

/**
 * How a bicycle comes apart: a tray for each assembly with its parts along the axis and its steps, what else may be found
 * at the place, and what has to come before what. Errors: a kind that does not fit its schema. Source: the tables of
 * assemblies (workshop consensus). Example: a bicycle with a coaster hub has its three retainers in one tray.
 */
export const stripTrays = defineCalculator({
  id: 'strip.trays',
  title: 'How a bicycle comes apart',
  example: { kind: { gears: 'coaster', brakes: 'back-pedal', chain: 'single-or-hub-gear' } },
  input,
  run({ kind, chosen }): Trays {
    const trays = assembliesFor(kind, chosen);
    const choices = Object.fromEntries(
      [...choicesFor(kind)].map(([place, here]) => [
        place,
        here.map(({ id, title }) => ({ id, title, says: saysOf(id, place, kind) })),
      ]),
    );
    const has = new Set(trays.map(({ place }) => place));
    const trayOf = Object.fromEntries([...trayOfPlace].filter(([place, tray]) => has.has(tray) && !has.has(place)));
    return { trays, choices, trayOf, constraints: constraintsAmong(trays) };
  },
});
