import { appliesTo, kindAt, type BicycleKind } from '../bicycle';
import type { StateId } from '../vocabulary/vocabulary';
import type { Evidence, HandState } from './evidence';

/** What a check takes down: one of several outcomes, a bearing's feel, or a reading of one sort. */
export const CHECK_KINDS = [
  'outcome',
  'bearing-cup',
  'reading',
  'rim-hollow',
  'disc',
  'pads',
  'chain',
  'crank',
  'hanger',
  'spokes',
  'runout-rim',
  'runout-disc',
  'runout-ring',
  'tyre-age',
  'lever-hand',
] as const;

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

/** The row of the wear table that the hollow of a braked rim is held against. */
export const RIM_HOLLOW = { part: 'alloy rim, rim brake', check: 'hollow under a straight edge, each side' } as const;

/** The rows of the wear table that room beside a tyre is held against, by the house rule. */
export const TYRE_GAP = 'room beside it, each side';
export const WIDE_TYRE_GAP = 'room beside it, each side, wide';

/** The row of the wear table that a brake pad is held against: rubber over the holder, or pad with its backing. */
export function padLimit(brakes: BicycleKind['brakes']): { part: string; check: string } {
  return brakes === 'disc'
    ? { part: 'disc brake pad', check: 'pad and backing together' }
    : { part: 'rim brake pad', check: 'rubber left beyond the holder or wear line' };
}

/** The outcomes that a bicycle may show at a check, and the one that was chosen, whatever it is. */
export function outcomesFor(check: Check, kind: BicycleKind, chosen?: string): Outcome[] {
  return check.outcomes.filter(
    (outcome) => outcome.id === chosen || appliesTo(kindAt(kind, check.place), outcome.applies),
  );
}

/** A place with its checks, as one key answers them. */
export interface CheckPlace {
  place: string;
  phase: Check['phase'];
  quick: boolean;
  checks: Check[];
}

/** The places of these checks in their order, each with its own; the quick set leaves out what can wait. */
export function checkPlaces(checks: readonly Check[], set: 'quick' | 'full' = 'full'): CheckPlace[] {
  const places = new Map<string, CheckPlace>();
  for (const check of checks) {
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
