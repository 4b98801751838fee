import { normalised } from '../posterior';
import type { ReadingField } from './readings';
import type { Expected, Standard } from './standards';

/** What a contradiction in kind weighs: a wrong word, or a pitch read where there is no thread. */
export const CONTRADICTION = 0.02;
/** A contradiction in standard errors: the miss of a Gaussian that weighs as much. */
export const CONTRADICTION_SIGMAS = Math.sqrt(-2 * Math.log(CONTRADICTION));

/** How often a shell is measured inside its thread instead of the cup over its own. */
const INSIDE_SHARE = 0.03;

export interface Reading {
  field: ReadingField;
  value: number | string;
  /** In millimetres; null for a word. */
  sigmaMm: number | null;
}

/** How a reading sits with what a standard says of it: the nearest of its sizes, and how far off in standard errors. */
export interface Sitting {
  expected: number | string | null;
  sigmas: number;
  contradicts: boolean;
  /** It sits with the bare shell, measured inside, and not with what is measured outside. */
  inside?: true;
}

const logWeight = ({ sigmas, inside }: Sitting) => -0.5 * sigmas * sigmas + (inside ? Math.log(INSIDE_SHARE) : 0);

/** Compares one reading with one standard. What the table does not know is no evidence either way. */
export function sitting(reading: Reading, expected: Expected): Sitting {
  if (expected === 'unknown') return { expected: null, sigmas: 0, contradicts: false };
  const off = (word: string): Sitting => ({ expected: word, sigmas: CONTRADICTION_SIGMAS, contradicts: true });
  if (expected === 'none') return off('none');
  if ('word' in expected)
    return expected.word === reading.value
      ? { expected: expected.word, sigmas: 0, contradicts: false }
      : off(expected.word);
  const value = reading.value as number;
  const nearestOf = (sizes: number[]): Sitting => {
    const nearest = sizes.reduce((best, size) => (Math.abs(size - value) < Math.abs(best - value) ? size : best));
    return { expected: nearest, sigmas: Math.abs(value - nearest) / reading.sigmaMm!, contradicts: false };
  };
  const outside = nearestOf(expected.sizes);
  if (!expected.inside) return outside;
  const inside: Sitting = { ...nearestOf(expected.inside), inside: true };
  return logWeight(inside) > logWeight(outside) ? inside : outside;
}

/** Probability of each standard after the readings, from equal priors. */
export function beliefs(standards: Standard[], readings: Reading[]): number[] {
  return normalised(
    standards.map((standard) =>
      readings.reduce((log, reading) => log + logWeight(sitting(reading, standard.expects[reading.field.field]!)), 0),
    ),
  );
}

function entropyBits(probabilities: number[]): number {
  return -probabilities.reduce((sum, p) => (p > 1e-12 ? sum + p * Math.log2(p) : sum), 0);
}

/** Readings that a standard may give, each with its share: three points of a Gaussian about every size it is met in. */
function mayRead(
  expected: Expected,
  field: ReadingField,
  sigmaMm: number | null,
): { value: number | string; share: number }[] {
  if (expected === 'unknown') return [];
  if (expected === 'none') return [{ value: 'none', share: 1 }];
  if ('word' in expected) return [{ value: expected.word, share: 1 }];
  const reach = Math.sqrt(3) * sigmaMm!;
  return expected.sizes.flatMap((size) =>
    (
      [
        [-reach, 1 / 6],
        [0, 2 / 3],
        [reach, 1 / 6],
      ] as const
    ).map(([by, share]) => ({ value: size + by, share: share / expected.sizes.length })),
  );
}

/** How a thing without a thread sits with a standard: it has none either, or it contradicts. */
function sittingOfNone(expected: Expected): Sitting {
  const alike = expected === 'none' || expected === 'unknown';
  return { expected: null, sigmas: alike ? 0 : CONTRADICTION_SIGMAS, contradicts: !alike };
}

/**
 * Expected fall in uncertainty, in bits, if this field were read next: over what each standard may read, weighted by how
 * likely it is now (three-point Gauss–Hermite quadrature about every size).
 */
export function informationBits(
  standards: Standard[],
  probabilities: number[],
  field: ReadingField,
  sigmaMm: number | null,
): number {
  const now = entropyBits(probabilities);
  let after = 0;
  standards.forEach((standard, i) => {
    const p = probabilities[i]!;
    if (p < 1e-6) return;
    const possible = mayRead(standard.expects[field.field]!, field, sigmaMm);
    // What the table does not know of a standard cannot be counted on.
    if (possible.length === 0) after += p * now;
    for (const { value, share } of possible) {
      const reading: Reading = { field, value, sigmaMm };
      const logs = standards.map((other, j) => {
        const expected = other.expects[field.field]!;
        const sits = value === 'none' && !('words' in field) ? sittingOfNone(expected) : sitting(reading, expected);
        return Math.log(Math.max(probabilities[j]!, 1e-300)) + logWeight(sits);
      });
      after += p * share * entropyBits(normalised(logs));
    }
  });
  return Math.max(0, now - after);
}
