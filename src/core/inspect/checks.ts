import * as z from 'zod/mini';
import { appliesTo, bicycleKind, kindAt, type BicycleKind } from '../bicycle';
import { defineCalculator } from '../calculator';
import type { Check } from './check';
import { checkTable, outcomeTable } from './data/lookOver';

/** Every check there is, in the order in which practitioners look: on the ground, then the stand, front to back. */
export const checks: Check[] = checkTable.map((line) => ({
  id: line.id,
  place: line.place,
  label: line.label,
  how: line.how,
  phase: line.phase,
  quick: line.set === 'quick',
  kind: line.kind,
  byEye: line.eye === 'yes',
  applies: line.applies,
  limit: line.part && line.row ? { part: line.part, check: line.row } : null,
  unit: line.unit,
  siblings: line.siblings,
  safety: line.safety,
  dirt: line.dirt === 'yes',
  outcomes: outcomeTable
    .filter((row) => row.check === line.id)
    .map(({ id, label, state, why, applies }) => ({ id, label, state, why, applies })),
}));

const byId = new Map(checks.map((check) => [check.id, check]));

/** The checks that a bicycle has: a drum brake leaves neither track nor pad to measure from outside. */
export function checksFor(kind: BicycleKind): Check[] {
  return checks.filter((check) => appliesTo(kindAt(kind, check.place), check.applies));
}

export function checkById(id: string): Check | undefined {
  return byId.get(id);
}

const input = z.strictObject({
  kind: z._default(z.nullable(bicycleKind), null).check(z.describe('null for every check there is')),
});

/**
 * The checks of a bicycle in the order in which practitioners look, each with how it is made and what it may show.
 *
 * Errors: an unknown kind. Source: the table of checks. Example: a bicycle with drum brakes has no check of its pads.
 */
export const inspectChecks = defineCalculator({
  id: 'inspect.checks',
  title: 'The checks of this bicycle',
  example: { kind: { brakes: 'drum' } },
  input,
  run: ({ kind }): { checks: Check[] } => ({ checks: kind ? checksFor(kind) : checks }),
});
