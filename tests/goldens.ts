import fc from 'fast-check';
import { createHash } from 'node:crypto';
import type { Calculator } from '@/core/calculator';
import { reckon } from '@/core/reckon';
import { fromSchema } from './fromSchema';

/** A question that never changes, and its answer: whole, or by its sum where it is long. */
export interface Golden {
  input: unknown;
  output?: unknown;
  sum?: string;
}

const SAMPLES = 3;
const TRIED = 60;
const LONGEST = 6000;

/** An answer in which the last digits of numbers, which another machine may reckon otherwise, do not count. */
function canonical(value: unknown): unknown {
  if (typeof value === 'number') return Number(value.toPrecision(9));
  if (Array.isArray(value)) return value.map(canonical);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, canonical(each)]));
}

/** The answer to a frozen question, as it is laid down. */
export function goldenOf(id: string, input: unknown): Golden {
  const result = reckon(id, input);
  const output = canonical(result.status === 'ok' ? result.output : result);
  const text = JSON.stringify(output);
  return text.length > LONGEST
    ? { input, sum: createHash('sha256').update(text).digest('hex') }
    : { input, output: JSON.parse(text) as unknown };
}

/** Questions for a calculator that has none yet: its example, a few that its schema lets in and one that it refuses. */
export function questionsFor({ id, input, example }: Calculator): unknown[] {
  const made = fc
    .sample(fromSchema(input), { numRuns: TRIED, seed: 20261127 })
    .map((question): unknown => JSON.parse(JSON.stringify(question)))
    .filter((question) => JSON.stringify(question).length < LONGEST);
  const told = made.map((question) => ({ question, ok: reckon(id, question).status === 'ok' }));
  return [
    JSON.parse(JSON.stringify(example)) as unknown,
    ...told
      .filter(({ ok }) => ok)
      .slice(0, SAMPLES)
      .map(({ question }) => question),
    ...told
      .filter(({ ok }) => !ok)
      .slice(0, 1)
      .map(({ question }) => question),
  ];
}
