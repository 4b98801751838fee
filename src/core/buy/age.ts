import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { row, type WorkingRow } from '../verdict';
import { eraFeatures, type EraFeature } from './data/eraFeatures';

const featureName = z.string().check(
  z.maxLength(80),
  z.refine((id) => eraFeatures.some((each) => each.id === id), {
    error: (issue) => `no feature is called "${String(issue.input)}"`,
  }),
);

const input = z.strictObject({
  features: z.array(featureName).check(z.maxLength(60)),
  thisYear: z.number().check(z.multipleOf(1), z.gte(1950), z.lte(2200)),
});

export interface Evidence {
  id: string;
  feature: string;
  earliest: number;
  latest: number;
  commonFrom: number;
  commonUntil: number;
  note: string | null;
}

export interface Contradiction {
  later: string;
  earlier: string;
  gapYears: number;
  words: string;
}

export interface Age {
  /** From when to when all of it could have been sold together; null where it never was. */
  possible: { from: number; to: number } | null;
  /** The years in which most of it was common. */
  likely: { from: number; to: number } | null;
  evidence: Evidence[];
  contradictions: Contradiction[];
  verdict: 'dated' | 'changed' | 'unknown';
  reasons: string[];
  working: WorkingRow[];
}

function years(line: EraFeature, thisYear: number): Evidence {
  return {
    id: line.id,
    feature: line.feature,
    earliest: line.earliestYear - line.earliestToleranceYears,
    latest: line.latestYear ?? (line.stillMade === 'yes' ? thisYear : (line.commonUntil ?? thisYear)),
    commonFrom: line.commonFrom,
    commonUntil: line.commonUntil ?? line.latestYear ?? thisYear,
    note: line.datingNote,
  };
}

/** The years that the most features were common in, taken as one run. */
function commonest(evidence: Evidence[], from: number, to: number): { from: number; to: number } | null {
  let best = 0;
  let run: { from: number; to: number } | null = null;
  for (let year = from; year <= to; year++) {
    const count = evidence.filter((each) => each.commonFrom <= year && year <= each.commonUntil).length;
    if (count > best) {
      best = count;
      run = { from: year, to: year };
    } else if (count === best && run?.to === year - 1) run.to = year;
  }
  return best === 0 ? null : run;
}

/**
 * How old a bicycle is by what is on it: each feature was first sold in some year (with a tolerance) and, for some, last sold
 * in another. All together bound the year; the years in which most of them were common are likeliest. Features that were
 * never sold together say that something was changed, or that the frame is older than its parts.
 *
 * Units: years. Errors: a feature that the table does not hold. Source: the table of features, workshop consensus.
 * Example: stem shifters with integrated brake and shift levers → never sold together; something was changed.
 */
function run({ features, thisYear }: z.output<typeof input>): Age {
  const evidence = [...new Set(features)].map((id) =>
    years(
      eraFeatures.find((each) => each.id === id)!,
      thisYear,
    ),
  );
  const none = { possible: null, likely: null, contradictions: [], working: [] };
  if (evidence.length === 0)
    return { ...none, evidence, verdict: 'unknown', reasons: ['Say what is on it, and the years close in.'] };
  const contradictions: Contradiction[] = evidence.flatMap((later) =>
    evidence
      .filter((earlier) => later.earliest > earlier.latest)
      .map((earlier) => ({
        later: later.feature,
        earlier: earlier.feature,
        gapYears: later.earliest - earlier.latest,
        words: `“${later.feature}” came in ${later.earliest} at the earliest, “${earlier.feature}” was gone after ${earlier.latest}: these parts were never sold together, something was changed.`,
      })),
  );
  const from = Math.max(...evidence.map((each) => each.earliest));
  const to = Math.min(...evidence.map((each) => each.latest));
  const possible = from <= to ? { from, to } : null;
  const likely = possible ? commonest(evidence, from, to) : null;
  const unlikely = possible
    ? evidence.flatMap((later) =>
        evidence
          .filter((earlier) => later.commonFrom > earlier.commonUntil + 5)
          .map(
            (earlier) =>
              `“${later.feature}” became common in ${later.commonFrom}, when “${earlier.feature}” was going (${earlier.commonUntil}): one of them may be a later part.`,
          ),
      )
    : [];
  const latestBound = evidence.find((each) => each.earliest === from)!;
  const reasons = [
    ...contradictions.map((each) => each.words),
    ...(possible
      ? [
          likely && likely.to < thisYear
            ? `Likeliest ${likely.from} to ${likely.to}; not before ${from}, since “${latestBound.feature}” is on it.`
            : `Not before ${from}, since “${latestBound.feature}” is on it.`,
        ]
      : []),
    ...unlikely,
    'Features date what is on the bicycle now; a stamp on hub, crank or frame dates better.',
  ];
  return {
    possible,
    likely,
    evidence,
    contradictions,
    verdict: contradictions.length > 0 ? 'changed' : 'dated',
    reasons,
    working: evidence.map((each) =>
      row(String(each.earliest), each.feature, `${each.commonFrom} to ${each.commonUntil}`, 'common'),
    ),
  };
}

export const buyAge = defineCalculator({
  id: 'buy.age',
  title: 'How old a bicycle is by its features',
  example: { features: ['stem-shifters'], thisYear: 2026 },
  input,
  run,
});
