import { appliesTo, type BicycleKind } from '../bicycle';
import type { StateId } from '../vocabulary/vocabulary';
import { CHECK_KINDS, checkTable, outcomeTable } from './data/lookOver';
import type { Evidence, HandState } from './evidence';

export interface Outcome {
  id: string;
  label: string;
  state: StateId;
  why: string;
  /** Bicycles that it is offered for; null for every one. */
  applies: string | null;
}

export interface Check {
  id: string;
  place: string;
  label: string;
  how: string;
  phase: 'ground' | 'stand';
  quick: boolean;
  kind: (typeof CHECK_KINDS)[number];
  /** Whether "looked, found nothing" answers it; where not, only its reading does. */
  byEye: boolean;
  applies: string | null;
  limit: { part: string; check: string } | null;
  unit: string | null;
  siblings: string | null;
  /** Whether it stops, steers or carries. */
  safety: 'stops' | 'steers' | 'carries' | null;
  dirt: boolean;
  outcomes: Outcome[];
}

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

/** The row of the wear table that the hollow of a braked rim is held against. */
export const RIM_HOLLOW = { part: 'alloy rim, rim brake', check: 'hollow under a straight edge, each side' } as const;

/** The row of the wear table that a brake pad is held against: rubber over the holder, or pad with its backing. */
export function padLimit(brakes: BicycleKind['brakes']): { part: string; check: string } {
  return brakes === 'disc'
    ? { part: 'disc brake pad', check: 'pad and backing together' }
    : { part: 'rim brake pad', check: 'rubber left beyond the holder or wear line' };
}

/** The checks that a bicycle has: a drum brake leaves neither track nor pad to measure from outside. */
export function checksFor(kind: BicycleKind): Check[] {
  return checks.filter((check) => appliesTo(kind, check.applies));
}

export function checkById(id: string): Check | undefined {
  return byId.get(id);
}

/** The outcomes that a bicycle may show at a check, and the one that was chosen, whatever it is. */
export function outcomesFor(check: Check, kind: BicycleKind, chosen?: string): Outcome[] {
  return check.outcomes.filter((outcome) => outcome.id === chosen || appliesTo(kind, outcome.applies));
}

/** A place with its checks, as one key answers them. */
export interface CheckPlace {
  place: string;
  phase: Check['phase'];
  quick: boolean;
  checks: Check[];
}

/** The places of the look-over in their order, each with its checks; the quick set leaves out what can wait. */
export function checkPlaces(kind: BicycleKind, set: 'quick' | 'full' = 'full'): CheckPlace[] {
  const places = new Map<string, CheckPlace>();
  for (const check of checksFor(kind)) {
    if (set === 'quick' && !check.quick) continue;
    const found = places.get(check.place);
    if (found) {
      found.checks.push(check);
      found.quick ||= check.quick;
    } else places.set(check.place, { place: check.place, phase: check.phase, quick: check.quick, checks: [check] });
  }
  return [...places.values()];
}

/** What "looked, found nothing" puts down for a check, or null where only a reading tells. */
export function nothingFound(check: Check): Evidence | null {
  if (!check.byEye) return null;
  switch (check.kind) {
    case 'outcome':
      return { outcome: check.outcomes[0]!.id };
    case 'bearing-cup':
      return { feel: 'smooth', play: 'none' };
    case 'crank':
      return { left: 'firm', right: 'firm' };
    default:
      return { byEye: 'fine' };
  }
}

/**
 * What a state given by hand puts down: the outcome of that state where the check has one, else a judgement by eye.
 * Example: "unsafe" at the frame is "Unknown repair", the first of its unsafe outcomes only where there is no other.
 */
export function handEvidence(check: Check, state: HandState, kind: BicycleKind): Evidence {
  if (state === 'fine') return nothingFound(check) ?? { byEye: 'fine' };
  const fitting = outcomesFor(check, kind).filter((outcome) => outcome.state === state);
  return fitting.length === 1 ? { outcome: fitting[0]!.id } : { byEye: state };
}

/** Evidence with changes laid over it; a change to undefined takes a field away. */
export function mergedEvidence(seen: Evidence, changes: Evidence): Evidence {
  return Object.fromEntries(Object.entries({ ...seen, ...changes }).filter(([, value]) => value !== undefined));
}
