import type { Evidence } from './evidence';
import { MEANS, type Means } from './seenAs';

const READINGS: (keyof Evidence)[] = ['readingsMm', 'lengthMm', 'dropsInAtPercent', 'gaps', 'pairs', 'rimMm', 'spinS'];
const HANDS: (keyof Evidence)[] = [
  'outcome',
  'feel',
  'play',
  'grease',
  'cup',
  'cone',
  'balls',
  'seal',
  'left',
  'right',
  'code',
];

const given = (value: unknown) =>
  value !== undefined && value !== 'unknown' && !(Array.isArray(value) && value.length === 0);

/** By what means evidence was found. Example: a disc read at 0.6 mm was found by a reading, "fine, by eye" by the eye. */
export function meansOf(evidence: Evidence): Means {
  if (READINGS.some((field) => given(evidence[field]))) return 'reading';
  return HANDS.some((field) => given(evidence[field])) ? 'hand' : 'eye';
}

/** Whether one means is as good as another, or better. */
export function asGoodAs(means: Means, other: Means): boolean {
  return MEANS.indexOf(means) >= MEANS.indexOf(other);
}

/**
 * The observations of one check that still say something, oldest first: the last one, and the last by each better means.
 * An earlier one by no better means has been unsaid. Something unsafe stands exactly if one of these is unsafe.
 * Example: 0.6 mm read, then "fine" by eye, then "watch" by eye → the reading and the "watch".
 */
export function stillSaying<Seen extends { evidence: Evidence }>(oldestFirst: readonly Seen[]): Seen[] {
  const kept: Seen[] = [];
  for (const seen of [...oldestFirst].reverse()) {
    const better = kept.every((later) => !asGoodAs(meansOf(later.evidence), meansOf(seen.evidence)));
    if (better) kept.unshift(seen);
  }
  return kept;
}
